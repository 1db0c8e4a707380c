import type { Pattern } from '@lanakit/core/pattern';
import { type Making, minutesByPerson, type StepMinutes } from '@lanakit/core/logbook';
import { useMemo } from 'react';
import { Chart, type ChartOption } from '../../ui/Chart.tsx';
import { whoWords } from '../../words/logbookWords.ts';
import { counted } from '../../words/show.ts';

const CHART_PX = 220;
const COLOURS = ['action', 'amber', 'leaf', 'red'];
const SYMBOLS = ['circle', 'triangle', 'rect', 'diamond'];

/** Minutes of each step by whoever made it, beside what the pattern says. */
export function MinutesChart({ build, makings }: { build: Pattern; makings: readonly Making[] }) {
  const steps = useMemo(() => minutesByPerson(build, makings), [build, makings]);
  const option = useMemo(() => minutesOption(steps), [steps]);
  const timed = makings.filter((making) => making.steps.some(({ minutes }) => minutes !== null)).length;
  if (timed < 2) return null;
  const label = steps
    .map(
      ({ number, planned, took }) =>
        `step ${number}: ${planned === null ? 'no time in the pattern' : `${Math.round(planned)} minutes in the pattern`}, ${took
          .map(({ who, minutes }) => `${whoWords(who)} ${Math.round(minutes)}`)
          .join(', ')}`,
    )
    .join('; ');
  return (
    <figure>
      <figcaption className="quiet small">
        Minutes of each step in {counted(timed, 'making')} of it
      </figcaption>
      <Chart option={option} heightPx={CHART_PX} label={label} />
    </figure>
  );
}

function minutesOption(steps: readonly StepMinutes[]): ChartOption {
  const people = [...new Set(steps.flatMap(({ took }) => took.map(({ who }) => who)))];
  return {
    grid: { left: 48, right: 16, top: 28, bottom: 40 },
    legend: { top: 0, right: 0, itemWidth: 12 },
    xAxis: {
      type: 'category',
      name: 'step',
      nameLocation: 'middle',
      nameGap: 24,
      data: steps.map(({ number }) => String(number)),
      axisTick: { show: false },
    },
    yAxis: {
      type: 'value',
      axisLabel: { formatter: (minutes: number) => `${minutes} min` },
      splitLine: { show: false },
    },
    series: [
      {
        type: 'bar',
        name: 'in the pattern',
        color: 'line',
        barWidth: '60%',
        data: steps.map(({ planned }) => (planned === null ? '-' : Math.round(planned))),
      },
      ...people.map((who, at) => ({
        type: 'scatter' as const,
        name: whoWords(who),
        color: COLOURS[at % COLOURS.length] ?? 'ink',
        symbol: SYMBOLS[at % SYMBOLS.length] ?? 'circle',
        symbolSize: 8,
        data: steps.flatMap(({ number, took }) =>
          took.filter((each) => each.who === who).map(({ minutes }) => [String(number), minutes]),
        ),
      })),
    ],
  };
}
