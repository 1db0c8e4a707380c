import { memo, useId } from 'react';
import { FibrePattern } from '../ui/look/FibrePattern.tsx';
import { CutAway } from './CutAway.tsx';
import { Decorations } from './Decorations.tsx';
import { pathOf } from './outlinePath.ts';
import type { Piece, PieceLook } from '@lanakit/core/figure';

interface PieceDrawingProps {
  piece: PieceLook | Piece;
  /** px per mm */
  scale: number;
  isChosen?: boolean;
  /** The dashed outline of what was rolled up, behind the finished piece. */
  showRolled?: boolean;
  /** Half of it open, to see its layers. */
  isCutAway?: boolean;
}

/** One piece, front view, at scale, in the fibre that shows. */
export const PieceDrawing = memo(function PieceDrawing({
  piece,
  scale,
  isChosen = false,
  showRolled = true,
  isCutAway = false,
}: PieceDrawingProps) {
  const fillId = useId();
  const [width, height] = [piece.widthMm * scale, piece.heightMm * scale];
  const { finished, fibre } = piece;
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} overflow="visible" aria-hidden>
      {showRolled && piece.rolled && (
        <path
          d={pathOf(piece.rolled, piece, scale)}
          fill="none"
          stroke="var(--ink)"
          strokeDasharray="5 3"
          strokeWidth={1}
        />
      )}
      {finished ? (
        <>
          <defs>
            {fibre && <FibrePattern id={fillId} fibre={fibre} seed={piece.id} isUpright />}
            <clipPath id={`${fillId}-outline`}>
              <path d={pathOf(finished, piece, scale)} clipRule="evenodd" />
            </clipPath>
          </defs>
          <path
            d={pathOf(finished, piece, scale)}
            fillRule="evenodd"
            fill={fibre ? `url(#${fillId})` : 'var(--paper)'}
          />
          <g clipPath={`url(#${fillId}-outline)`}>
            <Decorations piece={piece} scale={scale} which="on" />
          </g>
          {isCutAway && 'layers' in piece && <CutAway piece={piece} scale={scale} />}
          <path
            d={pathOf(finished, piece, scale)}
            fill="none"
            stroke={isChosen ? 'var(--action)' : 'var(--ink)'}
            strokeWidth={isChosen ? 2.5 : 1.25}
          />
          <Decorations piece={piece} scale={scale} which="off" />
          {!fibre && <Unknown x={width / 2} y={height / 2} />}
        </>
      ) : (
        <>
          <rect
            x={0.5}
            y={0.5}
            width={Math.max(0, width - 1)}
            height={Math.max(0, height - 1)}
            fill="none"
            stroke="var(--red)"
            strokeDasharray="3 3"
          />
          <Unknown x={width / 2} y={height / 2} />
        </>
      )}
    </svg>
  );
});

function Unknown({ x, y }: { x: number; y: number }) {
  return (
    <text
      x={x}
      y={y}
      fill="var(--red)"
      fontSize={18}
      fontWeight={700}
      textAnchor="middle"
      dominantBaseline="central"
    >
      ?
    </text>
  );
}
