import type { Fibre } from '@lanakit/core';
import { memo, useMemo } from 'react';
import { fibreStrokes } from './fibreStrokes.ts';

interface FibreFillProps {
  fibre: Pick<Fibre, 'colour' | 'preparation'>;
  seed: string;
  width: number;
  height: number;
  /** Direction of combed fibre, radians. */
  axis?: number;
}

/** A box of fibre at 0, 0; the caller clips it to an outline. */
export const FibreFill = memo(function FibreFill({ fibre, seed, width, height, axis = 0 }: FibreFillProps) {
  const strokes = useMemo(
    () => fibreStrokes(seed, fibre.preparation, width, height, axis),
    [seed, fibre.preparation, width, height, axis],
  );
  return (
    <g fill="none" strokeWidth={strokes.strokeWidth} strokeLinecap="round">
      <rect width={width} height={height} fill={fibre.colour} stroke="none" />
      <path d={strokes.dark} stroke={`color-mix(in oklab, ${fibre.colour} 80%, black)`} opacity={0.5} />
      <path d={strokes.pale} stroke={`color-mix(in oklab, ${fibre.colour} 66%, white)`} opacity={0.6} />
    </g>
  );
});
