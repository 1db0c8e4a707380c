import { compareEstimates, type PatternEstimate, type WoolMove } from '@lanakit/core/engine';
import { useEffect, useMemo, useRef, useState } from 'react';

/** Changes closer together than this are one: a number typed, a size pulled. */
const ONE_MOVE_MS = 1500;

/** How the grams moved with what was just changed; null while nothing was. */
export function useLastMove(estimate: PatternEstimate): WoolMove | null {
  const [before, setBefore] = useState(estimate);
  const last = useRef({ estimate, atMs: -Infinity });
  useEffect(() => {
    if (last.current.estimate === estimate) return;
    const atMs = performance.now();
    if (atMs - last.current.atMs > ONE_MOVE_MS) setBefore(last.current.estimate);
    last.current = { estimate, atMs };
  }, [estimate]);
  return useMemo(() => (before === estimate ? null : compareEstimates(estimate, before)), [estimate, before]);
}
