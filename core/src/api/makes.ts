import type { FigureLook } from '../figure/index.ts';

/** How many of one build can be made of what is on the shelf and nobody has promised. */
export interface MakesLine {
  readonly patternId: string;
  readonly revisionNumber: number;
  readonly title: string;
  /** Of a colourway its name; empty: as it usually is. */
  readonly build: string;
  readonly figure: FigureLook;
  readonly makes: number;
  readonly isMany: boolean;
  readonly unknownCount: number;
  /** Wanted, never counted, and taken to be enough: names. */
  readonly uncounted: readonly string[];
  /** What there is too little of for one more. */
  readonly limits: readonly {
    readonly itemId: string;
    readonly name: string;
    /** The smallest pack that somebody sells, in the thing’s unit; null: nobody does. */
    readonly packAmount: number | null;
  }[];
  /** With one more pack of each of them. */
  readonly makesWithMore: number;
  /** Of the wool that is to be used up, grams and their share; null: none was asked about. */
  readonly used: { readonly usedG: number; readonly fraction: number } | null;
}

/** What can be made, the most first; of a heap, what uses most of it first. */
export interface Makes {
  readonly lines: readonly MakesLine[];
  /** Published patterns that were not looked at: there are too many. */
  readonly leftOut: number;
}
