import type { SheetPiece } from '../../engine/index.ts';
import type { ToPack } from '../packs/toPack.ts';

/** Felt or pre-felt that is packed, by the piece: what one pack of a sort takes, and how many packs there are of it. */
interface SheetPiecesOfRun {
  readonly fibreId: string;
  readonly packs: number;
  readonly pieces: readonly SheetPiece[];
}

/** Only of wool that goes into the pack: a half-made sample takes none of what comes later. */
export function sheetPiecesOfRun({
  groups,
  estimates,
}: Pick<ToPack, 'groups' | 'estimates'>): SheetPiecesOfRun[] {
  return groups.flatMap((group) => {
    const estimate = estimates.get(group.key);
    const packed = new Set(estimate?.uses.map(({ useId }) => useId));
    const byFibre = new Map<string, SheetPiece[]>();
    for (const { sheetPieces } of estimate?.makes ?? [])
      for (const piece of sheetPieces) {
        if (!packed.has(piece.useId)) continue;
        byFibre.set(piece.fibreId, [...(byFibre.get(piece.fibreId) ?? []), piece]);
      }
    return [...byFibre].map(([fibreId, pieces]) => ({ fibreId, packs: group.packs, pieces }));
  });
}
