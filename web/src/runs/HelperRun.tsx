import type { OpenedRun } from '@lanakit/core/api';
import { papersOfRun, RUN_STATE_WORDS } from '@lanakit/core/words';
import { Link } from 'react-router';
import { isPlaceFor } from '../shell/places.ts';
import { counted, showDay } from '../words/show.ts';
import styles from './HelperRun.module.css';

interface Work {
  readonly to: string;
  readonly name: string;
  readonly what: string;
}

const worksOf = ({ id, kind }: OpenedRun): readonly Work[] => [
  { to: `/runs/${id}/weigh-out`, name: 'Weigh', what: 'one fibre after another, a tap a portion' },
  {
    to: `/runs/${id}/packing`,
    name: 'Pack',
    what: kind === 'kits' ? 'box by box, everything ticked in' : 'seat by seat, everything ticked in',
  },
  ...(kind === 'kits'
    ? []
    : [
        { to: `/runs/${id}/class`, name: 'Teach', what: 'what is on, who is where, sharps, who needs help' },
        { to: `/runs/${id}/tray`, name: 'Count needles', what: 'out, in, broken, sold' },
      ]),
];

/** A run on a helper’s device: what there is to do, and what is read beside it. */
export function HelperRun({ run }: { run: OpenedRun }) {
  const papers = papersOfRun(run.kind).filter(({ path }) => isPlaceFor('helper', `/runs/${run.id}/${path}`));
  const sheets = papers.filter(({ path }) => path !== 'tray');
  return (
    <main className={`sheet ${styles.page}`}>
      <header>
        <h1>{run.name}</h1>
        <p className="quiet">
          {showDay(run.date)} ·{' '}
          {run.kind === 'kits' ? counted(run.seats, 'box', 'boxes') : counted(run.seats, 'seat')} ·{' '}
          {RUN_STATE_WORDS[run.state]} · {run.designs.map(({ title }) => title).join(', ')}
        </p>
      </header>
      <nav aria-label="What to do" className={styles.works}>
        {worksOf(run).map(({ to, name, what }) => (
          <Link key={to} to={to} className={styles.work}>
            <b>{name}</b>
            <span>{what}</span>
          </Link>
        ))}
      </nav>
      <nav aria-label="To read" className={styles.papers}>
        <h2>To read or print</h2>
        <ul>
          {sheets.map(({ path, name }) => (
            <li key={path}>
              <Link to={`/runs/${run.id}/${path}`}>{name}</Link>
            </li>
          ))}
        </ul>
      </nav>
    </main>
  );
}
