import type { OpenedRun } from '@lanakit/core/api';
import { revisionsOfRun, withRevision } from '@lanakit/core/run';
import { Link } from 'react-router';
import styles from './RunPage.module.css';
import type { RunDraft } from './useRunDraft.ts';

/** What it makes, each design with its revision; a newer or a withdrawn one is told. */
export function RunDesigns({ run, draft }: { run: OpenedRun; draft: RunDraft }) {
  const shown = run.designs.slice(0, 3);
  const newer = run.designs.find(({ number, newestNumber }) => newestNumber > number);
  const withdrawn = run.designs.find(({ isWithdrawn }) => isWithdrawn);
  const { input } = draft;
  const isStill = newer !== undefined && revisionsOfRun(input).includes(newer.revisionId);
  const take = () => {
    if (newer) draft.change(withRevision(input, newer.revisionId, newer.newestRevisionId));
  };
  return (
    <div className={styles.headFact}>
      <span>
        {shown.map(({ patternId, title, revisionId }, at) => (
          <span key={revisionId} className="as-inline">
            {at > 0 && ', '}
            <Link to={`/patterns/${patternId}`}>{title}</Link>
          </span>
        ))}
        {run.designs.length > shown.length && ` and ${run.designs.length - shown.length} more`}
      </span>
      <span className="quiet small">
        {run.designs.length === 1 ? `revision ${run.designs[0]?.number ?? ''}, as published` : 'as published'}
        {newer && isStill && (
          <>
            {' · '}
            <button type="button" className="opens" onClick={take}>
              {newer.title} has revision {newer.newestNumber}: take it
            </button>
          </>
        )}
        {withdrawn && (
          <span className="amber"> · {withdrawn.title} was put away since; this run keeps it</span>
        )}
      </span>
    </div>
  );
}
