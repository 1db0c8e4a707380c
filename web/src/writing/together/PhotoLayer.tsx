import { markMm, photoMarked, photoMoved } from '@lanakit/core/figure';
import type { KeyboardEvent, PointerEvent } from 'react';
import type { DrawingScale } from '../../figure/TogetherDrawing.tsx';
import type { HeldPhoto } from './photoStore.ts';
import styles from './Together.module.css';

interface PhotoProps {
  held: HeldPhoto;
  at: DrawingScale;
  onChange: (held: HeldPhoto) => void;
}

type Mm = readonly [number, number];

/** Where a pointer is in the drawing, mm. */
function pointMm({ clientX, clientY, currentTarget }: PointerEvent<SVGElement>, at: DrawingScale): Mm {
  const box = currentTarget.ownerSVGElement?.getBoundingClientRect();
  return [
    (clientX - (box?.left ?? 0) - at.leftPx) / at.pxPerMm,
    (at.groundPx - (clientY - (box?.top ?? 0))) / at.pxPerMm,
  ];
}

/** The photo itself, behind everything; while it is set, a hand moves it. */
export function PhotoImage({ held, at, onChange }: PhotoProps) {
  const { photo, url, strength, isSetting } = held;
  const heightMm = photo.widthMm * photo.aspect;
  return (
    <image
      href={url}
      x={at.leftPx + photo.leftMm * at.pxPerMm}
      y={at.groundPx - (photo.bottomMm + heightMm) * at.pxPerMm}
      width={photo.widthMm * at.pxPerMm}
      height={heightMm * at.pxPerMm}
      preserveAspectRatio="none"
      opacity={strength}
      role="img"
      aria-label="Photo behind the figure"
      className={isSetting ? styles.photoMoved : styles.photoStill}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={(event) => {
        if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
        const by: Mm = [event.movementX / at.pxPerMm, -event.movementY / at.pxPerMm];
        onChange({ ...held, photo: photoMoved(photo, by) });
      }}
    />
  );
}

const MARK_PX = 8;
const NAMES = ['First mark', 'Second mark'] as const;
const STEPS: Readonly<Record<string, Mm>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** Its two marks, over everything, with the line between them. */
export function PhotoMarks({ held, at, onChange }: PhotoProps) {
  const { photo } = held;
  const places = photo.marks.map((mark): Mm => {
    const [x, y] = markMm(photo, mark);
    return [at.leftPx + x * at.pxPerMm, at.groundPx - y * at.pxPerMm];
  });
  const set = (which: 0 | 1, to: Mm) => onChange({ ...held, photo: photoMarked(photo, which, to) });
  const onKey = (which: 0 | 1) => (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    event.stopPropagation();
    const [x, y] = markMm(photo, photo.marks[which]);
    set(which, [x + step[0], y + step[1]]);
  };
  const [a, b] = places;
  return (
    <g>
      {a && b && <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} stroke="var(--red)" strokeDasharray="5 4" />}
      {places.map(([x, y], which) => (
        <circle
          key={NAMES[which]}
          cx={x}
          cy={y}
          r={MARK_PX}
          fill="var(--paper)"
          fillOpacity={0.7}
          stroke="var(--red)"
          strokeWidth={2}
          role="button"
          tabIndex={0}
          aria-label={`${NAMES[which]}: arrows move it`}
          className={styles.photoMark}
          onKeyDown={onKey(which as 0 | 1)}
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onPointerMove={(event) => {
            if (event.currentTarget.hasPointerCapture(event.pointerId))
              set(which as 0 | 1, pointMm(event, at));
          }}
        />
      ))}
    </g>
  );
}
