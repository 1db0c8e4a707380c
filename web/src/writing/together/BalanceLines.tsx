import { type Camera, type FigureTells, seen } from '@lanakit/core/figure';
import type { DrawingScale } from '../../figure/TogetherDrawing.tsx';

interface BalanceLinesProps {
  tells: FigureTells;
  camera: Camera;
  at: DrawingScale;
}

/** The plumb line through its weight, what it rests on, and where it hangs. */
export function BalanceLines({ tells: { centre, standing, hanging }, camera, at }: BalanceLinesProps) {
  if (!centre) return null;
  const px = (point: readonly [number, number, number]) => {
    const [x, y] = seen(camera, point);
    return [at.leftPx + x * at.pxPerMm, at.groundPx - y * at.pxPerMm] as const;
  };
  const [x, y] = px(centre.point);
  const [footX, footY] = px([centre.point[0], 0, centre.point[2]]);
  const support = 'support' in standing ? standing.support.map(([sx, sz]) => px([sx, 0, sz])) : [];
  const isOut = standing.kind === 'falls' || standing.kind === 'no-flat';
  const ink = isOut && !hanging ? 'var(--red)' : 'var(--action)';
  const [hangX, hangY] = hanging ? px(hanging.from.point) : [0, 0];
  return (
    <g pointerEvents="none" aria-hidden>
      {!hanging && support.length > 0 && (
        <path
          d={`M${support.map(([sx, sy]) => `${sx.toFixed(1)} ${sy.toFixed(1)}`).join('L')}Z`}
          fill={ink}
          fillOpacity={0.14}
          stroke={ink}
          strokeWidth={2}
          strokeLinejoin="round"
        />
      )}
      <path
        d={hanging ? `M${hangX} 0V${hangY}M${hangX} ${hangY}L${x} ${y}` : `M${x} ${y}L${footX} ${footY}`}
        stroke={ink}
        strokeWidth={1.25}
        strokeDasharray="7 3 1 3"
        fill="none"
      />
      <circle cx={x} cy={y} r={5} fill="var(--paper)" stroke={ink} strokeWidth={1.5} />
      <path d={`M${x - 5} ${y}h10M${x} ${y - 5}v10`} stroke={ink} strokeWidth={1.25} />
    </g>
  );
}
