import { type Camera, seen } from '@lanakit/core/figure';
import { type PlacedPiece } from '@lanakit/core/placing';
import type { PointerEvent } from 'react';
import type { DrawingScale } from '../../figure/TogetherDrawing.tsx';
import { farPoint, heldPoint } from './heldPoints.ts';
import styles from './Together.module.css';

interface GripsProps {
  piece: PlacedPiece;
  camera: Camera;
  at: DrawingScale;
  onTurn: (event: PointerEvent<SVGElement>) => void;
  onSink: (event: PointerEvent<SVGElement>, way: readonly [number, number]) => void;
}

const GRIP_PX = 7;

/** A round grip at its far end turns it; a square one where it sits sinks it. */
export function Grips({ piece, camera, at, onTurn, onSink }: GripsProps) {
  const px = (point: readonly [number, number, number]) => {
    const [x, y] = seen(camera, point);
    return [at.leftPx + x * at.pxPerMm, at.groundPx - y * at.pxPerMm] as const;
  };
  const [farX, farY] = px(farPoint(piece));
  const [heldX, heldY] = px(heldPoint(piece));
  const normal = piece.set?.normal ?? [0, 1, 0];
  const [nx, ny] = seen(camera, normal);
  const size = nx * nx + ny * ny;
  return (
    <g aria-hidden>
      <path
        d={`M${heldX} ${heldY}L${farX} ${farY}`}
        stroke="var(--action)"
        strokeWidth={1}
        strokeDasharray="2 3"
        pointerEvents="none"
      />
      <circle className={styles.grip} data-grip="turn" cx={farX} cy={farY} r={GRIP_PX} onPointerDown={onTurn}>
        <title>Turn it</title>
      </circle>
      {size > 0.1 && (
        <rect
          className={styles.grip}
          data-grip="sink"
          x={heldX - GRIP_PX + 1}
          y={heldY - GRIP_PX + 1}
          width={2 * GRIP_PX - 2}
          height={2 * GRIP_PX - 2}
          onPointerDown={(event) => onSink(event, [nx / size, ny / size])}
        >
          <title>Sink it</title>
        </rect>
      )}
    </g>
  );
}
