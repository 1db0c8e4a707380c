import { joinWords } from '@lanakit/core/words';
import { Unreachable } from '../api/client.ts';
import { AskAgain } from './AskAgain.tsx';
import styles from './Shell.module.css';
import { useUnread } from './unread.ts';

/** What a path asks for, as a maker calls it. */
const WHAT: readonly (readonly [start: string, what: string])[] = [
  ['/fibres', 'wool'],
  ['/blends', 'blends'],
  ['/findings', 'findings'],
  ['/needle-evidence', 'which needles broke'],
  ['/needles', 'needles'],
  ['/tools', 'tools'],
  ['/hand-measures', 'hand measures'],
  ['/suppliers', 'suppliers'],
  ['/promised', 'what runs ahead will take'],
  ['/keeping', 'backups'],
  ['/buying', 'what is coming'],
  ['/orders', 'orders'],
  ['/techniques', 'techniques'],
  ['/revisions', 'published patterns'],
];
const IN_A_RUN: readonly (readonly [end: string, what: string])[] = [
  ['/ticks', 'what is weighed and packed'],
  ['/promised', 'what runs before it take'],
  ['/tray', 'needles counted'],
];

const whatOf = (key: string): string =>
  IN_A_RUN.find(([end]) => key.startsWith('/runs/') && key.endsWith(end))?.[1] ??
  WHAT.find(([start]) => key.startsWith(start))?.[1] ??
  'some of this page';

/** Over a place of which not everything could be read: what is missing, so that nobody takes too small a number for true. */
export function UnreadSlip() {
  const failed = useUnread((unread) => unread.failed);
  if (failed.size === 0) return null;
  const isUnreachable = [...failed.values()].some(({ error }) => error instanceof Unreachable);
  const what = joinWords([...new Set([...failed.keys()].map(whatOf))]);
  return (
    <aside className={`${styles.unread} no-print`} aria-label="Not read">
      <span role="status" title={what}>
        <b>{isUnreachable ? 'Lanakit cannot be reached.' : 'Not everything could be read.'}</b> Numbers may be
        too small. Missing, or as before: {what}.
      </span>
      <AskAgain isSmall />
    </aside>
  );
}
