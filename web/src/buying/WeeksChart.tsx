import type { StockStep } from '@lanakit/core/buying';
import type { StockUnit } from '@lanakit/core/shelf';
import { useMemo } from 'react';
import { Chart, type ChartOption } from '../ui/Chart.tsx';
import { findingAmount, showDay } from '../words/show.ts';

interface WeeksChartProps {
  today: string;
  onHand: number;
  steps: readonly StockStep[];
  unit: StockUnit;
}

/** A thing on the shelf over the weeks ahead, with runs and parcels as steps. */
export function WeeksChart({ today, onHand, steps, unit }: WeeksChartProps) {
  const option = useMemo(() => weeksOption(today, onHand, steps), [today, onHand, steps]);
  return <Chart option={option} heightPx={CHART_PX} label={spoken(onHand, steps, unit)} />;
}

const CHART_PX = 120;

const spoken = (onHand: number, steps: readonly StockStep[], unit: StockUnit): string =>
  [
    `${findingAmount(onHand, unit)} today`,
    ...steps.map(({ on, amount }) =>
      amount < 0
        ? `${findingAmount(-amount, unit)} wanting on ${showDay(on)}`
        : `${findingAmount(amount, unit)} on ${showDay(on)}`,
    ),
  ].join(', ');

const weeksOption = (today: string, onHand: number, steps: readonly StockStep[]): ChartOption => ({
  grid: { left: 48, right: 12, top: 8, bottom: 22 },
  xAxis: { type: 'time', min: today, axisLabel: { hideOverlap: true, formatter: '{d} {MMM}' } },
  yAxis: { type: 'value', splitNumber: 2 },
  tooltip: { trigger: 'axis' },
  series: [
    {
      type: 'line',
      name: 'on the shelf',
      step: 'end',
      symbolSize: 6,
      color: 'action',
      data: [[today, onHand], ...steps.map(({ on, amount }) => [on < today ? today : on, amount])],
    },
  ],
});
