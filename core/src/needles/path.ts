import {
  type NeedleHabit,
  needleOf,
  needleTask,
  type NeedleTask,
  type Pattern,
  type Stage,
  type Step,
  workMinutes,
} from '../pattern/index.ts';
import { finenessOf, type NeedleWanted, oneProfileEach, wantedKey } from '../shelf/index.ts';

/** What tells a maker to take the next needle: never a time. */
export type ChangeCue = 'resists' | 'fits' | 'closed' | 'holds' | 'smooth' | 'drawn' | 'next-piece';

/** One step on its rung. */
export interface Stretch {
  readonly step: Step;
  /** Its place among the steps, from 0. */
  readonly at: number;
  /** Null: done without a needle, or nobody has said with which. */
  readonly wanted: NeedleWanted | null;
  /** At the author’s pace, the middle of a range; null where nobody has said. */
  readonly minutes: number | null;
}

/** Another needle is taken. */
export interface Change {
  readonly afterStepId: string;
  readonly beforeStepId: string;
  readonly from: NeedleWanted;
  readonly to: NeedleWanted;
  readonly goes: 'finer' | 'coarser' | 'alike';
  /** The author’s own word for it, at the step that ends; else `cue`. */
  readonly words: string;
  readonly cue: ChangeCue;
  /** Pieces that were smoothed with a finer needle, are now worked coarser, and are not smoothed again. */
  readonly roughensPartIds: readonly string[];
}

export interface NeedlePath {
  /** Every step, in order. */
  readonly stretches: readonly Stretch[];
  readonly changes: readonly Change[];
}

/** The needles of a pattern as they follow one another in the hand. */
export function needlePath(pattern: Pick<Pattern, 'steps' | 'parts'> & NeedleHabit): NeedlePath {
  const needles = oneProfileEach(pattern.steps.map((step) => needleOf(step, pattern)));
  const stretches = pattern.steps.map((step, at): Stretch => ({
    step,
    at,
    wanted: needles[at] ?? null,
    minutes: step.minutes === null ? null : (workMinutes(step, pattern)?.likely ?? null),
  }));
  const inHand = stretches.filter((stretch): stretch is InHand => stretch.wanted !== null);
  const changes = inHand.slice(1).flatMap((after, index) => {
    const before = inHand[index];
    return before && wantedKey(before.wanted) !== wantedKey(after.wanted)
      ? [changeBetween(before, after, inHand)]
      : [];
  });
  return { stretches, changes };
}

type InHand = Stretch & { readonly wanted: NeedleWanted };

function changeBetween(before: InHand, after: InHand, all: readonly InHand[]): Change {
  const finer = finenessOf(after.wanted) - finenessOf(before.wanted);
  return {
    afterStepId: before.step.id,
    beforeStepId: after.step.id,
    from: before.wanted,
    to: after.wanted,
    goes: finer > 0 ? 'finer' : finer < 0 ? 'coarser' : 'alike',
    words: before.step.cue.trim(),
    cue: cueBetween(before.step, after.step),
    roughensPartIds: finer < 0 ? roughened(after, all) : [],
  };
}

const CUE_OF_STAGE: Readonly<Partial<Record<Stage, ChangeCue>>> = {
  core: 'resists',
  skeleton: 'holds',
  shape: 'fits',
  coat: 'closed',
  join: 'holds',
  mount: 'holds',
  hair: 'holds',
  detail: 'drawn',
  finish: 'smooth',
};

/** Pieces that go on are told by how the work feels; another piece is begun with its own needle. */
function cueBetween(before: Step, after: Step): ChangeCue {
  const goesOn = before.partIds.length === 0 || before.partIds.some((id) => after.partIds.includes(id));
  return goesOn ? (CUE_OF_STAGE[before.stage] ?? 'resists') : 'next-piece';
}

const SMOOTHING: ReadonlySet<NeedleTask> = new Set(['surface', 'detail']);

/** Of the pieces a step works: those that were smoothed finer before, and that nothing finer comes to afterwards. */
function roughened(after: InHand, all: readonly InHand[]): string[] {
  const fineness = finenessOf(after.wanted);
  return after.step.partIds.filter((partId) => {
    const finer = all.filter(
      ({ step, wanted }) =>
        step.partIds.includes(partId) && finenessOf(wanted) > fineness && SMOOTHING.has(needleTask(step)),
    );
    return finer.some(({ at }) => at < after.at) && !finer.some(({ at }) => at > after.at);
  });
}
