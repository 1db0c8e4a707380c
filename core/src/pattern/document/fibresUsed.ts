import type { Pattern } from './pattern.ts';
import type { PatternProblem } from './problem.ts';
import { isWool } from './use.ts';

interface FibreReference {
  readonly pointer: string;
  readonly fibreId: string;
}

export interface FindingReference {
  readonly pointer: string;
  readonly findingId: string;
}

/** Every place a pattern names a fibre or a blend. */
function fibreReferences(pattern: Pattern): FibreReference[] {
  const inParts = pattern.parts.flatMap((part, at) =>
    part.uses.map((use, index) => ({
      pointer: `/parts/${at}/uses/${index}/fibreId`,
      fibreId: isWool(use) ? use.fibreId : null,
    })),
  );
  const inJoins = pattern.joins.map(({ cover }, index) => ({
    pointer: `/joins/${index}/cover/fibreId`,
    fibreId: cover?.fibreId ?? null,
  }));
  const inColourways = pattern.colourways.flatMap(({ fills }, at) =>
    fills.map(({ fibreId }, index) => ({ pointer: `/colourways/${at}/fills/${index}/fibreId`, fibreId })),
  );
  const inSwaps = pattern.swaps.map(({ to }, index) => ({
    pointer: `/swaps/${index}/to/fibreId`,
    fibreId: to.kind === 'finding' ? null : to.fibreId,
  }));
  return [...inParts, ...inJoins, ...inColourways, ...inSwaps].filter(
    (place): place is FibreReference => place.fibreId !== null,
  );
}

/** Every place a pattern names a finding. */
export function findingReferences(pattern: Pattern): FindingReference[] {
  const inParts = pattern.parts.flatMap((part, at) => [
    ...part.uses.map((use, index) => ({
      pointer: `/parts/${at}/uses/${index}/findingId`,
      findingId: use.role === 'insert' ? use.findingId : null,
    })),
    ...part.derived.map((size, index) => ({
      pointer: `/parts/${at}/derived/${index}/findingId`,
      findingId: size.from === 'finding' ? size.findingId : null,
    })),
  ]);
  const listed = (
    [
      ['cuts', pattern.cuts],
      ['findings', pattern.findings],
      ['enclosures', pattern.enclosures],
    ] as const
  ).flatMap(([list, items]) =>
    items.map(({ findingId }, index) => ({ pointer: `/${list}/${index}/findingId`, findingId })),
  );
  const inSwaps = pattern.swaps.map(({ to }, index) => ({
    pointer: `/swaps/${index}/to/findingId`,
    findingId: to.kind === 'finding' ? to.findingId : null,
  }));
  return [...inParts, ...listed, ...inSwaps].filter(
    (place): place is FindingReference => place.findingId !== null,
  );
}

/** Each fibre a pattern uses, once, in the order it first appears. */
export function fibresUsed(pattern: Pattern): string[] {
  return [...new Set(fibreReferences(pattern).map((place) => place.fibreId))];
}

/** Everything of the shelf that a pattern names, each once. */
export function itemsUsed(pattern: Pattern): string[] {
  return [
    ...new Set([...fibresUsed(pattern), ...findingReferences(pattern).map((place) => place.findingId)]),
  ];
}

/** The places that name a fibre the shelf does not hold. */
export function strangeFibres(pattern: Pattern, isOnShelf: (fibreId: string) => boolean): PatternProblem[] {
  return fibreReferences(pattern)
    .filter((place) => !isOnShelf(place.fibreId))
    .map((place) => ({ code: 'fibre_not_found', ...place }));
}

/** The places that name a finding the shelf does not hold. */
export function strangeFindings(
  pattern: Pattern,
  isOnShelf: (findingId: string) => boolean,
): PatternProblem[] {
  return findingReferences(pattern)
    .filter((place) => !isOnShelf(place.findingId))
    .map((place) => ({ code: 'finding_not_found', ...place }));
}
