import type { LogbookLine } from '@lanakit/core/api';
import { Link, useParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useLogbook, useLogbookPage } from '../api/queries.ts';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { counted, showDay, showGrams } from '../words/show.ts';
import { ClassPageOfBook } from './ClassPageOfBook.tsx';
import styles from './Logbook.module.css';

/** What each class really took, and what it taught: a maker’s notebook, a page each. */
export function LogbookPage() {
  const { id } = useParams();
  const { data, error } = useLogbook();
  if (!data) return <Loading error={error} />;
  const [first] = data.items;
  const shown = id ?? first?.runId;
  return (
    <main className={styles.page}>
      <nav className={`sheet ${styles.list}`} aria-label="Pages">
        <h1>Logbook</h1>
        {data.items.length === 0 && (
          <p className="quiet">
            No class has been taught yet. <i>Teach</i> on a class writes its page by itself: what it took, its
            minutes, what was said.
          </p>
        )}
        <ul>
          {data.items.map((line) => (
            <Line key={line.runId} line={line} isShown={line.runId === shown} />
          ))}
        </ul>
      </nav>
      {shown !== undefined && <OnePage key={shown} runId={shown} />}
    </main>
  );
}

function Line({ line, isShown }: { line: LogbookLine; isShown: boolean }) {
  const { runId, name, date, seats, wool, isClosed } = line;
  return (
    <li>
      <Link to={`/logbook/${runId}`} aria-current={isShown ? 'page' : undefined}>
        <span>
          <b>{name}</b>
          <span className="quiet small">
            {showDay(date)} · {counted(seats, 'seat')}
            {!isClosed && ' · not closed yet'}
          </span>
        </span>
        <span>{wool.tookG === null ? '' : showGrams(wool.tookG)}</span>
      </Link>
    </li>
  );
}

function OnePage({ runId }: { runId: string }) {
  const { data, error } = useLogbookPage(runId);
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  return data ? <ClassPageOfBook page={data} /> : <Loading error={error} />;
}
