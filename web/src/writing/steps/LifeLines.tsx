import { isEqual } from '@lanakit/core/base';
import type { PartState, Pattern } from '@lanakit/core/pattern';
import { STATE_WORDS } from '@lanakit/core/words';
import { type LifeLine, lifeLines } from '@lanakit/core/writing';
import { memo, useMemo, type ReactNode } from 'react';
import styles from './Steps.module.css';

/** Marks of our own: open while it is soft, filled once it is felted, then what hides or holds it. */
const STATE_MARKS: Readonly<Record<PartState, ReactNode>> = {
  rolled: (
    <circle cx="12" cy="12" r="4.5" fill="var(--paper)" stroke="currentColor" strokeDasharray="2 1.6" />
  ),
  tacked: <path d="M12 7v10M7 12h10" stroke="currentColor" strokeWidth="1.6" />,
  'half-firm': (
    <>
      <circle cx="12" cy="12" r="4.5" fill="var(--paper)" stroke="currentColor" />
      <path d="M7.5 12a4.5 4.5 0 0 0 9 0z" fill="currentColor" />
    </>
  ),
  felted: <circle cx="12" cy="12" r="4.5" fill="currentColor" />,
  joined: <path d="M12 5.5l5 6.5-5 6.5-5-6.5z" fill="currentColor" />,
  covered: (
    <>
      <circle cx="12" cy="12" r="3" fill="currentColor" />
      <circle cx="12" cy="12" r="5.8" fill="none" stroke="currentColor" strokeWidth="1.3" />
    </>
  ),
  trimmed: <path d="M8 8l8 8M16 8l-8 8" stroke="currentColor" strokeWidth="1.6" />,
};

interface LifeLinesProps {
  document: Pattern;
  onOpen: (stepId: string) => void;
}

/** Where each part is made, joined, hidden and finished, step by step. */
export const LifeLines = memo(function LifeLines({ document, onOpen }: LifeLinesProps) {
  const lines = useMemo(() => lifeLines(document), [document]);
  if (document.steps.length === 0) return null;
  return (
    <section className={styles.lives} aria-label="Life of each part">
      <header>
        <h3>Life of each part</h3>
        <span className="quiet small">step 1 to {document.steps.length}, left to right</span>
      </header>
      {lines.map((line, index) => (
        <div key={line.partId} className={styles.life}>
          <span>
            <b>{index + 1}</b> {document.parts[index]?.name}
          </span>
          <Track line={line} steps={document.steps.length} onOpen={onOpen} />
        </div>
      ))}
    </section>
  );
});

interface TrackProps {
  line: LifeLine;
  steps: number;
  onOpen: (stepId: string) => void;
}

const Track = memo(
  function Track({ line, steps, onOpen }: TrackProps) {
    if (line.madeAt === null) return <span className="red small">no step makes it</span>;
    const at = (step: number) => `${steps < 2 ? 50 : 3 + (94 * step) / (steps - 1)}%`;
    const width = `${(94 * ((line.finishedAt ?? line.madeAt) - line.madeAt)) / Math.max(1, steps - 1)}%`;
    return (
      <div className={styles.track}>
        <span className={styles.span} style={{ left: at(line.madeAt), width }} />
        {line.marks
          .filter(({ isChange }) => isChange)
          .map(({ stepId, at: step, state }) => (
            <button
              key={stepId}
              type="button"
              className={styles.dot}
              style={{ left: at(step) }}
              title={`step ${step + 1}: ${STATE_WORDS[state]}`}
              aria-label={`${STATE_WORDS[state]} in step ${step + 1}`}
              onClick={() => onOpen(stepId)}
            >
              <svg viewBox="0 0 24 24" aria-hidden>
                {STATE_MARKS[state]}
              </svg>
            </button>
          ))}
      </div>
    );
  },
  (before, after) =>
    before.steps === after.steps && before.onOpen === after.onOpen && isEqual(before.line, after.line),
);
