import { roundToMicrogram } from '../base/index.ts';
import type { MakingInput, MakingLine, MakingStep } from './making.ts';

/**
 * What went into the figure by a line, grams: of a bag what it is lighter by, with what came to it, less what came off the
 * piece again; of a piece what it is heavier by, and what came off it is off it already. Null: a weighing is missing.
 */
export function tookOfLine({ weighed, beforeG, afterG, addedG, removedG }: MakingLine): number | null {
  if (beforeG === null || afterG === null) return null;
  return roundToMicrogram(
    weighed === 'bag' ? beforeG + (addedG ?? 0) - afterG - (removedG ?? 0) : afterG - beforeG,
  );
}

/** A sum with what is not known of it. */
export interface TookOfMaking {
  readonly knownG: number;
  readonly unknownCount: number;
}

/** All lines together. */
export function tookOfMaking({ lines }: Pick<MakingInput, 'lines'>): TookOfMaking {
  const took = lines.map(tookOfLine);
  return {
    knownG: roundToMicrogram(took.reduce<number>((sum, grams) => sum + (grams ?? 0), 0)),
    unknownCount: took.filter((grams) => grams === null).length,
  };
}

const MINUTE_MS = 60_000;

/** Starts a step’s watch; while it goes it stays as it is. @param now ISO 8601 */
export const started = (step: MakingStep, now: string): MakingStep =>
  step.since === null ? { ...step, since: now } : step;

/** Minutes a step has by now, its watch running or not; null: none yet. A clock that was set back adds nothing. */
export function minutesNow(
  { minutes, since }: Pick<MakingStep, 'minutes' | 'since'>,
  nowMs: number,
): number | null {
  if (since === null) return minutes;
  return (minutes ?? 0) + Math.max(0, nowMs - Date.parse(since)) / MINUTE_MS;
}

/** Whether its watch began later than it is now: somebody set a clock. */
export const isClockBackwards = ({ since }: Pick<MakingStep, 'since'>, nowMs: number): boolean =>
  since !== null && Date.parse(since) > nowMs + MINUTE_MS;

/** Stops its watch: to the tenth of a minute. @param now ISO 8601 */
export const stopped = (step: MakingStep, now: string): MakingStep =>
  step.since === null
    ? step
    : {
        ...step,
        minutes: Math.round((minutesNow(step, Date.parse(now)) ?? 0) * 10) / 10,
        since: null,
      };
