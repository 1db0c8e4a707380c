import { distinctNeedles, type NeedleWanted, oneProfileEach } from '../../shelf/index.ts';
import { type NeedleHabit, needleOf } from './needleOf.ts';
import type { Pattern } from './pattern.ts';
import { activeMinutes, type MinutesTotal, waitingMinutes } from './stepMinutes.ts';

/** What the steps of one make come to. */
export interface StepTotals {
  /** Active minutes of all steps. */
  readonly minutes: MinutesTotal;
  /** In which nobody has to do anything. */
  readonly waiting: MinutesTotal;
  /** Needles of all steps, coarse to fine, each once. */
  readonly needles: readonly NeedleWanted[];
}

export const stepTotals = (
  pattern: Pick<Pattern, 'steps' | 'parts' | 'joins' | 'links'> & NeedleHabit,
): StepTotals => ({
  minutes: activeMinutes(pattern),
  waiting: waitingMinutes(pattern),
  needles: distinctNeedles(
    oneProfileEach(pattern.steps.map((step) => needleOf(step, pattern))).flatMap((wanted) => wanted ?? []),
  ),
});

/** The same for so many makes, done one after another: each step as often. */
export const totalsForMakes = ({ minutes, waiting, needles }: StepTotals, makes: number): StepTotals => ({
  minutes: timesTotal(minutes, makes),
  waiting: timesTotal(waiting, makes),
  needles,
});

const timesTotal = ({ known, low, high, unknownCount }: MinutesTotal, makes: number): MinutesTotal => ({
  known: known * makes,
  low: low * makes,
  high: high * makes,
  unknownCount,
});
