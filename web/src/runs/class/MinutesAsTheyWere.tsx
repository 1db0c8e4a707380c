import { entriesTook, showNow } from '@lanakit/core/classDay';
import { lengthOfTime } from '@lanakit/core/words';
import { entryName, lateWords } from '../../words/classWords.ts';
import styles from './Class.module.css';
import type { Teaching } from './teaching.ts';

/** How long each took in the class, of what was marked. */
export function MinutesAsTheyWere({ teaching }: { teaching: Teaching }) {
  const { here, now, clock } = teaching;
  const { plan } = here.day;
  const shows = plan.sittings.map((sitting) => showNow(plan, sitting, here.events, { now, clock }));
  const entries = new Map(plan.sittings.flatMap((sitting) => sitting.entries).map((entry) => [entry.id, entry]));
  const marked = entriesTook(shows).filter(({ tookMinutes, lateMinutes }) => tookMinutes !== null || lateMinutes !== null);
  return (
    <section className={`sheet ${styles.side}`} aria-label="Minutes as they were">
      <h2>Minutes as they were</h2>
      {marked.length === 0 ? (
        <p className="quiet">Nothing was marked as begun or had by everybody, so nobody can tell.</p>
      ) : (
        <table className={styles.took}>
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">Planned</th>
              <th scope="col">It took</th>
              <th scope="col">Ended</th>
            </tr>
          </thead>
          <tbody>
            {marked.map(({ entryId, name, plannedMinutes, tookMinutes, lateMinutes }) => {
              const entry = entries.get(entryId);
              return (
                <tr key={entryId}>
                  <th scope="row">{entry ? entryName(entry) : name}</th>
                  <td>{lengthOfTime(plannedMinutes)}</td>
                  <td>{tookMinutes === null ? 'beginning not marked' : lengthOfTime(tookMinutes)}</td>
                  <td>{lateMinutes === null ? 'not marked' : lateWords(lateMinutes)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </section>
  );
} // prettier-ignore
