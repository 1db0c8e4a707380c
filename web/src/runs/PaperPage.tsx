import { apiPath } from '../api/studio.ts';
import type { OpenedRun } from '@lanakit/core/api';
import {
  cellWords,
  makePaper,
  type Paper,
  PAPER_NAMES,
  paperSource,
  type PaperName,
  type PaperRow,
  type PaperSection,
  MOST_TICK_BOXES,
} from '@lanakit/core/papers';
import { isOffShelf } from '@lanakit/core/run';
import { Button, Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useBlends, useNeedleEvidence, useNeedles, useTools, useRun, useWool } from '../api/queries.ts';
import { Loading } from '../shell/Loading.tsx';
import { useRole } from '../shell/useRole.ts';
import { NotFound } from '../shell/NotFound.tsx';
import { LabelFields, useLabelSheet } from './LabelFields.tsx';
import { PaperSwatch } from './PaperLabel.tsx';
import styles from './Paper.module.css';
import sheets from '../ui/Sheets.module.css';
import { runInputOf } from './useRunDraft.ts';
import { designsOf, type Planned, useRunPlan } from './useRunPlan.ts';

/** A paper of a run as it will lie on the table, to print from here or to take as a file. */
export function PaperPage() {
  const { id = '', name = '' } = useParams();
  const { data, error } = useRun(id);
  const paperName = PAPER_NAMES.find((candidate) => candidate === name);
  if (!paperName || (error instanceof ApiProblem && error.problem.status === 404)) return <NotFound />;
  if (!data) return <Loading error={error} />;
  return <OnPaper key={paperName} run={data} name={paperName} />;
}

function OnPaper({ run, name }: { run: OpenedRun; name: PaperName }) {
  const input = useMemo(() => runInputOf(run), [run]);
  const runPlan = useRunPlan(run.id, input, run.frozen);
  if (runPlan.kind !== 'plan')
    return <Loading error={runPlan.kind === 'loading' ? runPlan.error : undefined} />;
  return <Laid run={run} name={name} runPlan={runPlan} />;
}

type Page = 'a4' | 'letter';

function Laid({ run, name, runPlan }: { run: OpenedRun; name: PaperName; runPlan: Planned }) {
  const [page, setPage] = useState<Page>('a4');
  const labels = useLabelSheet(page);
  const isOwner = useRole().role === 'owner';
  const { paper, error } = usePaper(run, name, runPlan);
  if (!paper) return <Loading error={error} />;
  const base = apiPath(`/runs/${run.id}/papers/${name}`);
  const query = name === 'labels' ? labels.query : `page=${page}`;
  const isWrong = name === 'labels' && labels.problems.length > 0;
  return (
    <main className={sheets.desk}>
      <div className={`${sheets.tools} no-print`}>
        <Link to={`/runs/${run.id}`}>← {run.name}</Link>
        <Segmented<Page>
          aria-label="Page"
          value={page}
          options={[
            { value: 'a4', label: 'A4' },
            { value: 'letter', label: 'Letter' },
          ]}
          onChange={setPage}
        />
        <span className={styles.files}>
          {isOwner && (
            <>
              <a href={`${base}/csv`} download>
                CSV
              </a>
              <a href={`${base}/xlsx`} download>
                Workbook
              </a>
              <a href={apiPath(`/runs/${run.id}/json`)} download>
                JSON of the run
              </a>
            </>
          )}
          <Button disabled={isWrong} onClick={() => window.print()}>
            Print
          </Button>
          {isOwner && (
            <Button type="primary" href={`${base}/pdf?${query}`} disabled={isWrong} download>
              PDF
            </Button>
          )}
        </span>
      </div>
      {name === 'labels' ? (
        <LabelFields state={labels} paper={paper} base={isOwner ? base : null} runId={run.id} />
      ) : (
        <PaperSheet paper={paper} />
      )}
    </main>
  );
}

/** The same paper as the server sets, from what is on the screen. */
function usePaper(
  run: OpenedRun,
  name: PaperName,
  runPlan: Planned,
): { readonly paper: Paper | null; readonly error: Error | undefined } {
  const [shelfBlends, shelfNeedles] = [useBlends(), useNeedles()];
  const blends = shelfBlends.data;
  const needles = shelfNeedles.data;
  const tools = useTools().data;
  const evidence = useNeedleEvidence().data;
  const { wool: shelf, isReady } = useWool();
  const paper = useMemo(() => {
    if (!blends || !needles || !tools || !evidence || !isReady) return null;
    const { revisions, promised } = runPlan;
    const source = paperSource(runPlan, {
      runId: run.id,
      designs: designsOf(revisions),
      shelf,
      blends: blends.items,
      needles: needles.items,
      tools: tools.items,
      evidence: evidence.items,
      promised,
      revisionNumbers: new Map([...revisions].map(([id, { number }]) => [id, number])),
      isPacked: isOffShelf(run.state),
      dayPlan: run.plan,
    });
    return makePaper(name, source);
  }, [name, runPlan, blends, needles, tools, evidence, shelf, isReady, run.id, run.state, run.plan]);
  return { paper, error: shelfBlends.error ?? shelfNeedles.error };
}

function PaperSheet({ paper }: { paper: Paper }) {
  return (
    <article className={sheets.paper}>
      <header className={styles.head}>
        <h1>{paper.title}</h1>
        {paper.head.map((line) => (
          <p key={line}>{line}</p>
        ))}
      </header>
      {paper.sections.map((section, at) => (
        <Section key={at} paperSection={section} />
      ))}
      <footer className={sheets.paperFoot}>{paper.foot}</footer>
    </article>
  );
}

function Section({ paperSection }: { paperSection: PaperSection }) {
  return (
    <section className={styles.section}>
      <h2>
        {paperSection.swatch && <PaperSwatch swatch={paperSection.swatch} width={44} height={16} />}{' '}
        {paperSection.title}
        <span>{paperSection.aside}</span>
      </h2>
      {paperSection.notes.map((line) => (
        <p key={line} className={styles.note}>
          {line}
        </p>
      ))}
      {paperSection.rows.length > 0 && (
        <table className={paperSection.isLarge ? styles.large : ''}>
          <thead>
            <tr>
              <th scope="col">
                <span className="visually-hidden">to tick</span>
              </th>
              {paperSection.columns.map(({ title, align }) => (
                <th key={title} scope="col" style={{ textAlign: align }}>
                  {title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {paperSection.rows.map((line, at) => (
              <Line key={at} line={line} paperSection={paperSection} />
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function Line({ line, paperSection }: { line: PaperRow; paperSection: PaperSection }) {
  const noteAt = Math.max(
    0,
    paperSection.columns.findIndex(({ isWide }) => isWide),
  );
  return (
    <tr>
      <td className={styles.boxes}>
        {line.swatch && <PaperSwatch swatch={line.swatch} width={30} height={12} />}
        {Array.from({ length: Math.min(line.ticks, MOST_TICK_BOXES) }, (_, at) => (
          <span key={at} className={sheets.box} />
        ))}
      </td>
      {paperSection.columns.map(({ title, align }, at) => (
        <td key={title} style={{ textAlign: align }} className={align === 'right' ? styles.number : ''}>
          {line.cells[at] && cellWords(line.cells[at])}
          {at === noteAt && line.note && <small>{line.note}</small>}
        </td>
      ))}
    </tr>
  );
}
