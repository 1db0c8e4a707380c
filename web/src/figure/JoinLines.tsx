import type { LaidPiece, Tray } from '@lanakit/core/figure';
import type { Join } from '@lanakit/core/pattern';
import type { Piece } from '@lanakit/core/figure';

interface JoinLinesProps {
  joins: readonly Join[];
  pieces: readonly Piece[];
  tray: Tray;
  width: number;
  height: number;
  /** The part whose joins stand out. */
  chosenId: string | null;
}

/** Px above a piece where its threads are tied. */
const KNOT_GAP = 4;
const KNOT_RADIUS = 3;

/** Which piece is set onto which: a thread from one to the other under the pieces, with a knot at the piece set on. */
export function JoinLines({ joins, pieces, tray, width, height, chosenId }: JoinLinesProps) {
  const at = (partId: string): { x: number; y: number; top: number } | null => {
    const placed: LaidPiece | undefined = tray.pieces.find(({ id }) => id === partId);
    const piece = pieces.find(({ part }) => part.id === partId);
    return placed && piece
      ? {
          x: placed.centreXPx,
          y: placed.topPx + (piece.heightMm * tray.pxPerMm) / 2,
          // On the uppermost piece it stays on the tray.
          top: Math.max(KNOT_RADIUS, placed.topPx - KNOT_GAP),
        }
      : null;
  };
  return (
    <svg width={width} height={height} className="laid-over" aria-hidden>
      {joins.map((join) => {
        const [from, to] = [at(join.partId), at(join.ontoId)];
        if (!from || !to) return null;
        const isChosen = join.partId === chosenId || join.ontoId === chosenId;
        // Bows upwards, so that threads between neighbours do not lie on one another.
        const bow = Math.min(60, Math.hypot(to.x - from.x, to.y - from.y) / 4);
        const path = `M${from.x} ${from.top}Q${(from.x + to.x) / 2} ${Math.max(0, Math.min(from.top, to.y) - bow)} ${to.x} ${to.y}`;
        return (
          <g key={join.id} opacity={isChosen ? 1 : 0.45}>
            <path d={path} fill="none" stroke="var(--action)" strokeWidth={1.5} strokeDasharray="2 3" />
            <circle cx={from.x} cy={from.top} r={KNOT_RADIUS} fill="var(--action)" />
          </g>
        );
      })}
    </svg>
  );
}
