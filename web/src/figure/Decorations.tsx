import { useId } from 'react';
import { FibrePattern } from '../look/FibrePattern.tsx';
import { offsetIn } from './outlinePath.ts';
import type { DrawnDecoration, Piece } from './pieces.ts';

interface DecorationsProps {
  piece: Piece;
  /** px per mm */
  scale: number;
}

interface WhichDecorations extends DecorationsProps {
  /** What lies on the surface, or what stands off it. */
  which: 'on' | 'off';
}

/** What is laid on a piece: patches, dots, lines, hair, at their true size. */
export function Decorations({ piece, scale, which }: WhichDecorations) {
  const id = useId();
  const { finished } = piece;
  if (!finished) return null;
  const [left, top] = offsetIn(finished, piece);
  return (
    <g transform={`translate(${left * scale} ${top * scale})`}>
      {piece.decorations.map((decoration, index) => {
        if ((decoration.what.kind === 'hair') !== (which === 'off')) return null;
        const fillId = `${id}-${index}`;
        return (
          <g key={index}>
            {decoration.fibre && (
              <defs>
                <FibrePattern
                  id={fillId}
                  fibre={decoration.fibre}
                  seed={`${piece.part.id}${index}`}
                  isUpright
                />
              </defs>
            )}
            <Shape
              decoration={decoration}
              fill={decoration.fibre ? `url(#${fillId})` : 'none'}
              piece={piece}
              scale={scale}
            />
          </g>
        );
      })}
    </g>
  );
}

interface ShapeProps extends DecorationsProps {
  decoration: DrawnDecoration;
  fill: string;
}

/** Strokes of a hair for each millimetre of its line. */
const HAIRS_PER_MM = 0.8;

function Shape({ decoration: { what, fibre }, fill, piece, scale }: ShapeProps) {
  switch (what.kind) {
    case 'ellipse':
      return (
        <ellipse
          cx={what.x * scale}
          cy={what.y * scale}
          rx={what.rx * scale}
          ry={what.ry * scale}
          fill={fill}
          stroke="var(--ink)"
          strokeWidth={0.5}
          strokeOpacity={0.5}
        />
      );
    case 'line':
      return (
        <path
          d={`M${(what.x - what.lengthMm / 2) * scale} ${what.y * scale}h${what.lengthMm * scale}`}
          stroke={fibre?.colour ?? 'var(--red)'}
          strokeWidth={Math.max(1.25, scale * 0.7)}
          strokeLinecap="round"
        />
      );
    case 'share':
      return (
        <rect
          width={(piece.finished?.widthMm ?? 0) * scale}
          height={(piece.finished?.heightMm ?? 0) * what.fraction * scale}
          fill={fill}
          fillOpacity={0.75}
        />
      );
    case 'hair': {
      const count = Math.max(3, Math.round(what.lineMm * HAIRS_PER_MM));
      const strokes = Array.from({ length: count }, (_, i) => {
        const along = (i / (count - 1) - 0.5) * what.lineMm;
        return `M${(what.x + along) * scale} ${what.y * scale}l${along * 0.25 * scale} ${what.dropMm * scale}`;
      });
      return (
        <path d={strokes.join('')} stroke={fibre?.colour ?? 'var(--red)'} strokeWidth={1.25} fill="none" />
      );
    }
    case 'insert':
      return null;
  }
}
