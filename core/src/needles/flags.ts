import type { PatternEstimate, Wool } from '../engine/index.ts';
import { isNeedleMissing, needlesOfSchool, type Pattern } from '../pattern/index.ts';
import { distinctNeedles, finenessOf, type Needle, type NeedleWanted, wantedKey } from '../shelf/index.ts';
import { compareStrength, judgeNeedle, type Verdict } from './judge.ts';
import { factsOfNeedle, factsOfWanted, type NeedleFacts } from './needleFacts.ts';
import { handedOut, type Owned, ownedFor, wantedOf } from './owned.ts';
import { needlePath, type NeedlePath } from './path.ts';
import { factsOfSteps, type StepFacts } from './stepFacts.ts';

/** What is wrong on the ladder, where it is wrong, and how to mend it. */
export type LadderFlag =
  | {
      readonly code: 'unfit';
      readonly stepId: string;
      readonly wanted: NeedleWanted;
      readonly verdict: Verdict;
      /** A sort that does better here; null where none is known. */
      readonly better: NeedleWanted | null;
    }
  | {
      readonly code: 'roughens';
      readonly stepId: string;
      readonly wanted: NeedleWanted;
      readonly partIds: readonly string[];
      /** The sort it was smoothed with. */
      readonly better: NeedleWanted;
    }
  | { readonly code: 'not_said'; readonly stepId: string };

/** A sort of needle the steps ask for. */
export interface Rung {
  readonly wanted: NeedleWanted;
  readonly key: string;
  readonly stepIds: readonly string[];
  readonly owned: Owned;
}

/** The rung of a sort, from 0, the coarsest first; 0 where it is on none. */
export const rungPlace = ({ rungs }: Pick<Ladder, 'rungs'>, wanted: NeedleWanted): number =>
  Math.max(
    0,
    rungs.findIndex(({ key }) => key === wantedKey(wanted)),
  );

/** The whole ladder of a build. */
export interface Ladder {
  readonly path: NeedlePath;
  readonly facts: ReadonlyMap<string, StepFacts>;
  /** How each step’s needle does, by step id; steps without one are not in it. */
  readonly verdicts: ReadonlyMap<string, Verdict>;
  /** Coarse to fine. */
  readonly rungs: readonly Rung[];
  readonly flags: readonly LadderFlag[];
}

/** Everything about the needles of a build and what this shelf has for them. */
export function ladderOf(
  build: Pattern,
  estimate: Pick<PatternEstimate, 'parts'>,
  wool: Wool,
  needles: readonly Needle[],
): Ladder {
  const facts = factsOfSteps(build, estimate, wool);
  const path = needlePath(build);
  const rungs = rungsOf(path, facts, needles);
  const rungByKey = new Map(rungs.map((rung) => [rung.key, rung]));
  const verdicts = new Map<string, Verdict>();
  for (const { step, wanted } of path.stretches) {
    const fact = facts.get(step.id);
    const rung = wanted && rungByKey.get(wantedKey(wanted));
    if (rung && fact) verdicts.set(step.id, judgeNeedle(fact, factsOfRung(rung)));
  }
  return { path, facts, verdicts, rungs, flags: flagsOf(build, { path, facts, verdicts, needles }) };
}

/** With the needle that is there where it is of the sort; what only comes near is told beside it. */
export const factsOfRung = ({ wanted, owned }: Pick<Rung, 'wanted' | 'owned'>): NeedleFacts =>
  owned.kind === 'owned' ? factsOfNeedle(owned.needle) : factsOfWanted(wanted);

function rungsOf(
  path: NeedlePath,
  facts: ReadonlyMap<string, StepFacts>,
  needles: readonly Needle[],
): Rung[] {
  const all = path.stretches.flatMap(({ step, wanted }) => (wanted ? [{ wanted, stepId: step.id }] : []));
  return distinctNeedles(all.map(({ wanted }) => wanted)).map((wanted) => {
    const key = wantedKey(wanted);
    const stepIds = all
      .filter((candidate) => wantedKey(candidate.wanted) === key)
      .map(({ stepId }) => stepId);
    const steps = stepIds.flatMap((id) => facts.get(id) ?? []);
    return { wanted, key, stepIds, owned: ownedFor(wanted, steps, needles) };
  });
}

interface Parts {
  readonly path: NeedlePath;
  readonly facts: ReadonlyMap<string, StepFacts>;
  readonly verdicts: ReadonlyMap<string, Verdict>;
  readonly needles: readonly Needle[];
}

function flagsOf(build: Pattern, { path, facts, verdicts, needles }: Parts): LadderFlag[] {
  const sorts = sortsAtHand(build, path, needles);
  const roughening = new Map(path.changes.map((change) => [change.beforeStepId, change]));
  return path.stretches.flatMap(({ step, wanted }): LadderFlag[] => {
    if (!wanted) return isNeedleMissing(step, build) ? [{ code: 'not_said', stepId: step.id }] : [];
    const [stepFacts, verdict] = [facts.get(step.id), verdicts.get(step.id)];
    const partIds = roughening.get(step.id)?.roughensPartIds ?? [];
    const smoothed = partIds.length > 0 ? finestBefore(path, step.id, partIds) : null;
    return [
      ...(stepFacts && verdict && compareStrength(verdict.strength, 'fair') < 0
        ? [
            {
              code: 'unfit',
              stepId: step.id,
              wanted,
              verdict,
              better: betterFor(stepFacts, verdict, sorts),
            } as const,
          ]
        : []),
      ...(smoothed
        ? [{ code: 'roughens', stepId: step.id, wanted, partIds, better: smoothed } as const]
        : []),
    ];
  });
}

/** Sorts one may go over to, those of the pattern first: another needle is another to buy and to mark. */
function sortsAtHand(build: Pattern, path: NeedlePath, needles: readonly Needle[]): NeedleWanted[] {
  const all = [
    ...path.stretches.flatMap(({ wanted }) => wanted ?? []),
    ...needlesOfSchool(build.school, build.stageNeedles),
    ...handedOut(needles).flatMap((needle) => wantedOf(needle) ?? []),
  ];
  return [...new Map(all.map((wanted) => [wantedKey(wanted), wanted])).values()];
}

/** The first of the sorts that does best; null where none does better than now. */
export function betterFor(
  step: StepFacts,
  now: Verdict,
  sorts: readonly NeedleWanted[],
): NeedleWanted | null {
  let best: NeedleWanted | null = null;
  let strength = now.strength;
  for (const wanted of sorts) {
    const verdict = judgeNeedle(step, factsOfWanted(wanted));
    if (compareStrength(verdict.strength, strength) > 0) {
      best = wanted;
      strength = verdict.strength;
    }
  }
  return best;
}

function finestBefore(path: NeedlePath, stepId: string, partIds: readonly string[]): NeedleWanted | null {
  const at = path.stretches.findIndex(({ step }) => step.id === stepId);
  const before = path.stretches
    .slice(0, at)
    .flatMap(({ step, wanted }) =>
      wanted && step.partIds.some((id) => partIds.includes(id)) ? [wanted] : [],
    );
  return before.sort((a, b) => finenessOf(b) - finenessOf(a))[0] ?? null;
}
