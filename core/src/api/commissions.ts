import type { Answering, Commission, CommissionState, TakenDay, WorkPlace } from '../commissions/index.ts';
import type { BuyingTerms } from '../buying/index.ts';
import type { PhotoPermission } from '../classDay/index.ts';
import type { PlannedWork, SeasonLine, StudioYear, ToPrepare } from '../year/index.ts';

/** Something that was asked for, in the list of all. */
export interface CommissionLine {
  readonly id: string;
  readonly title: string;
  readonly askedBy: string;
  readonly byDay: string | null;
  readonly state: CommissionState;
  readonly agreedMinor: number | null;
  /** Of the pattern that answers it; null: none does yet. */
  readonly patternTitle: string | null;
  /** Null: how long it takes is not known. */
  readonly place: Pick<WorkPlace, 'beginBy' | 'isTooLate' | 'lateOn' | 'workDays' | 'days'> | null;
  readonly beginsOn: string | null;
}

/** Its page, with what the shelf and the calendar say. */
export interface CommissionPage {
  readonly commission: Commission;
  /** Days that classes, kits and other commissions take, today and later. */
  readonly taken: readonly TakenDay[];
  readonly today: string;
  readonly terms: BuyingTerms;
  /** Patterns that may answer it. */
  readonly answers: readonly Answering[];
  /** How many of it the shelf allows, less what is promised; null: no pattern answers it yet. */
  readonly enough: {
    readonly makes: number;
    readonly isMany: boolean;
    /** Things there is too little of for one more, by id. */
    readonly limits: readonly string[];
    /** Wanted and never counted. */
    readonly uncounted: readonly string[];
  } | null;
  /** Pages of the logbook on which it was made. */
  readonly makings: readonly {
    readonly id: string;
    readonly title: string;
    readonly date: string;
    readonly tookG: number;
    readonly unknownCount: number;
    /** Steps that were timed; null: none. */
    readonly minutes: number | null;
  }[];
}

/** A finished figure with its picture. */
export interface GalleryPicture {
  readonly pictureId: string;
  readonly title: string;
  /** What it shows, as it was said; empty: nothing was. */
  readonly words: string;
  readonly date: string;
  readonly of: {
    readonly kind: 'making' | 'class' | 'commission';
    readonly id: string;
    readonly name: string;
  };
  readonly patternId: string | null;
  /** What learners permitted of a picture taken in a class; null: it is the studio’s own. */
  readonly permission: PhotoPermission | null;
}

/** The numbers of one year, and the years there are. */
export interface YearState {
  readonly years: readonly string[];
  readonly year: StudioYear;
}

export interface SeasonsState {
  readonly today: string;
  readonly lines: readonly SeasonLine[];
  readonly prepare: readonly ToPrepare[];
  /** Years in which something was taught or sold. */
  readonly years: readonly string[];
  /** Work to begin this month and next: for runs and for what was asked for. */
  readonly begin: readonly (Pick<PlannedWork, 'kind' | 'id' | 'name' | 'date'> & {
    readonly beginBy: string;
  })[];
}
