import type { TrayLine } from '../needles/index.ts';
import type { FigureLook, WoolLook } from '../figure/index.ts';
import type { Pattern } from '../pattern/index.ts';
import type { Problem } from '../problems/index.ts';
import type { Remark } from '../review/index.ts';
import type { Frozen, Run, RunDeed, RunTick, RunWants, ThingPromise, WeighedTwice } from '../run/index.ts';
import type { StockUnit } from '../shelf/index.ts';

import type { BenchBuying } from './buying.ts';
import type { PageOf } from './lists.ts';

export type * from './buying.ts';
export type * from './commissions.ts';
export type * from './classDay.ts';
export type * from './cutting.ts';
export type * from './keeping.ts';
export type * from './labelling.ts';
export type * from './lists.ts';
export type * from './logbook.ts';
export type * from './makes.ts';

/** A draft and its newest revision, as the server answers it. */
export interface StoredPattern {
  readonly id: string;
  readonly version: number;
  readonly document: Pattern;
  readonly updatedAt: string;
  /** When it was put away; null while it is in use. */
  readonly archivedAt: string | null;
  readonly revision: { readonly id: string; readonly number: number } | null;
}

/** A published revision, whole. It never changes. */
export interface Revision {
  readonly id: string;
  readonly patternId: string;
  readonly number: number;
  readonly publishedAt: string;
  /** What is new in it, in the author’s words. */
  readonly note: string;
  /** What the review had open when it was published; null: it was published before that was kept. */
  readonly openRemarks: readonly Remark[] | null;
  readonly document: Pattern;
}

/** Needles of a class, counted out and in. */
export interface NeedleTray {
  readonly lines: readonly TrayLine[];
  /** When everybody had gone and what was still out became missing; null while it is counted. */
  readonly closedAt: string | null;
}

/** Needles that a class before has not brought back, and nobody has given up. */
export interface MissingNeedles {
  readonly runId: string;
  readonly runName: string;
  readonly date: string;
  readonly needleId: string;
  readonly needleName: string;
  readonly missing: number;
}

/** A design a run is pinned to, by name. */
export interface RunDesign {
  readonly revisionId: string;
  readonly patternId: string;
  readonly title: string;
  readonly number: number;
  /** The newest revision there is of it; the same where it is that. */
  readonly newestNumber: number;
  readonly newestRevisionId: string;
  /** Its pattern was put away or deleted since. */
  readonly isWithdrawn: boolean;
}

/** A run with the names of what it makes. */
export interface NamedRun extends Run {
  /** Of the leading design. */
  readonly patternId: string;
  readonly patternTitle: string;
  readonly revisionNumber: number;
  readonly designs: readonly RunDesign[];
}

/** One run, with its numbers as they were when it counted. */
export interface OpenedRun extends NamedRun {
  /** Null while it is only planned. */
  readonly frozen: Frozen | null;
  /** What stands before its next state. */
  readonly wants: readonly { readonly wants: RunWants; readonly count: number }[];
}

/** Every mark of a run that was ever ticked. */
export interface RunTicks {
  readonly items: readonly RunTick[];
  /** Portions that two devices weighed both. */
  readonly twice: readonly WeighedTwice[];
}

/** Where a thing on the shelf is used. */
export type ItemUse =
  | {
      readonly kind: 'pattern';
      readonly patternId: string;
      readonly title: string;
      /** Null for the draft. */
      readonly revisionNumber: number | null;
    }
  | { readonly kind: 'blend' | 'supplier'; readonly itemId: string; readonly name: string };

/** What runs ahead will take of one thing on the shelf, in its unit. */
export interface Promised {
  readonly itemId: string;
  readonly amount: number;
  /** What is wanting for all of them, of findings and needles; wool says it by what is on hand. */
  readonly short: number | null;
  readonly runs: readonly {
    readonly runId: string;
    readonly name: string;
    readonly date: string;
    readonly amount: number;
  }[];
}

/** What runs before one will take: grams of fibres, and things with the pieces that are cut of them. */
export interface PromisedBefore {
  readonly items: readonly { readonly fibreId: string; readonly massG: number }[];
  readonly things: readonly ({ readonly itemId: string } & ThingPromise)[];
}

/** A run ahead, with what stands in its way. */
export interface BenchRun {
  readonly run: Pick<
    Run,
    | 'id'
    | 'kind'
    | 'name'
    | 'date'
    | 'state'
    | 'seats'
    | 'sparePacks'
    | 'spareFraction'
    | 'demonstrations'
    | 'scaleStepG'
  >;
  /** Of its leading design. */
  readonly figure: FigureLook;
  readonly revisionNumber: number;
  /** Of every design it makes. */
  readonly titles: readonly string[];
  readonly packs: number;
  readonly classG: number;
  readonly unknownCount: number;
  readonly short: readonly { readonly fibreId: string; readonly name: string; readonly shortG: number }[];
  /** Fibres it needs that were never counted, by name. */
  readonly uncounted: readonly { readonly fibreId: string; readonly name: string }[];
  /** Findings, packaging, needles and tools that are short or not counted. */
  readonly things: readonly NamedShort[];
  /** A tool that is wanted and that the shelf does not keep: nobody can tell whether it is there. */
  readonly isToolElsewhere: boolean;
}

/** Wool that is short over all runs ahead. */
export interface ShortWool extends WoolLook {
  readonly fibreId: string;
  readonly name: string;
  readonly shortG: number;
}

/** A pattern with something unknown; of what is unknown, the first few. */
export interface UnfinishedPattern {
  readonly id: string;
  readonly title: string;
  readonly figure: FigureLook;
  readonly missing: readonly { readonly problem: Problem; readonly partName: string | null }[];
  readonly missingCount: number;
}

/** Something beside wool that is short, by name. */
export interface NamedShort {
  /** Null: none of it is on the shelf. */
  readonly itemId: string | null;
  readonly name: string;
  readonly unit: StockUnit;
  /** Null: nobody has counted, or it cannot be cut from what is bought. */
  readonly short: number | null;
  /** Whole put-ups, where it is bought so. */
  readonly putUps: number | null;
}

/** What needs the maker today. */
export interface Bench {
  readonly today: string;
  /** The next; of more, `runsAhead` tells how many there are. */
  readonly runs: readonly BenchRun[];
  readonly runsAhead: number;
  /** Over all runs ahead. */
  readonly short: readonly ShortWool[];
  /** Findings, packaging, needles and tools, over all runs ahead. */
  readonly shortThings: readonly NamedShort[];
  /** Until each is found or given up. */
  readonly missingNeedles: readonly MissingNeedles[];
  /** The last changed of them. */
  readonly unfinished: PageOf<UnfinishedPattern>;
  /** Nothing is on the shelf yet. */
  readonly isShelfEmpty: boolean;
  /** What has to be ordered, the first first, and what is on its way. */
  readonly buying: BenchBuying;
  /** What to do today toward the next of them. */
  readonly deeds: readonly BenchDeeds[];
}

/** What is to be done toward a run, in its order. */
export interface BenchDeeds {
  readonly runId: string;
  readonly runName: string;
  readonly date: string;
  readonly deeds: readonly RunDeed[];
}

/** What was put on the shelf, in the order it was picked. */
export interface ShelfStarted {
  readonly ids: readonly string[];
}

/** What the short way made. */
export interface FirstClassMade {
  readonly patternId: string;
  /** Null: nobody comes yet. */
  readonly revisionId: string | null;
  readonly runId: string | null;
}

export { DEMO_STUDIO_PATH } from './demoStudio.ts';
export type { ScaleInfo } from './scales.ts';
export type {
  ForgettingRule,
  PackCodes,
  PackReading,
  PersonLine,
  Persons,
  SeatedPerson,
} from './learners.ts';
export {
  DEVICE_ROLES,
  type DeviceLine,
  type DeviceRole,
  type NetworkState,
  type PairingOffer,
  type Role,
  type SessionState,
  type WriteLogLine,
  type WriteLogPage,
} from './session.ts';
export type { TranslationLine } from './translations.ts';
