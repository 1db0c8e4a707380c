import { majorOf, minorOf } from '@lanakit/core/base';
import { writeTable } from '@lanakit/core/tables';
import { type StudioYear, type Work, yearTable } from '@lanakit/core/year';
import { Segmented } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { setTakings } from '../../api/mutations/commissions.ts';
import { perform } from '../../api/mutations/mutation.ts';
import { useYear } from '../../api/queries.ts';
import { useAttempt } from '../../shell/useAttempt.ts';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { SaveTable } from '../../shell/SaveTable.tsx';
import { counted, showDay, showGrams, showMinutes, showMoney } from '../../words/show.ts';
import { atLeast, WORK_KIND_WORDS, yearWords } from '../../words/yearWords.ts';
import { BookFrame } from '../BookFrame.tsx';
import book from '../Logbook.module.css';
import { MonthsChart } from './MonthsChart.tsx';
import styles from './Year.module.css';

/** What a year came to: figures, kits, wool, hours, what came in and what an hour earned. */
export function YearPage() {
  const [chosen, setChosen] = useState<string | null>(null);
  const { data, error } = useYear(chosen);
  return (
    <BookFrame isWaiting={!data} error={error}>
      {data && (
        <article className={`sheet ${book.notebook}`} aria-label={`The year ${data.year.year}`}>
          <header className={styles.head}>
            <h2>The year {data.year.year}</h2>
            {data.years.length > 1 && (
              <Segmented<string>
                value={data.year.year}
                options={[...data.years].toReversed()}
                onChange={setChosen}
              />
            )}
          </header>
          {data.year.works.length === 0 ? (
            <p>
              Nothing is finished in it yet. A class that is closed, kits that are packed, what was asked for
              and handed over, and each page of the logbook that is done stand here.
            </p>
          ) : (
            <Told year={data.year} />
          )}
        </article>
      )}
    </BookFrame>
  );
}

function Told({ year }: { year: StudioYear }) {
  const table = () => {
    const { headings, rows } = yearTable(year.works, WORK_KIND_WORDS);
    return writeTable(headings, rows);
  };
  return (
    <>
      <p className={book.sum}>{yearWords(year.all)}</p>
      <MonthsChart year={year} />
      <ByPattern year={year} />
      <section aria-label="One by one">
        <h3>One by one</h3>
        <table className={`${styles.table} ${styles.works}`}>
          <thead>
            <tr>
              <th scope="col">Day</th>
              <th scope="col">What</th>
              <th scope="col">Made</th>
              <th scope="col">Wool</th>
              <th scope="col">Hours</th>
              <th scope="col">Material</th>
              <th scope="col">Came in</th>
            </tr>
          </thead>
          <tbody>
            {year.works.toReversed().map((work) => (
              <WorkRow key={`${work.kind} ${work.id}`} work={work} />
            ))}
          </tbody>
        </table>
        <p className={book.add}>
          <SaveTable name={`lanakit-year-${year.year}`} table={table} />
        </p>
        <p className="quiet small">
          Hours are the sittings of a class and its weighing and packing, as they are reckoned; of a making
          its timed steps. Material is the wool, things and needles in it as they were priced; your time is
          not in it. What is unknown is in no sum, and each sum says so.
        </p>
      </section>
    </>
  );
}

function ByPattern({ year: { patterns } }: { year: StudioYear }) {
  return (
    <section aria-label="By pattern">
      <h3>By pattern</h3>
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">Pattern</th>
            <th scope="col">Figures</th>
            <th scope="col">Kits</th>
            <th scope="col">Wool</th>
            <th scope="col">Hours</th>
            <th scope="col">Came in</th>
            <th scope="col">An hour earned</th>
          </tr>
        </thead>
        <tbody>
          {patterns.map((pattern) => (
            <tr key={pattern.patternId ?? pattern.title}>
              <th scope="row">
                {pattern.patternId === null ? (
                  pattern.title
                ) : (
                  <Link to={`/patterns/${pattern.patternId}`}>{pattern.title}</Link>
                )}
              </th>
              <td>{pattern.figures === 0 ? '' : pattern.figures}</td>
              <td>{pattern.kits === 0 ? '' : pattern.kits}</td>
              <td>{atLeast(pattern.woolG, showGrams)}</td>
              <td>{atLeast(pattern.minutes, showMinutes)}</td>
              <td>{pattern.sold === 0 ? '' : atLeast(pattern.takingsMinor, showMoney)}</td>
              <td>
                {pattern.hourMinor === null ? (
                  <span className="quiet">{pattern.sold === 0 ? '' : 'unknown'}</span>
                ) : (
                  <>
                    {showMoney(pattern.hourMinor)}
                    {pattern.hourOf < pattern.sold && (
                      <span className="quiet small">
                        {' '}
                        of {pattern.hourOf} of {pattern.sold}
                      </span>
                    )}
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const PATHS: Readonly<Record<Work['kind'], (id: string) => string>> = {
  class: (id) => `/logbook/${id}`,
  kits: (id) => `/runs/${id}`,
  commission: (id) => `/logbook/asked/${id}`,
  making: (id) => `/logbook/making/${id}`,
};

function WorkRow({ work }: { work: Work }) {
  const { kind, id, name, date, made, woolG, minutes, materialMinor } = work;
  const count = made.reduce((sum, each) => sum + each.count, 0);
  return (
    <tr>
      <td>{showDay(date)}</td>
      <th scope="row">
        <Link to={PATHS[kind](id)}>{name}</Link>
        <span className="quiet small"> {WORK_KIND_WORDS[kind]}</span>
      </th>
      <td>{kind === 'kits' ? counted(count, 'kit') : counted(count, 'figure')}</td>
      <td>{atLeast(woolG, showGrams)}</td>
      <td>{atLeast(minutes, showMinutes)}</td>
      <td>{kind === 'making' ? '' : atLeast(materialMinor, showMoney)}</td>
      <td>
        <CameIn work={work} />
      </td>
    </tr>
  );
}

/** What was agreed on is told with it; of a class or kits it is said here. */
function CameIn({ work: { kind, id, name, takingsMinor } }: { work: Work }) {
  const attempt = useAttempt();
  if (kind === 'making') return null;
  if (kind === 'commission')
    return takingsMinor === null ? (
      <span className="quiet">nothing agreed</span>
    ) : (
      <>{showMoney(takingsMinor)}</>
    );
  const say = (major: number | null) =>
    void attempt(async () => {
      await perform(setTakings(id, major === null ? null : minorOf(major)));
      return undefined;
    });
  return (
    <span className={styles.cameIn}>
      <NumberField<number | null>
        label={`Came in for ${name}`}
        isLabelHidden
        value={takingsMinor === null ? null : majorOf(takingsMinor)}
        bounds={{ min: 0, max: 1_000_000 }}
        decimals={2}
        allowEmpty
        placeholder="not said"
        onValue={say}
      />
    </span>
  );
}
