import {
  BarChart,
  type BarSeriesOption,
  LineChart,
  type LineSeriesOption,
  ScatterChart,
  type ScatterSeriesOption,
} from 'echarts/charts';
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
import { CanvasRenderer, SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { useIsDark } from './look/useIsDark.ts';

drawsWith([
  BarChart,
  LineChart,
  ScatterChart,
  GridComponent,
  LegendComponent,
  MarkLineComponent,
  TooltipComponent,
  CanvasRenderer,
  SVGRenderer,
]);

export type ChartOption = ComposeOption<
  | BarSeriesOption
  | LineSeriesOption
  | ScatterSeriesOption
  | GridComponentOption
  | LegendComponentOption
  | MarkLineComponentOption
  | TooltipComponentOption
>;

export interface ChartProps {
  /** Colours by the names of our tokens. */
  readonly option: ChartOption;
  readonly heightPx: number;
  /** How many points it draws: very many are drawn as pixels. */
  readonly points?: number;
  /** All it says, in words. */
  readonly label: string;
}

/** Over so many, lines and signs that each are a thing of the page take too long. */
const MOST_AS_LINES = 1500;

/** In our own type and colours; as lines and not as pixels, unless there are very many. */
export function ChartDrawing({ option, heightPx, label, points = 0 }: ChartProps) {
  const place = useRef<HTMLDivElement>(null);
  const isDark = useIsDark();
  const renderer = points > MOST_AS_LINES ? 'canvas' : 'svg';
  useEffect(() => {
    const node = place.current;
    if (!node) return undefined;
    const look = getComputedStyle(document.documentElement);
    const token = (name: string) => look.getPropertyValue(`--${name}`).trim();
    const chart = init(node, undefined, { renderer, height: heightPx });
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
  }, [option, heightPx, isDark, renderer]);
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
