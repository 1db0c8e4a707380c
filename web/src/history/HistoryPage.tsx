import type { HistoryEntry, HistoryState, KeptKind } from '@lanakit/core/api';
import { fieldChanges, type Pattern } from '@lanakit/core/pattern';
import { fieldWords } from '@lanakit/core/words';
import { Button } from 'antd';
import { Link, useParams, useSearchParams } from 'react-router';
import { goBackTo } from '../api/mutations/keeping.ts';
import { perform } from '../api/mutations/mutation.ts';
import { useHistory, useHistoryNow, useHistoryState, useWool } from '../api/queries.ts';
import { Changes } from '../patterns/Changes.tsx';
import { Loading, StillLoading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { useAttempt } from '../shell/useAttempt.ts';
import { showMoment } from '../words/keepingWords.ts';
import styles from './HistoryPage.module.css';

const KINDS: readonly KeptKind[] = ['pattern', 'run', 'item'];

/** Where a thing is at home in the interface. */
const HOME: Readonly<Record<KeptKind, (id: string) => string>> = {
  pattern: (id) => `/patterns/${id}`,
  run: (id) => `/runs/${id}`,
  item: (id) => `/shelf?open=${id}`,
};

/** What something was before, and what has become otherwise since. */
export function HistoryPage() {
  const { kind: text, id = '' } = useParams();
  const kind = KINDS.find((candidate) => candidate === text);
  return kind ? <HistoryOf kind={kind} id={id} /> : <NotFound />;
}

function HistoryOf({ kind, id }: { kind: KeptKind; id: string }) {
  const { data: entries, error } = useHistory(kind, id);
  const { data: now, error: nowError } = useHistoryNow(kind, id);
  const [params, setParams] = useSearchParams();
  if (!entries || !now) return <Loading error={error ?? nowError} />;
  const chosen = entries.items.find((entry) => String(entry.id) === params.get('at')) ?? null;
  return (
    <main className={styles.page}>
      <section className={`sheet ${styles.list}`} aria-label="History">
        <header className={styles.header}>
          <h1>{now.name || 'Without a name'}</h1>
          <p className="quiet">
            As it was before its changes. <Link to={HOME[kind](id)}>As it is now</Link>
          </p>
        </header>
        {entries.items.length === 0 && (
          <p className={`quiet ${styles.none}`}>It was never changed since it is kept here.</p>
        )}
        <ul className={styles.entries}>
          {entries.items.map((entry) => (
            <li key={entry.id}>
              <button
                type="button"
                className={`plain-button ${styles.line} ${entry === chosen ? styles.chosen : ''}`}
                aria-pressed={entry === chosen}
                onClick={() => setParams({ at: String(entry.id) }, { replace: true })}
              >
                <b>{showMoment(entry.at)}</b>
                {entry.isLost && <span className="amber">not taken: somebody else was first</span>}
              </button>
            </li>
          ))}
        </ul>
      </section>
      {chosen && <StateOf key={chosen.id} kind={kind} id={id} entry={chosen} now={now} />}
    </main>
  );
}

interface StateOfProps {
  kind: KeptKind;
  id: string;
  entry: HistoryEntry;
  now: HistoryState;
}

function StateOf({ kind, id, entry, now }: StateOfProps) {
  const { data: before, error } = useHistoryState(kind, id, entry.id);
  const attempt = useAttempt();
  const goBack = () =>
    attempt(async () => {
      await perform(goBackTo({ kind, id, entryId: entry.id, version: now.version }));
      return { text: `${now.name} is as it was then. What it was until now is in its history.` };
    });
  return (
    <div className={styles.state}>
      <section className={`sheet ${styles.head}`} aria-label={`State of ${showMoment(entry.at)}`}>
        <h2>{showMoment(entry.at)}</h2>
        <p className="quiet">
          {entry.isLost
            ? 'What would have been made of it, had nobody else been first.'
            : 'From then until its next change.'}
        </p>
        <Button onClick={() => void goBack()}>Go back to this</Button>
      </section>
      {before ? (
        <SinceThen kind={kind} before={before} after={now.document} />
      ) : (
        <StillLoading error={error} />
      )}
    </div>
  );
}

function SinceThen({ kind, before, after }: { kind: KeptKind; before: object; after: object }) {
  const { wool, isReady, error } = useWool();
  if (!isReady) return <StillLoading error={error} />;
  if (kind === 'pattern')
    return <Changes isSince before={before as Pattern} after={after as Pattern} wool={wool} />;
  const nameOf = (thing: string) => wool.fibres.get(thing)?.name ?? wool.findings.get(thing)?.name ?? null;
  const changes = fieldChanges(before, after, []);
  return (
    <section className={`sheet ${styles.words}`} aria-label="In words">
      <h2>Since then</h2>
      {changes.length === 0 ? (
        <p className="quiet">Nothing is otherwise.</p>
      ) : (
        <ul>
          {changes.map((change) => (
            <li key={change.path.join('/')}>{fieldWords(change, nameOf)}</li>
          ))}
        </ul>
      )}
    </section>
  );
}
