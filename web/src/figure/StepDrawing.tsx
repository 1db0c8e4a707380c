import type { StepPicture } from '@lanakit/core/reading';
import { useId, useMemo } from 'react';
import styles from './StepDrawing.module.css';
import { type DrawingScale, TogetherDrawing } from './TogetherDrawing.tsx';

interface StepDrawingProps {
  picture: StepPicture;
  /** Said instead of it. */
  name: string;
  /** At most, px: what is small takes less. */
  width: number;
  height: number;
}

/** Room for the arrows round it, px; and no larger than this, px per mm. */
const AROUND_PX = 26;
const MOST_PX_PER_MM = 3;

/** The figure as far as a step, what is worked on in full, and how the needle goes. */
export function StepDrawing({ picture, name, width, height }: StepDrawingProps) {
  const { drawn, wool, atWork, strokes } = picture;
  const { leftMm, rightMm, bottomMm, topMm } = drawn.box;
  const room = (px: number, mm: number) => (px - 2 * AROUND_PX) / Math.max(1, mm);
  const pxPerMm = Math.min(MOST_PX_PER_MM, room(width, rightMm - leftMm), room(height, topMm - bottomMm));
  const across = (rightMm - leftMm) * pxPerMm + 2 * AROUND_PX;
  const high = (topMm - bottomMm) * pxPerMm + 2 * AROUND_PX;
  const at = { leftPx: AROUND_PX - leftMm * pxPerMm, groundPx: AROUND_PX + topMm * pxPerMm, pxPerMm };
  const worked = useMemo(() => new Set(atWork), [atWork]);
  return (
    <svg width={across} height={high} viewBox={`0 0 ${across} ${high}`} role="img" aria-label={name}>
      <TogetherDrawing
        drawn={drawn}
        at={at}
        lookOf={(id) => (id === null ? null : (wool[id] ?? null))}
        atWork={worked}
      />
      <Strokes strokes={strokes} at={at} />
    </svg>
  );
}

function Strokes({ strokes, at }: { strokes: StepPicture['strokes']; at: DrawingScale }) {
  const id = useId();
  const px = ([x, y]: readonly [number, number]) =>
    `${(at.leftPx + x * at.pxPerMm).toFixed(1)} ${(at.groundPx - y * at.pxPerMm).toFixed(1)}`;
  return (
    <g className={styles.strokes}>
      <marker
        id={`${id}-head`}
        viewBox="0 0 10 10"
        refX="8"
        refY="5"
        markerWidth="7"
        markerHeight="7"
        markerUnits="userSpaceOnUse"
        orient="auto"
      >
        <path d="M0 0.5L9.5 5L0 9.5L2.5 5Z" className={styles.head} />
      </marker>
      {(['ground', 'ink'] as const).map((layer) =>
        strokes.map(({ points, hasHead }, index) => (
          <path
            key={`${layer} ${index}`}
            d={`M${points.map(px).join('L')}`}
            className={styles[layer]}
            {...(layer === 'ink' && hasHead && { markerEnd: `url(#${id}-head)` })}
          />
        )),
      )}
    </g>
  );
}
