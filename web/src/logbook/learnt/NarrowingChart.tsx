import { Z90 } from '@lanakit/core/base';
import type { LearntRow } from '@lanakit/core/logbook';
import { useMemo } from 'react';
import { Chart, type ChartOption } from '../../ui/Chart.tsx';
import { plusMinus } from '../../words/logbookWords.ts';

interface NarrowingChartProps {
  rows: readonly LearntRow[];
  nameOf: (row: LearntRow) => string;
}

const ROW_PX = 34;

/** Each range as it was before anything was weighed, and as it is now, on one scale: times what is usual. */
export function NarrowingChart({ rows, nameOf }: NarrowingChartProps) {
  const option = useMemo(() => narrowingOption(rows, nameOf), [rows, nameOf]);
  const label = rows
    .map((row) => `${nameOf(row)}: ${plusMinus(row.before.sigma)} before, ${plusMinus(row.now.sigma)} now`)
    .join('; ');
  return <Chart option={option} heightPx={rows.length * ROW_PX + 56} label={label} />;
}

type State = LearntRow['now'];
const lowOf = ({ factor, sigma }: State) => factor * Math.exp(-Z90 * sigma);
const highOf = ({ factor, sigma }: State) => factor * Math.exp(Z90 * sigma);

/** A line of the scale. */
const STEP = 0.2;

/** Whole steps, so that its ends are lines of the scale as well. */
const rangeOf = (rows: readonly LearntRow[]) => ({
  min:
    Math.floor(
      Math.min(0.8, ...rows.flatMap(({ before, now }) => [lowOf(before), lowOf(now)])) / STEP + 1e-9,
    ) * STEP,
  max:
    Math.ceil(
      Math.max(1.2, ...rows.flatMap(({ before, now }) => [highOf(before), highOf(now)])) / STEP - 1e-9,
    ) * STEP,
});

function narrowingOption(rows: readonly LearntRow[], nameOf: (row: LearntRow) => string): ChartOption {
  const span = (name: string, token: string, barWidth: number, of: (row: LearntRow) => State) => [
    {
      type: 'bar' as const,
      stack: name,
      silent: true,
      barWidth,
      barGap: '20%',
      itemStyle: { opacity: 0 },
      tooltip: { show: false },
      data: rows.map((row) => lowOf(of(row))),
    },
    {
      type: 'bar' as const,
      name,
      stack: name,
      barWidth,
      barGap: '20%',
      color: token,
      data: rows.map((row) => highOf(of(row)) - lowOf(of(row))),
    },
  ];
  return {
    grid: { left: 250, right: 24, top: 28, bottom: 24 },
    legend: { top: 0, left: 250, itemWidth: 14, itemHeight: 8, data: ['before anything was weighed', 'now'] },
    xAxis: {
      type: 'value',
      ...rangeOf(rows),
      interval: STEP,
      axisLabel: {
        formatter: (times: number) =>
          Math.abs(times - 1) < 1e-6
            ? 'as usual'
            : `${times > 1 ? '+' : ''}${Math.round((times - 1) * 100)} %`,
      },
      splitLine: { show: false },
    },
    yAxis: {
      type: 'category',
      inverse: true,
      data: rows.map(nameOf),
      axisLine: { show: false },
      axisTick: { show: false },
      axisLabel: { width: 236, overflow: 'truncate' },
    },
    series: [
      ...span('before anything was weighed', 'line', 8, ({ before }) => before),
      ...span('now', 'action', 8, ({ now }) => now),
      {
        type: 'bar' as const,
        data: [],
        markLine: {
          silent: true,
          symbol: 'none',
          lineStyle: { type: 'dashed', width: 1 },
          label: { show: false },
          data: [{ xAxis: 1 }],
        },
      },
    ],
  };
}
