import { BarChart, type BarSeriesOption, LineChart, type LineSeriesOption } from 'echarts/charts';
import {
  GridComponent,
  type GridComponentOption,
  LegendComponent,
  type LegendComponentOption,
  MarkLineComponent,
  type MarkLineComponentOption,
  TooltipComponent,
  type TooltipComponentOption,
} from 'echarts/components';
import { type ComposeOption, init, use as drawsWith } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { useIsDark } from './look/useIsDark.ts';

drawsWith([
  BarChart,
  LineChart,
  GridComponent,
  LegendComponent,
  MarkLineComponent,
  TooltipComponent,
  SVGRenderer,
]);

export type ChartOption = ComposeOption<
  | BarSeriesOption
  | LineSeriesOption
  | GridComponentOption
  | LegendComponentOption
  | MarkLineComponentOption
  | TooltipComponentOption
>;

export interface ChartProps {
  /** Colours by the names of our tokens. */
  readonly option: ChartOption;
  readonly heightPx: number;
  /** All it says, in words. */
  readonly label: string;
}

/** In our own type and colours, as lines and not as pixels. */
export function ChartDrawing({ option, heightPx, label }: ChartProps) {
  const place = useRef<HTMLDivElement>(null);
  const isDark = useIsDark();
  useEffect(() => {
    const node = place.current;
    if (!node) return undefined;
    const look = getComputedStyle(document.documentElement);
    const token = (name: string) => look.getPropertyValue(`--${name}`).trim();
    const chart = init(node, undefined, { renderer: 'svg', height: heightPx });
    chart.setOption({
      animation: false,
      textStyle: { fontFamily: token('text'), fontSize: 13, color: token('ink') },
      ...withTokens(option, token),
    });
    const watch = new ResizeObserver(() => chart.resize());
    watch.observe(node);
    return () => {
      watch.disconnect();
      chart.dispose();
    };
  }, [option, heightPx, isDark]);
  return <div ref={place} role="img" aria-label={label} />;
}

const WITH_TEXT = ['legend', 'xAxis', 'yAxis'] as const;

/** Names of tokens become the colours they stand for now. */
function withTokens(option: ChartOption, token: (name: string) => string): ChartOption {
  const ink = token('ink');
  const series = [option.series ?? []].flat().map((line) => ({
    ...line,
    color: token(typeof line.color === 'string' ? line.color : 'ink'),
    ...(line.markLine && {
      markLine: { ...line.markLine, label: { ...line.markLine.label, color: ink, textBorderWidth: 0 } },
    }),
  }));
  const inInk = Object.fromEntries(
    WITH_TEXT.flatMap((key) => {
      const part = option[key] as { axisLabel?: object } | undefined;
      if (!part) return [];
      const text =
        key === 'legend' ? { textStyle: { color: ink } } : { axisLabel: { color: ink, ...part.axisLabel } };
      return [[key, { ...part, ...text }]];
    }),
  );
  return { ...option, ...inInk, series };
}
