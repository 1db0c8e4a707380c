import type { Foretold } from '@lanakit/core/logbook';
import { useMemo } from 'react';
import { Chart, type ChartOption } from '../../ui/Chart.tsx';
import { counted, showGrams } from '../../words/show.ts';

const CHART_PX = 320;
/** Over so many, points are drawn as one. */
const MANY = 1500;

/** Estimated against weighed, grams, both by tens: on the line it took what was told. */
export function FoundChart({ all }: { all: readonly Foretold[] }) {
  const option = useMemo(() => foundOption(all), [all]);
  const inside = all.filter(({ isInside }) => isInside).length;
  return (
    <Chart
      option={option}
      heightPx={CHART_PX}
      points={all.length}
      label={`Estimated against weighed, ${counted(all.length, 'weighing')}: ${inside} in their range, ${all.length - inside} out of it`}
    />
  );
}

function foundOption(all: readonly Foretold[]): ChartOption {
  const values = all.flatMap(({ estimated, found }) => [estimated, found]);
  const [min, max] = [Math.min(...values) / 1.4, Math.max(...values) * 1.4];
  const points = (name: string, token: string, symbol: string, isInside: boolean) => ({
    type: 'scatter' as const,
    name,
    color: token,
    symbol,
    symbolSize: 9,
    large: true,
    largeThreshold: MANY,
    data: all.filter((each) => each.isInside === isInside).map(({ estimated, found }) => [estimated, found]),
  });
  const axis = (name: string) => ({
    type: 'log' as const,
    name,
    nameLocation: 'middle' as const,
    min,
    max,
    axisLabel: {
      formatter: (grams: number) => (grams < min * 1.01 || grams > max * 0.99 ? '' : showGrams(grams)),
    },
    splitLine: { show: false },
  });
  return {
    grid: { left: 64, right: 24, top: 28, bottom: 44 },
    legend: { top: 0, right: 0, itemWidth: 10 },
    tooltip: { formatter: (point) => pointWords(point) },
    xAxis: { ...axis('estimated the day before'), nameGap: 28 },
    yAxis: { ...axis('weighed'), nameGap: 48 },
    series: [
      points('in its range', 'action', 'circle', true),
      points('out of it', 'red', 'triangle', false),
      {
        type: 'line',
        color: 'ink-2',
        showSymbol: false,
        silent: true,
        lineStyle: { width: 1, type: 'dashed' },
        data: [
          [min, min],
          [max, max],
        ],
      },
    ],
  };
}

function pointWords(point: unknown): string {
  const { value } = (Array.isArray(point) ? point[0] : point) as { value: readonly [number, number] };
  return `estimated ${showGrams(value[0])}, weighed ${showGrams(value[1])}`;
}
