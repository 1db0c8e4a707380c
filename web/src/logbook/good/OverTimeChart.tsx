import type { Foretold } from '@lanakit/core/logbook';
import { useMemo } from 'react';
import { Chart, type ChartOption } from '../../ui/Chart.tsx';
import { showDay } from '../../words/show.ts';

const CHART_PX = 220;
/** Over so many, points are drawn as one. */
const MANY = 1500;
const percent = (value: number) => Math.round(value * 100);

/** How wide the range was that was told of each, in the order they were weighed, and where in it the weighing fell. */
export function OverTimeChart({ all }: { all: readonly Foretold[] }) {
  const option = useMemo(() => overTimeOption(all), [all]);
  const [first, last] = [all[0], all.at(-1)];
  if (!first || !last) return null;
  const width = ({ high, low, estimated }: Foretold) => percent((high - low) / 2 / estimated);
  return (
    <Chart
      option={option}
      heightPx={CHART_PX}
      points={all.length}
      label={`Ranges in the order of weighing: about ±${width(first)} % on ${showDay(first.date)}, about ±${width(last)} % on ${showDay(last.date)}`}
    />
  );
}

function overTimeOption(all: readonly Foretold[]): ChartOption {
  const edge = (name: string, of: (each: Foretold) => number) => ({
    type: 'line' as const,
    name,
    color: 'action',
    showSymbol: false,
    step: 'middle' as const,
    lineStyle: { width: 1.5 },
    sampling: 'minmax' as const,
    data: all.map((each) => percent(of(each) / each.estimated - 1)),
  });
  return {
    grid: { left: 64, right: 24, top: 28, bottom: 26 },
    legend: { top: 0, right: 0, itemWidth: 14, data: ['the range that was told', 'what was weighed'] },
    xAxis: {
      type: 'category',
      data: all.map(({ date }) => date),
      // Said only where it stands: of ten thousand days a dozen are written.
      axisLabel: { hideOverlap: true, formatter: (date: string) => showDay(date) },
      axisTick: { show: false },
    },
    yAxis: {
      type: 'value',
      axisLabel: { formatter: (value: number) => `${value > 0 ? '+' : ''}${value} %` },
      splitLine: { show: false },
    },
    series: [
      edge('the range that was told', ({ high }) => high),
      edge('low', ({ low }) => low),
      {
        type: 'scatter',
        name: 'what was weighed',
        color: 'ink',
        symbolSize: 7,
        large: true,
        largeThreshold: MANY,
        data: all.map(({ found, estimated }) => percent(found / estimated - 1)),
      },
    ],
  };
}
