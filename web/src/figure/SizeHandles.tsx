import { handLength, type Length, showTypedLength, toMm } from '@lanakit/core/base';
import { SIZE_HANDLES, type SizeName, sizesOf } from '@lanakit/core/shapes';
import { useRef, type PointerEvent } from 'react';
import styles from './PieceTray.module.css';
import type { Piece } from '@lanakit/core/figure';

/** Pulls one size of a part; `isLast` when the hand lets go. */
export type PullSize = (partId: string, name: SizeName, size: Length) => void;

interface SizeHandlesProps {
  piece: Piece;
  /** px per mm, held still while a hand pulls. */
  scale: number;
  onPull: PullSize;
  onHold: (isHeld: boolean) => void;
}

/** Grips at the edges of a chosen piece: pull it wider or longer. The keys for the same are in the size’s own field. */
export function SizeHandles({ piece, scale, onPull, onHold }: SizeHandlesProps) {
  const { part, finished } = piece;
  if (!finished) return null;
  const { across, along } = SIZE_HANDLES[part.shape.kind];
  const [centreX, centreY] = [(piece.widthMm * scale) / 2, (piece.heightMm * scale) / 2];
  const grip = (name: SizeName | null, axis: 'x' | 'y', left: number, top: number) => {
    const size = name === null ? null : (sizesOf(part.shape).get(name) ?? null);
    // What is derived from something else is not pulled: that would cut it loose.
    if (name === null || size === null) return null;
    return (
      <Grip
        axis={axis}
        style={{ left, top }}
        size={size}
        scale={scale}
        onSize={(value) => onPull(part.id, name, value)}
        onHold={onHold}
      />
    );
  };
  return (
    <>
      {grip(across, 'x', centreX + (finished.widthMm * scale) / 2, centreY)}
      {grip(along, 'y', centreX, centreY + (finished.heightMm * scale) / 2)}
    </>
  );
}

interface GripProps {
  axis: 'x' | 'y';
  style: { left: number; top: number };
  size: Length;
  scale: number;
  onSize: (size: Length) => void;
  onHold: (isHeld: boolean) => void;
}

function Grip({ axis, style, size, scale, onSize, onHold }: GripProps) {
  const start = useRef<{ at: number; mm: number; scale: number } | null>(null);
  const frame = useRef(0);
  const move = (event: PointerEvent) => {
    const begun = start.current;
    if (!begun) return;
    const at = axis === 'x' ? event.clientX : event.clientY;
    // The piece stays centred, so its edge moves by half of what it grows.
    const mm = Math.max(0.5, begun.mm + ((at - begun.at) * 2) / begun.scale);
    cancelAnimationFrame(frame.current);
    frame.current = requestAnimationFrame(() => onSize(handLength(mm, size.unit, 1)));
  };
  const hold = (event: PointerEvent<HTMLSpanElement>) => {
    event.preventDefault();
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    start.current = { at: axis === 'x' ? event.clientX : event.clientY, mm: toMm(size), scale };
    onHold(true);
  };
  const release = () => {
    start.current = null;
    onHold(false);
  };
  return (
    <span
      className={`${styles.grip} ${axis === 'x' ? styles.gripX : styles.gripY}`}
      data-grip={axis}
      style={style}
      title={`${showTypedLength(size)}: pull to change`}
      onPointerDown={hold}
      onPointerMove={move}
      onPointerUp={release}
      onPointerCancel={release}
      onClick={(event) => event.stopPropagation()}
    />
  );
}
