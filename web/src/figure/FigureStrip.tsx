import { layoutTray } from '@lanakit/core/figure';
import { useMemo } from 'react';
import { PieceDrawing } from './PieceDrawing.tsx';
import type { PieceLook } from '@lanakit/core/figure';

interface FigureStripProps {
  pieces: readonly PieceLook[];
  width: number;
  height: number;
}

/** A figure's pieces laid side by side, small, to know it by. */
export function FigureStrip({ pieces, width, height }: FigureStripProps) {
  const tray = useMemo(() => {
    const boxes = pieces.map(({ id, finished }) => ({
      id,
      widthMm: finished?.widthMm ?? 20,
      heightMm: finished?.heightMm ?? 20,
    }));
    const unlabelled = { gapPx: 6, labelHeightPx: 0, labelWidthPx: 0, minPxPerMm: 0.1, maxPxPerMm: 1.2 };
    return layoutTray(boxes, { widthPx: width, heightPx: height, ...unlabelled });
  }, [pieces, width, height]);
  return (
    <div style={{ position: 'relative', width, height, flex: 'none' }} aria-hidden>
      {tray.pieces.map((placed) => {
        const piece = pieces.find(({ id }) => id === placed.id);
        if (!piece) return null;
        const label = piece.finished
          ? { widthMm: piece.finished.widthMm, heightMm: piece.finished.heightMm }
          : {};
        const drawn = { ...piece, ...label };
        const left = placed.centreXPx - (drawn.widthMm * tray.pxPerMm) / 2;
        const top = placed.topPx + (height - tray.heightPx) / 2;
        return (
          <div key={placed.id} style={{ position: 'absolute', left, top, lineHeight: 0 }}>
            <PieceDrawing piece={drawn} scale={tray.pxPerMm} showRolled={false} />
          </div>
        );
      })}
    </div>
  );
}
