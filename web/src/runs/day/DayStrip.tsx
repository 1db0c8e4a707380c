import type { FibreLookup } from '@lanakit/core/engine';
import type { Pattern, Session } from '@lanakit/core/pattern';
import type { Bagging, ClassPlan } from '@lanakit/core/run';
import { type DayBand, type DayPace, type DayView, stepFibre } from '@lanakit/core/timetable';
import {
  breakWords,
  clockWords,
  wantedName,
  lengthOfTime,
  sharedWords,
  stepTitle,
} from '@lanakit/core/words';
import type { ReactNode } from 'react';
import { useWool } from '../../api/queries.ts';
import { showDay } from '../../words/show.ts';
import { bagsOf } from './bagsOf.ts';
import { inkOn } from './inkOn.ts';
import { RowBlock } from './RowBlock.tsx';
import styles from './Day.module.css';

interface DayStripProps {
  view: DayView;
  /** Null: there is only one. */
  number: number | null;
  isLast: boolean;
  build: Pattern;
  plan: ClassPlan;
  bagging: Bagging;
  onDrag: (plan: ClassPlan) => void;
  onDrop: (plan: ClassPlan) => void;
}

const PACE_WORDS: readonly (readonly [pace: DayPace, name: string, words: string])[] = [
  ['quickest', 'Quickest', 'the first in ten'],
  ['middle', 'Most', 'the middle one'],
  ['slowest', 'Slowest', 'the last in ten'],
];

/** One sitting as a strip under its hours. */
export function DayStrip({ view, number, isLast, build, plan, bagging, onDrag, onDrop }: DayStripProps) {
  const { sitting, to, rows, bands, waits, things } = view;
  const { wool } = useWool();
  const span = Math.max(1, to - sitting.from);
  const place = (minute: number) => `${((minute - sitting.from) / span) * 100}%`;
  // What goes on into another day is drawn to the end of this one.
  const wide = (from: number, until: number) => `${((Math.min(until, to) - from) / span) * 100}%`;
  const planned = plan.sessions.find(({ id }) => id === sitting.id);
  const bags = bagsOf(bands.middle, build, bagging);
  const used = things.filter(({ turns }) => turns.length > 0);
  const busy = used.filter(isWaitedFor);
  const free = used.filter((thing) => !isWaitedFor(thing));
  return (
    <div className={styles.strip}>
      <div className={styles.lane}>
        <div className={styles.laneName}>
          <h2>{number === null ? 'The day' : `Sitting ${number}`}</h2>
          {planned?.date && <span>{showDay(planned.date)}</span>}
        </div>
        <Ruler from={sitting.from} to={to} place={place} />
      </div>
      <div className={styles.lanes}>
        <div className={styles.edges} aria-hidden="true">
          <span
            className={styles.clearing}
            style={{ left: place(sitting.workTo), width: wide(sitting.workTo, sitting.to) }}
          />
          {to > sitting.to && (
            <span className={styles.over} style={{ left: place(sitting.to), width: wide(sitting.to, to) }}>
              <b>over</b>
            </span>
          )}
        </div>
        <Lane name="You" words="talk, show, pause" isTall>
          {inTime(rows).map((row, at, all) => (
            <RowBlock
              key={row.id}
              {...{ row, sitting, to, plan, onDrag, onDrop }}
              nextAt={all[at + 1]?.atMinute ?? sitting.workTo - sitting.from}
            />
          ))}
          {sitting.to > sitting.workTo && (
            <span
              className={styles.clear}
              style={{ left: place(sitting.workTo), width: wide(sitting.workTo, sitting.to) }}
              title="Clear up"
            >
              clear up
            </span>
          )}
        </Lane>
        {PACE_WORDS.map(([pace, name, words]) => (
          <Lane key={pace} name={name} words={words}>
            {bands[pace].map((band) => (
              <Band
                key={band.stepId}
                band={band}
                build={build}
                place={place}
                wide={wide}
                fibres={wool.fibres}
              />
            ))}
          </Lane>
        ))}
        <HeldLane
          name="Needle"
          words="what most hold"
          held={view.needles.map(({ wanted, ...each }) => ({ ...each, name: wantedName(wanted) }))}
          {...{ place, wide }}
        />
        <HeldLane name="Bag" words="what most open" held={bags} {...{ place, wide }} />
        {waits.length > 0 && (
          <Lane name="By itself" words="sets, dries">
            {waits.map(({ stepId, from, to: until, meanwhile }) => {
              const title = `${titleOf(stepId, build)}: ${lengthOfTime(until - from)}${meanwhile.length > 0 ? `; meanwhile ${meanwhile.map((id) => titleOf(id, build)).join(', ')}` : ''}`;
              return (
                <span
                  key={stepId}
                  className={styles.wait}
                  style={{ left: place(from), width: wide(from, until) }}
                  title={title}
                >
                  {title}
                </span>
              );
            })}
          </Lane>
        )}
        {busy.map((thing) => (
          <ThingLane key={thing.key} thing={thing} place={place} wide={wide} />
        ))}
        <span
          className={styles.end}
          style={{
            left: `calc(var(--lane-name) + (100% - var(--lane-name)) * ${(sitting.to - sitting.from) / span})`,
          }}
          aria-hidden="true"
        />
      </div>
      {free.length > 0 && (
        <p className={`quiet small ${styles.left}`}>
          Nobody waits for: {free.map(({ key, name }) => sharedWords(key, name).toLowerCase()).join(', ')}.
        </p>
      )}
      {view.session && <SessionWords session={view.session} />}
      {view.ends && <p className={`small ${styles.left}`}>{breakWords(view.ends, build).join(' ')}</p>}
      <p className="visually-hidden">
        {`${clockWords(sitting.from)} to ${clockWords(sitting.to)}.`}
        {isLast &&
          ` ${bands.slowest.at(-1) ? `The last in ten are done at ${clockWords(bands.slowest.at(-1)?.to ?? 0)}.` : ''}`}
      </p>
    </div>
  );
}

/** As its author wrote it: what lies there at first, where it can be left, what is done at home. */
function SessionWords({ session: { startState, safeStop, homework } }: { session: Session }) {
  const words = [
    startState && `On the table: ${startState}.`,
    safeStop && `Left so: ${safeStop}`,
    homework && `At home: ${homework}`,
  ].filter((line) => line !== '');
  return words.length > 0 ? <p className={`quiet small ${styles.left}`}>{words.join(' ')}</p> : null;
}

interface Scale {
  place: (minute: number) => string;
  wide: (from: number, to: number) => string;
}

const Ruler = ({ from, to, place }: { from: number; to: number; place: Scale['place'] }) => (
  <div className={`${styles.track} ${styles.ruler}`} aria-hidden="true">
    {ticks(from, to).map((minute) => (
      <span
        key={minute}
        className={minute % 60 === 0 ? styles.hour : minute % 30 === 0 ? styles.half : styles.quarter}
        style={{ left: place(minute) }}
      >
        {minute % labelEvery(to - from) === 0 && <b>{clockWords(minute)}</b>}
      </span>
    ))}
  </div>
);

interface HeldLaneProps extends Scale {
  name: string;
  words: string;
  held: readonly { readonly name: string; readonly from: number; readonly to: number }[];
}

/** What is in hand or open, from when to when; nothing: no lane. */
const HeldLane = ({ name: laneName, words, held, place, wide }: HeldLaneProps) =>
  held.length > 0 && (
    <Lane name={laneName} words={words}>
      {held.map(({ name, from, to }) => (
        <span
          key={`${name} ${from}`}
          className={styles.needle}
          style={{ left: place(from), width: wide(from, to) }}
          title={`${name}, ${clockWords(from)} to ${clockWords(to)}`}
        >
          {name}
        </span>
      ))}
    </Lane>
  );

/** A shared thing, in one class of many: each block is one who has it, red where they stood in line. */
function ThingLane({
  thing: { key, name, turns },
  place,
  wide,
}: Scale & { thing: DayView['things'][number] }) {
  const longest = Math.max(0, ...turns.map(({ waited }) => waited));
  const words = longest < LEAST_WAIT ? 'nobody waits' : `the last waits ${lengthOfTime(longest)}`;
  return (
    <Lane name={sharedWords(key, name)} words={words}>
      {turns.map(({ from, to, waited }) => (
        <span
          key={`${from} ${to}`}
          className={`${styles.turn} ${waited > LEAST_WAIT ? styles.waited : ''}`}
          style={{ left: place(from), width: wide(from, to) }}
          title={`${clockWords(from)}${waited > LEAST_WAIT ? `, after ${lengthOfTime(waited)} in line` : ''}`}
        />
      ))}
    </Lane>
  );
}

const isWaitedFor = ({ turns }: DayView['things'][number]): boolean =>
  turns.some(({ waited }) => waited > LEAST_WAIT);

/** Of a shorter wait nobody speaks, minutes. */
const LEAST_WAIT = 0.5;

interface LaneProps {
  name: string;
  words: string;
  isTall?: boolean;
  children: ReactNode;
}

const Lane = ({ name, words, isTall = false, children }: LaneProps) => (
  <div className={styles.lane}>
    <div className={styles.laneName}>
      <b>{name}</b>
      <span className="quiet small">{words}</span>
    </div>
    <div className={`${styles.track} ${isTall ? styles.tall : ''}`}>{children}</div>
  </div>
);

interface BandProps extends Scale {
  band: DayBand;
  build: Pattern;
  fibres: FibreLookup;
}

/** A step, in the wool it is made of. */
function Band({ band, build, place, wide, fibres }: BandProps) {
  const step = build.steps.find(({ id }) => id === band.stepId);
  const colour = step ? fibres.get(stepFibre(step, build) ?? '')?.colour : undefined;
  const title = titleOf(band.stepId, build);
  const spoken = `${title}: ${clockWords(band.from)} to ${clockWords(band.to)}`;
  return (
    <>
      <span
        className={styles.band}
        style={{
          left: place(band.from),
          width: wide(band.from, band.to),
          ...(colour && { background: colour, color: inkOn(colour) }),
        }}
        title={spoken}
      >
        {title}
      </span>
    </>
  );
}

function titleOf(stepId: string, { steps }: Pattern): string {
  const at = steps.findIndex(({ id }) => id === stepId);
  const step = steps[at];
  return step ? `${at + 1} ${stepTitle(step, 26)}` : '';
}

const inTime = <R extends { readonly atMinute: number }>(rows: readonly R[]): R[] =>
  rows.toSorted((a, b) => a.atMinute - b.atMinute);

const QUARTER = 15;
const ticks = (from: number, to: number): number[] => {
  const first = Math.ceil(from / QUARTER) * QUARTER;
  return Array.from(
    { length: Math.max(0, Math.floor((to - first) / QUARTER) + 1) },
    (_, at) => first + at * QUARTER,
  );
};

/** A short day has its half hours named. */
const labelEvery = (span: number): number => (span <= 300 ? 30 : 60);
