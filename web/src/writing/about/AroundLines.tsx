import { numbersTwice, type Surroundings } from '@lanakit/core/pattern';
import { Link } from 'react-router';
import styles from './OtherPatterns.module.css';

/** What follows from it: the whole series, what needs this one, and what cannot be. */
export function AroundLines({ around }: { around: Surroundings }) {
  const { series, neededBy, companions, circle } = around;
  const twice = series ? numbersTwice(series) : [];
  return (
    <div className={styles.lines}>
      {series && series.members.length > 1 && (
        <ol className={styles.series} aria-label={`The series ${series.name}`}>
          {series.members.map(({ patternId, title, number, isThis }) => (
            <li key={patternId} className={isThis ? styles.this : undefined}>
              <span className={styles.number}>{number ?? '–'}</span>
              {isThis ? (
                <span aria-current="true">{title}</span>
              ) : (
                <Link to={`/patterns/${patternId}`}>{title}</Link>
              )}
            </li>
          ))}
        </ol>
      )}
      {twice.map((number) => (
        <p key={number} className={styles.wrong} role="status">
          Number {number} stands twice in this series.
        </p>
      ))}
      {circle && (
        <p className={styles.wrong} role="status">
          Each of these is to be made before the next, so nobody could begin:{' '}
          {[...circle, circle[0]].join(' ← ')}
        </p>
      )}
      <Named words="Goes with it" of={companions} />
      <Named words="Says that this comes before it" of={neededBy} />
    </div>
  );
}

function Named({ words, of }: { words: string; of: Surroundings['companions'] }) {
  const here = of.filter(({ patternId }) => patternId !== null);
  if (here.length === 0) return null;
  return (
    <p className="small">
      <span className="quiet">{words}: </span>
      {here.map(({ patternId, title }, at) => (
        <span key={patternId}>
          {at > 0 && ', '}
          <Link to={`/patterns/${patternId}`}>{title}</Link>
        </span>
      ))}
    </p>
  );
} // prettier-ignore
