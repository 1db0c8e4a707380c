import type { Step } from '../pattern/index.ts';
import type { NeedleWanted } from '../shelf/index.ts';
import { betterFor, factsOfRung, type Ladder } from './flags.ts';
import { judgeNeedle } from './judge.ts';
import type { NeedleFacts } from './needleFacts.ts';
import type { NeedleRuleId } from './rules.ts';
import type { StepFacts } from './stepFacts.ts';

/** What a maker sees or feels that is not as it should be. */
export const SYMPTOMS = [
  'poke-marks',
  'vanishes',
  'soft-inside',
  'join-loose',
  'needle-breaks',
  'will-not-move',
  'fuzzy',
  'shows-behind',
] as const;
export type Symptom = (typeof SYMPTOMS)[number];

/** One thing that brings a symptom about, and what to do. */
export interface FaultRule {
  readonly id: string;
  readonly symptom: Symptom;
  readonly cause: string;
  readonly remedy: string;
  readonly holds: (step: StepFacts, needle: Judged, ownStep: Step) => boolean;
}

interface Judged extends NeedleFacts {
  readonly gauge: number;
  /** Needle rules that hold at the step. */
  readonly rules: ReadonlySet<NeedleRuleId>;
}

const isDeep = ({ depth }: StepFacts) => depth === 'half' || depth === 'through';
const isFirm = ({ firmnessBefore }: StepFacts) => firmnessBefore === 'firm' || firmnessBefore === 'solid';
const isBuilding = ({ act, task }: StepFacts) => (act === 'make' || act === 'felt') && task === 'build';
const isJoining = ({ act, stage }: StepFacts) => act === 'join' || stage === 'join';
const isOnSurface = ({ task, isVisible }: StepFacts) => task !== 'build' && isVisible;

/** Likeliest first within each symptom. Causes and remedies are the trade’s; the limits are ours. */
export const FAULT_RULES = [
  fault('coarse-on-surface', 'poke-marks', 'the needle is coarse for a surface that shows', 'Go over it with a finer one, shallow, at a slant.', (step, { gauge }) =>
    isOnSurface(step) && gauge < 40),
  fault('deep-on-surface', 'poke-marks', 'the stabs go deep into the surface', 'Keep to the top: light, and closer together.', (step) =>
    isOnSurface(step) && isDeep(step)),
  fault('upright-on-surface', 'poke-marks', 'the stabs go straight down', 'Slant the needle: the marks close behind it.', (step, _needle, { stroke }) =>
    isOnSurface(step) && (stroke === 'straight-down' || stroke === 'toward-centre')),

  fault('stabbed-under', 'vanishes', 'it is stabbed deeper than it is thick', 'Light, and stop as soon as it holds. Lay it on again, a little larger than it is to be.', (step) =>
    step.task === 'detail' && isDeep(step)),
  fault('coarse-for-detail', 'vanishes', 'the needle is coarse for so small a thing', 'Take 40 or finer, and lay it on larger than it is to be.', (step, { gauge }) =>
    step.task === 'detail' && gauge < 40),
  fault('soft-ground', 'vanishes', 'the ground beneath is still soft', 'Felt the ground firm first; then lay it on.', (step) =>
    step.task === 'detail' && step.firmnessBefore !== 'firm' && step.firmnessBefore !== 'solid'),

  fault('too-fine-inside', 'soft-inside', 'the needle is too fine to reach and bind the middle', 'Take a coarser one until it springs back, then change.', (_step, { rules }) =>
    rules.has('cannot-build')),
  fault('too-short-inside', 'soft-inside', 'the barbs do not reach the middle', 'Take a longer needle, or felt the core before the next layer goes on.', (step, { rules }) =>
    isBuilding(step) && rules.has('too-short')),
  fault('light-inside', 'soft-inside', 'the stabs stay at the outside', 'Go in to half its depth and more, toward the middle, turning it all the time.', (step) =>
    isBuilding(step) && step.depth === 'light'),
  fault('rolled-loose', 'soft-inside', 'it was rolled too loosely to begin with', 'Unroll and roll tighter; or wrap a firm layer round and felt that in.', (step) =>
    step.stage === 'core' && step.act === 'make'),

  fault('shallow-join', 'join-loose', 'the stabs do not go right through into the other piece', 'Straight in, deep, all round; aim under the piece that is set on.', (step) =>
    isJoining(step) && step.depth !== 'through'),
  fault('fine-in-join', 'join-loose', 'the needle is too fine to bind two firm pieces', 'Take a coarser one for the join alone.', (step, { gauge }) =>
    isJoining(step) && gauge >= 40),
  fault('firm-end', 'join-loose', 'the end that joins was felted firm', 'Leave it loose as it came; if it is too late, add a wisp of join wool and felt it across.', (step) =>
    isJoining(step) && isFirm(step)),

  fault('onto-wire', 'needle-breaks', 'there is wire inside', 'Go beside it: feel for it first, and never stab straight onto it.', (step) => step.behind.wire && isDeep(step)),
  fault('onto-glass', 'needle-breaks', 'there is glass inside', 'Go light, at a slant, past it.', (step) => step.behind.glass),
  fault('fine-in-solid', 'needle-breaks', 'a fine needle goes deep into firm wool', 'Take a stouter one; out by the same line it went in.', (step, { gauge }) =>
    gauge >= 40 && isFirm(step) && isDeep(step)),
  fault('steered', 'needle-breaks', 'firm wool is steered with the tip', 'Straight in, straight out. Pull wool into place with your fingers, or another needle’s side.', (step, _needle, { stroke }) =>
    isFirm(step) && (stroke === 'along' || stroke === 'one-direction')),

  fault('fine-for-bulk', 'will-not-move', 'the needle is too fine to move so much', 'Take a coarser one until the wool resists.', (step, { gauge }) =>
    isBuilding(step) && gauge >= 40),
  fault('hard-already', 'will-not-move', 'it is felted too firm to be shaped', 'Do not force it: lay wool on where it lacks, and felt that.', (step) =>
    step.stage === 'shape' && isFirm(step)),
  fault('coarse-wool', 'will-not-move', 'fine barbs hardly catch coarse wool', 'Take a coarser needle, or finer wool for the last layer.', (_step, { rules }) =>
    rules.has('misses-coarse-wool')),

  fault('coarse-at-end', 'fuzzy', 'the last needle was coarse: it lifts as much as it lays', 'Go over it fine and shallow. Snip what still stands off; never pull it.', (step, { gauge }) =>
    step.stage === 'finish' && gauge < 40),
  fault('coat-not-closed', 'fuzzy', 'the coat was left before it closed', 'Felt it on until no loose fibre lifts under your thumb.', (step) => step.stage === 'coat'),

  fault('through-thin', 'shows-behind', 'the stabs come out on the other side', 'Shallow, and lift the piece often; take a finer needle where the other side must stay clean.', (step) =>
    (step.isThinFlat || step.behind.sheet) && isDeep(step)),
  fault('coarse-through-thin', 'shows-behind', 'a coarse needle carries fibre through', 'Take 38 or finer.', (step, { gauge }) =>
    (step.isThinFlat || step.behind.sheet) && gauge <= 36),
] as const satisfies readonly FaultRule[]; // prettier-ignore
export type FaultId = (typeof FAULT_RULES)[number]['id'];

/** A step of this pattern that may be behind it. */
export interface Suspect {
  readonly stepId: string;
  readonly fault: FaultId;
  /** A sort that does better at this step; null where the needle is not to blame, or none does. */
  readonly better: NeedleWanted | null;
}

/**
 * What may have brought a symptom about: steps of the pattern itself, the likeliest cause first. Empty where no step
 * gives cause.
 */
export function suspectsOf(symptom: Symptom, ladder: Ladder): Suspect[] {
  const sorts = ladder.rungs.map(({ wanted }) => wanted);
  const rungOf = new Map(
    ladder.rungs.flatMap((rung) => rung.stepIds.map((stepId) => [stepId, rung] as const)),
  );
  return FAULT_RULES.filter((rule) => rule.symptom === symptom).flatMap((rule) =>
    ladder.path.stretches.flatMap(({ step }): Suspect[] => {
      const [facts, rung] = [ladder.facts.get(step.id), rungOf.get(step.id)];
      if (!rung || !facts) return [];
      const needle = factsOfRung(rung);
      const verdict = judgeNeedle(facts, needle);
      const rules = new Set([...verdict.because, ...verdict.also]);
      if (!rule.holds(facts, { ...needle, gauge: needle.gauge ?? 38, rules }, step)) return [];
      return [{ stepId: step.id, fault: rule.id, better: betterFor(facts, verdict, sorts) }];
    }),
  );
}

const faultById = new Map<FaultId, { cause: string; remedy: string }>(
  FAULT_RULES.map((faultRule) => [faultRule.id, faultRule]),
);

export function faultOf(id: FaultId): { cause: string; remedy: string } {
  const found = faultById.get(id);
  if (!found) throw new Error(`no fault is called ${id}`);
  return found;
}

function fault<const Id extends string>(
  id: Id,
  symptom: Symptom,
  cause: string,
  remedy: string,
  holds: FaultRule['holds'],
) {
  return { id, symptom, cause, remedy, holds };
}
