import type { SeasonsState } from '@lanakit/core/api';
import type { SeasonLine, ToPrepare, WorkKind } from '@lanakit/core/year';
import { Link } from 'react-router';
import { useSeasons } from '../../api/queries.ts';
import { showDay } from '../../words/show.ts';
import { monthName } from '../../words/yearWords.ts';
import { BookFrame } from '../BookFrame.tsx';
import book from '../Logbook.module.css';
import styles from './Year.module.css';

/** What was taught and sold when, and what that says of the weeks ahead. */
export function SeasonsPage() {
  const { data, error } = useSeasons();
  return (
    <BookFrame isWaiting={!data} error={error}>
      {data && (
        <article className={`sheet ${book.notebook}`} aria-label="Seasons">
          <h2>Seasons</h2>
          <Begin begin={data.begin} today={data.today} />
          <Prepare prepare={data.prepare} years={data.years} />
          {data.lines.length > 0 && <Months lines={data.lines} today={data.today} />}
        </article>
      )}
    </BookFrame>
  );
}

const RUN_PATHS: Readonly<Record<WorkKind, (id: string) => string>> = {
  class: (id) => `/runs/${id}`,
  kits: (id) => `/runs/${id}`,
  commission: (id) => `/logbook/asked/${id}`,
  making: (id) => `/logbook/making/${id}`,
};

function Begin({ begin, today }: Pick<SeasonsState, 'begin' | 'today'>) {
  return (
    <section aria-label="To begin">
      <h3>To begin in the next weeks</h3>
      {begin.length === 0 && <p className="quiet">Nothing has to begin in the next six weeks.</p>}
      <ul className={book.said}>
        {begin.map(({ kind, id, name, date, beginBy }) => (
          <li key={id}>
            <span className={beginBy < today ? 'red' : undefined}>{showDay(beginBy)}</span>:{' '}
            <Link to={RUN_PATHS[kind](id)}>{name}</Link>
            <span className="quiet">
              , {kind === 'commission' ? 'wanted by' : 'on'} {showDay(date)}
              {beginBy < today && ', should have begun'}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Wanted in these months before. */
function Prepare({ prepare, years }: Pick<SeasonsState, 'prepare' | 'years'>) {
  const months = [...new Set(prepare.map(({ month }) => month))];
  return (
    <section aria-label="Wanted before">
      <h3>Wanted in these months before</h3>
      {prepare.length === 0 && (
        <p className="quiet">
          {years.length < 2
            ? 'With a second year in the book, last year’s classes and kits of these months stand here beside what is planned.'
            : 'Nothing was taught or sold in these months of earlier years.'}
        </p>
      )}
      {months.map((month) => (
        <div key={month}>
          <h4 className={styles.month}>{monthName(month)}</h4>
          <ul className={book.said}>
            {prepare
              .filter((line) => line.month === month)
              .map((line) => (
                <PrepareLine key={line.patternId ?? line.title} line={line} />
              ))}
          </ul>
        </div>
      ))}
    </section>
  );
}

function PrepareLine({ line: { patternId, title, before, planned, fewer } }: { line: ToPrepare }) {
  const was = before.map(({ year, count }) => `${count} in ${year}`).join(', ');
  return (
    <li>
      {patternId === null ? title : <Link to={`/patterns/${patternId}`}>{title}</Link>}: {was};{' '}
      {planned === 0 ? 'none planned' : `${planned} planned`}
      {fewer > 0 && planned > 0 && <span className="quiet">, {fewer} fewer</span>}
    </li>
  );
}

const MONTHS = Array.from({ length: 12 }, (_each, at) => at + 1);

function Months({ lines, today }: { lines: readonly SeasonLine[]; today: string }) {
  const now = Number(today.slice(5, 7));
  return (
    <section aria-label="Month by month">
      <h3>Month by month</h3>
      <table className={styles.months}>
        <thead>
          <tr>
            <th scope="col">Figures and kits, all years</th>
            {MONTHS.map((month) => (
              <th key={month} scope="col" className={month === now ? styles.now : undefined}>
                {monthName(month, 'short').slice(0, 3)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map(({ patternId, title, months, peak }) => (
            <tr key={patternId ?? title}>
              <th scope="row">{title}</th>
              {months.map((count, at) => (
                <td key={MONTHS[at]} className={MONTHS[at] === now ? styles.now : undefined}>
                  {count > 0 && (
                    <span className={styles.count} data-share={shareOf(count, peak)}>
                      {count}
                    </span>
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** How dark it is: thirds of the most there was in one month. */
const shareOf = (count: number, peak: number): string =>
  count * 3 > peak * 2 ? 'most' : count * 3 > peak ? 'some' : 'few';
