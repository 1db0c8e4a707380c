import { type Remark, subjectOf } from '@lanakit/core/review';
import { create } from 'zustand';

interface RemarkCounts {
  /** By the id of the step, part, join or other thing. */
  readonly counts: ReadonlyMap<string, number>;
}

/** How many things the review asks at each place of the pattern that is open. A row reads its own alone. */
export const useRemarkCounts = create<RemarkCounts>(() => ({ counts: new Map<string, number>() }));

/** Told once for all rows, by the ledger that lists them. */
export function tellRemarks(remarks: readonly Remark[]): void {
  const counts = new Map<string, number>();
  for (const subject of remarks.map(subjectOf))
    if ('id' in subject) counts.set(subject.id, (counts.get(subject.id) ?? 0) + 1);
  useRemarkCounts.setState({ counts });
}
