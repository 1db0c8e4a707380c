import { massOfArea } from '../base/index.ts';
import type { HairFixed, HairWeight } from '../shapes/index.ts';

/** How thick hair lies, g/m². Lanakit's own defaults. */
export const HAIR_G_PER_M2: Readonly<Record<HairWeight, number>> = { light: 40, medium: 80, full: 140 };

/** What the parting takes of a strip folded over its middle. */
const PARTING_MM = 10;
/** What is felted in of a strip that is held by one end. */
const ROOT_MM = 15;

export interface HairTerms {
  /** The line it is fixed along. */
  readonly lineMm: number;
  /** How far it hangs, once trimmed. */
  readonly dropMm: number;
  readonly weight: HairWeight;
  readonly fixed: HairFixed;
  /** Cut off at the end, 0–0.9. */
  readonly trimFraction: number;
}

export interface Hair {
  readonly massG: number;
  /** How long the fibre must be, with what is trimmed off. */
  readonly stripMm: number;
  /** What comes off, and may feed another part. */
  readonly trimmingsG: number;
}

/**
 * Hair laid across its line: strips of twice the drop and the parting, folded over the middle, or of the drop and the
 * root, held by one end; more by what is trimmed off. Line × strip × g/m² ÷ (1 − trim).
 * @param thickness how thick this maker lays it, against what is usual
 */
export function hairMass({ lineMm, dropMm, weight, fixed, trimFraction }: HairTerms, thickness = 1): Hair {
  const leftMm = fixed === 'middle' ? 2 * dropMm + PARTING_MM : dropMm + ROOT_MM;
  const leftG = massOfArea(lineMm * leftMm, HAIR_G_PER_M2[weight] * thickness);
  const massG = leftG / (1 - trimFraction);
  return { massG, stripMm: leftMm / (1 - trimFraction), trimmingsG: massG - leftG };
}

/** The longest strip that this fibre gives, less what is trimmed: by how much it falls short, mm; null when it does not. */
export function hairBeyondStaple({ stripMm }: Hair, stapleMm: number | null): number | null {
  return stapleMm !== null && stripMm > stapleMm ? stripMm - stapleMm : null;
}
