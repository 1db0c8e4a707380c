import type { FigureLook } from '@lanakit/core/figure';
import { FigureStrip } from '../figure/FigureStrip.tsx';
import { useSize } from '../figure/useSize.ts';
import styles from './Begin.module.css';

/** A figure of a few centimetres fills the room there is; no larger than this, px per mm. */
const MOST_PX_PER_MM = 2.6;

/** The figure that would be made, as large as there is room. */
export function LargeFigure({ figure, words }: { figure: FigureLook; words: string }) {
  const [frame, { width, height }] = useSize();
  return (
    <figure className={styles.figure} aria-label="The figure">
      <div ref={frame} className={styles.drawing}>
        <FigureStrip figure={figure} width={width} height={height} mostPxPerMm={MOST_PX_PER_MM} />
      </div>
      <figcaption className="quiet small">{words}</figcaption>
    </figure>
  );
}
