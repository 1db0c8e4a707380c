import type { Problem } from '../problems/index.ts';
import type { Pattern } from './pattern.ts';

/** Every place a pattern names a fibre. */
export function fibreReferences(pattern: Pattern): { pointer: string; fibreId: string }[] {
  return pattern.parts.flatMap((part, index) => {
    const places = [
      { pointer: `/parts/${index}/core/fibreId`, fibreId: part.core.fibreId },
      { pointer: `/parts/${index}/coat/fibreId`, fibreId: part.coat?.fibreId ?? null },
    ];
    return places.filter((place): place is { pointer: string; fibreId: string } => place.fibreId !== null);
  });
}

/** Each fibre a pattern uses, once, in the order it first appears. */
export function fibresUsed(pattern: Pattern): string[] {
  return [...new Set(fibreReferences(pattern).map((place) => place.fibreId))];
}

/** The places that name a fibre the shelf does not hold. */
export function strangeFibres(pattern: Pattern, isOnShelf: (fibreId: string) => boolean): Problem[] {
  return fibreReferences(pattern)
    .filter((place) => !isOnShelf(place.fibreId))
    .map((place) => ({ code: 'fibre_not_found', ...place }));
}
