import type { Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
import type { RemarkLine } from '@lanakit/core/words';
import { useEffect } from 'react';
import { REVIEW_FAILED } from '../review/reviewFailed.ts';
import { useReview } from '../review/useReview.ts';
import { counted } from '../words/show.ts';

interface ProofReadingProps {
  document: Pattern;
  wool: Wool;
  onRead: (lines: readonly RemarkLine[]) => void;
}

/** Reads a pattern for a proof-reader, and says how much is open; each stands beside its place. */
export function ProofReading({ document, wool, onRead }: ProofReadingProps) {
  const state = useReview(document, wool);
  const lines = state.kind === 'read' ? state.review.open : null;
  useEffect(() => {
    if (lines) onRead(lines);
  }, [lines, onRead]);
  return (
    <span className="no-print" role="status">
      {state.kind === 'failed'
        ? REVIEW_FAILED
        : lines === null
          ? 'Reading it…'
          : lines.length === 0
            ? 'Nothing to look at.'
            : `${counted(lines.length, 'thing')} to look at, each beside its place.`}
    </span>
  );
}
