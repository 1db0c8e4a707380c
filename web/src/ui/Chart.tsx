import { lazy, Suspense } from 'react';
import type { ChartProps } from './ChartDrawing.tsx';
import styles from './Chart.module.css';

export type { ChartOption } from './ChartDrawing.tsx';

const ChartDrawing = lazy(async () => ({ default: (await import('./ChartDrawing.tsx')).ChartDrawing }));

/** A chart, fetched with all that draws charts when one is shown. What it says is told in words beside it. */
export function Chart(props: ChartProps) {
  return (
    <Suspense fallback={<div className={styles.waiting} />}>
      <ChartDrawing {...props} />
    </Suspense>
  );
}
