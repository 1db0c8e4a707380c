import { wholeUp, Z90 } from '../base/index.ts';
import { estimatePattern, type Wool } from '../engine/index.ts';
import { type Learnt, MINUTES_SIGMA } from '../learning/index.ts';
import { type MinutesTotal, type Pattern, stepTotals } from '../pattern/index.ts';
import { type StockUnit, unitPriceMinor } from '../shelf/index.ts';

/** Money of which a part may be unknown; minor units, not rounded. */
interface Money {
  readonly minor: number;
  /** Things that have no price, or no amount. */
  readonly unknownCount: number;
}

interface QuotedFibre {
  readonly fibreId: string;
  readonly lowG: number;
  readonly likelyG: number;
  readonly highG: number;
  /** Uses nobody knows the grams of. */
  readonly unknownCount: number;
  /** At today’s price; null: it has none. */
  readonly costMinor: number | null;
}

interface QuotedThing {
  readonly findingId: string;
  readonly amount: number;
  readonly unit: StockUnit;
  readonly unknownCount: number;
  readonly costMinor: number | null;
}

/** Hands at work on all of them, eight times in ten from `low` to `high`. */
interface QuotedMinutes {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
  /** Steps nobody has timed: it is only “at least”. */
  readonly unknownCount: number;
  /** Makings by which the maker’s own pace is known; 0: only the pattern’s minutes. */
  readonly paceSamples: number;
}

/** What it takes to make what was asked for. */
export interface Quote {
  readonly count: number;
  readonly fibres: readonly QuotedFibre[];
  readonly things: readonly QuotedThing[];
  readonly lowG: number;
  readonly likelyG: number;
  readonly highG: number;
  /** Uses of wool of which nobody knows how much, or of what: they are in no sum. */
  readonly unknownUses: number;
  readonly material: Money;
  readonly minutes: QuotedMinutes;
}

/**
 * Likely grams, the most of everything else, and hands’ time at the maker’s own pace. Whoever makes several makes them by the
 * same hands of the same wool, so that all stray to one side: the range of one is that of each.
 *
 * @param build as it is wanted: its options chosen, its size
 */
export function quoteOf(build: Pattern, count: number, wool: Wool): Quote {
  const { fibres, findings, total } = estimatePattern(build, wool);
  const quotedFibres = fibres.map(({ fibreId, total: ofFibre }): QuotedFibre => {
    const price = wool.fibres.get(fibreId)?.pricePer100gMinor ?? null;
    return {
      fibreId,
      lowG: ofFibre.lowG * count,
      likelyG: ofFibre.likelyG * count,
      highG: ofFibre.highG * count,
      unknownCount: ofFibre.unknownCount,
      costMinor: price === null ? null : (ofFibre.likelyG * count * price) / 100,
    };
  });
  const quotedThings = findings.map(({ findingId, unit, most, unknownCount }): QuotedThing => {
    const finding = wool.findings.get(findingId);
    const price = finding ? unitPriceMinor(finding) : null;
    return {
      findingId,
      amount: most * count,
      unit,
      unknownCount,
      costMinor: price === null ? null : most * count * price,
    };
  });
  return {
    count,
    fibres: quotedFibres,
    things: quotedThings,
    lowG: total.lowG * count,
    likelyG: total.likelyG * count,
    highG: total.highG * count,
    unknownUses: total.unknownCount,
    // Of what no fibre is chosen for there is no line, and no price all the same.
    material: [...quotedFibres, ...quotedThings].reduce(withCostOf, {
      minor: 0,
      unknownCount: quotedFibres.reduce((left, line) => left - line.unknownCount, total.unknownCount),
    }),
    minutes: minutesAtOwnPace(stepTotals(build).minutes, count, wool.learnt?.pace ?? null),
  };
}

function withCostOf(sum: Money, line: QuotedFibre | QuotedThing): Money {
  const { costMinor, unknownCount } = line;
  return {
    minor: sum.minor + (costMinor ?? 0),
    unknownCount: sum.unknownCount + (costMinor === null || unknownCount > 0 ? 1 : 0),
  };
}

/**
 * What the pattern says, times what the maker’s own minutes have been to it. Its doubt is that of the pace and of what the
 * author leaves open, in quadrature of logarithms: independent log-normal errors.
 */
function minutesAtOwnPace(
  { known, low, high, unknownCount }: MinutesTotal,
  count: number,
  pace: Learnt['pace'] | null,
): QuotedMinutes {
  const openSigma = low > 0 && high > low ? Math.log(high / low) / (2 * Z90) : 0;
  const sigma = Math.hypot(openSigma, pace?.sigma ?? MINUTES_SIGMA.person);
  const likely = known * count * Math.exp(pace?.ln ?? 0);
  return {
    low: likely * Math.exp(-Z90 * sigma),
    likely,
    high: likely * Math.exp(Z90 * sigma),
    unknownCount,
    paceSamples: pace?.samples ?? 0,
  };
}

/** What it would have to cost, and what is earned by it. */
export interface Priced {
  /** Material and hours at the rate, in whole units; null: no rate is said, or something has no price or time. */
  readonly priceMinor: number | null;
  readonly priceLowMinor: number | null;
  readonly priceHighMinor: number | null;
  /** What is left of what was agreed for an hour’s work; null: nothing is agreed, or something is unknown. */
  readonly hourMinor: number | null;
  readonly hourLowMinor: number | null;
  readonly hourHighMinor: number | null;
}

const MINOR_UNITS = 100;
const wholeMoney = (minor: number): number => wholeUp(minor / MINOR_UNITS) * MINOR_UNITS;

/** @param terms money agreed for all, and what an hour is to be worth */
export function pricedQuote(
  { material, minutes }: Pick<Quote, 'material' | 'minutes'>,
  terms: { readonly agreedMinor: number | null; readonly hourlyMinor: number | null },
): Priced {
  const isKnown = material.unknownCount === 0 && minutes.unknownCount === 0 && minutes.likely > 0;
  const { agreedMinor, hourlyMinor } = terms;
  const priceFor = (worked: number): number | null =>
    isKnown && hourlyMinor !== null ? wholeMoney(material.minor + (worked / 60) * hourlyMinor) : null;
  const hourFor = (worked: number): number | null =>
    isKnown && agreedMinor !== null ? (agreedMinor - material.minor) / (worked / 60) : null;
  return {
    priceMinor: priceFor(minutes.likely),
    priceLowMinor: priceFor(minutes.low),
    priceHighMinor: priceFor(minutes.high),
    hourMinor: hourFor(minutes.likely),
    // Who takes longer earns less in the hour.
    hourLowMinor: hourFor(minutes.high),
    hourHighMinor: hourFor(minutes.low),
  };
}
