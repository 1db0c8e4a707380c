import type { Pattern } from '@lanakit/core/pattern';
import type { PackedWool } from '@lanakit/core/run';

/** One build to read, beside the pattern it is of. */
export interface Sheet {
  readonly key: string;
  /** With everything that may be left out of it. */
  readonly whole: Pattern;
  readonly build: Pattern;
  /** Which of them it is: a revision, a colourway, whose. */
  readonly what: string;
  /** What has to be known before the first step. */
  readonly notes?: readonly string[];
  /** It is made at home, and not in a class. */
  readonly isAlone?: boolean;
  /** What of the wool is in the packs it is for; null: it is read without a run. */
  readonly packed?: Packed | null;
}

/** Wool of packs, as it was weighed. */
export interface Packed {
  readonly wool: readonly PackedWool[];
  /** What is written on the bag that a use of wool lies in; nothing where there is only one bag. */
  readonly bagOf: ReadonlyMap<string, string>;
  readonly scaleStepG: number;
  /** Of each finding so many in every pack are spare, by its id. */
  readonly spares: ReadonlyMap<string, number>;
  /** Makes that the wool of one pack is for. */
  readonly copies: number;
  readonly hasSpareBag: boolean;
  /** Colours of what is not chosen yet lie out for them. */
  readonly hasLaidOut: boolean;
}
