import { useId } from 'react';
import { FibrePattern } from '../ui/look/FibrePattern.tsx';
import { Decorations } from './Decorations.tsx';
import { pathOf } from './outlinePath.ts';
import type { Piece } from '@lanakit/core/figure';

interface CutAwayProps {
  piece: Piece;
  /** px per mm */
  scale: number;
}

/** The left half of a piece cut open: every layer as thick as it is, down to the core. */
export function CutAway({ piece, scale }: CutAwayProps) {
  const id = useId();
  const layers = piece.layers();
  if (layers.length === 0) return null;
  const half = (piece.widthMm * scale) / 2;
  return (
    <>
      <clipPath id={`${id}-half`}>
        <rect x={0} y={0} width={half} height={piece.heightMm * scale} />
      </clipPath>
      <g clipPath={`url(#${id}-half)`}>
        {layers.map(({ fibre, outline }, index) => (
          <g key={index}>
            {fibre && (
              <defs>
                <FibrePattern id={`${id}-${index}`} fibre={fibre} seed={`${piece.part.id}-${index}`} />
              </defs>
            )}
            <path
              d={pathOf(outline, piece, scale)}
              fillRule="evenodd"
              fill={fibre ? `url(#${id}-${index})` : 'var(--paper)'}
              stroke="var(--ink)"
              strokeWidth={0.75}
            />
          </g>
        ))}
        <Decorations piece={piece} scale={scale} which="inside" />
      </g>
      <path
        d={`M${half} 0v${piece.heightMm * scale}`}
        stroke="var(--ink)"
        strokeDasharray="7 3 1 3"
        strokeWidth={0.75}
      />
    </>
  );
}
