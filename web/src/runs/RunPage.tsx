import type { OpenedRun } from '@lanakit/core/api';
import type { RunInput } from '@lanakit/core/run';
import { Segmented } from 'antd';
import { lazy, Suspense, useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useRun } from '../api/queries.ts';
import { SaveMark } from '../draft/SaveMark.tsx';
import { useUndoKeys } from '../draft/useUndoKeys.ts';
import { figureLook } from '@lanakit/core/figure';
import { FigureStrip } from '../figure/FigureStrip.tsx';
import { Loading, StillLoading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { InTopBar } from '../shell/TopSlot.tsx';
import { counted, showDay } from '../words/show.ts';
import { Boxes } from './Boxes.tsx';
import { CostSheet } from './CostSheet.tsx';
import { OtherThanPlanned } from './OtherThanPlanned.tsx';
import { FindingsTable } from './FindingsTable.tsx';
import { HowSure } from './HowSure.tsx';
import { PackGrid } from './PackGrid.tsx';
import { PortionsTable } from './PortionsTable.tsx';
import { RightsNote } from './RightsNote.tsx';
import { RunConflict } from './RunConflict.tsx';
import { runProblems, RunFields } from './RunFields.tsx';
import { RunDesigns } from './RunDesigns.tsx';
import { CopyRun, DeleteRun, ForgetPeople, RunHistory } from './RunEnds.tsx';
import styles from './RunPage.module.css';
import { RunPapers, SheetLink } from './RunPapers.tsx';
import { RunStates } from './RunStates.tsx';
import { StateButtons } from './StateButtons.tsx';
import { RunTerms } from './RunTerms.tsx';
import { SinceOpened } from './SinceOpened.tsx';
import { HelperRun } from './HelperRun.tsx';
import { useRole } from '../shell/useRole.ts';
import { useRunDraft, type RunDraft } from './useRunDraft.ts';
import { useRunKit } from './useRunKit.ts';
import { type ShownRun, type Planned, useRunPlan } from './useRunPlan.ts';
import { WhoComes } from './WhoComes.tsx';

/** Comes after the numbers: the rules of the review need not be loaded before them. */
const OpenRemarks = lazy(async () => ({ default: (await import('./OpenRemarks.tsx')).OpenRemarks }));

export function RunPage() {
  const { id = '' } = useParams();
  return <OpenRun key={id} id={id} />;
}

function OpenRun({ id }: { id: string }) {
  const { data, error, mutate } = useRun(id);
  const isOwner = useRole().role === 'owner';
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!data) return <Loading error={error} />;
  if (!isOwner) return <HelperRun run={data} />;
  // Taken up anew whenever its numbers were: the draft goes on from that version.
  return <RunTable key={`${data.state} ${data.frozen?.at ?? ''}`} run={data} onMoved={() => mutate()} />;
}

interface RunTableProps {
  run: OpenedRun;
  onMoved: () => Promise<unknown>;
}

/** A class or a batch of kits: who, what each gets, how far it is, what the shelf says to it. */
function RunTable({ run, onMoved }: RunTableProps) {
  const draft = useRunDraft(run);
  const runPlan = useRunPlan(run.id, draft.input, run.frozen);
  const { input } = draft;
  useUndoKeys(draft);
  const isKits = input.kind === 'kits';
  return (
    <main className={styles.page}>
      <InTopBar>
        {draft.undoLabel !== null && (
          <span className="quiet small">Ctrl Z takes back: {draft.undoLabel}</span>
        )}
        <SaveMark state={draft.saveState} />
      </InTopBar>
      <header className={`sheet ${styles.header}`}>
        <h1>{input.name || (isKits ? 'Unnamed batch' : 'Unnamed class')}</h1>
        <div className={styles.headFact}>
          <b>{input.date ? showDay(input.date) : 'No day yet'}</b>
          <span className="quiet small">
            {counted(input.seats, isKits ? 'box' : 'seat', isKits ? 'boxes' : 'seats')}
          </span>
        </div>
        <RunDesigns run={run} draft={draft} />
        <div className={styles.actions}>
          <StateButtons run={run} draft={draft} onMoved={onMoved} />
          {!isKits && (
            <>
              <SheetLink runId={run.id} draft={draft} sheet="day">
                The day
              </SheetLink>
              <SheetLink runId={run.id} draft={draft} sheet="class">
                Teach
              </SheetLink>
            </>
          )}
          <SheetLink runId={run.id} draft={draft} sheet="weigh-out" isPrimary>
            Weigh out
          </SheetLink>
          <SheetLink runId={run.id} draft={draft} sheet="packing">
            Pack
          </SheetLink>
          <RunPapers run={run} draft={draft} />
        </div>
      </header>
      {runPlan.kind === 'plan' && (
        <RunStates
          run={run}
          runPlan={runPlan}
          draft={draft}
          needles={isKits ? null : <NeedleState runId={run.id} input={input} />}
        />
      )}
      <div className={styles.columns}>
        <Side run={run} draft={draft} live={runPlan.kind === 'plan' ? runPlan.live : null} />
        <section className={`sheet ${styles.portions}`} aria-label="Portions">
          {runPlan.kind === 'plan' ? (
            <Tabs run={run} runPlan={runPlan} draft={draft} onMoved={onMoved} />
          ) : runPlan.kind === 'impossible' ? (
            <p className={styles.note}>Mend what is marked beside this; the portions follow.</p>
          ) : (
            <StillLoading error={runPlan.error} />
          )}
        </section>
      </div>
      <RunConflict draft={draft} />
    </main>
  );
}

interface SideProps {
  run: OpenedRun;
  draft: RunDraft;
  live: ShownRun | null;
}

/** Who or which boxes, and how they are packed. */
function Side({ run, draft, live }: SideProps) {
  const designs = useMemo(
    () => new Map([...(live?.revisions ?? [])].map(([id, { document }]) => [id, document])),
    [live],
  );
  const isKits = draft.input.kind === 'kits';
  return (
    <section className={`sheet ${styles.who}`} aria-label="Who and how">
      {isKits ? (
        <Boxes runId={run.id} draft={draft} designs={designs} />
      ) : (
        live && <WhoComes runId={run.id} runPlan={live} draft={draft} />
      )}
      <h2 className={styles.how}>{isKits ? 'The batch' : 'The class'}</h2>
      <RightsNote input={draft.input} designs={designs} onChange={draft.change} />
      {live && (
        <Suspense fallback={null}>
          <OpenRemarks designs={designs} live={live} />
        </Suspense>
      )}
      <RunFields input={draft.input} problemAt={runProblems(draft.input, true).at} onChange={draft.change} />
      {live && !isKits && <RunFigure runPlan={live} />}
      <div className={styles.ends}>
        <CopyRun run={run} draft={draft} />
        <RunHistory run={run} draft={draft} />
        <ForgetPeople run={run} draft={draft} />
        <DeleteRun run={run} draft={draft} />
      </div>
    </section>
  );
}

function RunFigure({ runPlan: { revision, wool } }: { runPlan: ShownRun }) {
  const figure = useMemo(() => figureLook(revision.document, wool), [revision, wool]);
  return (
    <div className={styles.figure}>
      <FigureStrip figure={figure} width={286} height={130} />
    </div>
  );
}

const TABS = {
  portions: 'Portions',
  packs: 'Pack by pack',
  findings: 'Findings',
  terms: 'Bags and extras',
  cost: 'Cost',
};
type Tab = keyof typeof TABS;

interface TabsProps extends RunTableProps {
  runPlan: Planned;
  draft: RunDraft;
}

function Tabs({ run, runPlan, draft, onMoved }: TabsProps) {
  const [params, setParams] = useSearchParams();
  const asked = params.get('look') as Tab | null;
  const tab: Tab = asked && asked in TABS ? asked : 'portions';
  return (
    <>
      <div className={styles.tabs}>
        <Segmented<Tab>
          aria-label="What of the run"
          value={tab}
          options={(Object.keys(TABS) as Tab[]).map((value) => ({ value, label: TABS[value] }))}
          onChange={(look) => setParams(look === 'portions' ? {} : { look }, { replace: true })}
        />
      </div>
      {!run.frozen && <SinceOpened live={runPlan.live} />}
      <OtherThanPlanned run={run} runPlan={runPlan} draft={draft} onMoved={onMoved} />
      {tab === 'portions' && (
        <>
          <PortionsTable runPlan={runPlan} input={runPlan.input} />
          <HowSure runPlan={runPlan.live} draft={draft} />
        </>
      )}
      {tab === 'packs' && <PackGrid runPlan={runPlan} />}
      {tab === 'findings' && <FindingsTable runPlan={runPlan} draft={draft} />}
      {tab === 'terms' && <RunTerms runId={run.id} runPlan={runPlan.live} draft={draft} />}
      {tab === 'cost' && <CostSheet runId={run.id} runPlan={runPlan} draft={draft} />}
    </>
  );
}

/** What needles it takes, and what is to buy. */
function NeedleState({ runId, input }: { runId: string; input: RunInput }) {
  const { kitOfRun: classKit } = useRunKit(runId, input);
  if (!classKit) return <Link to={`/runs/${runId}/needles`}>needles, not read yet</Link>;
  const toBuy = classKit.kit.lines.reduce((sum, line) => sum + (line.toBuy ?? 0), 0);
  const total = classKit.kit.lines.reduce((sum, line) => sum + line.total, 0);
  return (
    <span>
      <Link to={`/runs/${runId}/needles`}>{counted(total, 'needle')}</Link>
      {toBuy > 0 && <b className="red">, {toBuy} to buy</b>}
    </span>
  );
}
