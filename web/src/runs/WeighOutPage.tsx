import type { OpenedRun, ScaleInfo } from '@lanakit/core/api';
import { packNames } from '@lanakit/core/papers';
import {
  allMarks,
  changesOfFibre,
  type FibreWeighed,
  type FibreWeighing,
  lastWeighed,
  lotsOfMarks,
  type Pack,
  packedMark,
  reallyWeighed,
  type RunTick,
  weighedOf,
  weighings,
  type WeighMark,
} from '@lanakit/core/run';
import type { Taking } from '@lanakit/core/scale';
import { type Fibre, type Lot, lotsPackedFrom } from '@lanakit/core/shelf';
import { groupWords, packWords } from '@lanakit/core/words';
import { Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useRun } from '../api/queries.ts';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { counted, PREPARATION_WORDS, showWeighed } from '../words/show.ts';
import { ScaleChooser } from '../scale/ScaleChooser.tsx';
import { useChosenScale } from '../scale/useChosenScale.ts';
import { bagTitle } from './groupWords.ts';
import { type AtScale, MarkGroup } from './MarkGroup.tsx';
import { runInputOf } from './useRunDraft.ts';
import { type Planned, useRunPlan } from './useRunPlan.ts';
import { ScaleStation } from './ScaleStation.tsx';
import { useTicksHere } from './unsentTicks.ts';
import { useTickActions } from './useTickActions.ts';
import styles from './WeighOut.module.css';

/** At the scale: one fibre after another or one pack after another, ticked with one tap by whoever stands there. */
export function WeighOutPage() {
  const { id = '' } = useParams();
  const { data, error } = useRun(id);
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!data) return <Loading error={error} />;
  return <AtTheScale run={data} />;
}

function AtTheScale({ run }: { run: OpenedRun }) {
  const input = useMemo(() => runInputOf(run), [run]);
  const runPlan = useRunPlan(run.id, input, run.frozen);
  if (runPlan.kind !== 'plan')
    return <Loading error={runPlan.kind === 'loading' ? runPlan.error : undefined} />;
  return <Scale run={run} runPlan={runPlan} />;
}

type Way = 'fibre' | 'pack';

function Scale({ run, runPlan }: { run: OpenedRun; runPlan: Planned }) {
  const [params, setParams] = useSearchParams();
  const way: Way = params.get('by') === 'pack' ? 'pack' : 'fibre';
  const { items, unsent, error } = useTicksHere(run.id);
  const tick = useTickActions(run.id);
  const ticks = useMemo(() => new Map(items?.map((runTick) => [runTick.mark, runTick])), [items]);
  const { plan, packs, shelf, input } = runPlan;
  const all = useMemo(
    () => weighings(plan, packs, shelf, input.scaleStepG),
    [plan, packs, shelf, input.scaleStepG],
  );
  const marks = allMarks(all);
  const done = weighedOf(marks, ticks).right;
  const changes = changesOfFibre(plan);
  const scale = useChosenScale();
  const [taking, setTaking] = useState<Taking | null>(null);
  const lotOf = useMemo(() => lotsOfMarks(all, shelf), [all, shelf]);
  const really = useMemo(() => reallyWeighed(all, ticks), [all, ticks]);
  const shared = {
    runPlan,
    ticks,
    onTick: tick,
    scale,
    lotOf,
    taking: taking ?? lying(items ?? []),
    onTaking: setTaking,
  };
  // Nobody weighs a second time what is weighed already.
  if (!items) return <Loading error={error} />;
  return (
    <main className={styles.page}>
      <header className={`sheet ${styles.top}`}>
        <Link to={`/runs/${run.id}`}>← {run.name}</Link>
        <Segmented<Way>
          aria-label="In which order"
          value={way}
          options={[
            { value: 'fibre', label: 'Fibre by fibre' },
            { value: 'pack', label: 'Pack by pack' },
          ]}
          onChange={(by) => setParams(by === 'pack' ? { by } : {}, { replace: true })}
        />
        <span className="quiet">
          {way === 'fibre' ? changes.byFibre : changes.byPack} changes of fibre
          {way === 'pack' && changes.byPack > changes.byFibre && `; fibre by fibre ${changes.byFibre}`}
        </span>
        <ScaleChooser />
        <b className={done === marks.length ? 'leaf' : ''} role="status">
          {done} of {marks.length} weighed
        </b>
        {unsent > 0 && <span className="amber">{counted(unsent, 'tick')} not sent yet, kept here</span>}
        <Link to={`/runs/${run.id}/papers/weigh-out`}>On paper</Link>
      </header>
      {run.state === 'planned' && (
        <p className={styles.still}>
          Only planned so far: the numbers still follow the shelf and the pattern. Once it is bought they
          stay.
        </p>
      )}
      {way === 'fibre' ? <ByFibre all={all} really={really} {...shared} /> : <ByPack all={all} {...shared} />}
    </main>
  );
}

const doneOf = (marks: readonly WeighMark[], ticks: ReadonlyMap<string, RunTick>): number =>
  weighedOf(marks, ticks).right;

/** What was weighed last may still lie there, also where the page was opened anew since. */
const lying = (ticks: readonly RunTick[]): Taking => ({
  liesG: lastWeighed(ticks)?.weighedG ?? null,
});

interface Weighing extends AtScale {
  all: readonly FibreWeighing[];
  /** The scale this device weighs with; null: by hand. */
  scale: ScaleInfo | null;
  /** Of each weighing its lot. */
  lotOf: ReadonlyMap<string, Lot>;
  taking: Taking;
  onTaking: (taking: Taking) => void;
}

function ByFibre({
  all,
  scale,
  lotOf,
  taking,
  onTaking,
  really,
  ...shared
}: Weighing & { really: ReadonlyMap<string, FibreWeighed> }) {
  const { runPlan, ticks, onTick } = shared;
  const firstOpen = all.findIndex(({ bags }) =>
    bags.some(({ marks }) => doneOf(marks, ticks) < marks.length),
  );
  const [chosen, setChosen] = useState<string | null>(null);
  const fibreWeighing = all.find(({ fibreId }) => fibreId === chosen) ?? all[Math.max(0, firstOpen)];
  if (!fibreWeighing) return null;
  const at = all.indexOf(fibreWeighing);
  const fibre = runPlan.shelf.get(fibreWeighing.fibreId);
  const lots = lotsPackedFrom(fibre?.lots ?? [], fibreWeighing.classG);
  return (
    <div className={styles.columns} data-scale="">
      <ol className={`sheet ${styles.list}`} aria-label="Fibres, pale before dark">
        {all.map(({ fibreId, bags }) => {
          const marks = bags.flatMap((bag) => bag.marks);
          const name = runPlan.shelf.get(fibreId);
          return (
            <li key={fibreId}>
              <button
                type="button"
                aria-current={fibreId === fibreWeighing.fibreId ? 'true' : undefined}
                onClick={() => setChosen(fibreId)}
              >
                {name && <FibreSwatch fibre={name} width={46} height={24} />}
                <span>{name?.name ?? 'a fibre'}</span>
                <b className={doneOf(marks, ticks) === marks.length ? 'leaf' : ''}>
                  {doneOf(marks, ticks)}/{marks.length}
                </b>
              </button>
            </li>
          );
        })}
      </ol>
      <section className={`sheet ${styles.scale}`} aria-label={fibre?.name ?? 'Fibre'}>
        <header>
          {fibre && (
            <span className={styles.lies} data-wool-lies="">
              <FibreSwatch fibre={fibre} width={120} height={52} />
            </span>
          )}
          <h1>
            {fibre?.name} <small>{fibre && PREPARATION_WORDS[fibre.preparation]}</small>
          </h1>
          <b className={styles.sum}>{showWeighed(fibreWeighing.classG, runPlan.input.scaleStepG)}</b>
        </header>
        {scale && (
          <ScaleStation
            scale={scale}
            taking={taking}
            onTaking={onTaking}
            runPlan={runPlan}
            marks={fibreWeighing.bags.flatMap(({ marks }) => marks)}
            ticks={ticks}
            lotOf={lotOf}
            nameOf={markName}
            onTick={onTick}
          />
        )}
        <Really
          really={really.get(fibreWeighing.fibreId)}
          onHandG={fibre?.onHandG ?? null}
          stepG={runPlan.input.scaleStepG}
        />
        {(lots.length > 1 || lots.some(({ note }) => note !== '')) && (
          <p className={styles.lots}>
            {fibreWeighing.lotChange.map(({ from, lotName }) => (
              <b key={from.mark}>
                From {markName(from)} on, lot {lotName}.{' '}
              </b>
            ))}
            {lots.map(({ id, name, place, note }) => (
              <span key={id}>
                Lot <b>{name}</b>
                {place !== '' && `, ${place}`}
                {note !== '' && `: ${note}`}.{' '}
              </span>
            ))}
          </p>
        )}
        {fibreWeighing.bags.map(({ bag, marks }) => (
          <MarkGroup
            key={bag.key}
            title={bagTitle(bag.key, runPlan)}
            marks={marks}
            nameOf={(mark) => markName(mark)}
            {...shared}
          />
        ))}
        {at < all.length - 1 && (
          <button
            type="button"
            className={styles.nextUp}
            onClick={() => setChosen(all[at + 1]?.fibreId ?? null)}
          >
            Next: {runPlan.shelf.get(all[at + 1]?.fibreId ?? '')?.name} →
          </button>
        )}
      </section>
    </div>
  );
}

/** What the scale has told of a fibre so far, and what should be left where it lay. */
function Really({
  really,
  onHandG,
  stepG,
}: {
  really: FibreWeighed | undefined;
  onHandG: number | null;
  stepG: number;
}) {
  if (!really || really.byScale === 0) return null;
  const { wantedG, weighedG } = really;
  const overG = weighedG - wantedG;
  return (
    <p className={styles.lots}>
      In bags: <b>{showWeighed(weighedG, stepG)}</b> of {showWeighed(wantedG, stepG)} wanted so far
      {Math.abs(overG) >= stepG / 2 &&
        ` (${showWeighed(Math.abs(overG), stepG)} ${overG > 0 ? 'over' : 'under'})`}
      .{' '}
      {onHandG === null
        ? 'What lay there was never counted.'
        : `${showWeighed(onHandG, stepG)} lay there by the ledger: ${showWeighed(Math.max(0, onHandG - weighedG), stepG)} should be left.`}
    </p>
  );
}

/** Two of one name are told apart by how they were prepared. */
const fibreWords = (fibre: Pick<Fibre, 'name' | 'preparation'> | undefined): string =>
  fibre ? `${fibre.name} ${PREPARATION_WORDS[fibre.preparation]}` : 'a fibre';

/** Whose it is, or how many share it. */
const markName = ({ packs, parts }: WeighMark): string =>
  packs.length === 0
    ? 'for all'
    : parts > 1
      ? `÷ ${parts}: ${packNames(packs).replaceAll(' · ', '\u00a0·\u00a0')}`
      : packWords(packs[0] as Pack);

function ByPack({ all, scale, lotOf, taking, onTaking, ...shared }: Weighing) {
  const { runPlan, ticks, onTick } = shared;
  const { packs, groups } = runPlan;
  const marksOf = useMemo(() => {
    const byPack = new Map<string, WeighMark[]>();
    for (const mark of allMarks(all)) {
      for (const { id } of mark.packs) byPack.set(id, [...(byPack.get(id) ?? []), mark]);
    }
    return byPack;
  }, [all]);
  const isPacked = (pack: Pack) => ticks.get(packedMark(pack.id))?.isDone === true;
  const [chosen, setChosen] = useState<string | null>(null);
  const ownPack = packs.find(({ id }) => id === chosen) ?? packs.find((pack) => !isPacked(pack)) ?? packs[0];
  if (!ownPack) return null;
  const marks = marksOf.get(ownPack.id) ?? [];
  const group = groups.find(({ key }) => key === ownPack.groupKey);
  const byBag = new Map<string, WeighMark[]>();
  for (const mark of marks) byBag.set(mark.bag, [...(byBag.get(mark.bag) ?? []), mark]);
  return (
    <div className={styles.columns} data-scale="">
      <ol className={`sheet ${styles.list}`} aria-label="Packs">
        {packs.map((pack) => (
          <li key={pack.id}>
            <button
              type="button"
              aria-current={pack.id === ownPack.id ? 'true' : undefined}
              data-wool-goes={pack.id === ownPack.id ? '' : undefined}
              onClick={() => setChosen(pack.id)}
            >
              <span>{packWords(pack)}</span>
              <b className={isPacked(pack) ? 'leaf' : ''}>
                {isPacked(pack)
                  ? 'packed'
                  : `${doneOf(marksOf.get(pack.id) ?? [], ticks)}/${marksOf.get(pack.id)?.length ?? 0}`}
              </b>
            </button>
          </li>
        ))}
      </ol>
      <section className={`sheet ${styles.scale}`} aria-label={packWords(ownPack)}>
        <header>
          <h1>
            {packWords(ownPack)} <small>{group && groupWords(group)}</small>
          </h1>
        </header>
        {ownPack.seat && (ownPack.seat.note !== '' || ownPack.seat.isLeftHanded) && (
          <p className={styles.lots}>
            {[ownPack.seat.isLeftHanded ? 'left-handed' : '', ownPack.seat.note]
              .filter((word) => word !== '')
              .join('; ')}
          </p>
        )}
        {scale && (
          <ScaleStation
            scale={scale}
            taking={taking}
            onTaking={onTaking}
            runPlan={runPlan}
            marks={[...byBag.values()].flat()}
            ticks={ticks}
            lotOf={lotOf}
            nameOf={({ bag }) =>
              [packWords(ownPack), bagTitle(bag, runPlan)].filter((word) => word !== '').join(', ')
            }
            onTick={onTick}
          />
        )}
        {[...byBag].map(([bag, inBag]) => (
          <MarkGroup
            key={bag}
            title={bagTitle(bag, runPlan)}
            isMixed
            marks={inBag}
            nameOf={({ fibreId, parts }) =>
              `${fibreWords(runPlan.shelf.get(fibreId))}${parts > 1 ? ` (part of one for ${parts})` : ''}`
            }
            {...shared}
          />
        ))}
        <button
          type="button"
          className={styles.packed}
          aria-pressed={isPacked(ownPack)}
          onClick={() => void onTick({ mark: packedMark(ownPack.id), isDone: !isPacked(ownPack), massG: 0 })}
        >
          {isPacked(ownPack) ? 'Packed ✓' : 'Everything is in: packed'}
        </button>
      </section>
    </div>
  );
}
