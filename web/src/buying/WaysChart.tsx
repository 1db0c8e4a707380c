import { majorOf } from '@lanakit/core/base';
import { type MoneyOfPlan, moneyOfPlan, PURCHASE_WAYS, type PurchasePlan } from '@lanakit/core/buying';
import { useMemo } from 'react';
import { Chart, type ChartOption } from '../ui/Chart.tsx';
import { WAY_WORDS } from '../words/buyingWords.ts';
import { showMoney } from '../words/show.ts';

/** What each way costs, and how much of that lies over afterwards. */
export function WaysChart({ plans }: { plans: readonly PurchasePlan[] }) {
  const option = useMemo((): ChartOption => waysOption(plans), [plans]);
  if (plans.length < PURCHASE_WAYS.length) return null;
  return <Chart option={option} heightPx={CHART_PX} label={spoken(plans)} />;
}

const CHART_PX = 132;

const spoken = (plans: readonly PurchasePlan[]): string =>
  plans
    .map(
      ({ way, purchase }) =>
        `${WAY_WORDS[way].name}: ${showMoney(purchase.totalMinor)}, of which ${showMoney(purchase.leftOverMinor)} is left over`,
    )
    .join('; ');

function waysOption(plans: readonly PurchasePlan[]): ChartOption {
  const bars = (name: string, token: string, part: keyof MoneyOfPlan) => ({
    type: 'bar' as const,
    name,
    stack: 'money',
    barWidth: 14,
    color: token,
    data: plans.map((plan) => majorOf(Math.round(moneyOfPlan(plan)[part]))),
  });
  return {
    grid: { left: 104, right: 48, top: 24, bottom: 4 },
    legend: { top: 0, left: 0, itemWidth: 10, itemHeight: 10 },
    tooltip: { trigger: 'axis', axisPointer: { type: 'none' } },
    xAxis: { type: 'value', show: false },
    yAxis: {
      type: 'category',
      inverse: true,
      data: plans.map(({ way }) => WAY_WORDS[way].name),
      axisLine: { show: false },
      axisTick: { show: false },
    },
    series: [
      bars('used', 'action', 'usedMinor'),
      bars('left over', 'line', 'leftOverMinor'),
      bars('carriage', 'amber', 'carriageMinor'),
    ],
  };
}
