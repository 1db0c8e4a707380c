import { fractionOf, percentBounds, percentOf } from '@lanakit/core/base';
import { type ClassPlan, PLAN_BOUNDS } from '@lanakit/core/run';
import { type Outcome, type Room, untimedSteps } from '@lanakit/core/timetable';
import { chanceWords, clockWords, counted } from '@lanakit/core/words';
import { Button } from 'antd';
import { useMemo } from 'react';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { Chart, type ChartOption } from '../../ui/Chart.tsx';
import styles from './Day.module.css';
import type { DayTold } from './useDay.ts';

interface FinishProps {
  room: Room;
  told: DayTold;
  plan: ClassPlan;
  onStop: () => void;
  onWant: (wantedChance: number) => void;
}

const CHANCE_PERCENT = percentBounds(PLAN_BOUNDS.finishChance);
const CHART_PX = 170;

/** The chance that everybody finishes, and who is done when. */
export function Finish({ room, told, plan, onStop, onWant }: FinishProps) {
  const { outcome, isGoing } = told;
  const end = room.sittings.at(-1)?.workTo ?? 0;
  const unknown = untimedSteps(room);
  return (
    <section className={`sheet ${styles.panel}`} aria-label="Will everybody finish?">
      <div className={styles.panelHead}>
        <h2>Will everybody finish?</h2>
        <NumberField
          label="Wanted"
          className={styles.narrow ?? ''}
          value={percentOf(plan.wantedChance)}
          bounds={CHANCE_PERCENT}
          suffix="%"
          onValue={(percent) => onWant(fractionOf(percent))}
        />
      </div>
      {outcome ? (
        <>
          <div className={styles.chance}>
            <output
              className={`${styles.big} ${outcome.all < plan.wantedChance ? 'red' : unknown > 0 ? 'amber' : 'leaf'}`}
              aria-label="Chance that everybody finishes"
            >
              {chanceWords(outcome.all)}
            </output>
            <p>
              {unknown > 0 && <b className="amber">at best, for {counted(unknown, 'step')} untimed: </b>}
              all {room.people.length} by {clockWords(end)}
              <br />
              <span className="quiet">
                all but one {chanceWords(outcome.allButOne)} · nine in ten {chanceWords(outcome.nineInTen)}
              </span>
              {outcome.bySitting.length > 1 && (
                <>
                  <br />
                  <span className="quiet">
                    {outcome.bySitting
                      .map(
                        (chance, at) =>
                          `what is written for sitting ${at + 1} is done in it: ${chanceWords(chance)}`,
                      )
                      .join(' · ')}
                  </span>
                </>
              )}
            </p>
          </div>
          <DoneChart outcome={outcome} end={end} proposed={proposedCurve(told)} />
          <p className="quiet small">
            The last is done at about {clockWords(outcome.last.half)}, and in nine classes of ten by{' '}
            {clockWords(outcome.last.nineTenths)}.
            {outcome.mostLate > 0 &&
              ` In nine classes of ten no more than ${outcome.mostLate} are late: have as many pieces prepared.`}{' '}
            Hands idle {Math.round(outcome.idleMinutes)} min each.
            {` From ${outcome.classes} classes gone through.`}
            {isGoing && (
              <>
                {' '}
                <Button size="small" onClick={onStop}>
                  Stop
                </Button>
              </>
            )}
          </p>
        </>
      ) : (
        <p className="quiet" role="status">
          Going through the day…
        </p>
      )}
    </section>
  );
}

/** With what is proposed, where that is on the same day. */
const proposedCurve = ({ together, areLeversOld }: DayTold): Outcome['doneBy'] | null =>
  together === null ||
  areLeversOld ||
  together.levers.length === 0 ||
  together.levers.some(({ kind }) => kind === 'another-sitting')
    ? null
    : together.doneBy;

interface DoneChartProps {
  outcome: Outcome;
  end: number;
  proposed: Outcome['doneBy'] | null;
}

function DoneChart({ outcome, end, proposed }: DoneChartProps) {
  const option = useMemo(() => doneOption(outcome, end, proposed), [outcome, end, proposed]);
  const atEnd = outcome.doneBy.findLast(({ minute }) => minute <= end);
  const label = `Of everybody ${chanceWords(atEnd?.people ?? 0)} are done by ${clockWords(end)}; in ${chanceWords(outcome.all)} of the classes all are.`;
  return <Chart option={option} heightPx={CHART_PX} label={label} />;
}

/** From the first that is done to nearly the last, in whole half hours. */
function rangeOf(doneBy: Outcome['doneBy'], end: number): { min: number; max: number; interval: number } {
  const last = doneBy.find(({ all }) => all >= 0.99)?.minute ?? end;
  const first = Math.min(end, ...doneBy.map(({ minute }) => minute));
  const min = Math.floor(first / HALF_HOUR) * HALF_HOUR;
  const max = Math.ceil(Math.max(last, end + 1) / HALF_HOUR) * HALF_HOUR;
  return { min, max, interval: max - min > 360 ? 60 : HALF_HOUR };
}

const HALF_HOUR = 30;

const doneOption = ({ doneBy }: Outcome, end: number, proposed: Outcome['doneBy'] | null): ChartOption => ({
  grid: { left: 44, right: 16, top: 26, bottom: 22 },
  legend: { top: 0, right: 0, itemWidth: 14 },
  xAxis: {
    type: 'value',
    ...rangeOf([...doneBy, ...(proposed ?? [])], end),
    axisLabel: { hideOverlap: true, formatter: (minute: number) => clockWords(minute) },
    splitLine: { show: false },
  },
  yAxis: { type: 'value', min: 0, max: 100, splitNumber: 4, axisLabel: { formatter: '{value} %' } },
  tooltip: { trigger: 'axis', valueFormatter: (value) => `${Math.round(Number(value))} %` },
  series: [
    {
      type: 'line',
      name: 'people done',
      symbol: 'none',
      color: 'action',
      data: doneBy.map(({ minute, people }) => [minute, people * 100]),
      markLine: {
        symbol: 'none',
        silent: true,
        label: { formatter: clockWords(end), position: 'end', rotate: 0 },
        data: [{ xAxis: end }],
      },
    },
    {
      type: 'line',
      name: 'everybody done',
      symbol: 'none',
      lineStyle: { type: 'dashed' },
      color: 'ink-2',
      data: doneBy.map(({ minute, all }) => [minute, all * 100]),
    },
    ...(proposed
      ? [
          {
            type: 'line' as const,
            name: 'everybody, with what is proposed',
            symbol: 'none',
            color: 'leaf',
            data: proposed.map(({ minute, all }) => [minute, all * 100]),
          },
        ]
      : []),
  ],
});
