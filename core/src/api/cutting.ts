import type { CuttingPlan, CuttingTerms, PackPieces, PlannedPiece } from '../cutting/index.ts';
import type { Finding } from '../shelf/index.ts';

/** A thing of the shelf that pieces are cut of. */
export interface CuttingThing {
  readonly finding: Finding;
  /** Those that are not cut yet. */
  readonly pieces: readonly (PlannedPiece & { readonly count: number })[];
  readonly cutCount: number;
  /** What one pack takes of them, by sorts of pack. */
  readonly packs: readonly PackPieces[];
}

/** What runs ahead want cut, from what there is, and plans that are being cut. */
export interface Cutting {
  readonly today: string;
  readonly terms: CuttingTerms;
  readonly runs: readonly { readonly id: string; readonly name: string; readonly date: string }[];
  readonly things: readonly CuttingThing[];
  /** Felt and pre-felt of which nobody has said how large its sheets are: it cannot be planned. */
  readonly sheetsUnknown: readonly {
    readonly id: string;
    readonly name: string;
    readonly pieceCount: number;
  }[];
  readonly plans: readonly CuttingPlan[];
}
