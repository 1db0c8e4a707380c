import type { OpenedRun } from '@lanakit/core/api';
import { clockOfDay, roomNow, showNow, sittingNow, whoIsBehind } from '@lanakit/core/classDay';
import { seatName, seatsOf } from '@lanakit/core/run';
import { fibreNamesOf } from '@lanakit/core/words';
import { Segmented } from 'antd';
import { useMemo } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useParams, useSearchParams } from 'react-router';
import { ApiProblem } from '../../api/client.ts';
import { useRun, useShelf } from '../../api/queries.ts';
import { Loading } from '../../shell/Loading.tsx';
import { NotFound } from '../../shell/NotFound.tsx';
import { counted, showDay } from '../../words/show.ts';
import { Afterwards } from './Afterwards.tsx';
import styles from './Class.module.css';
import { Clashes } from './Clashes.tsx';
import { DayList } from './DayList.tsx';
import { NowCard } from './NowCard.tsx';
import { RoomOfClass } from './RoomOfClass.tsx';
import { SaidAndSeen } from './SaidAndSeen.tsx';
import { Sharps } from './Sharps.tsx';
import { TakeBack } from './TakeBack.tsx';
import type { Teaching } from './teaching.ts';
import { Timers } from './Timers.tsx';
import { type ClassHere, useClassDay, useStudioClock } from './useClassDay.ts';

/** In front of the class: what is on and what comes next, who is where, what is sharp, what was said. */
export function ClassPage() {
  const { id = '' } = useParams();
  const { data, error } = useRun(id);
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!data) return <Loading error={error} />;
  return data.kind === 'kits' ? <NotFound /> : <OfClass key={id} run={data} />;
}

function OfClass({ run }: { run: OpenedRun }) {
  const { here, error } = useClassDay(run.id);
  return here ? <InClass run={run} here={here} /> : <Loading error={error} />;
}

const SIDES = [
  { value: 'room', label: 'The room' },
  { value: 'day', label: 'The day' },
  { value: 'sharps', label: 'Sharps' },
  { value: 'said', label: 'Said and seen' },
  { value: 'after', label: 'Afterwards' },
] as const;
type Side = (typeof SIDES)[number]['value'];

function InClass({ run, here }: { run: OpenedRun; here: ClassHere }) {
  const teaching = useTeaching(run, here);
  const [params, setParams] = useSearchParams();
  const side = SIDES.find(({ value }) => value === params.get('side'))?.value ?? 'room';
  const goTo = (next: Side) => setParams(next === 'room' ? {} : { side: next }, { replace: true });
  useHotkeys('1,2,3,4,5', ({ code }) => goTo(SIDES[Number(code.replace('Digit', '')) - 1]?.value ?? 'room'), {
    useKey: false,
  });
  return (
    <main className={styles.page}>
      <div className={styles.left}>
        <NowCard teaching={teaching} />
        <Timers teaching={teaching} />
        <TakeBack teaching={teaching} />
      </div>
      <div className={styles.right}>
        <header className={`sheet ${styles.head}`}>
          <div>
            <h1>
              <Link to={`/runs/${run.id}`}>{run.name}</Link>
            </h1>
            <span className="quiet small">
              {showDay(run.date)} · {counted(run.seats, 'seat')}
              {here.unsent > 0 && <b className="amber"> · {here.unsent} not sent yet, kept on this device</b>}
            </span>
          </div>
          <Segmented<Side>
            className={styles.tabs ?? ''}
            aria-label="Side of the class"
            value={side}
            onChange={goTo}
            options={SIDES.map(({ value, label }) => ({ value, label }))}
          />
        </header>
        <Clashes teaching={teaching} />
        {side === 'room' && <RoomOfClass teaching={teaching} />}
        {side === 'day' && <DayList teaching={teaching} />}
        {side === 'sharps' && <Sharps teaching={teaching} />}
        {side === 'said' && <SaidAndSeen teaching={teaching} />}
        {side === 'after' && <Afterwards teaching={teaching} />}
      </div>
    </main>
  );
}

const LOOKED_AT_MS = 15_000;

function useTeaching(run: OpenedRun, here: ClassHere): Teaching {
  // Seconds are shown by what counts them; all else is looked at less often, on twenty devices at once.
  const nowMs = useStudioClock(LOOKED_AT_MS);
  const shelf = useShelf();
  const { events, day } = here;
  const { plan } = day;
  const clock = useMemo(() => clockOfDay(run.date), [run.date]);
  const seats = useMemo(() => new Map(seatsOf(run).map((seat) => [seat.key, seat])), [run]);
  const room = useMemo(() => roomNow(plan, events), [plan, events]);
  const now = clock(new Date(nowMs).toISOString());
  const sitting = sittingNow(plan, events, now);
  const show = sitting ? showNow(plan, sitting, events, { now, clock }) : null;
  const seatOf = (key: string) => seats.get(key);
  const fibreOf = (id: string) => shelf.byId.get(id);
  return {
    run,
    here,
    room,
    show,
    clock,
    now,
    nowMs,
    seatOf,
    fibreOf,
    behind: show ? whoIsBehind(plan, events, show, now) : [],
    names: {
      plan,
      seat: (key) => {
        const seat = seats.get(key);
        return seat ? seatName(seat) : 'a seat that is gone';
      },
      fibre: fibreNamesOf({ fibres: shelf.byId }),
    },
  };
}
