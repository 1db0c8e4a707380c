import {
  type ClassPlan,
  type Designs,
  ELSEWHERE,
  minutesElsewhere,
  type RunInput,
  seatName,
  seatsOf,
  type StepElsewhere,
} from '@lanakit/core/run';
import { chainsOf, type ClassGraph, type Room, tasksOf, untimedSteps } from '@lanakit/core/timetable';
import {
  chanceWords,
  sittingClock,
  counted,
  lengthOfTime,
  stepTitle,
  timeOfSteps,
} from '@lanakit/core/words';
import { Select } from 'antd';
import { useMemo } from 'react';
import styles from './Day.module.css';
import type { DayTold } from './useDay.ts';

interface StepsTableProps {
  room: Room;
  told: DayTold;
  input: RunInput;
  designs: Designs;
  onPlan: (change: Partial<ClassPlan>) => void;
}

const WHERE_WORDS: Readonly<Record<StepElsewhere['where'] | 'class', string>> = {
  class: 'in the class',
  before: 'beforehand',
  home: 'at home',
};

/** The same in words and numbers: each step, and each seat. */
export function StepsTable({ room, told, input, designs, onPlan }: StepsTableProps) {
  return (
    <section className={`sheet ${styles.panel}`} aria-label="Step by step">
      {room.graphs.map(({ revisionId, build }, graphAt) => (
        <GraphTable
          key={`${revisionId} ${graphAt}`}
          {...{ room, told, input, designs, onPlan, graphAt }}
          title={
            room.graphs.length > 1
              ? `${build.title}, ${counted(room.people.filter((person) => person.graphAt === graphAt).length, 'seat')}`
              : null
          }
        />
      ))}
      <Seats room={room} told={told} input={input} />
    </section>
  );
}

function GraphTable({
  room,
  told,
  input,
  designs,
  onPlan,
  graphAt,
  title,
}: StepsTableProps & { graphAt: number; title: string | null }) {
  const graph = room.graphs[graphAt];
  const pattern = designs.get(graph?.revisionId ?? '');
  const asWritten = useMemo(() => (graph ? tasksOf(graph.build) : null), [graph]);
  const chains = useMemo(() => (asWritten ? chainsOf(asWritten.tasks) : null), [asWritten]);
  if (!graph || !pattern || !asWritten || !chains) return null;
  const { revisionId, build } = graph;
  const times = new Map(told.outcome?.steps[graphAt]?.map((each) => [each.stepId, each]));
  const chain = new Set(chains.chain);
  const setWhere = (stepId: string, where: StepElsewhere['where'] | 'class') => {
    const others = input.plan.elsewhere.filter(
      (each) => each.revisionId !== revisionId || each.stepId !== stepId,
    );
    onPlan({ elsewhere: where === 'class' ? others : [...others, { revisionId, stepId, where }] });
  };
  return (
    <>
      <div className={styles.panelHead}>
        <h2>{title ? `Step by step: ${title}` : 'Step by step'}</h2>
        <span className="quiet small">
          longest chain {lengthOfTime(chains.minutes)} at your pace
          {chains.waitsOnChain > 0 && `, ${lengthOfTime(chains.waitsOnChain)} of it waiting`}
          {chains.unknown.length > 0 && `; at least, for ${counted(chains.unknown.length, 'step')} untimed`}
        </span>
      </div>
      {asWritten.dropped.length > 0 && (
        <p className="amber">
          {counted(asWritten.dropped.length, 'link')} between steps cannot be kept here: against their order,
          or to a step that is gone. The day is reckoned without. Mend it under Steps of the pattern.
        </p>
      )}
      <ElsewhereLine input={input} graph={graph} />
      <table className={styles.steps}>
        <thead>
          <tr>
            <th>Step</th>
            <th>Where</th>
            <th className={styles.number}>Your min</th>
            <th className={styles.number}>At the earliest</th>
            <th className={styles.number}>Most begin</th>
            <th className={styles.number}>Eight in ten</th>
            <th className={styles.number}>Most are done</th>
            <th className={styles.number}>May wait</th>
            <th className={styles.number}>Late if not begun by</th>
          </tr>
        </thead>
        <tbody>
          {build.steps.map((step, at) => {
            const time = times.get(step.id);
            const task = chains.tasks[at];
            const where =
              input.plan.elsewhere.find((each) => each.revisionId === revisionId && each.stepId === step.id)
                ?.where ?? 'class';
            const minutes = asWritten.tasks[at]?.minutes ?? null;
            const isUnknown = chains.unknown.includes(step.id);
            return (
              <tr key={step.id} className={chain.has(step.id) ? styles.onChain : ''}>
                <th scope="row">
                  {pattern.steps.findIndex(({ id }) => id === step.id) + 1} {stepTitle(step, 44)}
                </th>
                <td>
                  <Select<StepElsewhere['where'] | 'class'>
                    size="small"
                    variant="borderless"
                    aria-label={`Where step ${at + 1} is done`}
                    value={where}
                    popupMatchSelectWidth={false}
                    options={(['class', ...ELSEWHERE] as const).map((value) => ({
                      value,
                      label: WHERE_WORDS[value],
                    }))}
                    onChange={(value) => setWhere(step.id, value)}
                  />
                </td>
                <td className={styles.number}>
                  {minutes === null ? <b className="amber">?</b> : Math.round(minutes * 10) / 10}
                </td>
                <td className={styles.number}>
                  {isUnknown ? '' : `${lengthOfTime(task?.earliest ?? 0)} in`}
                </td>
                <td className={styles.number}>{time ? sittingClock(time.start.half, room.sittings) : '–'}</td>
                <td className={styles.number}>
                  {time
                    ? `${sittingClock(time.start.tenth, room.sittings)}–${sittingClock(time.start.nineTenths, room.sittings)}`
                    : '–'}
                </td>
                <td className={styles.number}>{time ? sittingClock(time.end.half, room.sittings) : '–'}</td>
                <td className={styles.number}>
                  {(task?.slack ?? 0) > 0 ? lengthOfTime(task?.slack ?? 0) : 'no'}
                </td>
                <td className={`${styles.number} ${time?.handOverBy ? 'amber' : ''}`}>
                  {time?.handOverBy ? sittingClock(time.handOverBy, room.sittings) : ''}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}

/** A minute or two is no time for anything more. */
const SPARE_FROM = 15;

/** Who is likely late, and who will want more to do. */
function Seats({ room, told, input }: Pick<StepsTableProps, 'room' | 'told' | 'input'>) {
  const seats = seatsOf(input);
  const { outcome } = told;
  const isAtBest = untimedSteps(room) > 0;
  if (!outcome) return null;
  return (
    <>
      <h2>Seat by seat{isAtBest ? ', at best' : ''}</h2>
      <table className={styles.steps}>
        <thead>
          <tr>
            <th>Who</th>
            <th className={styles.number}>In time</th>
            <th className={styles.number}>Done at about</th>
            <th className={styles.number}>Eight in ten</th>
            <th className={styles.number}>Idle</th>
            <th>Extra</th>
          </tr>
        </thead>
        <tbody>
          {outcome.seats.map((each) => {
            const seat = seats[each.seat - 1];
            const person = room.people.find((other) => other.seat === each.seat);
            return (
              <tr key={each.seat}>
                <th scope="row">
                  {seat ? seatName(seat) : each.seat}{' '}
                  {person?.skill === 'first-timer' && <span className="quiet small">first-timer</span>}
                </th>
                <td className={`${styles.number} ${each.chance < 0.5 ? 'red' : ''}`}>
                  {chanceWords(each.chance)}
                </td>
                <td className={styles.number}>{sittingClock(each.done.half, room.sittings)}</td>
                <td className={styles.number}>
                  {sittingClock(each.done.tenth, room.sittings)}–
                  {sittingClock(each.done.nineTenths, room.sittings)}
                </td>
                <td className={styles.number}>{lengthOfTime(each.idleMinutes)}</td>
                <td>
                  {each.spareMinutes >= SPARE_FROM
                    ? `has about ${lengthOfTime(each.spareMinutes)} left: have something more ready`
                    : ''}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}

/** What is done before the class and after it. */
function ElsewhereLine({ input, graph }: { input: RunInput; graph: ClassGraph }) {
  const [before, home] = ELSEWHERE.map((where) => minutesElsewhere(graph, input.plan.elsewhere, where));
  if ((before?.steps ?? 0) + (home?.steps ?? 0) === 0) return null;
  return (
    <p className="quiet">
      {before && before.steps > 0 && `Beforehand, of your own for each pack: ${timeOfSteps(before)}. `}
      {home && home.steps > 0 && `At home, for practised hands: ${timeOfSteps(home)}; others take longer.`}
    </p>
  );
}
