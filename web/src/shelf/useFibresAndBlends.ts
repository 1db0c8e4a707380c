import { type BlendInput, expandBlend } from '@lanakit/core/shelf';
import { useMemo } from 'react';
import { useBlends, useFibres } from '../api/queries.ts';

/** Fibres and blends by id, and a blend taken apart. */
export function useFibresAndBlends() {
  const { data: fibreList } = useFibres();
  const { data: blendList } = useBlends();
  return useMemo(() => {
    const fibres = new Map((fibreList?.items ?? []).map((fibre) => [fibre.id, fibre]));
    const blends = new Map((blendList?.items ?? []).map((blend) => [blend.id, blend]));
    const fractionsOf = (parts: BlendInput['parts'], ownId: string | null) => {
      const expanded = expandBlend(
        parts,
        (id) => (id === ownId ? parts : blends.get(id)?.parts),
        ownId === null ? [] : [ownId],
      );
      return expanded.ok && [...expanded.fractions.keys()].every((id) => fibres.has(id))
        ? expanded.fractions
        : null;
    };
    return { fibres, blends, fractionsOf };
  }, [fibreList, blendList]);
}

export type Wool = ReturnType<typeof useFibresAndBlends>;
