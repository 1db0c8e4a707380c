import { resolveBuild } from '../build/index.ts';
import type { BuyingTerms } from '../buying/index.ts';
import type { Wool } from '../engine/index.ts';
import type { Pattern } from '../pattern/index.ts';
import type { CommissionInput } from './commission.ts';
import { placeOf, type TakenDay, type WorkPlace } from './place.ts';
import { type Priced, pricedQuote, type Quote, quoteOf } from './quote.ts';
import { buildWanted, type SizeWanted, sizeWanted } from './sizeWanted.ts';

/** Days of the studio, as far as they bear on when something can be made. */
export interface Calendar {
  readonly taken: readonly TakenDay[];
  /** YYYY-MM-DD */
  readonly today: string;
  readonly terms: BuyingTerms;
}

/** What follows from what somebody asked for; null: of a pattern that answers it nobody has said. */
export interface Standing {
  readonly size: SizeWanted | null;
  readonly quote: Quote | null;
  readonly priced: Priced | null;
  /** Null: how long it takes is not known. */
  readonly place: WorkPlace | null;
}

/** @param pattern that answers it, as it is written; null: none yet */
export function standingOf(
  commission: CommissionInput,
  pattern: Pattern | null,
  wool: Wool,
  { taken, today, terms }: Calendar,
): Standing {
  if (!pattern) return { size: null, quote: null, priced: null, place: null };
  const chosen = resolveBuild(pattern, commission.choices);
  const size = sizeWanted(commission, chosen);
  const build = buildWanted(commission, chosen);
  if (!build) return { size, quote: null, priced: null, place: null };
  const quote = quoteOf(build, commission.count, wool);
  const { minutes } = quote;
  const isTimed = minutes.unknownCount === 0 && minutes.likely > 0;
  return {
    size,
    quote,
    priced: pricedQuote(quote, commission),
    // By the high end: it is better done a day early.
    place: isTimed ? placeOf(commission, minutes.high, taken, today, terms) : null,
  };
}
