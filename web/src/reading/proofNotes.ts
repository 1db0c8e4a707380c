import { subjectOf } from '@lanakit/core/review';
import type { RemarkLine } from '@lanakit/core/words';
import { createContext } from 'react';

/** What is open in a pattern, where a reader meets it. */
export interface ProofNotes {
  /** By the step or the part. */
  readonly byId: ReadonlyMap<string, readonly RemarkLine[]>;
  /** What is of the whole, or of what has no place of its own on the sheet. */
  readonly ofWhole: readonly RemarkLine[];
}

/** Null: nobody proof-reads. */
export const ProofContext = createContext<ProofNotes | null>(null);

const ON_THE_SHEET: ReadonlySet<string> = new Set(['step', 'order', 'part']);

export function proofNotes(lines: readonly RemarkLine[]): ProofNotes {
  const byId = new Map<string, RemarkLine[]>();
  const ofWhole: RemarkLine[] = [];
  for (const line of lines) {
    const subject = subjectOf(line.remark);
    if ('id' in subject && ON_THE_SHEET.has(subject.kind))
      byId.set(subject.id, [...(byId.get(subject.id) ?? []), line]);
    else ofWhole.push(line);
  }
  return { byId, ofWhole };
}
