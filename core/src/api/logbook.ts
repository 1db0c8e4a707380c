import type { ClassDayPlan } from '../classDay/index.ts';
import type { Learnt } from '../learning/index.ts';
import type {
  ClassMaking,
  Foretold,
  FibreChange,
  JudgedEvidence,
  LearntRow,
  LossEvidence,
  MakeChange,
  Making,
  MakingQuestion,
  NotTaught,
  WoolSum,
  WorthWeighing,
} from '../logbook/index.ts';
import type { Pattern } from '../pattern/index.ts';

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

/** A figure that was made, in the logbook’s list. */
export interface MakingLineOfBook {
  readonly id: string;
  readonly title: string;
  readonly date: string;
  readonly madeBy: string;
  readonly isDone: boolean;
  /** Grams that are known to be in it; with `unknownCount` over nought only “at least”. */
  readonly tookG: number;
  readonly unknownCount: number;
}

/** Its page. */
export interface MakingPage {
  readonly making: Making;
  /** As it was when it was written down; null: there was no pattern. */
  readonly build: Pattern | null;
  /** False: the pattern it was made of is gone, or it had none. */
  readonly hasPattern: boolean;
  /** What it says of what is the same elsewhere, each held against all others. */
  readonly evidence: readonly JudgedEvidence[];
  readonly untaught: readonly NotTaught[];
  readonly questions: readonly MakingQuestion[];
  /** All makings of its pattern, it among them, as far as they count; none where it has none. */
  readonly ofPattern: readonly Making[];
}

/** Something weighed, with the name of the page it is on. */
export interface EvidenceLine extends JudgedEvidence {
  readonly title: string;
  /** What of it: a part, a step; null: all of a fibre, or of the figure. */
  readonly what: string | null;
  /** It counts in what is in force. */
  readonly isTaken: boolean;
}

export interface PatternChange extends MakeChange {
  readonly patternId: string;
  readonly title: string;
}

export interface RunChange {
  readonly runId: string;
  readonly name: string;
  readonly date: string;
  /** Its numbers are written down: it keeps what it was planned with. */
  readonly isKept: boolean;
  readonly fibres: readonly FibreChange[];
}

/** Everything that was learnt. */
export interface LearningState {
  /** Null: nothing was ever taken. */
  readonly takenAt: string | null;
  readonly rows: readonly LearntRow[];
  readonly hands: Learnt['hands'];
  /** Of every making of which it was said. */
  readonly losses: readonly LossEvidence[];
  /** Every time it was taken, the last first. */
  readonly taken: readonly { readonly takenAt: string; readonly evidence: number }[];
  /** Evidence that is not in what is in force, or is in it and counts no longer. */
  readonly fresh: number;
  readonly evidence: readonly EvidenceLine[];
  readonly untaught: readonly (NotTaught & { readonly title: string })[];
  readonly foretold: readonly Foretold[];
  readonly worth: readonly WorthWeighing[];
  readonly halfLifeMonths: number | null;
  /** What taking it would change. */
  readonly patterns: readonly PatternChange[];
  readonly runs: readonly RunChange[];
}
