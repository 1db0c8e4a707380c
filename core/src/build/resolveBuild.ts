import {
  applyPose,
  type Choices,
  defaultValues,
  forgetStrays,
  isSameThing,
  isWool,
  NO_CHOICES,
  type Part,
  type Pattern,
  type Pose,
  type ThingKind,
  type ThingRef,
  type Use,
  type Values,
  withoutPart,
} from '../pattern/index.ts';
import { withSwap } from './withSwap.ts';

/** The whole of what is chosen: options left open are at their default. */
export const valuesOf = (pattern: Pick<Pattern, 'options'>, choices: Choices): Values => ({
  ...defaultValues(pattern),
  ...choices.values,
});

/** What is left out under these values: everything an option names, but not under the value chosen. */
function leftOut(pattern: Pattern, values: Values): ThingRef[] {
  return pattern.options.flatMap((option) => {
    const chosen = option.values.find(({ id }) => id === values[option.id]);
    return option.values
      .flatMap(({ things }) => things)
      .filter((thing) => chosen?.things.some((candidate) => isSameThing(candidate, thing)) !== true);
  });
}

/**
 * The pattern one person makes: options resolved, the colourway in its slots, the swaps in their places. What a part
 * left out takes along (its joins, its mention in steps) is gone too; a step all of whose parts are gone goes with them.
 * A pattern without options, colourway or swaps comes back as it is.
 */
export function resolveBuild(pattern: Pattern, choices: Choices): Pattern {
  const coloured = withColourway(pattern, choices.colourwayId);
  const left = withoutThings(coloured, leftOut(pattern, valuesOf(pattern, choices)));
  const posed = posesChosen(pattern, choices).reduce(applyPose, left);
  return choices.swapIds.reduce(withSwap, posed);
}

/** The poses that chosen values name, in their order: a later one is over an earlier. */
export function posesChosen(pattern: Pick<Pattern, 'options' | 'poses'>, choices: Choices): Pose[] {
  if (pattern.poses.length === 0) return [];
  const values = valuesOf(pattern, choices);
  const named = pattern.options.flatMap(
    (option) => option.values.find(({ id }) => id === values[option.id])?.things ?? [],
  );
  return pattern.poses.filter(({ id }) => named.some((thing) => thing.kind === 'pose' && thing.id === id));
}

/** What somebody makes who chooses nothing. */
export const defaultBuild = (pattern: Pattern): Pattern => resolveBuild(pattern, NO_CHOICES);

function withoutThings(pattern: Pattern, things: readonly ThingRef[]): Pattern {
  if (things.length === 0) return pattern;
  const gone = new Map<ThingKind, Set<string>>();
  for (const { kind, id } of things) gone.set(kind, (gone.get(kind) ?? new Set()).add(id));
  const stays = (kind: ThingKind) => {
    const ids = gone.get(kind);
    return ({ id }: { id: string }) => ids?.has(id) !== true;
  };
  const partIds = gone.get('part') ?? new Set<string>();
  const bare = [...partIds].reduce(withoutPart, pattern);
  const bareSteps = new Map(bare.steps.map((step) => [step.id, step]));
  const steps = pattern.steps.flatMap((before) => {
    const step = bareSteps.get(before.id);
    const isEmptied = before.partIds.length > 0 && step?.partIds.length === 0;
    return step && !isEmptied && stays('step')(step)
      ? [{ ...step, pictures: step.pictures.filter(stays('picture')) }]
      : [];
  });
  return forgetStrays({
    ...bare,
    parts: bare.parts.map((part) => withUses(part, part.uses.filter(stays('use')))),
    joins: bare.joins.filter(stays('join')),
    cuts: bare.cuts.filter(stays('cut')),
    findings: bare.findings.filter(
      (finding) => stays('finding')(finding) && !wasOn(pattern, finding.id, partIds),
    ),
    steps,
  });
}

const withUses = (part: Part, uses: Use[]): Part =>
  uses.length === part.uses.length ? part : { ...part, uses };

/** A finding on a part that is left out goes with it. */
const wasOn = ({ findings }: Pattern, findingUseId: string, partIds: ReadonlySet<string>): boolean => {
  const partId = findings.find(({ id }) => id === findingUseId)?.partId ?? null;
  return partId !== null && partIds.has(partId);
};

/** The fibres of a colourway in all places of their slots. */
function withColourway(pattern: Pattern, colourwayId: string | null): Pattern {
  const colourway = pattern.colourways.find(({ id }) => id === colourwayId);
  if (!colourway) return pattern;
  const fibreOf = new Map<string, string>();
  for (const { slotId, fibreId } of colourway.fills) {
    const slot = pattern.slots.find(({ id }) => id === slotId);
    for (const { kind, id } of slot?.places ?? []) fibreOf.set(`${kind} ${id}`, fibreId);
  }
  return {
    ...pattern,
    parts: pattern.parts.map((part) => ({
      ...part,
      uses: part.uses.map((use) => {
        const fibreId = fibreOf.get(`use ${use.id}`);
        return fibreId === undefined || !isWool(use) ? use : { ...use, fibreId };
      }),
    })),
    joins: pattern.joins.map((join) => {
      const fibreId = fibreOf.get(`join ${join.id}`);
      return fibreId === undefined || !join.cover ? join : { ...join, cover: { ...join.cover, fibreId } };
    }),
  };
}
