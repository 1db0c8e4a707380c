import { roundToMicrogram } from '../base/index.ts';
import type { HandMeasure, HandMeasureName } from '../shelf/index.ts';
import type { ScaleState } from './scaleState.ts';

/** What is to lie there. Grams. */
export interface WantedMass {
  readonly massG: number;
  /** Off by so much it is still right. */
  readonly toleranceG: number;
}

/** How what lies there stands to what is wanted. */
export type Balance =
  | { readonly kind: 'no-scale' }
  | { readonly kind: 'fault'; readonly fault: 'over' | 'under' }
  | { readonly kind: 'nothing' }
  | { readonly kind: 'right'; readonly massG: number }
  /** @property differenceG still to be put on, or, below nought, to be taken off */
  | { readonly kind: 'under' | 'over'; readonly massG: number; readonly differenceG: number };

/** Rounding on the way, never a whole step. */
const HAIR = 1e-6;

/** @param scale as it stands */
export function balanceOf({ massG: wantedG, toleranceG }: WantedMass, scale: ScaleState): Balance {
  if (!scale.isHere) return { kind: 'no-scale' };
  if (scale.fault) return { kind: 'fault', fault: scale.fault };
  if (scale.massG === null) return { kind: 'no-scale' };
  const differenceG = roundToMicrogram(wantedG - scale.massG);
  if (Math.abs(differenceG) <= toleranceG + HAIR) return { kind: 'right', massG: scale.massG };
  if (scale.massG < (scale.stepG ?? 0) - HAIR && differenceG > 0) return { kind: 'nothing' };
  return { kind: differenceG > 0 ? 'under' : 'over', massG: scale.massG, differenceG };
}

/** A measure of this maker’s fingers that comes nearest, and how many of it. */
export interface InHands {
  readonly measure: HandMeasureName;
  readonly count: number;
}

/** More of one measure than this nobody counts. */
const MOST_OF_A_MEASURE = 4;

/**
 * What hands do about a difference: the largest measure that comes near enough.
 * @param measures as they were weighed
 * @returns null: none of them was weighed, or none comes near
 */
export function inHands(differenceG: number, measures: readonly HandMeasure[]): InHands | null {
  const wantedG = Math.abs(differenceG);
  const near = measures
    .map(({ name, massG }) => ({ measure: name, massG, count: Math.round(wantedG / massG) }))
    .filter(({ count }) => count >= 1 && count <= MOST_OF_A_MEASURE)
    .sort(
      (a, b) =>
        Math.abs(a.count * a.massG - wantedG) - Math.abs(b.count * b.massG - wantedG) || a.count - b.count,
    );
  const [best] = near;
  return best ? { measure: best.measure, count: best.count } : null;
}

/** What of a weighing cannot be right, and is asked about before it is kept. */
export type OddReading =
  /** Ten or a hundred times what is wanted, or a part of it: a unit, or a point in the wrong place. */
  | { readonly code: 'factor_off'; readonly factor: number }
  | { readonly code: 'below_nought' }
  /** Far from what is wanted. */
  | { readonly code: 'far_off'; readonly factor: number }
  /** More than lies in the drawer by the ledger. */
  | { readonly code: 'more_than_there'; readonly onHandG: number };

const FACTORS = [1000, 100, 28.349523125, 10];
/** As near to such a factor. */
const NEAR_FACTOR = 0.08;
/** More than so many times, or less than that part of, what is wanted. */
const FAR = 1.5;

/**
 * @param massG that is to be kept
 * @param onHandG of its lot before; null: never counted
 * @returns null: nothing is odd
 */
export function oddReading(massG: number, wanted: WantedMass, onHandG: number | null): OddReading | null {
  if (massG < 0) return { code: 'below_nought' };
  const factor = massG / wanted.massG;
  const isRight = Math.abs(massG - wanted.massG) <= wanted.toleranceG + HAIR;
  if (!isRight && wanted.massG > 0 && massG > 0) {
    const slipped = FACTORS.find(
      (each) => Math.abs(factor / each - 1) < NEAR_FACTOR || Math.abs(factor * each - 1) < NEAR_FACTOR,
    );
    if (slipped !== undefined) return { code: 'factor_off', factor: factor > 1 ? slipped : 1 / slipped };
    if (factor > FAR || factor < 1 / FAR) return { code: 'far_off', factor };
  }
  return onHandG !== null && massG > onHandG + HAIR ? { code: 'more_than_there', onHandG } : null;
}
