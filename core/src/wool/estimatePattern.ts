import type { Pattern } from '../pattern/index.ts';
import type { TotalMass } from '../quantity/index.ts';
import {
  estimatePart,
  totalOfUses,
  type FibreLookup,
  type PartEstimate,
  type UseEstimate,
} from './estimatePart.ts';

/** One fibre in one make. */
export interface FibreTotal {
  readonly fibreId: string;
  readonly total: TotalMass;
}

/** A sum of things some of which may be unknown. */
export interface SumWithUnknown {
  readonly known: number;
  readonly unknownCount: number;
}

/** What one make takes. */
export interface PatternEstimate {
  readonly parts: readonly PartEstimate[];
  /** Heaviest first. A fibre with unknown uses is in the list with its count of them. */
  readonly fibres: readonly FibreTotal[];
  readonly total: TotalMass;
  /** Active minutes of all steps. */
  readonly minutes: SumWithUnknown;
  /** Gauges of all steps, coarse to fine, each once. */
  readonly gauges: readonly number[];
  /** Integer minor units at the likely mass, rounded; a fibre without a price is unknown. */
  readonly costMinor: SumWithUnknown;
}

/** Everything the ledger shows for one make of a pattern. Never throws. */
export function estimatePattern(pattern: Pattern, fibres: FibreLookup): PatternEstimate {
  const parts = pattern.parts.map((part) => estimatePart(part, fibres));
  const uses = parts.flatMap((part) => part.uses);
  const fibreTotals = totalsByFibre(uses);
  return {
    parts,
    fibres: fibreTotals,
    total: totalOfUses(uses),
    minutes: sumKnown(pattern.steps.map((step) => step.minutes)),
    gauges: distinctGauges(pattern),
    costMinor: costOf(fibreTotals, fibres),
  };
}

function totalsByFibre(uses: readonly UseEstimate[]): FibreTotal[] {
  const usesByFibre = new Map<string, UseEstimate[]>();
  for (const use of uses) {
    if (use.fibreId !== null) usesByFibre.set(use.fibreId, [...(usesByFibre.get(use.fibreId) ?? []), use]);
  }
  return [...usesByFibre]
    .map(([fibreId, own]) => ({ fibreId, total: totalOfUses(own) }))
    .filter(({ total }) => total.likelyG > 0 || total.unknownCount > 0)
    .sort((a, b) => b.total.likelyG - a.total.likelyG);
}

function sumKnown(values: readonly (number | null)[]): SumWithUnknown {
  const known = values.filter((value) => value !== null);
  return { known: known.reduce((sum, value) => sum + value, 0), unknownCount: values.length - known.length };
}

function distinctGauges(pattern: Pattern): number[] {
  const gauges = pattern.steps.flatMap((step) => (step.needle ? [step.needle.gauge] : []));
  return [...new Set(gauges)].sort((a, b) => a - b);
}

function costOf(totals: readonly FibreTotal[], fibres: FibreLookup): SumWithUnknown {
  const costs = totals.map(({ fibreId, total }) => {
    const price = fibres.get(fibreId)?.pricePer100gMinor ?? null;
    return price === null || total.unknownCount > 0 ? null : (price * total.likelyG) / 100;
  });
  const { known, unknownCount } = sumKnown(costs);
  return { known: Math.round(known), unknownCount };
}
