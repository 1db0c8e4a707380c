import type { Remark } from '@lanakit/core/review';
import { create } from 'zustand';

interface RemarkCounts {
  /** By the id of the step, part, join or cut piece. */
  readonly counts: ReadonlyMap<string, number>;
}

/** How many things the review asks at each place of the pattern that is open. A row reads its own alone. */
export const useRemarkCounts = create<RemarkCounts>(() => ({ counts: new Map<string, number>() }));

const placeOf = (remark: Remark): string | null => {
  if ('stepId' in remark) return remark.stepId;
  if ('partId' in remark) return remark.partId;
  if ('joinId' in remark) return remark.joinId;
  if ('cutId' in remark) return remark.cutId;
  return remark.code === 'order_broken' ? remark.link.afterId : null;
};

/** Told once for all rows, by the ledger that lists them. */
export function tellRemarks(remarks: readonly Remark[]): void {
  const counts = new Map<string, number>();
  for (const place of remarks.map(placeOf))
    if (place !== null) counts.set(place, (counts.get(place) ?? 0) + 1);
  useRemarkCounts.setState({ counts });
}
