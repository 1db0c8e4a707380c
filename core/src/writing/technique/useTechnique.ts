import { BLANK_STEP, type Pattern, type Step, type TechniqueUse } from '../../pattern/index.ts';
import { fillIn, STEP_KEYS, type Technique, type TechniqueStep } from './technique.ts';

const valuesOf = (technique: Technique, use: TechniqueUse): Map<string, string> =>
  new Map([
    ...technique.parameters.map(({ key, standard }) => [key, standard] as const),
    ...use.values.map(({ key, value }) => [key, value] as const),
  ]);

/** The steps of a technique as this use of it writes them. Ids come from the use, so that a newer version finds them. */
function stepsOfTechnique(technique: Technique, use: TechniqueUse): Step[] {
  const values = valuesOf(technique, use);
  return technique.steps.map((step, index) => ({
    ...BLANK_STEP,
    ...filled(step, values),
    id: `${use.id.slice(0, 34)}-${index + 1}`,
    partIds: [...use.partIds],
    technique: { useId: use.id, index },
  }));
}

const filled = (step: TechniqueStep, values: ReadonlyMap<string, string>): TechniqueStep => ({
  ...step,
  text: fillIn(step.text, values),
  cue: fillIn(step.cue, values),
  checks: step.checks.map((check) => ({
    ...check,
    look: fillIn(check.look, values),
    how: fillIn(check.how, values),
    pass: fillIn(check.pass, values),
    remedy: fillIn(check.remedy, values),
  })),
});

/** The use of a technique at its newest, with the standard value of everything that is not said. */
export const newUse = (technique: Technique, id: string, partIds: readonly string[]): TechniqueUse => ({
  id,
  techniqueId: technique.id,
  name: technique.name,
  version: technique.version,
  partIds: [...partIds],
  values: technique.parameters.map(({ key, standard }) => ({ key, value: standard })),
  rights: technique.rights,
});

/** The pattern with a technique written in after a step; `afterId` null: at the end. */
export function insertTechnique(
  pattern: Pattern,
  technique: Technique,
  use: TechniqueUse,
  afterId: string | null,
): Pattern {
  const at = pattern.steps.findIndex(({ id }) => id === afterId);
  const place = at < 0 ? pattern.steps.length : at + 1;
  const steps = [...pattern.steps];
  steps.splice(place, 0, ...stepsOfTechnique(technique, use));
  return { ...pattern, steps, techniques: [...pattern.techniques, use] };
}

/** What a newer version would change in one use of it. */
export interface TechniqueChange {
  readonly kind: 'added' | 'removed' | 'changed';
  /** Place among the technique’s steps, from 0. */
  readonly index: number;
  readonly before: string | null;
  readonly after: string | null;
  /** The author changed this step after it was written in: taking the newer version undoes that. */
  readonly isOwnEdit: boolean;
}

/** @param was the version in use; null where it is no longer known, and own edits cannot be told */
export function techniqueChanges(
  pattern: Pattern,
  use: TechniqueUse,
  newest: Technique,
  was: Technique | null,
): TechniqueChange[] {
  const byName = new Map(
    pattern.steps.flatMap((step) =>
      step.technique?.useId === use.id ? [[step.technique.index, step] as const] : [],
    ),
  );
  const written = was ? stepsOfTechnique(was, use) : [];
  const coming = stepsOfTechnique(newest, use);
  const last = Math.max(coming.length, ...[...byName.keys()].map((index) => index + 1));
  return Array.from({ length: last }, (_, index): TechniqueChange[] => {
    const [before, after] = [byName.get(index), coming[index]];
    if (!before && !after) return [];
    if (before && after && isSameStep(before, after)) return [];
    const first = written[index];
    return [
      {
        kind: !before ? 'added' : !after ? 'removed' : 'changed',
        index,
        before: before?.text ?? null,
        after: after?.text ?? null,
        isOwnEdit: before !== undefined && first !== undefined && !isSameStep(before, first),
      },
    ];
  }).flat();
}

/** Alike in what a technique says; where it stands and what it is shown with is the pattern’s own. */
function isSameStep(a: Step, b: Step): boolean {
  const textOf = (step: Step) =>
    JSON.stringify(STEP_KEYS.filter((key) => key !== 'cautions').map((key) => step[key]));
  return textOf(a) === textOf(b);
}

/** The pattern with one use at the newest version. Steps keep their place, their pictures and their joins. */
export function takeNewest(pattern: Pattern, useId: string, newest: Technique): Pattern {
  const before = pattern.techniques.find(({ id }) => id === useId);
  if (!before) return pattern;
  const use: TechniqueUse = {
    ...before,
    name: newest.name,
    version: newest.version,
    rights: newest.rights,
    values: newest.parameters.map(({ key, standard }) => ({
      key,
      value: before.values.find((value) => value.key === key)?.value ?? standard,
    })),
  };
  const coming = stepsOfTechnique(newest, use);
  const indexOf = (step: Step) => (step.technique?.useId === useId ? step.technique.index : null);
  const kept = pattern.steps.flatMap((step) => {
    const index = indexOf(step);
    if (index === null) return [step];
    const next = coming[index];
    return next ? [{ ...next, ...keptOf(step) }] : [];
  });
  const there = new Set(kept.map(indexOf));
  const lastAt = kept.findLastIndex((step) => indexOf(step) !== null);
  const added = coming.filter((_, index) => !there.has(index));
  return {
    ...pattern,
    techniques: pattern.techniques.map((technique) => (technique.id === useId ? use : technique)),
    steps: [...kept.slice(0, lastAt + 1), ...added, ...kept.slice(lastAt + 1)],
  };
}

const keptOf = ({ id, joinIds, pictures, readers, repeat, recallsStepId, partIds }: Step) => ({
  id,
  joinIds,
  pictures,
  readers,
  repeat,
  recallsStepId,
  partIds,
});
