import type { Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
import type { Review } from '@lanakit/core/review';
import { useEffect, useRef, useState } from 'react';
import { askReview } from './askReview.ts';

export type ReviewState =
  | { readonly kind: 'working' | 'failed' }
  /** Of the pattern as it is, or as it was a moment ago while the next is worked out. */
  | { readonly kind: 'read'; readonly review: Review };

/** The review of a pattern as it changes; of changes that come faster than it is read, the last is. */
export function useReview(pattern: Pattern, wool: Wool): ReviewState {
  const [state, setState] = useState<ReviewState>({ kind: 'working' });
  const latest = useRef({ pattern, wool });
  const isAsking = useRef(false);
  const isHere = useRef(true);
  useEffect(() => {
    latest.current = { pattern, wool };
    if (isAsking.current) return;
    isAsking.current = true;
    void untilNothingChanged(latest, isHere, setState).finally(() => {
      isAsking.current = false;
    });
  }, [pattern, wool]);
  useEffect(() => {
    isHere.current = true;
    return () => {
      isHere.current = false;
    };
  }, []);
  return state;
}

async function untilNothingChanged(
  latest: { readonly current: { readonly pattern: Pattern; readonly wool: Wool } },
  isHere: { readonly current: boolean },
  say: (state: ReviewState) => void,
): Promise<void> {
  for (let read = null; isHere.current && latest.current !== read;) {
    read = latest.current;
    try {
      const review = await askReview(read.pattern, read.wool);
      if (isHere.current) say({ kind: 'read', review });
    } catch {
      if (isHere.current) say({ kind: 'failed' });
      return;
    }
  }
}
