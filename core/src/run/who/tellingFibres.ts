import type { PatternEstimate } from '../../engine/index.ts';

type Told = Pick<PatternEstimate, 'fibres' | 'uses'>;

/**
 * The fibre that tells each group from the others: the heaviest of a coat that is not a coat in all of them, else the
 * heaviest that not all have; where all have the same, the heaviest of a coat, else the heaviest. Null for a group of no
 * known wool.
 */
export function tellingFibres(estimates: ReadonlyMap<string, Told>): Map<string, string | null> {
  const groups = [...estimates].map(([key, { fibres, uses }]) => ({
    key,
    ids: fibres.map(({ fibreId }) => fibreId),
    coats: new Set(uses.filter(({ role }) => role === 'coat').map(({ fibreId }) => fibreId)),
  }));
  const isShared = (fibreId: string) => groups.every(({ ids }) => ids.includes(fibreId));
  const isCoatOfAll = (fibreId: string) => groups.every(({ coats }) => coats.has(fibreId));
  return new Map(
    groups.map(({ key, ids, coats }) => {
      const fibreId =
        ids.find((id) => coats.has(id) && !isCoatOfAll(id)) ??
        ids.find((id) => !isShared(id)) ??
        ids.find((id) => coats.has(id)) ??
        ids[0];
      return [key, fibreId ?? null];
    }),
  );
}
