import { type Fibre, fibreNumber } from '../fibre/index.ts';
import type { CutFrom } from './cutFrom.ts';
import { BLANK_FINDING, type Finding } from './finding.ts';

/**
 * Felt or pre-felt as what it is where it is cut: sheets by the area, its grams by what a square metre weighs. Null: nobody
 * has said how large its sheets are.
 */
export function sheetOfFibre(fibre: Fibre, cutFrom: CutFrom): Finding | null {
  const { id, version, name, colour, sheetLengthMm, sheetWidthMm, onHandG } = fibre;
  if (sheetLengthMm === null || sheetWidthMm === null) return null;
  const gPerCm2 = gramsPerCm2(fibre);
  return {
    ...BLANK_FINDING,
    id,
    version,
    name,
    colour,
    measure: {
      by: 'area',
      sort: 'sheet',
      thicknessMm: null,
      arealGPerM2: fibre.arealGPerM2,
      nap: 'none',
      sheetLengthMm,
      sheetWidthMm,
    },
    onHand: onHandG === null || gPerCm2 === null ? null : onHandG / gPerCm2,
    peak: 0,
    cutFrom,
  };
}

const CM2_PER_M2 = 10_000;

/** What a square centimetre of a sheet weighs; null: nobody has weighed it, and nothing is usual. */
export function gramsPerCm2(fibre: Fibre): number | null {
  const value = fibreNumber(fibre, 'arealGPerM2')?.value ?? null;
  return value === null || value <= 0 ? null : value / CM2_PER_M2;
}
