import type { NeedleFacts } from './needleFacts.ts';
import type { StepFacts } from './stepFacts.ts';

/** Worst first. */
export const STRENGTHS = ['never', 'poor', 'fair', 'good'] as const;
export type Strength = (typeof STRENGTHS)[number];

/** One thing that speaks for or against a needle at a step. */
export interface NeedleRule {
  readonly id: string;
  readonly strength: Strength;
  /** Goes on after “36 is poor here: ”. */
  readonly reason: string;
  /** What to do instead; empty where nothing has to be. */
  readonly mend: string;
  readonly holds: (step: StepFacts, needle: Known) => boolean;
}

/** A needle whose coarseness is known. */
interface Known extends NeedleFacts {
  readonly gauge: number;
}

/** Where coarse ends and fine begins; between them lie the needles for everything. Ours. */
const COARSE_TO = 36;
const FINE_FROM = 40;
const FINEST_FROM = 42;

const isCoarse = ({ gauge }: Known) => gauge <= COARSE_TO;
const isFine = ({ gauge }: Known) => gauge >= FINE_FROM;
const isMiddle = (needle: Known) => !isCoarse(needle) && !isFine(needle);
const isDeep = ({ depth }: StepFacts) => depth === 'half' || depth === 'through';
const isFirm = ({ firmnessBefore }: StepFacts) => firmnessBefore === 'firm' || firmnessBefore === 'solid';
const isBulk = ({ stage, task }: StepFacts) =>
  task === 'build' && (stage === 'core' || stage === 'shape' || stage === 'skeleton');
const isJoining = ({ act, stage }: StepFacts) => act === 'join' || act === 'tack' || stage === 'join';
const isHair = ({ stage }: StepFacts) => stage === 'hair';
const isSurface = ({ task }: StepFacts) => task === 'surface';
const atLeast = (value: number | null, limit: number) => value !== null && value >= limit;
const under = (value: number | null, limit: number) => value !== null && value < limit;

/**
 * Every rule there is, the worst first. What makers agree on is in practice: coarse moves and binds fibre and marks the
 * surface, fine smooths and cannot move bulk. The limits are ours.
 */
export const NEEDLE_RULES = [
  rule('strikes-glass', 'never', 'would strike the glass inside, and break', 'go light, at a slant, past it', (step) =>
    step.behind.glass && step.depth !== 'light'),
  rule('pulls-wool-out', 'never', 'its barbs pull wool out instead of in', 'take one whose barbs push', (step, { profile }) =>
    profile === 'reverse' && !isHair(step)),

  rule('leaves-marks', 'poor', 'leaves marks on a visible, firm surface', 'take a finer one, shallow, at a slant', (step, needle) =>
    isCoarse(needle) && step.isVisible && isFirm(step) && !isJoining(step)),
  rule('dents-detail', 'poor', 'dents so small a detail', 'take 40 or finer', (step, { gauge }) =>
    gauge < 38 && step.task === 'detail' && !isJoining(step) && under(step.detailMm, 8)),
  rule('cannot-build', 'poor', 'cannot move so much wool: it takes for ever', 'take a coarser one until the wool resists', (step, needle) =>
    isFine(needle) && isBulk(step) && step.firmnessBefore === null && atLeast(step.acrossMm, 15)),
  rule('does-not-bind', 'poor', 'does not bind two firm pieces', 'take a coarser one, straight through', (step, needle) =>
    isFine(needle) && isJoining(step) && step.task !== 'detail' && isDeep(step) && atLeast(step.acrossMm, 10)),
  rule('snaps-in-solid', 'poor', 'bends and snaps in solid wool', 'take a stouter one; out by the line it went in', (step, needle) =>
    isFine(needle) && step.firmnessBefore === 'solid' && isDeep(step)),
  rule('snaps-on-wire', 'poor', 'snaps where it meets the wire', 'take a stouter one, and go beside the wire', (step, needle) =>
    isFine(needle) && step.behind.wire && isDeep(step)),
  rule('too-short', 'poor', 'its barbs do not reach deep enough', 'take a longer one, or build it up in layers', (step, { reachMm }) =>
    reachMm !== null && step.reachNeededMm !== null && reachMm < step.reachNeededMm),
  rule('tears-sheet', 'poor', 'does not pass cleanly through felt sheet', 'take a 38 or finer', (step, needle) =>
    isCoarse(needle) && step.behind.sheet),
  rule('comes-out-behind', 'poor', 'comes out on the other side of so thin a piece', 'take a finer one, and turn the piece', (step, needle) =>
    isCoarse(needle) && step.isThinFlat && isDeep(step)),
  rule('only-skin-deep', 'poor', 'has its barbs at the tip: it binds no deeper', 'keep it for locks; take another here', (step, { profile }) =>
    profile === 'crown' && isDeep(step) && !isHair(step)),
  rule('mats-locks', 'poor', 'mats the locks', 'take a crown, or a 38 and finer', (step, needle) =>
    isHair(step) && isCoarse(needle) && needle.profile !== 'crown' && needle.profile !== 'reverse'),
  rule('holes-in-fine-wool', 'poor', 'leaves holes in fine wool', 'take a 38 or finer', (step, needle) =>
    isCoarse(needle) && step.isVisible && step.fineness.has('fine') && !isJoining(step)),
  rule('misses-coarse-wool', 'poor', 'hardly catches coarse wool', 'take a coarser one', (step, { gauge }) =>
    gauge >= FINEST_FROM && isDeep(step) && step.fineness.has('coarse')),
  rule('wider-than-piece', 'poor', 'so many at once are too wide for the piece', 'use one, in the fingers', ({ holder, acrossMm }) =>
    holder > 1 && under(acrossMm, holder > 3 ? 40 : 20)),

  rule('faint-marks', 'fair', 'leaves faint marks: light, and at a slant', '', (step, needle) =>
    isMiddle(needle) && step.stage === 'finish' && step.isVisible && needle.profile !== 'star' && needle.profile !== 'spiral'),
  rule('slow-alone', 'fair', 'slow by itself on so big a piece: three in a holder are quicker', '', (step, needle) =>
    isMiddle(needle) && isBulk(step) && step.holder === 1 && step.firmnessBefore === null && atLeast(step.acrossMm, 50)),
  rule('slow-over-all', 'fair', 'slow over so large a surface', '', (step, { gauge }) =>
    gauge >= FINEST_FROM && isSurface(step) && atLeast(step.acrossMm, 40)),
  rule('beside-the-wire', 'fair', 'goes beside the wire, never onto it', '', (step, needle) =>
    !isFine(needle) && step.behind.wire && isDeep(step)),

  rule('builds', 'good', 'moves and binds plenty of wool', '', (step, needle) => !isFine(needle) && isBulk(step)),
  rule('binds', 'good', 'reaches in and binds both pieces', '', (step, needle) =>
    !isFine(needle) && isJoining(step)),
  rule('lays-coat', 'good', 'lays a coat without marking it', '', (step, needle) =>
    isMiddle(needle) && step.stage === 'coat'),
  rule('smooths', 'good', 'smooths without marks', '', (step, needle) => isFine(needle) && isSurface(step)),
  rule('star-smooths', 'good', 'smooths quickly: a star has four edges', '', (step, needle) =>
    needle.profile === 'star' && !isCoarse(needle) && isSurface(step)),
  rule('spiral-lays-fibre', 'good', 'lays fibre down evenly: a spiral marks least', '', (step, needle) =>
    needle.profile === 'spiral' && !isCoarse(needle) && isSurface(step)),
  rule('draws', 'good', 'fine enough to draw with', '', (step, needle) => isFine(needle) && step.task === 'detail'),
  rule('fixes-locks', 'good', 'fixes locks without matting them', '', (step, needle) =>
    isHair(step) && (needle.profile === 'crown' || (needle.profile !== 'reverse' && !isCoarse(needle)))),
  rule('raises-fur', 'good', 'draws fur out of what is felted', '', (step, { profile }) =>
    profile === 'reverse' && isHair(step)),
] as const satisfies readonly NeedleRule[]; // prettier-ignore

/** Says so instead of guessing: without a gauge or a size word nothing can be judged. */
export const COARSENESS_UNKNOWN = {
  id: 'coarseness-unknown',
  strength: 'fair',
  reason: 'nobody has said how coarse it is',
  mend: 'give its gauge, or a size word, on the shelf',
} as const;

export type NeedleRuleId = (typeof NEEDLE_RULES)[number]['id'] | typeof COARSENESS_UNKNOWN.id;

function rule<const Id extends string, const S extends Strength>(
  id: Id,
  strength: S,
  reason: string,
  mend: string,
  holds: NeedleRule['holds'],
) {
  return { id, strength, reason, mend, holds };
}
