import { reviewOf } from '@lanakit/core/review';
import { type Designs, revisionsOfRun } from '@lanakit/core/run';
import { useMemo } from 'react';
import { RemarksRead } from '../ui/RemarksRead.tsx';
import { counted } from '../words/show.ts';
import styles from './RunPage.module.css';
import type { ShownRun } from './useRunPlan.ts';

interface OpenRemarksProps {
  designs: Designs;
  live: ShownRun;
}

/** What a learner will stumble over in the patterns of a run, because nobody mended it or meant it so before. */
export function OpenRemarks({ designs, live: { input, wool } }: OpenRemarksProps) {
  const reviews = useMemo(
    () =>
      revisionsOfRun(input).flatMap((revisionId) => {
        const pattern = designs.get(revisionId);
        if (!pattern) return [];
        const { open } = reviewOf(pattern, wool);
        return open.length > 0 ? [{ revisionId, pattern, open }] : [];
      }),
    [input, designs, wool],
  );
  return reviews.map(({ revisionId, pattern, open }) => (
    <details key={revisionId} className={styles.remarks}>
      <summary className="amber">
        {pattern.title || 'The pattern'} as published has {counted(open.length, 'thing')} to look at
      </summary>
      <RemarksRead pattern={pattern} remarks={open} />
    </details>
  ));
}
