import type { OpenedRun } from '@lanakit/core/api';
import {
  allMarks,
  changesOfFibre,
  isOffShelf,
  lastWeighed,
  packsWithBags,
  placeOfCode,
  readLabelCode,
  lotsOfMarks,
  reallyWeighed,
  type RunTick,
  weighedOf,
  weighings,
} from '@lanakit/core/run';
import type { Taking } from '@lanakit/core/scale';
import { Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useRun } from '../api/queries.ts';
import { useScanHandler } from '../scan/scanHandlers.ts';
import { ScaleChooser } from '../scale/ScaleChooser.tsx';
import { useChosenScale } from '../scale/useChosenScale.ts';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { counted } from '../words/show.ts';
import { runInputOf } from './useRunDraft.ts';
import { type Planned, useRunPlan } from './useRunPlan.ts';
import { useTicksHere } from './unsentTicks.ts';
import { useTickActions } from './useTickActions.ts';
import { WeighedTwice } from './WeighedTwice.tsx';
import { WeighByFibre } from './WeighByFibre.tsx';
import { WeighByPack } from './WeighByPack.tsx';
import { useRunNews } from './useRunNews.ts';
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
  useRunNews(run.id);
  const { items, twice, unsent, error } = useTicksHere(run.id);
  const tick = useTickActions(run.id);
  const ticks = useMemo(() => new Map(items?.map((runTick) => [runTick.mark, runTick])), [items]);
  const { plan, packs, shelf, input } = runPlan;
  const all = useMemo(
    () => weighings(plan, packs, shelf, input.scaleStepG),
    [plan, packs, shelf, input.scaleStepG],
  );
  const marks = allMarks(all);
  // A label that is scanned lays its pack in front.
  useScanHandler((code) => {
    const read = readLabelCode(code);
    const place = read.kind === 'code' ? placeOfCode(read.code, run.id, packsWithBags(all)) : null;
    if (place) setParams({ by: 'pack', pack: place.packId }, { replace: true });
    return place !== null;
  });
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
      <WeighedTwice
        twice={twice}
        marks={marks}
        fibreName={(id) => shelf.get(id)?.name ?? 'a fibre'}
        stepG={input.scaleStepG}
      />
      {run.state === 'planned' && (
        <p className={styles.still}>
          Only planned so far: the numbers still follow the shelf and the pattern. Once it is bought they
          stay.
        </p>
      )}
      {way === 'fibre' ? (
        <WeighByFibre all={all} really={really} isOffShelf={isOffShelf(run.state)} {...shared} />
      ) : (
        <WeighByPack all={all} {...shared} />
      )}
    </main>
  );
}

/** What was weighed last may still lie there, also where the page was opened anew since. */
const lying = (ticks: readonly RunTick[]): Taking => ({
  liesG: lastWeighed(ticks)?.weighedG ?? null,
});
