import { type NamedRun, type RunInput, shortOfPlan, takingsOfPlan, uncountedOfPlan } from '@lanakit/core';
import { Button } from 'antd';
import { type ReactNode, useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { ApiProblem, send } from '../api/client.ts';
import { refresh, useRevisions, useRun, useTray } from '../api/resources.ts';
import { SaveMark } from '../draft/SaveMark.tsx';
import { drawPattern } from '../figure/pieces.ts';
import { FigureStrip } from '../figure/FigureStrip.tsx';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { useNotice } from '../shell/Notice.tsx';
import { InTopBar } from '../shell/TopSlot.tsx';
import { counted, showDay, showLikely, showWeighed } from '../words/show.ts';
import { HowSure } from './HowSure.tsx';
import { PortionsTable } from './PortionsTable.tsx';
import { RunConflict } from './RunConflict.tsx';
import { runProblems, RunFields } from './RunFields.tsx';
import { WhoComes } from './WhoComes.tsx';
import styles from './RunPage.module.css';
import { useRunDraft, type RunDraft } from './useRunDraft.ts';
import { useRunKit } from './useRunKit.ts';
import { useRunPlan, type RunPlan } from './useRunPlan.ts';

export function RunPage() {
  const { id = '' } = useParams();
  return <OpenRun key={id} id={id} />;
}

function OpenRun({ id }: { id: string }) {
  const { data, error } = useRun(id);
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!data) return <Loading error={error} />;
  return <RunTable run={data} />;
}

/** A class: who comes, what each gets, what the shelf says to it. */
function RunTable({ run }: { run: NamedRun }) {
  const draft = useRunDraft(run);
  const { data: revisions } = useRevisions();
  const runPlan = useRunPlan(run.id, draft.input);
  const { input } = draft;
  return (
    <main className={styles.page}>
      <InTopBar>
        <SaveMark state={draft.saveState} />
      </InTopBar>
      <header className={`sheet ${styles.header}`}>
        <h1>{input.name || 'Unnamed class'}</h1>
        <div className={styles.headFact}>
          <b>{input.date ? showDay(input.date) : 'No day yet'}</b>
          <span className="quiet small">
            {counted(input.seats, 'seat')}, {counted(input.sparePacks, 'spare pack')}
          </span>
        </div>
        {runPlan.kind === 'plan' && (
          <div className={styles.headFact}>
            <Link to={`/patterns/${runPlan.revision.patternId}`}>{runPlan.revision.document.title}</Link>
            <span className="quiet small">revision {runPlan.revision.number}, as published</span>
          </div>
        )}
        <div className={styles.actions}>
          <SheetLink runId={run.id} draft={draft} sheet="needles">
            Needles
          </SheetLink>
          <SheetLink runId={run.id} draft={draft} sheet="weigh-out" isPrimary>
            Weigh-out sheet
          </SheetLink>
          <SheetLink runId={run.id} draft={draft} sheet="packs">
            Pack sheets
          </SheetLink>
        </div>
      </header>
      <LineOfStates runPlan={runPlan} draft={draft}>
        <NeedleState runId={run.id} input={input} />
      </LineOfStates>
      <div className={styles.columns}>
        <section className={`sheet ${styles.who}`} aria-label="Who and how">
          {runPlan.kind === 'plan' && <WhoComes runPlan={runPlan} draft={draft} />}
          <h2 className={styles.how}>The class</h2>
          <RunFields
            input={input}
            revisions={revisions?.items ?? []}
            problemAt={runProblems(input, true).at}
            onChange={draft.change}
          />
          {runPlan.kind === 'plan' && <RunFigure runPlan={runPlan} />}
          <DeleteRun run={run} draft={draft} />
        </section>
        <section className={`sheet ${styles.portions}`} aria-label="Portions">
          {runPlan.kind === 'plan' ? (
            <>
              <PortionsTable runPlan={runPlan} input={input} />
              <HowSure runPlan={runPlan} draft={draft} />
            </>
          ) : runPlan.kind === 'impossible' ? (
            <p className={styles.note}>Mend what is marked beside this; the portions follow.</p>
          ) : (
            <Loading error={runPlan.error} />
          )}
        </section>
      </div>
      <RunConflict draft={draft} />
    </main>
  );
}

function RunFigure({ runPlan: { revision, wool } }: { runPlan: RunPlan & { kind: 'plan' } }) {
  const pieces = useMemo(() => drawPattern(revision.document, wool), [revision, wool]);
  return (
    <div className={styles.figure}>
      <FigureStrip pieces={pieces} width={286} height={130} />
    </div>
  );
}

interface SheetLinkProps {
  runId: string;
  draft: RunDraft;
  sheet: 'weigh-out' | 'packs' | 'needles';
  isPrimary?: boolean;
  children: string;
}

/** Sheets are made from what is saved, so saving comes first. */
function SheetLink({ runId, draft, sheet, isPrimary = false, children }: SheetLinkProps) {
  const navigate = useNavigate();
  const say = useNotice();
  const open = async () => {
    if (await draft.settle()) await navigate(`/runs/${runId}/${sheet}`);
    else say({ text: 'The newest changes are not saved yet; the sheet waits for them.', isProblem: true });
  };
  return (
    <Button type={isPrimary ? 'primary' : 'default'} onClick={() => void open()}>
      {children}
    </Button>
  );
}

function LineOfStates({
  runPlan,
  draft: { input },
  children,
}: {
  runPlan: RunPlan;
  draft: RunDraft;
  children: ReactNode;
}) {
  const plan = runPlan.kind === 'plan' ? runPlan.plan : null;
  const short = plan ? shortOfPlan(plan) : [];
  const uncounted = plan ? uncountedOfPlan(plan) : [];
  const fibreCount = plan ? takingsOfPlan(plan).size : 0;
  const name = (fibreId: string) =>
    runPlan.kind === 'plan' ? (runPlan.shelf.get(fibreId)?.name ?? 'a fibre') : '';
  return (
    <ol className={`sheet ${styles.line}`} aria-label="How far it is">
      <li>
        <h2>Who</h2>
        <span>
          {counted(input.seats + input.sparePacks, 'pack')} for {counted(input.seats, 'seat')}
        </span>
        {runPlan.kind === 'plan' && <Undecided runPlan={runPlan} seats={input.seats} />}
      </li>
      <li>
        <h2>One pack</h2>
        {plan?.groups.length === 1 && plan.groups[0] ? (
          <span>
            {showLikely(plan.groups[0].plan.packG)} in {counted(fibreCount, 'fibre')}
          </span>
        ) : (
          <span>
            {plan ? `${counted(plan.groups.length, 'sort')} of pack, ${counted(fibreCount, 'fibre')}` : '–'}
          </span>
        )}
      </li>
      <li>
        <h2>The class</h2>
        <span>{plan ? `${showWeighed(plan.classG, input.scaleStepG)} to weigh out` : '–'}</span>
      </li>
      <li>
        <h2>Stock</h2>
        {short.map((fibre) => (
          <span key={fibre.fibreId} className="red">
            {showWeighed(fibre.shortG, input.scaleStepG)} {name(fibre.fibreId)} short
          </span>
        ))}
        {uncounted.map((fibreId) => (
          <span key={fibreId} className="red">
            {name(fibreId)} not counted
          </span>
        ))}
        {plan && short.length + uncounted.length === 0 && <span className="leaf">enough of everything</span>}
      </li>
      {children}
    </ol>
  );
}

/** How many have said what they make, where there is anything to say. */
function Undecided({
  runPlan: { groups, revision },
  seats,
}: {
  runPlan: RunPlan & { kind: 'plan' };
  seats: number;
}) {
  const { options, colourways, swaps } = revision.document;
  const open = groups.reduce((sum, { undecided }) => sum + undecided.length, 0);
  if (options.length + colourways.length + swaps.length === 0) return null;
  return (
    <span className={open > 0 ? 'amber' : 'leaf'}>
      {seats - open} of {seats} have chosen
    </span>
  );
}

/** What needles it takes, what is to buy, and what has not come back. */
function NeedleState({ runId, input }: { runId: string; input: RunInput }) {
  const { own } = useRunKit(input);
  const lines = useTray(runId).data?.lines ?? [];
  const missing = lines.reduce((sum, line) => sum + line.missing, 0);
  const stillOut = lines.reduce((sum, line) => sum + line.stillOut, 0);
  const toBuy = own?.kit.lines.reduce((sum, line) => sum + (line.toBuy ?? 0), 0) ?? 0;
  const total = own?.kit.lines.reduce((sum, line) => sum + line.total, 0) ?? 0;
  return (
    <li>
      <h2>Needles</h2>
      {missing > 0 ? (
        <span className="red">
          <Link to={`/runs/${runId}/tray`}>{counted(missing, 'needle')} missing</Link>
        </span>
      ) : stillOut > 0 ? (
        <span>
          <Link to={`/runs/${runId}/tray`}>{stillOut} still out</Link>
        </span>
      ) : (
        <span>
          {total} in all
          {toBuy > 0 ? <b className="red">, {toBuy} to buy</b> : ', all there'}
        </span>
      )}
    </li>
  );
}

function DeleteRun({ run, draft }: { run: NamedRun; draft: RunDraft }) {
  const navigate = useNavigate();
  const say = useNotice();
  const remove = async () => {
    try {
      await draft.settle();
      await send('DELETE', `/runs/${run.id}`, { version: draft.version() });
      await navigate('/runs');
      await refresh('/runs', '/bench');
      const undo = async () => {
        await send('POST', `/runs/${run.id}/restore`);
        await refresh('/runs', '/bench');
      };
      say({ text: `“${draft.input.name}” is deleted.`, undo: () => void undo() });
    } catch (error) {
      say({ text: error instanceof Error ? error.message : String(error), isProblem: true });
    }
  };
  return (
    <Button size="small" danger onClick={() => void remove()}>
      Delete this class
    </Button>
  );
}
