import { memo, useDeferredValue } from 'react';
import { tileShiftPx, TILE_PX } from './fibreStrokes.ts';
import { blendTile, isTileThere, strokesTile, type Woolly } from './fibreTile.ts';

interface FibrePatternProps {
  /** To be filled with as `url(#id)`. */
  id: string;
  fibre: Woolly;
  seed: string;
  /** Combed fibre runs up and down instead of across. */
  isUpright?: boolean;
  /** It runs so far round from upright, clockwise, degrees. */
  lieDeg?: number;
}

/** A fibre as an SVG paint. It does not depend on the shape it fills, so an edit of a size draws nothing anew. */
export const FibrePattern = memo(function FibrePattern({
  id,
  fibre,
  seed,
  isUpright = false,
  lieDeg = 0,
}: FibrePatternProps) {
  const [shiftX, shiftY] = tileShiftPx(seed);
  // Opened, a page has its words and colours first; the fibre is painted when there is a moment, once for all.
  const isPainted = useDeferredValue(true, isTileThere(fibre));
  return (
    <pattern
      id={id}
      width={TILE_PX}
      height={TILE_PX}
      patternUnits="userSpaceOnUse"
      patternTransform={`${isUpright ? `rotate(${90 + lieDeg}) ` : ''}translate(${shiftX} ${shiftY})`}
    >
      {fibre.strands && isPainted ? (
        <image
          href={blendTile(fibre.colour, fibre.preparation, fibre.strands)}
          width={TILE_PX}
          height={TILE_PX}
        />
      ) : (
        <>
          <rect width={TILE_PX} height={TILE_PX} fill={fibre.colour} />
          {isPainted && <image href={strokesTile(fibre.preparation)} width={TILE_PX} height={TILE_PX} />}
        </>
      )}
    </pattern>
  );
});
