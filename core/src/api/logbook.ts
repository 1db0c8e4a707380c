import type { ClassDayPlan } from '../classDay/index.ts';
import type { ClassMaking, WoolSum } from '../logbook/index.ts';

/** A class in the logbook’s list. */
export interface LogbookLine {
  readonly runId: string;
  readonly name: string;
  readonly date: string;
  readonly titles: readonly string[];
  /** False: it is still written. */
  readonly isClosed: boolean;
  readonly seats: number;
  readonly finished: number;
  readonly notes: number;
  readonly wool: WoolSum;
}

/** Its page. */
export interface LogbookPage extends LogbookLine {
  readonly making: ClassMaking;
  /** What steps and pieces are called. */
  readonly makes: ClassDayPlan['makes'];
}
