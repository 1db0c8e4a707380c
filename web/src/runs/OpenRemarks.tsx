import type { Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
import { type Designs, revisionsOfRun } from '@lanakit/core/run';
import { type RemarkLine, remarkLines } from '@lanakit/core/words';
import { useRevision } from '../api/queries.ts';
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
    return pattern && <OfRevision key={revisionId} id={revisionId} pattern={pattern} wool={wool} />;
  });
}

interface InPattern {
  pattern: Pattern;
  wool: Wool;
}

/** As it was kept when it was published; of one that was published before that, as it is read today. */
function OfRevision({ id, ...of }: InPattern & { id: string }) {
  const { data } = useRevision(id);
  if (!data) return null;
  return data.openRemarks === null ? (
    <ReadToday {...of} />
  ) : (
    <Open pattern={of.pattern} lines={remarkLines(data.openRemarks, of.pattern, of.wool)} />
  );
}

function ReadToday({ pattern, wool }: InPattern) {
  const state = useReview(pattern, wool);
  return state.kind === 'read' && <Open pattern={pattern} lines={state.review.open} />;
}

function Open({ pattern, lines }: { pattern: Pattern; lines: readonly RemarkLine[] }) {
  if (lines.length === 0) return null;
  return (
    <details className={styles.remarks}>
      <summary className="amber">
        {pattern.title || 'The pattern'} as published has {counted(lines.length, 'thing')} to look at
      </summary>
      <RemarksRead pattern={pattern} lines={lines} />
    </details>
  );
}
