import type { CuttingTerms } from '../../cutting/index.ts';

/** A piece of known size that lies on the shelf. */
export interface Offcut {
  readonly id: string;
  readonly lengthMm: number;
  /** 0: it is cut by length alone. */
  readonly widthMm: number;
}

/** What is known of the pieces that what is on hand is in. */
export interface CutFrom {
  readonly offcuts: readonly Offcut[];
  /** Cut already for runs that are not packed yet: of use for those alone. */
  readonly cutPieces: readonly {
    readonly lengthMm: number;
    readonly widthMm: number;
    readonly count: number;
  }[];
  readonly terms: CuttingTerms;
}
