import type { Fibre } from '@lanakit/core';
import { FibreFill } from './FibreFill.tsx';

interface FibreSwatchProps {
  fibre: Pick<Fibre, 'colour' | 'preparation' | 'name'>;
  width?: number;
  height?: number;
}

/** A lock of the fibre, as it lies. Its name always stands beside it, so it is hidden from readers. */
export function FibreSwatch({ fibre, width = 66, height = 26 }: FibreSwatchProps) {
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden
      style={{ flex: 'none' }}
    >
      <FibreFill fibre={fibre} seed={fibre.name + fibre.colour} width={width} height={height} />
      <rect
        x={0.5}
        y={0.5}
        width={width - 1}
        height={height - 1}
        fill="none"
        stroke="var(--ink)"
        strokeOpacity={0.35}
      />
    </svg>
  );
}
