import type { StudioYear } from '@lanakit/core/year';
import { useMemo } from 'react';
import { Chart, type ChartOption } from '../../ui/Chart.tsx';
import { counted } from '../../words/show.ts';
import { monthName } from '../../words/yearWords.ts';

/** Figures and kits of each month. */
export function MonthsChart({ year }: { year: StudioYear }) {
  const option = useMemo(() => monthsOption(year), [year]);
  const label = year.months
    .filter(({ figures, kits }) => figures + kits > 0)
    .map(
      ({ month, figures, kits }) =>
        `${monthName(month)}: ${[
          ...(figures > 0 ? [counted(figures, 'figure')] : []),
          ...(kits > 0 ? [counted(kits, 'kit')] : []),
        ].join(', ')}`,
    )
    .join('; ');
  return <Chart option={option} heightPx={190} label={`Figures and kits by month: ${label}`} />;
}

function monthsOption({ months }: StudioYear): ChartOption {
  const bars = (name: string, token: string, of: (month: StudioYear['months'][number]) => number) => ({
    type: 'bar' as const,
    name,
    stack: 'made',
    color: token,
    barWidth: 22,
    data: months.map((month) => (of(month) === 0 ? '-' : of(month))),
  });
  return {
    grid: { left: 34, right: 8, top: 30, bottom: 24 },
    legend: { top: 0, left: 34, itemWidth: 12, itemHeight: 8 },
    xAxis: {
      type: 'category',
      data: months.map(({ month }) => monthName(month, 'short')),
      axisTick: { show: false },
    },
    yAxis: { type: 'value', minInterval: 1 },
    series: [bars('figures', 'action', ({ figures }) => figures), bars('kits', 'ink-2', ({ kits }) => kits)],
  };
}
