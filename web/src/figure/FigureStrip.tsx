import { layoutTray } from '@lanakit/core/figure';
import { useMemo } from 'react';
import { PieceDrawing } from './PieceDrawing.tsx';
import type { FigureLook, PieceLook } from '@lanakit/core/figure';
import { TogetherDrawing } from './TogetherDrawing.tsx';

interface FigureStripProps {
  figure: FigureLook;
  width: number;
  height: number;
  /** Drawn together no larger than this; left out: small, as in a list. */
  mostPxPerMm?: number;
}

/** A figure, small, to know a pattern by: together, or its pieces side by side. */
export function FigureStrip({ figure, width, height, mostPxPerMm = SMALL.mostPxPerMm }: FigureStripProps) {
  return figure.kind === 'together' ? (
    <SmallFigure figure={figure} width={width} height={height} mostPxPerMm={mostPxPerMm} />
  ) : (
    <SmallPieces pieces={figure.pieces} width={width} height={height} />
  );
}

type Small<F> = F & Pick<FigureStripProps, 'width' | 'height'>;

/** Room round it, px; and no larger than this, px per mm. */
const SMALL = { marginPx: 2, mostPxPerMm: 1.2 };

function SmallFigure({
  figure: { drawn, wool },
  width,
  height,
  mostPxPerMm,
}: Small<{ figure: Extract<FigureLook, { kind: 'together' }>; mostPxPerMm: number }>) {
  const { leftMm, rightMm, bottomMm, topMm } = drawn.box;
  const room = (px: number, mm: number) => (px - 2 * SMALL.marginPx) / Math.max(1, mm);
  const pxPerMm = Math.min(mostPxPerMm, room(width, rightMm - leftMm), room(height, topMm - bottomMm));
  const at = {
    leftPx: width / 2 - ((leftMm + rightMm) / 2) * pxPerMm,
    groundPx: height / 2 + ((topMm + bottomMm) / 2) * pxPerMm,
    pxPerMm,
  };
  return (
    <svg width={width} height={height} style={{ flex: 'none', width, height }} aria-hidden>
      <TogetherDrawing drawn={drawn} at={at} lookOf={(id) => (id === null ? null : (wool[id] ?? null))} />
    </svg>
  );
}

const UNLABELLED = [{ widthPx: 0, heightPx: 0 }];

function SmallPieces({ pieces, width, height }: Small<{ pieces: readonly PieceLook[] }>) {
  const tray = useMemo(() => {
    const boxes = pieces.map(({ id, finished }) => ({
      id,
      widthMm: finished?.widthMm ?? 20,
      heightMm: finished?.heightMm ?? 20,
    }));
    const unlabelled = { gapPx: 6, labels: UNLABELLED, minPxPerMm: 0.1, maxPxPerMm: 1.2 };
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
