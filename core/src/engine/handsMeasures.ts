import { isSheet } from './sheetPieces.ts';
import { areaOfMass, HALVING_ERROR_FRACTION, wholeUp } from '../base/index.ts';
import { type Fibre, fibreNumber, HAND_MEASURES, type HandMeasureName } from '../shelf/index.ts';
import type { Calibration } from './calibration.ts';
import { topsLength, type TopsLength } from './topsLength.ts';

/** Lengths in the hand are given to this, mm. */
const HAND_STEP_MM = 5;
/** The least that a kitchen scale weighs within a tenth: 0.1 g ÷ (2 × 0.1). */
const WEIGHABLE_G = 0.5;
/** More halvings than this are guesswork. */
const MOST_HALVINGS = 5;
/** Nearer than this a hand measure says the same. */
const NEAR_FRACTION = 0.25;

/** How hands measure out a mass; the first is the one to print. */
export type HandsMeasure =
  | { readonly kind: 'length'; readonly tops: TopsLength; readonly roundingFraction: number }
  /** A strip torn across the batt, as wide as the roll is long. */
  | {
      readonly kind: 'strip';
      readonly lengthMm: number;
      readonly widthMm: number;
      readonly roundingFraction: number;
    }
  /** A square cut from sheet. */
  | { readonly kind: 'square'; readonly sideMm: number; readonly roundingFraction: number }
  /** So much weighed, then halved so many times by eye. */
  | {
      readonly kind: 'halvings';
      readonly startG: number;
      readonly times: number;
      readonly errorFraction: number;
    }
  | {
      readonly kind: 'hand';
      readonly measure: HandMeasureName;
      readonly count: number;
      readonly offFraction: number;
    };

/**
 * Every way hands can take this mass of this fibre, from what its lot tells.
 * @param massG of one piece, above 0
 * @param rollMm how long the piece is rolled, for the width of a strip; null where it is not rolled
 */
export function handsMeasures(
  massG: number,
  fibre: Fibre,
  calibration: Calibration,
  rollMm: number | null,
): HandsMeasure[] {
  const ways = [
    byLength(massG, fibre),
    byArea(massG, fibre, rollMm),
    byHand(massG, calibration),
    byHalving(massG),
  ];
  return ways.filter((way) => way !== null);
}

const LONG = new Set<Fibre['preparation']>(['tops', 'carded', 'yarn']);

function byLength(massG: number, fibre: Fibre): HandsMeasure | null {
  if (!LONG.has(fibre.preparation) || fibre.linearGPerM === null) return null;
  const tops = topsLength(massG, fibre.linearGPerM, fibreNumber(fibre, 'stapleMm')?.value ?? null);
  if (tops.kind === 'too-little') return null;
  const roundingFraction =
    tops.kind === 'pull' ? toStep(tops.lengthMm) / tops.lengthMm - 1 : tops.trueG / massG - 1;
  return { kind: 'length', tops, roundingFraction };
}

function byArea(massG: number, fibre: Fibre, rollMm: number | null): HandsMeasure | null {
  if (fibre.arealGPerM2 === null) return null;
  const areaMm2 = areaOfMass(massG, fibre.arealGPerM2);
  if (isSheet(fibre) || rollMm === null) {
    const sideMm = upToStep(Math.sqrt(areaMm2));
    return { kind: 'square', sideMm, roundingFraction: sideMm ** 2 / areaMm2 - 1 };
  }
  const widthMm = toStep(rollMm);
  // Up: torn a little long nobody is short.
  const lengthMm = upToStep(areaMm2 / widthMm);
  return { kind: 'strip', lengthMm, widthMm, roundingFraction: (lengthMm * widthMm) / areaMm2 - 1 };
}

const upToStep = (mm: number): number => Math.max(HAND_STEP_MM, wholeUp(mm / HAND_STEP_MM) * HAND_STEP_MM);

const toStep = (mm: number): number => Math.max(HAND_STEP_MM, Math.round(mm / HAND_STEP_MM) * HAND_STEP_MM);

function byHand(massG: number, calibration: Calibration): HandsMeasure | null {
  const near = HAND_MEASURES.flatMap((measure) => {
    const each = calibration.hand(measure)?.value;
    if (each === undefined) return [];
    const count = Math.max(1, Math.round(massG / each));
    return [{ kind: 'hand', measure, count, offFraction: (count * each) / massG - 1 } as const];
  });
  return (
    near
      .filter(({ count, offFraction }) => count <= 3 && Math.abs(offFraction) <= NEAR_FRACTION)
      .sort((a, b) => a.count - b.count)[0] ?? null
  );
}

function byHalving(massG: number): HandsMeasure | null {
  if (massG >= WEIGHABLE_G) return null;
  const times = wholeUp(Math.log2(WEIGHABLE_G / massG));
  if (times > MOST_HALVINGS) return null;
  return {
    kind: 'halvings',
    startG: massG * 2 ** times,
    times,
    errorFraction: HALVING_ERROR_FRACTION * Math.sqrt(times),
  };
}
