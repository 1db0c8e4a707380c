import type { Fibre, Finding, Needle, Tool } from '../shelf/index.ts';
import { unitPriceMinor } from '../shelf/index.ts';

/** What lies on the shelf, at what was paid for it or is usual. */
export interface ShelfWorth {
  /** Minor units, rounded once. */
  readonly minor: number;
  /** Things that are there and have no price. */
  readonly unpricedCount: number;
  /** Things that were never counted. */
  readonly uncountedCount: number;
}

interface WorthSources {
  readonly fibres: readonly Fibre[];
  readonly findings: readonly Finding[];
  readonly needles: readonly Needle[];
  readonly tools: readonly Tool[];
}

interface Worth {
  readonly amount: number | null;
  /** Of one of its unit. */
  readonly priceMinor: number | null;
}

/** A lot at what was paid for it; what has no price of its own at the fibre’s usual one. */
export function shelfWorth({ fibres, findings, needles, tools }: WorthSources): ShelfWorth {
  const per100 = (minor: number | null) => (minor === null ? null : minor / 100);
  const all: Worth[] = [
    ...fibres.flatMap(({ lots, onHandG, pricePer100gMinor }): Worth[] =>
      lots.length === 0
        ? [{ amount: onHandG, priceMinor: per100(pricePer100gMinor) }]
        : lots.map((lot) => ({
            amount: lot.onHandG,
            priceMinor: per100(lot.pricePer100gMinor ?? pricePer100gMinor),
          })),
    ),
    ...findings.map((finding) => ({ amount: finding.onHand, priceMinor: unitPriceMinor(finding) })),
    ...[...needles, ...tools].map(({ onHand, priceMinor }) => ({ amount: onHand, priceMinor })),
  ];
  return {
    minor: Math.round(
      all.reduce((sum, { amount, priceMinor }) => sum + Math.max(0, amount ?? 0) * (priceMinor ?? 0), 0),
    ),
    unpricedCount: all.filter(({ amount, priceMinor }) => (amount ?? 0) > 0 && priceMinor === null).length,
    uncountedCount: all.filter(({ amount }) => amount === null).length,
  };
}
