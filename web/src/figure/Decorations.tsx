import { useId } from 'react';
import { FibrePattern } from '../ui/look/FibrePattern.tsx';
import { offsetIn } from './outlinePath.ts';
import type { DrawnDecoration, PieceLook } from '@lanakit/core/figure';

interface DecorationsProps {
  piece: PieceLook;
  /** px per mm */
  scale: number;
}

interface WhichDecorations extends DecorationsProps {
  /** What lies on the surface, what stands off it, or what is only seen when it is cut open. */
  which: 'on' | 'off' | 'inside';
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
        if (placeOf(decoration.what.kind) !== which) return null;
        const fillId = `${id}-${index}`;
        return (
          <g key={index}>
            {decoration.fibre && (
              <defs>
                <FibrePattern id={fillId} fibre={decoration.fibre} seed={`${piece.id}${index}`} isUpright />
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

const placeOf = (kind: DrawnDecoration['what']['kind']): WhichDecorations['which'] =>
  kind === 'hair' ? 'off' : kind === 'insert' ? 'inside' : 'on';

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
          cx={what.xMm * scale}
          cy={what.yMm * scale}
          rx={what.rxMm * scale}
          ry={what.ryMm * scale}
          fill={fill}
          stroke="var(--ink)"
          strokeWidth={0.5}
          strokeOpacity={0.5}
        />
      );
    case 'line':
      return (
        <path
          d={
            what.isUpright
              ? `M${what.xMm * scale} ${(what.yMm - what.lengthMm / 2) * scale}v${what.lengthMm * scale}`
              : `M${(what.xMm - what.lengthMm / 2) * scale} ${what.yMm * scale}h${what.lengthMm * scale}`
          }
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
        return `M${(what.xMm + along) * scale} ${what.yMm * scale}l${along * 0.25 * scale} ${what.dropMm * scale}`;
      });
      return (
        <path d={strokes.join('')} stroke={fibre?.colour ?? 'var(--red)'} strokeWidth={1.25} fill="none" />
      );
    }
    case 'insert':
      return (
        <circle
          cx={what.xMm * scale}
          cy={what.yMm * scale}
          r={(what.diameterMm / 2) * scale}
          fill="var(--paper-2)"
          stroke="var(--ink)"
          strokeWidth={0.75}
        />
      );
  }
}
