import type { EntryTook } from '@lanakit/core/classDay';
import { lengthOfTime } from '@lanakit/core/words';
import { entryName, lateWords } from '../../words/classWords.ts';
import styles from './Tables.module.css';

/** How long each took in a class, beside what was planned; of what everybody had. */
export function MinutesTable({ entries }: { entries: readonly EntryTook[] }) {
  if (entries.length === 0)
    return <p className="quiet">Nothing was marked as had by everybody, so nobody can tell.</p>;
  return (
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
        {entries.map(({ entry, tookMinutes, lateMinutes }) => (
          <tr key={entry.id}>
            <th scope="row">{entryName(entry)}</th>
            <td>{lengthOfTime(entry.to - entry.from)}</td>
            <td>{tookMinutes === null ? 'beginning not marked' : lengthOfTime(tookMinutes)}</td>
            <td>{lateWords(lateMinutes)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
