import { piecesOf } from '@lanakit/core/figure';
import { type ReactNode, useMemo } from 'react';
import { PieceDrawing } from '../../figure/PieceDrawing.tsx';
import { sizesOfPart } from '../../words/partWords.ts';
import { useTable } from '../table/tableContext.ts';
import styles from './Together.module.css';

/** As large as there is room beside what it is called. */
const BOX_PX = { width: 150, height: 120 };

/** The piece that is chosen in the figure, by itself and large, with its name and sizes. */
export function ChosenPiece({ partId, children }: { partId: string | null; children: ReactNode }) {
  const parts = useTable((table) => table.build.parts);
  const estimates = useTable((table) => table.estimate.parts);
  const all = useTable((table) => table.document.parts);
  const shelf = useTable((table) => table.shelf);
  const piece = useMemo(() => {
    const at = parts.findIndex(({ id }) => id === partId);
    const [part, estimate] = [parts[at], estimates[at]];
    if (!part || !estimate) return null;
    return piecesOf({ parts: [part] }, { parts: [estimate] }, shelf, 'front', { parts: all })[0] ?? null;
  }, [parts, estimates, shelf, all, partId]);
  return (
    <div className={styles.chosen}>
      {piece && (
        <PieceDrawing
          piece={piece}
          scale={Math.min(BOX_PX.width / piece.widthMm, BOX_PX.height / piece.heightMm)}
        />
      )}
      <p className={styles.chosenName}>
        {children}
        {piece && <span className="quiet small as-block">{sizesOfPart(piece.part)}</span>}
      </p>
    </div>
  );
}
