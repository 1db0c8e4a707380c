import { trayTotals } from '@lanakit/core/needles';
import type { OpenedRun } from '@lanakit/core/api';
import {
  allMarks,
  type ClassPlan,
  hasChoice,
  isElsewhere,
  packedMark,
  type RoomTool,
  RUN_STATES,
  type RunState,
  shortOfPlan,
  stateAfter,
  thingsShort,
  toolsOfRun,
  uncountedOfPlan,
  undecidedSeats,
  weighedOf,
  weighings,
} from '@lanakit/core/run';
import { joinWords, lengthOfTime, needName } from '@lanakit/core/words';
import { type ReactNode, useMemo } from 'react';
import { Link } from 'react-router';
import { useFindings, useNeedles, useTools, useTray } from '../api/queries.ts';
import { counted, showDay, showLikely, showWeighed } from '../words/show.ts';
import { useTicksHere } from './unsentTicks.ts';
import styles from './RunPage.module.css';
import type { RunDraft } from './useRunDraft.ts';
import { useRunKit } from './useRunKit.ts';
import { designsOf, type Planned } from './useRunPlan.ts';

interface RunStatesProps {
  run: OpenedRun;
  runPlan: Planned;
  draft: RunDraft;
  needles: ReactNode;
}

/** How far a run is, from who to done; what each state still wants stands under it. */
export function RunStates({ run, runPlan, draft, needles }: RunStatesProps) {
  const { input, plan, groups } = runPlan;
  const isKits = draft.input.kind === 'kits';
  const done = useDone(run.id, runPlan);
  const at = RUN_STATES.indexOf(run.state);
  const classOf = (state: RunState) =>
    RUN_STATES.indexOf(state) < at + 1 ? styles.reached : state === stateAfter(run.state) ? styles.next : '';
  return (
    <ol className={`sheet ${styles.line}`} aria-label="How far it is">
      <li className={styles.reached}>
        <h2>{isKits ? 'Boxes' : 'Who'}</h2>
        <span>
          {counted(draft.input.seats, isKits ? 'box' : 'seat', isKits ? 'boxes' : 'seats')}
          {plan.packs > draft.input.seats && `, ${plan.packs} ${isKits ? 'with spares' : 'packs in all'}`}
        </span>
        {!isKits && <Undecided runPlan={runPlan} draft={draft} />}
      </li>
      <li className={styles.reached}>
        <h2>Planned</h2>
        <span>
          {groups.length === 1 && plan.groups[0]
            ? showLikely(plan.groups[0].plan.packG)
            : counted(groups.length, 'sort of pack', 'sorts of pack')}
          , {showWeighed(plan.classG, input.scaleStepG)} in all
        </span>
        <span className="quiet small">
          {run.frozen ? `kept since ${showDay(run.frozen.at.slice(0, 10))}` : ''}
        </span>
      </li>
      <li className={classOf('bought')} aria-current={run.state === 'bought' ? 'step' : undefined}>
        <h2>Bought</h2>
        <Stock runId={run.id} runPlan={runPlan} isOff={at >= RUN_STATES.indexOf('packed')} />
      </li>
      <li className={classOf('weighed')} aria-current={run.state === 'weighed' ? 'step' : undefined}>
        <h2>Weighed</h2>
        <span className={done.weighed === done.toWeigh ? 'leaf' : ''}>
          {done.weighed} of {counted(done.toWeigh, 'weighing')}
        </span>
        {done.other > 0 && <span className="amber">{done.other} weighed for another amount</span>}
      </li>
      <li className={classOf('packed')} aria-current={run.state === 'packed' ? 'step' : undefined}>
        <h2>Packed</h2>
        <span className={done.packed === done.toPack ? 'leaf' : ''}>
          {done.packed} of {counted(done.toPack, 'pack')}
        </span>
        {needles}
      </li>
      <li className={classOf('done')} aria-current={run.state === 'done' ? 'step' : undefined}>
        <h2>{isKits ? 'Sent' : 'The day'}</h2>
        <span>{draft.input.date ? showDay(draft.input.date) : 'no day yet'}</span>
        {!isKits && <DayTimes runId={run.id} plan={draft.input.plan} />}
        <TrayState runId={run.id} />
      </li>
    </ol>
  );
}

const NONE: readonly never[] = [];

/** How much is ticked at the scale and on the table. */
function useDone(runId: string, { plan, packs, shelf, input }: Planned) {
  const { items } = useTicksHere(runId);
  return useMemo(() => {
    const ticks = new Map(items?.map((tick) => [tick.mark, tick]));
    const marks = allMarks(weighings(plan, packs, shelf, input.scaleStepG));
    const { right, other } = weighedOf(marks, ticks);
    return {
      toWeigh: marks.length,
      // Until it is read nobody knows: a nought would be a number.
      weighed: items ? right : '?',
      other,
      toPack: packs.length,
      packed: items ? packs.filter(({ id }) => ticks.get(packedMark(id))?.isDone).length : '?',
    };
  }, [items, plan, packs, shelf, input.scaleStepG]);
}

/** When it is, and the way to whether it will finish. */
function DayTimes({ runId, plan: { sessions } }: { runId: string; plan: ClassPlan }) {
  const [first] = sessions;
  return (
    <Link to={`/runs/${runId}/day`}>
      {first
        ? `${sessions.length > 1 ? `${counted(sessions.length, 'sitting')}, the first ` : ''}${first.startsAt}, ${lengthOfTime(first.minutes)}`
        : 'say when it begins'}
    </Link>
  );
}

/** How many have said what they make, where there is anything to say. */
function Undecided({ runPlan: { revisions }, draft: { input } }: { runPlan: Planned; draft: RunDraft }) {
  const designs = designsOf(revisions);
  if (![...designs.values()].some(hasChoice)) return null;
  const open = undecidedSeats(designs, input);
  return (
    <span className={open > 0 ? 'amber' : 'leaf'}>
      {input.seats - open} of {input.seats} have chosen
      {open > 0 && input.chooseBy && `, by ${showDay(input.chooseBy)}`}
    </span>
  );
}

function Stock({
  runId,
  runPlan: { plan, shelf, input, toPack, wool, promised },
  isOff,
}: {
  runId: string;
  runPlan: Planned;
  isOff: boolean;
}) {
  const needles = useNeedles().data?.items;
  const tools = useTools().data?.items;
  const shelfFindings = useFindings().data?.items;
  const findings = useMemo(
    () => new Map((shelfFindings ?? NONE).map((finding) => [finding.id, finding])),
    [shelfFindings],
  );
  const { kitOfRun: classKit } = useRunKit(runId, input);
  if (isOff) return <span className="leaf">off the shelf</span>;
  if (!needles || !tools || !shelfFindings)
    return <span className="quiet">not all of the shelf read yet</span>;
  const short = shortOfPlan(plan);
  const uncounted = uncountedOfPlan(plan);
  const kit = input.kind === 'class' ? (classKit?.kit ?? null) : null;
  const things = thingsShort(toPack, input, { findings, needles, tools, kit, promised }).length;
  const away = [...new Set(plan.fibres.map(({ fibreId }) => fibreId))].filter(
    (id) => wool.fibres.get(id)?.archived,
  );
  const [first] = short;
  if (away.length > 0 && short.length + uncounted.length + things === 0)
    return <span className="amber">{wool.fibres.get(away[0] ?? '')?.name} was put away since</span>;
  if (short.length + uncounted.length + things === 0)
    return (
      <Enough
        unknown={plan.unknownCount}
        elsewhere={toolsOfRun(toPack, input, tools, promised).filter(isElsewhere)}
      />
    );
  return (
    <>
      {first && (
        <span className="red">
          {showWeighed(first.shortG, input.scaleStepG)} {shelf.get(first.fibreId)?.name ?? 'a fibre'} short
        </span>
      )}
      {short.length + things > (first ? 1 : 0) && (
        <span className="red">
          {first ? 'and ' : ''}
          {counted(short.length - (first ? 1 : 0) + things, 'other thing')} short
        </span>
      )}
      {uncounted.length > 0 && <span className="red">{counted(uncounted.length, 'fibre')} not counted</span>}
    </>
  );
}

/** Nothing is short; tools that the shelf does not keep are nobody’s to count, and are named. */
function Enough({ elsewhere, unknown }: { elsewhere: readonly RoomTool[]; unknown: number }) {
  if (elsewhere.length + unknown === 0) return <span className="leaf">enough of everything</span>;
  return (
    <>
      {unknown > 0 ? (
        <span className="amber">enough of what is known, {counted(unknown, 'amount')} unknown</span>
      ) : (
        <span className="leaf">enough of all the shelf keeps</span>
      )}
      {elsewhere.length > 0 && (
        <span className="quiet small">not on it: {joinWords(elsewhere.map(needName))}</span>
      )}
    </>
  );
}

/** Needles that have not come back. */
function TrayState({ runId }: { runId: string }) {
  const lines = useTray(runId).data?.lines ?? [];
  const { missing, stillOut } = trayTotals(lines);
  if (missing + stillOut === 0) return null;
  return (
    <span className={missing > 0 ? 'red' : ''}>
      <Link to={`/runs/${runId}/tray`}>
        {missing > 0 ? `${counted(missing, 'needle')} missing` : `${stillOut} needles still out`}
      </Link>
    </span>
  );
}
