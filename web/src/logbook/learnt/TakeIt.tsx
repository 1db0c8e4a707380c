import type { PatternChange, RunChange } from '@lanakit/core/api';
import { Button } from 'antd';
import { Link } from 'react-router';
import { takeLearnt } from '../../api/mutations/logbook.ts';
import { perform } from '../../api/mutations/mutation.ts';
import { useAttempt } from '../../shell/useAttempt.ts';
import { counted, showDay, showGrams, showRange } from '../../words/show.ts';
import book from '../Logbook.module.css';
import styles from './Learnt.module.css';
import type { ToldState } from './toldState.ts';

/** What taking it would change, before it is taken. */
export function TakeIt({ state, fibreName }: ToldState) {
  const attempt = useAttempt();
  const { fresh, patterns, runs } = state;
  if (fresh === 0 && patterns.length === 0 && runs.length === 0) {
    return state.takenAt === null ? (
      <p>Weigh a bag before a making and after it: what it teaches is told here, and what it would change.</p>
    ) : (
      <p>Everything weighed so far is in force.</p>
    );
  }
  const them = fresh === 1 ? 'it' : 'them';
  const take = () =>
    attempt(async () => {
      await perform(takeLearnt());
      return {
        text: 'It is in force in every pattern. Runs keep what they were planned with until you plan them anew.',
      };
    });
  return (
    <section className={styles.take} aria-label="To take">
      <p className={book.sum}>
        {fresh > 0
          ? `${counted(fresh, 'weighing')} ${fresh === 1 ? 'is' : 'are'} not in force yet.`
          : 'What is in force could be taken anew.'}{' '}
        {patterns.length === 0 && runs.length === 0
          ? `Taking ${them} changes no pattern and no run.`
          : `Taking ${them} changes ${counted(patterns.length, 'pattern')}${runs.length > 0 ? ` and ${counted(runs.length, 'run')} ahead` : ''}:`}
      </p>
      <Patterns patterns={patterns} />
      <Runs runs={runs} fibreName={fibreName} />
      {runs.some(({ fibres }) => fibres.some(({ wasG, nowG }) => nowG < wasG)) && (
        <p className="quiet small">
          A run may want less although a make takes more: what is surer needs less in reserve.
        </p>
      )}
      <Button type="primary" size="large" onClick={() => void take()}>
        Take it
      </Button>
    </section>
  );
}

function Patterns({ patterns }: { patterns: readonly PatternChange[] }) {
  if (patterns.length === 0) return null;
  return (
    <table className={styles.changes}>
      <thead>
        <tr>
          <th scope="col">One make of</th>
          <th scope="col">Now</th>
          <th scope="col">Then</th>
        </tr>
      </thead>
      <tbody>
        {patterns.map(({ patternId, title, was, now }) => (
          <tr key={patternId}>
            <th scope="row">
              <Link to={`/patterns/${patternId}`}>{title}</Link>
            </th>
            <td>
              {showGrams(was.likelyG)} <span className="quiet small">{showRange(was)}</span>
            </td>
            <td>
              <b>{showGrams(now.likelyG)}</b> <span className="quiet small">{showRange(now)}</span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Runs({ runs, fibreName }: { runs: readonly RunChange[]; fibreName: (id: string) => string }) {
  if (runs.length === 0) return null;
  return (
    <ul className={book.said}>
      {runs.map(({ runId, name, date, isKept, fibres }) => (
        <li key={runId}>
          <Link to={`/runs/${runId}`}>{name}</Link>, {showDay(date)}:{' '}
          {isKept ? 'keeps what it was planned with; planned anew it would want ' : 'wants '}
          {fibres
            .map(
              ({ fibreId, wasG, nowG }) =>
                `${showGrams(Math.abs(nowG - wasG))} ${nowG > wasG ? 'more' : 'less'} of ${fibreName(fibreId)}`,
            )
            .join(', ')}
        </li>
      ))}
    </ul>
  );
}
