import type { LengthUnit } from '@lanakit/core/base';
import { rulerTicks, type Tick } from '@lanakit/core/figure';

interface RulerProps {
  length: number;
  /** px per mm */
  scale: number;
  unit: LengthUnit;
  offset: number;
  isVertical: boolean;
  /** Nought is at its lower end: it measures heights. */
  isFromBelow?: boolean;
}

const TICK_PX: Readonly<Record<Tick['weight'], number>> = { major: 8, half: 6, minor: 3.5 };

/** Half a label: nearer to its end one would be cut off. */
const LABEL_ROOM_PX = 9;

/** An edge that measures, in centimetres or inches. */
export function Ruler({ length, scale, unit, offset, isVertical, isFromBelow = false }: RulerProps) {
  if (length <= 0) return null;
  const ticks = rulerTicks(length, scale, unit);
  const down = (at: number) => (isFromBelow ? length - at : at);
  const lines = ticks.map(({ at, weight }) =>
    isVertical ? `M0 ${down(at).toFixed(1)}h${TICK_PX[weight]}` : `M${at.toFixed(1)} 0v${TICK_PX[weight]}`,
  );
  const style = isVertical
    ? { left: 0, top: offset, width: offset, height: length }
    : { left: offset, top: 0, width: length, height: offset };
  return (
    <svg aria-hidden style={{ position: 'absolute', overflow: 'hidden', ...style }}>
      <path d={lines.join('')} stroke="var(--ink-2)" strokeWidth={0.75} fill="none" />
      {ticks.map(
        ({ at, label }) =>
          label !== null &&
          at <= length - LABEL_ROOM_PX && (
            <text
              key={at}
              x={isVertical ? 10 : at}
              y={isVertical ? down(at) + 4.5 : 19}
              fontSize={13}
              fill="var(--ink-2)"
              textAnchor={isVertical ? 'start' : 'middle'}
            >
              {label}
            </text>
          ),
      )}
    </svg>
  );
}
