import { lazy, Suspense } from 'react';
import type { WayToBegin } from './Ways.tsx';

const Ways = lazy(async () => ({ default: (await import('./Ways.tsx')).Ways }));

/** Ways to begin on a place that is mostly full: fetched only where there is nothing yet. */
export const LaterWays = ({ ways }: { ways: readonly WayToBegin[] }) => (
  <Suspense fallback={null}>
    <Ways ways={ways} />
  </Suspense>
);
