import type { Bag } from '../portions/bag.ts';
import { groupOfMake, type Make, makeKey, type PackGroup } from './packGroups.ts';
import type { ToPack } from './toPack.ts';

/** A bag of a pack, in the group of packs that has it. */
export interface BagOfGroup {
  readonly bag: Bag;
  readonly group: PackGroup;
}

/**
 * In which bag each use of a design’s wool lies, by the use’s id, in the packs that a sheet is for. Empty where they have
 * only one bag.
 * @param numbers of the seats or boxes; none: every pack of this make
 */
export function bagOfWool(
  { groups, bagged }: Pick<ToPack, 'groups' | 'bagged'>,
  make: Make,
  numbers: readonly number[],
): ReadonlyMap<string, BagOfGroup> {
  const group = groupOfMake(groups, make, numbers);
  if (!group) return new Map();
  const makeAt = group.makes.findIndex((candidate) => makeKey(candidate) === makeKey(make));
  const uses = bagged.get(group.key) ?? [];
  if (new Set(uses.map(({ bag }) => bag.key)).size < 2) return new Map();
  return new Map(
    uses.filter((use) => use.makeAt === makeAt).map(({ use, bag }) => [use.useId, { bag, group }]),
  );
}
