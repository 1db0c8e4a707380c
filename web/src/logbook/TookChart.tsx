import type { FibreTook } from '@lanakit/core/classDay';
import { useMemo } from 'react';
import { Chart, type ChartOption } from '../ui/Chart.tsx';
import { showGrams } from '../words/show.ts';

const ROW_PX = 40;

/** What a class took of each fibre, beside what was planned for it; what nobody weighed has no bar. */
export function TookChart({
  rows,
  nameOf,
}: {
  rows: readonly FibreTook[];
  nameOf: (fibreId: string) => string;
}) {
  const option = useMemo(() => tookOption(rows, nameOf), [rows, nameOf]);
  if (rows.every(({ tookG, weighedG }) => tookG === null && weighedG === null)) return null;
  const label = rows
    .map(
      ({ fibreId, plannedG, tookG }) =>
        `${nameOf(fibreId)}: ${showGrams(plannedG)} planned, ${tookG === null ? 'took not known' : `took ${showGrams(tookG)}`}`,
    )
    .join('; ');
  return <Chart option={option} heightPx={rows.length * ROW_PX + 40} label={label} />;
}

function tookOption(rows: readonly FibreTook[], nameOf: (fibreId: string) => string): ChartOption {
  const bars = (name: string, token: string, of: (row: FibreTook) => number | null) => ({
    type: 'bar' as const,
    name,
    color: token,
    barWidth: 8,
    data: rows.map((row) => of(row) ?? '-'),
  });
  return {
    grid: { left: 170, right: 40, top: 26, bottom: 4 },
    legend: { top: 0, left: 170, itemWidth: 12, itemHeight: 8 },
    xAxis: { type: 'value', show: false },
    yAxis: {
      type: 'category',
      inverse: true,
      data: rows.map(({ fibreId }) => nameOf(fibreId)),
      axisLine: { show: false },
      axisTick: { show: false },
      axisLabel: { width: 156, overflow: 'truncate' },
    },
    series: [
      bars('planned', 'line', ({ plannedG }) => plannedG),
      bars('weighed out', 'ink-2', ({ weighedG }) => weighedG),
      bars('took', 'action', ({ tookG }) => tookG),
    ],
  };
}
