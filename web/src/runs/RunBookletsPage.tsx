import type { OpenedRun } from '@lanakit/core/api';
import { runBooklets, type RunBookletsAsked } from '@lanakit/core/papers';
import { Button, Progress, Segmented, Select } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { ApiProblem, errorWords } from '../api/client.ts';
import { useNeedles, useRun } from '../api/queries.ts';
import { apiPath } from '../api/studio.ts';
import { BookletFields } from '../booklet/BookletFields.tsx';
import { type BookletChoice, keepChoice, lastChoice } from '../booklet/bookletTerms.ts';
import styles from '../booklet/Booklet.module.css';
import { PdfPreview } from '../booklet/PdfPreview.tsx';
import { type LongPdfState, useLongPdf } from '../booklet/useLongPdf.ts';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { showSize } from '../words/keepingWords.ts';
import { counted } from '../words/show.ts';
import { seatName, seatsOf } from '@lanakit/core/run';
import { runInputOf } from './useRunDraft.ts';
import { designsOf, type Planned, useRunPlan } from './useRunPlan.ts';

/** Booklets of a run: of every pack its own with what lies in its bag, or each kind once, all in one file. */
export function RunBookletsPage() {
  const { id = '' } = useParams();
  const { data, error } = useRun(id);
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  return data ? <OfRun run={data} /> : <Loading error={error} />;
}

function OfRun({ run }: { run: OpenedRun }) {
  const asked = useMemo(() => runInputOf(run), [run]);
  const runPlan = useRunPlan(run.id, asked, run.frozen);
  const needles = useNeedles();
  if (runPlan.kind !== 'plan' || !needles.data)
    return <Loading error={runPlan.kind === 'loading' ? runPlan.error : needles.error} />;
  return <OfPlan run={run} runPlan={runPlan} needles={needles.data.items} />;
}

/** Counted alone, no booklet names any other pattern. */
const NONE_AROUND = new Map<string, never>();

type Which = 'packs' | 'kinds';

interface OfPlanProps {
  run: OpenedRun;
  runPlan: Planned;
  needles: Parameters<typeof runBooklets>[0]['needles'];
}

function OfPlan({ run, runPlan, needles }: OfPlanProps) {
  const [choice, setChoice] = useState(() => lastChoice(`run ${run.id}`, 'teach'));
  const [which, setWhich] = useState<Which>('packs');
  const [shown, setShown] = useState(1);
  const change = (next: BookletChoice) => {
    setChoice(next);
    keepChoice(`run ${run.id}`, next);
  };
  const { revisions, input } = runPlan;
  const booklets = useMemo(() => {
    const facts = { designs: designsOf(revisions), packed: runPlan, needles, surroundings: NONE_AROUND, revisionNumbers: new Map([...revisions].map(([id, { number }]) => [id, number])) };
    const asked: RunBookletsAsked = { of: which };
    return runBooklets(facts, choice.terms, asked);
  }, [runPlan, revisions, needles, choice.terms, which]); // prettier-ignore
  const at = (of: string) =>
    apiPath(
      `/runs/${run.id}/booklets/pdf?${new URLSearchParams({ terms: JSON.stringify(choice.terms), of }).toString()}`,
    );
  const packs =
    input.kind === 'kits'
      ? Array.from({ length: input.seats }, (_each, place) => `Box ${place + 1}`)
      : seatsOf(input).map(seatName);
  return (
    <main className={styles.page}>
      <section className={`sheet ${styles.choices}`} aria-label="How they are set">
        <Link to={`/runs/${run.id}`}>← {run.name}</Link>
        <h1>Booklets of the run</h1>
        <p className="quiet">As each pack is made, with what lies in its bag.</p>
        <Segmented<Which>
          block
          aria-label="Which booklets"
          value={which}
          options={[
            { value: 'packs', label: run.kind === 'kits' ? 'every box its own' : 'every seat its own' },
            { value: 'kinds', label: 'each kind once' },
          ]}
          onChange={setWhich}
        />
        <AllOfThem key={at(which)} url={at(which)} count={booklets.booklets.length} name={run.name} />
        <h2>Seen here</h2>
        <Select<number>
          aria-label="Whose is seen"
          value={shown}
          options={packs.map((label, place) => ({ value: place + 1, label }))}
          onChange={setShown}
        />
        <BookletFields terms={choice.terms} onTerms={(terms) => change({ ...choice, terms })} />
      </section>
      <PdfPreview url={at(String(shown))} title={packs[shown - 1] ?? run.name} />
    </main>
  );
}

/** Set when asked to, for a class of many takes a while: how far it has come, and how to stop. */
function AllOfThem({ url, count, name }: { url: string; count: number; name: string }) {
  const { state, begin, stop } = useLongPdf(url);
  return (
    <div className={styles.ways} aria-busy={state.kind === 'making'}>
      {state.kind === 'made' ? (
        <Button type="primary" href={state.href} download={`${name}, booklets.pdf`}>
          Save {counted(count, 'booklet')} as PDF, {showSize(state.bytes)}
        </Button>
      ) : (
        <Button type="primary" disabled={state.kind === 'making' || count === 0} onClick={begin}>
          Set {counted(count, 'booklet')} into one PDF
        </Button>
      )}
      {state.kind === 'making' && <Button onClick={stop}>Stop</Button>}
      <HowFar state={state} />
    </div>
  );
}

function HowFar({ state }: { state: LongPdfState }) {
  switch (state.kind) {
    case 'none':
    case 'made':
      return null;
    case 'making': {
      const words = state.of === null ? 'Beginning…' : `${state.done} of ${state.of} set`;
      return (
        <div className={styles.far} role="status">
          <Progress
            percent={state.of === null ? 0 : Math.round((100 * state.done) / state.of)}
            showInfo={false}
            aria-label="How far it has come"
          />
          {words}
        </div>
      );
    }
    case 'stopped':
      return <p role="status">Stopped{state.of === null ? '' : ` after ${state.done} of ${state.of}`}. Nothing is kept of it.</p>;
    case 'failed':
      return <p role="alert">{errorWords(state.error)}</p>;
  }
} // prettier-ignore
