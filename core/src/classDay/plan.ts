import type { PartState } from '../pattern/index.ts';

/** Something that is taught: a talk, a demonstration, a break, a step as the middle of the class comes to it. Minutes of the clock. */
export interface ShowEntry {
  /** `SITTING:ROW` or `SITTING:STEP`. */
  readonly id: string;
  readonly kind: 'talk' | 'demo' | 'break' | 'step';
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly stepId: string | null;
  /** What runs by itself afterwards; 0: nothing. */
  readonly waitMinutes: number;
  /** What to look at, or when to stop. */
  readonly watchFor: string;
  readonly handOut: string;
}

/** One sitting as it is planned. Minutes of the clock, from midnight of the run’s day. */
export interface PlannedSitting {
  readonly id: string;
  readonly from: number;
  /** Hands stop here to clear up. */
  readonly workTo: number;
  readonly to: number;
  /** In the order of the clock. */
  readonly entries: readonly ShowEntry[];
}

/** A piece of the figure, with what it becomes and by which step. */
export interface PieceLife {
  readonly partId: string;
  readonly name: string;
  readonly marks: readonly {
    readonly state: PartState;
    readonly stepId: string;
    /** When the middle of the class has it so, minutes of the clock; null: not done in class. */
    readonly by: number | null;
    /** Done by the maker beforehand, or at home. */
    readonly isElsewhere: boolean;
  }[];
}

/** What those make who make the same. */
export interface PlannedMake {
  readonly revisionId: string;
  readonly title: string;
  readonly pieces: readonly PieceLife[];
  readonly steps: readonly {
    readonly id: string;
    readonly number: number;
    readonly title: string;
    /** Who has not begun it by then is late more often than not; null: cannot be told. */
    readonly handOverBy: number | null;
  }[];
}

/** Somebody at a table. Who they are is with the run. */
export interface PlannedSeat {
  readonly seat: number;
  readonly key: string;
  /** Place in the makes. */
  readonly makeAt: number;
  readonly tableAt: number;
}

/** Something sharp or hot of the room, beside needles. */
export interface PlannedSharp {
  readonly key: string;
  readonly name: string;
  /** As many as the class wants; null: counted as they come, such as cut ends of wire. */
  readonly wanted: number | null;
  readonly isHot: boolean;
}

/** A class as it is planned, for the day itself: what is taught when, who makes what, what is watched over. */
export interface ClassDayPlan {
  /** None: nobody has said when it is, or nothing of it takes time. */
  readonly sittings: readonly PlannedSitting[];
  /** Steps in class that nobody has timed: the plan is at best. */
  readonly untimed: number;
  readonly makes: readonly PlannedMake[];
  readonly seats: readonly PlannedSeat[];
  readonly sharps: readonly PlannedSharp[];
  /** What lies in the spare bag, grams, as it was planned. */
  readonly spare: readonly { readonly fibreId: string; readonly massG: number }[];
}
