import type { Learnt } from '../learning/index.ts';
import type { Fibre, FibreFlag, Finding, HandMeasure } from '../shelf/index.ts';
import type { Choices, Pattern } from '../pattern/index.ts';
import type { PackedWool } from '../run/index.ts';

/** The code of a pack, for its learner’s phone. */
interface PackCodeLine {
  readonly number: number;
  /** In two groups. */
  readonly code: string;
}

export interface PackCodes {
  readonly items: readonly PackCodeLine[];
  /** The last day they open anything; null: not at all. */
  readonly until: string | null;
  /** It is later than that. */
  readonly isOver: boolean;
  /** Where a phone finds the studio; null: it is not open to its network. */
  readonly url: string | null;
}

/** The pattern of one pack, and nothing else of the studio: no other seat, no name, no price, no stock. */
export interface PackReading {
  readonly className: string;
  readonly date: string;
  readonly until: string;
  readonly number: number;
  readonly revisionNumber: number;
  readonly whole: Pattern;
  readonly build: Pattern;
  readonly choices: Choices;
  readonly sizeFraction: number;
  readonly isLeftHanded: boolean;
  readonly fibres: readonly Fibre[];
  readonly findings: readonly Finding[];
  readonly handMeasures: readonly HandMeasure[];
  readonly learnt: Learnt | null;
  readonly packed: {
    readonly wool: readonly PackedWool[];
    readonly bagOf: readonly (readonly [useId: string, bag: string])[];
    readonly scaleStepG: number;
    readonly spares: readonly (readonly [findingId: string, count: number])[];
    readonly copies: number;
    readonly hasSpareBag: boolean;
    readonly hasLaidOut: boolean;
  };
}

/** After how many days who came to a class is forgotten by itself; null: never. */
export interface ForgettingRule {
  readonly afterDays: number | null;
}

interface Named {
  readonly name: string;
  /** What is noted of them. */
  readonly note: string;
  readonly date: string;
  /** What names them lies in the bin. */
  readonly isBinned: boolean;
}

/** What is kept of somebody at one seat. */
export interface SeatedPerson extends Named {
  readonly of: 'seat';
  readonly runId: string;
  readonly runName: string;
  readonly seat: number;
  readonly avoids: readonly FibreFlag[];
  readonly isLeftHanded: boolean;
}

/** Somebody who made a figure, or asked for one. */
interface PersonElsewhere extends Named {
  readonly of: 'making' | 'commission';
  readonly id: string;
  readonly title: string;
}

export type PersonLine = SeatedPerson | PersonElsewhere;

export interface Persons {
  readonly rule: ForgettingRule;
  readonly items: readonly PersonLine[];
  /** How many more there are of these words. */
  readonly more: number;
  /** Classes in which anybody is still named. */
  readonly classes: number;
}
