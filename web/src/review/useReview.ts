import { isEqual } from '@lanakit/core/base';
import type { Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
import type { ReviewRead } from '@lanakit/core/words';
import { useEffect, useRef, useState } from 'react';
import { askReview } from './askReview.ts';

export type ReviewState =
  | { readonly kind: 'working' | 'failed' }
  /** Of the pattern as it is, or as it was a moment ago while the next is worked out. */
  | { readonly kind: 'read'; readonly review: ReviewRead };

/**
 * The review of a pattern as it changes; of changes that come faster than it is read, the last is.
 * @param ask reads one: in the worker, or as a test says
 */
export function useReview(pattern: Pattern, wool: Wool, ask: typeof askReview = askReview): ReviewState {
  const [state, setState] = useState<ReviewState>({ kind: 'working' });
  const latest = useRef({ pattern, wool });
  const isAsking = useRef(false);
  const isHere = useRef(true);
  useEffect(() => {
    latest.current = { pattern, wool };
    if (isAsking.current) return;
    isAsking.current = true;
    void untilNothingChanged({ latest, isHere, ask }, setState).finally(() => {
      isAsking.current = false;
    });
  }, [pattern, wool, ask]);
  useEffect(() => {
    isHere.current = true;
    return () => {
      isHere.current = false;
    };
  }, []);
  return state;
}

/** A line that says what it said is the very same line: a row that has not changed is not drawn anew. */
function keepingSame(before: ReviewState, review: ReviewRead): ReviewRead {
  if (before.kind !== 'read') return review;
  return {
    open: sameLines(before.review.open, review.open),
    meant: sameLines(before.review.meant, review.meant),
  };
}

function sameLines<L extends { readonly key: string }>(
  before: readonly L[],
  now: readonly L[],
): readonly L[] {
  const known = new Map(before.map((line) => [line.key, line]));
  const kept = now.map((line) => {
    const old = known.get(line.key);
    return old && isEqual(old, line) ? old : line;
  });
  return kept.length === before.length && kept.every((line, at) => line === before[at]) ? before : kept;
}

interface Asking {
  readonly latest: { readonly current: { readonly pattern: Pattern; readonly wool: Wool } };
  readonly isHere: { readonly current: boolean };
  readonly ask: typeof askReview;
}

async function untilNothingChanged(
  { latest, isHere, ask }: Asking,
  say: (next: (before: ReviewState) => ReviewState) => void,
): Promise<void> {
  for (let read = null; isHere.current && latest.current !== read;) {
    read = latest.current;
    try {
      const review = await ask(read.pattern, read.wool);
      if (isHere.current) say((before) => ({ kind: 'read', review: keepingSame(before, review) }));
    } catch {
      if (isHere.current) say(() => ({ kind: 'failed' }));
      return;
    }
  }
}
