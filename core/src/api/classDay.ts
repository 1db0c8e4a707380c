import type { ClassDayPlan, ClassEvent, FibreTook } from '../classDay/index.ts';

/** What happened in a class, or what of it is new; in the order in which it came in. */
export interface ClassEvents {
  readonly items: readonly ClassEvent[];
  /** The studio’s clock, ISO 8601, UTC: devices set theirs by it. */
  readonly now: string;
}

/** A class on its day. */
export interface ClassDay extends ClassEvents {
  readonly plan: ClassDayPlan;
}

/** What a class took of each fibre. */
export interface ClassTook {
  readonly items: readonly FibreTook[];
  /** What came back is on the shelf; false: the run has not left it yet, and it goes there when it is called packed. */
  readonly isOnShelf: boolean;
}
