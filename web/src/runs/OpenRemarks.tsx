import type { Pattern } from '@lanakit/core/pattern';
import { type Designs, revisionsOfRun } from '@lanakit/core/run';
import type { Wool } from '@lanakit/core/engine';
import { RemarksRead } from '../review/RemarksRead.tsx';
import { useReview } from '../review/useReview.ts';
import { counted } from '../words/show.ts';
import styles from './RunPage.module.css';
import type { ShownRun } from './useRunPlan.ts';

interface OpenRemarksProps {
  designs: Designs;
  live: ShownRun;
}

/** What a learner will stumble over in the patterns of a run, because nobody mended it or meant it so before. */
export function OpenRemarks({ designs, live: { input, wool } }: OpenRemarksProps) {
  return revisionsOfRun(input).map((revisionId) => {
    const pattern = designs.get(revisionId);
    return pattern && <OpenIn key={revisionId} pattern={pattern} wool={wool} />;
  });
}

function OpenIn({ pattern, wool }: { pattern: Pattern; wool: Wool }) {
  const state = useReview(pattern, wool);
  if (state.kind !== 'read' || state.review.open.length === 0) return null;
  const { open } = state.review;
  return (
    <details className={styles.remarks}>
      <summary className="amber">
        {pattern.title || 'The pattern'} as published has {counted(open.length, 'thing')} to look at
      </summary>
      <RemarksRead pattern={pattern} lines={open} />
    </details>
  );
}
