import type { Fibre } from '@lanakit/core';
import { memo } from 'react';
import { fibreTile, tileShiftPx } from './fibreStrokes.ts';

interface FibrePatternProps {
  /** To be filled with as `url(#id)`. */
  id: string;
  fibre: Pick<Fibre, 'colour' | 'preparation'>;
  seed: string;
  /** Combed fibre runs up and down instead of across. */
  isUpright?: boolean;
}

/** A fibre as an SVG paint. It does not depend on the shape it fills, so an edit of a size draws nothing anew. */
export const FibrePattern = memo(function FibrePattern({
  id,
  fibre,
  seed,
  isUpright = false,
}: FibrePatternProps) {
  const tile = fibreTile(fibre.preparation);
  const [shiftX, shiftY] = tileShiftPx(seed);
  return (
    <pattern
      id={id}
      width={tile.sizePx}
      height={tile.sizePx}
      patternUnits="userSpaceOnUse"
      patternTransform={`${isUpright ? 'rotate(90) ' : ''}translate(${shiftX} ${shiftY})`}
    >
      <rect width={tile.sizePx} height={tile.sizePx} fill={fibre.colour} />
      <g fill="none" strokeWidth={tile.strokeWidth} strokeLinecap="round">
        <path d={tile.dark} stroke={`color-mix(in oklab, ${fibre.colour} 80%, black)`} opacity={0.5} />
        <path d={tile.pale} stroke={`color-mix(in oklab, ${fibre.colour} 78%, white)`} opacity={0.55} />
      </g>
    </pattern>
  );
});
