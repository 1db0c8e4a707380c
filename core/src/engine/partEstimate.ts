import { countRange, type CountRange } from '../pattern/index.ts';
import { bodyOfWool, type Solid } from '../shapes/index.ts';
import type { Calibration } from './calibration.ts';
import type { PartWorking } from './partWorking.ts';
import type { TotalMass } from './quantity/totalMass.ts';
import type { RollUp } from './rollUp.ts';
import { inOneMake, totalOfUses, type UseEstimate } from './useEstimate.ts';
import type { FibreLookup } from './wool.ts';

/** One part as it came out. */
export interface PartEstimate {
  readonly partId: string;
  /** Null where nobody has said. */
  readonly count: CountRange | null;
  /** Its own uses in their order, then its loose ends. */
  readonly uses: readonly UseEstimate[];
  /** All wool of one piece, and of all of them; with unknown uses only what is known, what is only if needed left out. */
  readonly pieceG: number;
  readonly total: TotalMass;
  /** Null while the sizes are unknown or impossible. */
  readonly solid: Solid | null;
  readonly rollUp: RollUp | null;
  /** Loose ends of one piece, mm in all: rolled or laid out with it. */
  readonly tailMm: number;
  /** What joins bury of its length, mm. */
  readonly sunkMm: number;
  /** What was worked out on the way, for *how it came about*. */
  readonly working: PartWorking;
}

interface PartEstimateContext {
  readonly calibration: Calibration;
  readonly fibres: FibreLookup;
  readonly tailMm: number;
  readonly sunkMm: number;
}

/** The body of what is only laid or counted, from the wool that was settled on; null while that is unknown. */
function laidBody(
  { part, solid }: PartWorking,
  uses: readonly UseEstimate[],
  calibration: Calibration,
  fibres: FibreLookup,
): Solid | null {
  if (part.shape.kind !== 'by-count' || solid) return solid;
  const volumeCm3 = uses.reduce((sum, use) => {
    const fibre = fibres.get(use.fibreId ?? '') ?? null;
    return use.kind === 'known' ? sum + use.pieceG / calibration.finished(fibre, part.firmness).value : sum;
  }, 0);
  return volumeCm3 > 0 ? bodyOfWool(part.shape, volumeCm3 * 1000) : null;
}

export function partEstimate(
  working: PartWorking,
  settled: ReadonlyMap<string, UseEstimate>,
  looseEnds: readonly UseEstimate[],
  { calibration, fibres, tailMm, sunkMm }: PartEstimateContext,
): PartEstimate {
  const { part, rollUp } = working;
  const estimates: UseEstimate[] = [];
  for (const { use } of working.uses) {
    const estimate = settled.get(use.id);
    if (estimate) estimates.push(estimate);
  }
  const uses = looseEnds.length === 0 ? estimates : [...estimates, ...looseEnds];
  const count = countRange(part.count);
  const total = totalOfUses(inOneMake(uses));
  const solid = working.solid ?? laidBody(working, estimates, calibration, fibres);
  return {
    partId: part.id,
    count,
    uses,
    pieceG: count ? total.likelyG / count.likely : 0,
    total,
    solid,
    rollUp,
    tailMm,
    sunkMm,
    working,
  };
}
