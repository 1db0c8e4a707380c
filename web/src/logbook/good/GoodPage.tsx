import { Z90 } from '@lanakit/core/base';
import { foretoldTable, type Foretold, howGood, type HowGood } from '@lanakit/core/logbook';
import { writeTable } from '@lanakit/core/tables';
import { useLearning } from '../../api/queries.ts';
import { SaveTable } from '../../shell/SaveTable.tsx';
import { EVIDENCE_WORDS, factorWords, VERDICT_WORDS } from '../../words/logbookWords.ts';
import { counted, showGrams } from '../../words/show.ts';
import { BookFrame } from '../BookFrame.tsx';
import { monthWords } from '../BookList.tsx';
import type { ToldState } from '../learnt/toldState.ts';
import { useFibreName } from '../useFibreName.ts';
import learnt from '../learnt/Learnt.module.css';
import book from '../Logbook.module.css';
import { FoundChart } from './FoundChart.tsx';
import { OverTimeChart } from './OverTimeChart.tsx';

/** Estimated against weighed: how far off, whether ranges keep what they promise, and what is most worth weighing next. */
export function GoodPage() {
  const { data: state, error } = useLearning();
  const fibreName = useFibreName();
  return (
    <BookFrame isWaiting={!state || !fibreName} error={error}>
      {state && fibreName && <HowGoodWeAre state={state} fibreName={fibreName} />}
    </BookFrame>
  );
}

function HowGoodWeAre({ state: { foretold, worth }, fibreName }: ToldState) {
  const weighed = foretold.filter(({ kind }) => kind !== 'minutes' && kind !== 'rolled');
  return (
    <article className={`sheet ${book.notebook}`} aria-label="How good are we?">
      <h2>How good are we?</h2>
      {foretold.length === 0 ? (
        <p>
          Nothing is weighed yet. Each bag that is weighed before and after is held against what was estimated
          the day before.
        </p>
      ) : (
        <>
          <p className={book.sum}>{sumWords(howGood(weighed))}</p>
          <p className="quiet">
            Each weighing is held against the estimate that all weighings before it, and none after, would
            have given.
          </p>
          {weighed.length > 0 && (
            <>
              <FoundChart all={weighed} />
              <OverTimeChart all={weighed} />
            </>
          )}
          <Groups all={foretold} fibreName={fibreName} />
          <p className={book.add}>
            <SaveTable name="lanakit-estimated-and-found" table={() => tableOf(foretold, fibreName)} />
          </p>
        </>
      )}
      {worth.length > 0 && (
        <section aria-label="Most worth weighing next">
          <h3>Most worth weighing next</h3>
          <p className="quiet">
            One sample of it, and how unsure the wool of all runs ahead is before and after.
          </p>
          <ol className={book.said}>
            {worth.map(({ factor, aheadG, sigmaG, sigmaAfterG }) => (
              <li key={factorWords(factor, fibreName)}>
                <b>{factorWords(factor, fibreName)}</b>: ±{showGrams(Z90 * sigmaG)} becomes ±
                {showGrams(Z90 * sigmaAfterG)}; the runs ahead take {showGrams(aheadG)} of it
              </li>
            ))}
          </ol>
        </section>
      )}
    </article>
  );
}

function tableOf(all: readonly Foretold[], fibreName: (id: string) => string): string {
  const { headings, rows } = foretoldTable(all, fibreName);
  return writeTable(headings, rows);
}

function sumWords({ count, inside, typicalOff, lean, verdict }: HowGood): string {
  if (count === 0 || typicalOff === null || lean === null) return 'No wool is weighed yet.';
  const leaning = Math.round((lean - 1) * 100);
  const lay =
    leaning === 0
      ? 'We lean to neither side.'
      : `In the middle it took ${Math.abs(leaning)} % ${leaning > 0 ? 'more' : 'less'} than estimated.`;
  return `Of ${counted(count, 'weighing')} ${inside} fell into the range that was told before: ${VERDICT_WORDS[verdict]}. Half were within ${Math.max(1, Math.round(typicalOff * 100))} %. ${lay}`;
}

interface Group {
  readonly name: string;
  readonly good: HowGood;
}

function Groups({ all, fibreName }: { all: readonly Foretold[]; fibreName: (id: string) => string }) {
  const by = (keyOf: (each: Foretold) => string | null): Group[] => {
    const groups = new Map<string, Foretold[]>();
    for (const each of all) {
      const key = keyOf(each);
      if (key === null) continue;
      const group = groups.get(key);
      if (group) group.push(each);
      else groups.set(key, [each]);
    }
    return [...groups].map(([name, group]) => ({ name, good: howGood(group) }));
  };
  return (
    <>
      <GroupTable title="By kind of number" groups={by(({ kind }) => EVIDENCE_WORDS[kind])} />
      <GroupTable
        title="By fibre"
        groups={by(({ fibreId }) => (fibreId === null ? null : fibreName(fibreId)))}
      />
      <GroupTable
        title="By month"
        groups={by(({ date }) => date.slice(0, 7)).map(({ name, good }) => ({
          name: monthWords(`${name}-01`),
          good,
        }))}
      />
    </>
  );
}

function GroupTable({ title, groups }: { title: string; groups: readonly Group[] }) {
  if (groups.length === 0) return null;
  return (
    <table className={learnt.changes}>
      <thead>
        <tr>
          <th scope="col">{title}</th>
          <th scope="col">Weighings</th>
          <th scope="col">In their range</th>
          <th scope="col">Half within</th>
          <th scope="col">Found over estimated</th>
        </tr>
      </thead>
      <tbody>
        {groups.map(({ name, good: { count, inside, typicalOff, lean } }) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td>{count}</td>
            <td>
              {inside} of {count}
            </td>
            <td>{typicalOff === null ? '–' : `${Math.round(typicalOff * 100)} %`}</td>
            <td>{lean === null ? '–' : `${Math.round(lean * 100)} %`}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
