import type { RunInput } from '@lanakit/core';
import { Button } from 'antd';
import { useMemo, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useRun } from '../api/resources.ts';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { counted, showDay } from '../words/show.ts';
import { extraWords } from './groupWords.ts';
import styles from './Sheets.module.css';
import { runInputOf } from './useRunDraft.ts';
import { useRunPlan, type RunPlan } from './useRunPlan.ts';

interface PaperPageProps {
  title: string;
  children: (runPlan: RunPlan & { kind: 'plan' }, input: RunInput) => ReactNode;
}

/** A sheet of a class as it will lie on paper, with its heading and the way to print it. */
export function PaperPage({ title, children }: PaperPageProps) {
  const { id = '' } = useParams();
  const { data: run, error } = useRun(id);
  const input = useMemo(() => (run ? runInputOf(run) : null), [run]);
  const runPlan = useRunPlan(id, input);
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!run || !input || runPlan.kind !== 'plan') {
    return <Loading error={error ?? (runPlan.kind === 'loading' ? runPlan.error : undefined)} />;
  }
  const { revision, plan } = runPlan;
  return (
    <main className={styles.desk}>
      <div className={`${styles.tools} no-print`}>
        <Link to={`/runs/${id}`}>← {run.name}</Link>
        <span className="quiet small">A4 or Letter, black and white will do</span>
        <Button type="primary" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <article className={styles.paper}>
        <header className={styles.paperHead}>
          <h1>{title}</h1>
          <p>
            <b>{run.name}</b>, {showDay(run.date)}: {counted(run.seats, 'seat')},{' '}
            {counted(run.sparePacks, 'spare pack')}
            <br />
            {revision.document.title}, revision {revision.number}. {capital(extraWords(run))}, to{' '}
            {run.scaleStepG} g.
          </p>
        </header>
        {plan.unknownCount > 0 && <p className="red">At least: {plan.unknownCount} amounts are unknown.</p>}
        {children(runPlan, input)}
        <footer className={styles.paperFoot}>
          Barbed needles are sharp and break: look at the work, pad beneath it. Wool and dyes: ask about
          allergies.
        </footer>
      </article>
    </main>
  );
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
