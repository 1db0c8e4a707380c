import type { CountRange } from '../pattern/index.ts';
import { type PatternEstimate, totalsByFibre, totalsByRole } from './estimatePattern.ts';
import { doubtsOf } from './quantity/doubt.ts';
import { totalMass } from './quantity/totalMass.ts';
import { inOneMake, termsOf, totalOfUses, type UseEstimate } from './useEstimate.ts';

/**
 * What several makes take together. Errors of a fibre are the same in all of them and add up; what each piece strays by
 * itself partly evens out.
 * @param makes whole, ≥ 1
 */
export function forMakes(estimate: PatternEstimate, makes: number): PatternEstimate {
  if (makes === 1) return estimate;
  const times = (use: UseEstimate) => timesUse(use, makes);
  const uses = estimate.uses.map(times);
  const usesOfOne = inOneMake(uses);
  return {
    ...estimate,
    uses,
    parts: estimate.parts.map((part) => {
      const partUses = part.uses.map(times);
      return { ...part, uses: partUses, total: totalOfUses(inOneMake(partUses)) };
    }),
    fibres: totalsByFibre(usesOfOne),
    roles: totalsByRole(usesOfOne),
    total: totalOfUses(usesOfOne),
    ifNeeded: totalsByFibre(uses.filter((use) => use.isIfNeeded)),
    doubts: doubtsOf(termsOf(usesOfOne)),
    findings: estimate.findings.map((finding) => ({
      ...finding,
      likely: finding.likely * makes,
      most: finding.most * makes,
      pieces: finding.pieces.map((piece) => ({ ...piece, count: piece.count * makes })),
    })),
    sheetPieces: estimate.sheetPieces.map((piece) => ({ ...piece, count: piece.count * makes })),
    costMinor: { ...estimate.costMinor, known: estimate.costMinor.known * makes },
    costEnds: estimate.costEnds && {
      lowMinor: estimate.costEnds.lowMinor * makes,
      highMinor: estimate.costEnds.highMinor * makes,
    },
  };
}

function timesUse(use: UseEstimate, makes: number): UseEstimate {
  const count = use.count && timesCount(use.count, makes);
  if (use.kind === 'unknown' || !count) return { ...use, count } as UseEstimate;
  const term = { ...use.term, count: use.term.count * makes };
  return { ...use, count, term, all: totalMass([term]), packG: use.packG * makes };
}

const timesCount = ({ low, likely, high }: CountRange, makes: number): CountRange => ({
  low: low * makes,
  likely: likely * makes,
  high: high * makes,
});
