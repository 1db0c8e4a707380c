import type { Bench, BenchDeeds } from '@lanakit/core/api';
import { minutesOfDeed, type RunDeed, timeOfDeeds } from '@lanakit/core/run';
import { Link } from 'react-router';
import { counted, showDay, showMinutes } from '../words/show.ts';
import styles from './BenchPage.module.css';

/** What can be done today toward each of the next runs, and how long it takes as this maker does it. */
export function ToDoToday({ bench: { deeds } }: { bench: Bench }) {
  if (deeds.length === 0) return null;
  const { minutes, isReckoned } = timeOfDeeds(deeds.flatMap((run) => run.deeds));
  return (
    <section className={`sheet ${styles.card}`} aria-label="To do toward what is ahead">
      <h2>To do</h2>
      <ul className={styles.deeds}>
        {deeds.map((run) => (
          <li key={run.runId}>
            <span>
              <b>{run.runName}</b>{' '}
              <span className="quiet small">{showDay(run.date)}</span>
            </span>
            <ul>
              {run.deeds.map((deed) => (
                <li key={deed.does}>
                  <Link to={placeOf(run, deed)}>{nameOf(deed)}</Link>
                  {minutesOfDeed(deed) > 0 && <b>{showMinutes(minutesOfDeed(deed))}</b>}
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
      {minutes > 0 && (
        <p className="quiet small">
          At the table about {showMinutes(minutes)} in all
          {isReckoned ? '; reckoned, until enough is ticked to tell how long you take.' : ', as you took before.'}
        </p>
      )}
    </section>
  );
} // prettier-ignore

function nameOf(deed: RunDeed): string {
  switch (deed.does) {
    case 'buy':
      return `Buy: ${counted(deed.things, 'thing')} short`;
    case 'count':
      return `Count ${counted(deed.fibres, 'fibre')}`;
    case 'weigh':
      return `Weigh ${counted(deed.portions, 'portion')}`;
    case 'pack':
      return `Pack ${counted(deed.packs, 'pack')}`;
    case 'teach':
      return 'Teach it: today';
    case 'send':
      return 'Send the boxes';
    case 'close':
      return 'Close it: what it took, what came back';
  }
}

function placeOf({ runId }: BenchDeeds, { does }: RunDeed): string {
  const run = `/runs/${runId}`;
  switch (does) {
    case 'buy':
      return '/buying';
    case 'count':
      return '/count';
    case 'weigh':
      return `${run}/weigh-out`;
    case 'pack':
      return `${run}/packing`;
    case 'teach':
      return `${run}/class`;
    case 'close':
    case 'send':
      return run;
  }
}
