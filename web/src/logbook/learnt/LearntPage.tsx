import type { LearningState } from '@lanakit/core/api';
import { useLearning } from '../../api/queries.ts';
import { factorWords, moreOrLess, narrowedWords } from '../../words/logbookWords.ts';
import { timeWords } from '../../words/days.ts';
import { counted, showDay, showGrams } from '../../words/show.ts';
import { BookFrame } from '../BookFrame.tsx';
import { useFibreName } from '../useFibreName.ts';
import book from '../Logbook.module.css';
import { AllEvidence } from './AllEvidence.tsx';
import { Breakages } from './Breakages.tsx';
import { HowLong } from './HowLong.tsx';
import { NarrowingChart } from './NarrowingChart.tsx';
import { TakeIt } from './TakeIt.tsx';
import type { ToldState } from './toldState.ts';

/** What all pages teach together: what is in force, what taking it would change, and every weighing it rests on. */
export function LearntPage() {
  const { data: state, error } = useLearning();
  const fibreName = useFibreName();
  return (
    <BookFrame isWaiting={!state || !fibreName} error={error}>
      {state && fibreName && <Told state={state} fibreName={fibreName} />}
    </BookFrame>
  );
}

const Told = ({ state, fibreName }: ToldState) => (
  <article className={`sheet ${book.notebook}`} aria-label="What was learnt">
    <header>
      <h2>What was learnt</h2>
      <p className="quiet">
        {state.takenAt === null
          ? 'Nothing is in force yet: every pattern still reckons as before anything was weighed.'
          : `In force since ${showDay(state.takenAt.slice(0, 10))}, in every pattern with these wools.`}
      </p>
      <TakenBefore taken={state.taken} />
    </header>
    <TakeIt state={state} fibreName={fibreName} />
    <Rows state={state} fibreName={fibreName} />
    <Hands state={state} />
    <Breakages state={state} />
    <AllEvidence state={state} fibreName={fibreName} />
    <HowLong state={state} />
  </article>
);

const TIMES = new Set(['pace', 'act', 'skill']);

function Rows({ state, fibreName }: ToldState) {
  if (state.rows.length === 0) return null;
  const wool = state.rows.filter(({ of }) => !TIMES.has(of.kind));
  const time = state.rows.filter(({ of }) => TIMES.has(of.kind));
  return (
    <>
      <RowGroup name="Wool" rows={wool} fibreName={fibreName} />
      <RowGroup name="Time" rows={time} fibreName={fibreName} />
    </>
  );
}

interface RowGroupProps {
  name: string;
  rows: LearningState['rows'];
  fibreName: (id: string) => string;
}

function RowGroup({ name, rows, fibreName }: RowGroupProps) {
  if (rows.length === 0) return null;
  return (
    <section aria-label={name}>
      <h3>{name}</h3>
      <NarrowingChart rows={rows} nameOf={({ of }) => factorWords(of, fibreName)} />
      <details>
        <summary>In words</summary>
        <ul className={book.said}>
          {rows.map(({ key, of, before, now }) => (
            <li key={key}>
              <b>{factorWords(of, fibreName)}</b>: {moreOrLess(now.factor)}; {narrowedWords(before, now)}
            </li>
          ))}
        </ul>
      </details>
    </section>
  );
}

function Hands({ state }: { state: LearningState }) {
  if (state.hands.length === 0) return null;
  return (
    <section aria-label="Hand measures">
      <h3>Your fingers</h3>
      <ul className={book.said}>
        {state.hands.map(({ name, massG, samples }) => (
          <li key={name}>
            <b>One {name}</b>: {showGrams(massG)}, from {counted(samples, 'weighing')}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What was in force before, and since when. */
function TakenBefore({ taken }: { taken: LearningState['taken'] }) {
  if (taken.length < 2) return null;
  return (
    <details className={book.notOnPaper}>
      <summary>Taken {counted(taken.length, 'time')}</summary>
      <ul className={book.said}>
        {taken.map(({ takenAt, evidence }, at) => (
          <li key={takenAt}>
            {showDay(takenAt.slice(0, 10))}, {timeWords(takenAt)}: {counted(evidence, 'weighing')}
            {at === 0 && ', in force'}
          </li>
        ))}
      </ul>
    </details>
  );
}
