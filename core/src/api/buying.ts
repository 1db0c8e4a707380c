import type { BuyingTerms, ComingOfOrder, ShelfWorth, Want } from '../buying/index.ts';
import type { PrepareMinutes, RunKind, RunState } from '../run/index.ts';
import type { StockUnit } from '../shelf/index.ts';
import type { ThingOfShelf } from './keeping.ts';

/** A thing that runs want, or that somebody sells, as a list shows it. */
export interface BuyingThing {
  readonly id: string;
  readonly kind: Exclude<ThingOfShelf['kind'], 'supplier'>;
  readonly name: string;
  /** Of a fibre. */
  readonly preparation: string | null;
  /** Of a fibre, #rrggbb. */
  readonly colour: string | null;
  readonly unit: StockUnit;
  /** Null: never counted. */
  readonly onHand: number | null;
  readonly isArchived: boolean;
  /** Below this it runs low; null: the maker has not said. */
  readonly least: number | null;
}

/** A run that may be bought for. */
export interface BuyingRun {
  readonly id: string;
  readonly kind: RunKind;
  readonly name: string;
  readonly date: string;
  readonly seats: number;
  readonly state: RunState;
  /** Work before its day. */
  readonly minutes: PrepareMinutes;
  readonly prepareBy: string;
}

/** What is wanted, what is there, what is on its way: everything a purchase is planned from but the suppliers. */
export interface Buying {
  readonly today: string;
  readonly terms: BuyingTerms;
  /** As they draw on the shelf. */
  readonly runs: readonly BuyingRun[];
  readonly wants: readonly Want[];
  readonly things: readonly BuyingThing[];
  readonly coming: readonly ComingOfOrder[];
  readonly worth: ShelfWorth;
  /** Of the wanted sorts of needle that are not on the shelf, what each is called. */
  readonly namesOfSorts: Readonly<Record<string, string>>;
}

/** Of buying, what needs the maker today. */
export interface BenchBuying {
  /** Runs that are short, the first to order for first. */
  readonly toOrder: readonly {
    readonly runId: string;
    readonly name: string;
    /** Null: nobody says how long it takes, or nobody sells it. */
    readonly day: string | null;
    /** What has to be ordered first. */
    readonly itemName: string | null;
  }[];
  readonly onOrder: readonly {
    readonly orderId: string;
    readonly supplierName: string;
    readonly stage: 'drafted' | 'ordered';
    readonly expectedOn: string | null;
  }[];
  /** Under the level the maker has set. */
  readonly low: readonly {
    readonly itemId: string;
    readonly kind: BuyingThing['kind'];
    readonly name: string;
    readonly unit: StockUnit;
    readonly onHand: number;
    readonly least: number;
  }[];
}
