import type { OpenedRun } from '@lanakit/core/api';
import {
  allMarks,
  inMark,
  notIn,
  type Pack,
  packedMark,
  type PackLine,
  packLines,
  type RunTick,
  type Scanned,
  scannedAt,
  weighings,
} from '@lanakit/core/run';
import { FIBRE_FLAG_WORDS, groupWords, packWords } from '@lanakit/core/words';
import { useMemo, type KeyboardEvent } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useNeedles, useRun } from '../api/queries.ts';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { packLineWords, type PackingNames } from '../words/packingWords.ts';
import { counted } from '../words/show.ts';
import { BoxPhoto } from './BoxPhoto.tsx';
import { ClosePack } from './ClosePack.tsx';
import styles from './Packing.module.css';
import { ScannedCode } from './ScannedCode.tsx';
import { runInputOf } from './useRunDraft.ts';
import { type Planned, useRunPlan } from './useRunPlan.ts';
import { useTicksHere } from './unsentTicks.ts';
import { useRunNews } from './useRunNews.ts';
import { useTickActions } from './useTickActions.ts';

/** The pack in front of one: what goes in, in the order of laying in, and whether all of it is. */
export function PackingPage() {
  const { id = '' } = useParams();
  const { data, error } = useRun(id);
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!data) return <Loading error={error} />;
  return <OfRun run={data} />;
}

function OfRun({ run }: { run: OpenedRun }) {
  const input = useMemo(() => runInputOf(run), [run]);
  const runPlan = useRunPlan(run.id, input, run.frozen);
  useRunNews(run.id);
  const needles = useNeedles();
  const ticks = useTicksHere(run.id);
  const byMark = useMemo(
    () => new Map((ticks.items ?? []).map((runTick) => [runTick.mark, runTick])),
    [ticks.items],
  );
  const all = useMemo(
    () =>
      runPlan.kind === 'plan'
        ? weighings(runPlan.plan, runPlan.packs, runPlan.shelf, runPlan.input.scaleStepG)
        : [],
    [runPlan],
  );
  const lines = useMemo(
    () =>
      runPlan.kind === 'plan' && needles.data
        ? new Map(
            runPlan.packs.map((pack) => [
              pack.id,
              packLines(runPlan, pack, needles.data?.items ?? [], all, byMark),
            ]),
          )
        : null,
    [runPlan, needles.data, all, byMark],
  );
  if (runPlan.kind !== 'plan' || !ticks.items || !lines)
    return (
      <Loading
        error={(runPlan.kind === 'loading' ? runPlan.error : undefined) ?? needles.error ?? ticks.error}
      />
    );
  return (
    <Bench
      run={run}
      runPlan={runPlan}
      lines={lines}
      ticks={byMark}
      unsent={ticks.unsent}
      isWeighing={allMarks(all).length > 0}
    />
  );
}

interface BenchProps {
  run: OpenedRun;
  runPlan: Planned;
  lines: ReadonlyMap<string, readonly PackLine[]>;
  ticks: ReadonlyMap<string, RunTick>;
  unsent: number;
  isWeighing: boolean;
}

const NONE: readonly never[] = [];

function Bench({ run, runPlan, lines, ticks, unsent, isWeighing }: BenchProps) {
  const [params, setParams] = useSearchParams();
  const tick = useTickActions(run.id);
  const { packs } = runPlan;
  const isClosed = ({ id }: Pack) => ticks.get(packedMark(id))?.isDone === true;
  const asked = params.get('pack');
  const pack = packs.find(({ id }) => id === asked) ?? packs.find((each) => !isClosed(each)) ?? packs[0];
  if (!pack) return <NotFound />;
  const inPack = lines.get(pack.id) ?? NONE;
  const next = packs.find((each) => each.id !== pack.id && !isClosed(each));
  const goTo = (packId: string) => setParams({ pack: packId }, { replace: true });
  const scan = (text: string): Scanned => {
    const scanned = scannedAt(text, { runId: run.id, lines, ticks, frontId: pack.id });
    if (scanned.kind === 'pack' || scanned.kind === 'bag') goTo(scanned.packId);
    if (scanned.kind === 'bag')
      void tick({ mark: inMark(scanned.packId, scanned.line.key), isDone: true, massG: 0 });
    return scanned;
  };
  return (
    <main className={styles.page}>
      <header className={`sheet ${styles.top}`}>
        <Link to={`/runs/${run.id}`}>← {run.name}</Link>
        {isWeighing && <Link to={`/runs/${run.id}/weigh-out`}>Weigh out</Link>}
        <b role="status" className={packs.every(isClosed) ? 'leaf' : ''}>
          {packs.filter(isClosed).length} of {packs.length} packed
        </b>
        {unsent > 0 && <span className="amber">{counted(unsent, 'tick')} not sent yet, kept here</span>}
        <ScannedCode
          onCode={scan}
          packs={new Map(packs.map((each) => [each.id, each]))}
          titleOf={(packId, line) => packLineWords(line, namesOf(runPlan, packId)).title}
          onGo={goTo}
        />
      </header>
      <div className={styles.columns}>
        <ol className={`sheet ${styles.list}`} aria-label="Packs">
          {packs.map((each) => {
            const open = notIn(each.id, lines.get(each.id) ?? NONE, ticks).length;
            return (
              <li key={each.id}>
                <button
                  type="button"
                  aria-current={each.id === pack.id ? 'true' : undefined}
                  onClick={() => setParams({ pack: each.id }, { replace: true })}
                >
                  <span>{packWords(each)}</span>
                  <b className={isClosed(each) ? (open > 0 ? 'amber' : 'leaf') : ''}>
                    {isClosed(each)
                      ? open > 0
                        ? `packed, ${open} out`
                        : 'packed'
                      : `${(lines.get(each.id) ?? NONE).length - open}/${(lines.get(each.id) ?? NONE).length}`}
                  </b>
                </button>
              </li>
            );
          })}
        </ol>
        <InFront
          key={pack.id}
          pack={pack}
          lines={inPack}
          runPlan={runPlan}
          ticks={ticks}
          allLines={lines}
          runId={run.id}
          foundBag={params.get('bag')}
          onTick={tick}
          onNext={next ? () => setParams({ pack: next.id }, { replace: true }) : null}
        />
      </div>
    </main>
  );
}

/** What lines of a pack are called by. */
function namesOf({ packs, groups, shelf, wool, input }: Planned, packId: string): PackingNames {
  const pack = packs.find(({ id }) => id === packId);
  return {
    fibres: shelf,
    findings: wool.findings,
    group: groups.find(({ key }) => key === pack?.groupKey),
    stepG: input.scaleStepG,
  };
}

interface InFrontProps {
  pack: Pack;
  lines: readonly PackLine[];
  runPlan: Planned;
  ticks: ReadonlyMap<string, RunTick>;
  allLines: ReadonlyMap<string, readonly PackLine[]>;
  onTick: (tick: RunTick) => Promise<void>;
  onNext: (() => void) | null;
  /** The bag whose label was looked up. */
  foundBag: string | null;
  runId: string;
}

function InFront({ runId, foundBag, pack, lines, runPlan, ticks, allLines, onTick, onNext }: InFrontProps) {
  const names = namesOf(runPlan, pack.id);
  const { group } = names;
  const tickOf = (line: PackLine, isDone: boolean) =>
    onTick({ mark: inMark(pack.id, line.key), isDone, massG: 0 });
  return (
    <section className={`sheet ${styles.front}`} aria-label={packWords(pack)}>
      <header>
        <h1>
          {packWords(pack)} <small>{group && groupWords(group)}</small>
        </h1>
        <ThinkOf pack={pack} />
      </header>
      <ul className={styles.lines} onKeyDown={moveBetween}>
        {lines.map((line) => {
          const isIn = ticks.get(inMark(pack.id, line.key))?.isDone === true;
          const { title, amount, notes } = packLineWords(line, names);
          const fibre = line.kind === 'bag' ? runPlan.shelf.get(line.wool[0]?.fibreId ?? '') : undefined;
          return (
            <li key={line.key}>
              <button
                type="button"
                aria-pressed={isIn}
                className={`${styles.line} ${line.kind === 'bag' && line.bag.key === foundBag ? styles.found : ''}`}
                onClick={(event) => {
                  void tickOf(line, !isIn);
                  // A key goes on to the next; a finger goes where it will.
                  if (!isIn && event.detail === 0) focusBeside(event.currentTarget, 1);
                }}
              >
                <span className={styles.tick} aria-hidden>
                  {isIn ? '✓' : ''}
                </span>
                <span className={styles.what}>
                  {fibre && <FibreSwatch fibre={fibre} width={34} height={18} />}
                  <b>{title}</b>
                  {notes.map((note) => (
                    <small key={note} className={note.startsWith('not weighed') ? 'amber' : ''}>
                      {note}
                    </small>
                  ))}
                </span>
                <span className={styles.amount}>{amount}</span>
              </button>
            </li>
          );
        })}
      </ul>
      <BoxPhoto runId={runId} packId={pack.id} name={packWords(pack)} />
      <ClosePack
        pack={pack}
        lines={lines}
        names={names}
        ticks={ticks}
        alike={runPlan.packs
          .filter((each) => each.groupKey === pack.groupKey && each.id !== pack.id)
          .map((each) => ({ pack: each, lines: allLines.get(each.id) ?? NONE }))}
        onTick={onTick}
        onNext={onNext}
      />
    </section>
  );
}

/** What has to be thought of for who gets it. */
function ThinkOf({ pack: { seat } }: { pack: Pack }) {
  if (!seat) return null;
  const words = [
    seat.isLeftHanded ? 'left-handed' : '',
    seat.avoids.length > 0
      ? `must not touch: ${seat.avoids.map((flag) => FIBRE_FLAG_WORDS[flag]).join(', ')}`
      : '',
    seat.note,
  ].filter((word) => word !== '');
  return words.length > 0 ? <p className={styles.think}>{words.join('; ')}</p> : null;
}

function moveBetween(event: KeyboardEvent<HTMLElement>): void {
  const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  if (by === undefined || !(event.target instanceof HTMLElement)) return;
  event.preventDefault();
  focusBeside(event.target, by);
}

function focusBeside(from: HTMLElement, by: number): void {
  const buttons = [...(from.closest('ul')?.querySelectorAll('button') ?? [])];
  buttons[buttons.findIndex((button) => button === from) + by]?.focus();
}
