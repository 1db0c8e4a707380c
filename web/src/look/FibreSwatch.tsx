import type { Fibre } from '@lanakit/core';
import { memo, useId } from 'react';
import { FibrePattern } from './FibrePattern.tsx';
import type { Woolly } from './fibreTile.ts';

interface FibreSwatchProps {
  fibre: Woolly & Pick<Fibre, 'name'>;
  width?: number;
  height?: number;
}

/** A lock of the fibre, as it lies. Its name always stands beside it, so it is hidden from readers. */
export const FibreSwatch = memo(function FibreSwatch({ fibre, width = 66, height = 26 }: FibreSwatchProps) {
  const id = useId();
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden
      style={{ flex: 'none' }}
    >
      <defs>
        <FibrePattern id={id} fibre={fibre} seed={fibre.name} />
      </defs>
      <rect
        x={0.5}
        y={0.5}
        width={width - 1}
        height={height - 1}
        fill={`url(#${id})`}
        stroke="var(--ink)"
        strokeOpacity={0.35}
      />
    </svg>
  );
});
