import { REVIEW_FAILED } from './reviewFailed.ts';
import type { ReviewState } from './useReview.ts';

/** Until a review is there, and when none will come. */
export function ReadingStill({ state }: { state: Exclude<ReviewState, { kind: 'read' }> }) {
  return state.kind === 'failed' ? (
    <p className="red">{REVIEW_FAILED}</p>
  ) : (
    <p className="quiet" role="status">
      Reading it once more…
    </p>
  );
}
