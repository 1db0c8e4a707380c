import type { EvidenceLine } from '@lanakit/core/api';
import { evidenceTable } from '@lanakit/core/logbook';
import { writeTable } from '@lanakit/core/tables';
import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { chooseEvidence } from '../../api/mutations/logbook.ts';
import { perform } from '../../api/mutations/mutation.ts';
import { useAttempt } from '../../shell/useAttempt.ts';
import { SaveTable } from '../../shell/SaveTable.tsx';
import { EVIDENCE_WORDS, untaughtWords, whoWords } from '../../words/logbookWords.ts';
import { counted, showDay, showGrams, showMinutes } from '../../words/show.ts';
import book from '../Logbook.module.css';
import styles from './Learnt.module.css';
import type { ToldState } from './toldState.ts';

const FIRST = 20;

/** Everything it rests on: the last first, odd ones before all others. */
export function AllEvidence({ state, fibreName }: ToldState) {
  const [most, setMost] = useState(FIRST);
  const [side, setSide] = useState<'wool' | 'time'>('wool');
  const { evidence, untaught } = state;
  if (evidence.length === 0 && untaught.length === 0) return null;
  const shown = evidence.filter(({ kind }) => (kind === 'minutes') === (side === 'time'));
  const inOrder = shown.toReversed().sort((a, b) => Number(b.isOdd) - Number(a.isOdd));
  const table = () => {
    const { headings, rows } = evidenceTable(evidence, fibreName);
    return writeTable(headings, rows);
  };
  return (
    <section aria-label="What it rests on">
      <h3>What it rests on</h3>
      <Segmented<'wool' | 'time'>
        value={side}
        options={[
          { value: 'wool', label: 'Wool' },
          { value: 'time', label: 'Time' },
        ]}
        onChange={setSide}
      />
      <table className={styles.changes}>
        <thead>
          <tr>
            <th scope="col">Page</th>
            <th scope="col">What</th>
            <th scope="col">Expected</th>
            <th scope="col">Found</th>
            <th scope="col">
              <span className="visually-hidden">Counts</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {inOrder.slice(0, most).map((line) => (
            <EvidenceRow key={line.id} line={line} fibreName={fibreName} />
          ))}
        </tbody>
      </table>
      <p className={book.add}>
        {shown.length > most && (
          <Button size="small" onClick={() => setMost(evidence.length)}>
            All {shown.length}
          </Button>
        )}
        <SaveTable name="lanakit-weighed" table={table} />
      </p>
      {untaught.length > 0 && (
        <details>
          <summary>{counted(untaught.length, 'thing')} that was written down and teaches nothing</summary>
          <ul className={book.said}>
            {untaught.map(({ id, title, why }) => (
              <li key={id}>
                <b>{title}</b>: {untaughtWords(why)}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

function EvidenceRow({ line, fibreName }: { line: EvidenceLine; fibreName: (id: string) => string }) {
  const attempt = useAttempt();
  const { id, source, title, date, who, kind, fibreId, what, expected, found, isOdd, isLeftOut, z } = line;
  const choose = (choice: 'left-out' | 'meant' | null) =>
    void attempt(async () => {
      await perform(chooseEvidence(id, choice));
      return undefined;
    });
  const show = (value: number) =>
    kind === 'minutes'
      ? showMinutes(Math.round(value))
      : kind === 'rolled'
        ? `${value.toFixed(2)} ×`
        : showGrams(value);
  const of = [fibreId === null ? '' : fibreName(fibreId), what ?? '']
    .filter((words) => words !== '')
    .join(', ');
  return (
    <tr className={isLeftOut ? styles.out : isOdd ? styles.odd : undefined}>
      <th scope="row">
        <Link
          to={source.kind === 'making' ? `/logbook/making/${source.makingId}` : `/logbook/${source.runId}`}
        >
          {title}
        </Link>
        <span className="quiet small">
          {' '}
          {showDay(date)}
          {who !== '' && `, ${whoWords(who)}`}
        </span>
      </th>
      <td className={styles.what}>{of === '' ? EVIDENCE_WORDS[kind] : `${of} (${EVIDENCE_WORDS[kind]})`}</td>
      <td>{show(expected)}</td>
      <td>
        {show(found)} <span className="quiet small">{Math.round((found / expected) * 100)} %</span>
      </td>
      <td className={styles.does}>
        {isOdd && (
          <>
            <span className="amber small">odd, {Math.abs(z).toFixed(1)} σ: does not count</span>{' '}
            <Button size="small" onClick={() => choose('meant')}>
              Meant so
            </Button>{' '}
          </>
        )}
        <Button
          size="small"
          type="text"
          aria-label={`${isLeftOut ? 'Count again' : 'Leave out'}: ${title}, ${of || EVIDENCE_WORDS[kind]}`}
          onClick={() => choose(isLeftOut ? null : 'left-out')}
        >
          {isLeftOut ? 'Count it again' : 'Leave out'}
        </Button>
      </td>
    </tr>
  );
}
