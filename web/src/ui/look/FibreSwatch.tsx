import type { Fibre } from '@lanakit/core/shelf';
import { memo, useId } from 'react';
import { FibrePattern } from './FibrePattern.tsx';
import type { Woolly } from './fibreTile.ts';

interface FibreSwatchProps {
  fibre: Woolly & Pick<Fibre, 'name'>;
  /** Null fills what there is. */
  width?: number | null;
  height?: number;
}

/** A lock of the fibre, as it lies. Its name always stands beside it, so it is hidden from readers. */
export const FibreSwatch = memo(function FibreSwatch({ fibre, width = 66, height = 26 }: FibreSwatchProps) {
  const id = useId();
  return (
    <svg width={width ?? '100%'} height={height} aria-hidden className="unshrunk">
      <defs>
        <FibrePattern id={id} fibre={fibre} seed={fibre.name} />
      </defs>
      <rect width="100%" height={height} fill={`url(#${id})`} stroke="var(--ink)" strokeOpacity={0.35} />
    </svg>
  );
});
