import type { Pattern, Surroundings } from '@lanakit/core/pattern';
import type { Packed } from '@lanakit/core/papers';

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
  /** The patterns around it; left out: nothing is said of them. */
  readonly surroundings?: Surroundings;
  /** It is made at home, and not in a class. */
  readonly isAlone?: boolean;
  /** What of the wool is in the packs it is for; null: it is read without a run. */
  readonly packed?: Packed | null;
}
