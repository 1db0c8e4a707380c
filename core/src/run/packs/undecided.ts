import { type Choices, NO_CHOICES } from '../../pattern/index.ts';
import { seatsOf } from '../document/seat.ts';
import type { BaggedUse } from '../portions/bag.ts';
import { choiceOfSeat, choicesKey } from '../who/choiceOfSeat.ts';
import { quantileOfSum } from './quantileOfSum.ts';
import type { Designs, Roster } from './packGroups.ts';

/** What somebody who has not chosen may still choose, and how likely that is. */
export interface Variant {
  readonly choices: Choices;
  readonly share: number;
}

/**
 * What the undecided may choose: what others have chosen, every colourway, and the usual. Each counts as often as it was
 * chosen and once more, so that what nobody took yet may still be taken.
 */
export function variantsOf(designs: Designs, run: Roster): Variant[] {
  const pattern = designs.get(run.revisionId);
  if (!pattern) return [];
  const counts = new Map<string, { choices: Choices; count: number }>();
  const add = (choices: Choices, count: number) => {
    const key = choicesKey(pattern, choices);
    const ownCount = counts.get(key) ?? { choices, count: 1 };
    counts.set(key, { ...ownCount, count: ownCount.count + count });
  };
  add(NO_CHOICES, 0);
  for (const { id } of pattern.colourways) add({ ...NO_CHOICES, colourwayId: id }, 0);
  for (const seat of seatsOf(run).filter(
    ({ revisionId }) => (revisionId ?? run.revisionId) === run.revisionId,
  )) {
    const choice = choiceOfSeat(pattern, seat);
    if (choice.kind === 'chosen') add(choice.choices, 1);
  }
  const total = [...counts.values()].reduce((sum, { count }) => sum + count, 0);
  return [...counts.values()].map(({ choices, count }) => ({ choices, share: count / total }));
}

/** Grams by bag and fibre, as they are packed. */
export function gramsByBag(uses: readonly BaggedUse[]): Map<string, number> {
  const grams = new Map<string, number>();
  for (const { use, bag } of uses) {
    if (use.kind !== 'known' || use.isIfNeeded || use.fibreId === null) continue;
    const key = `${bag.key}|${use.fibreId}`;
    grams.set(key, (grams.get(key) ?? 0) + use.packG);
  }
  return grams;
}

export interface VariantGrams {
  readonly share: number;
  /** By bag and fibre. */
  readonly grams: ReadonlyMap<string, number>;
}

/** What everybody who has not chosen gets, whatever they will choose: of each bag and fibre the least of all variants. */
export function commonGrams(variants: readonly VariantGrams[]): Map<string, number> {
  const [first, ...rest] = variants;
  return new Map(
    [...(first?.grams ?? [])].flatMap(([key, massG]) => {
      const least = rest.reduce((min, { grams }) => Math.min(min, grams.get(key) ?? 0), massG);
      return least > 0 ? [[key, least] as const] : [];
    }),
  );
}

/**
 * Grams of each fibre to lay out beside what is common, so that there is enough for whatever the undecided choose. Every
 * fibre that is chosen bears an equal share of the chance.
 * @param undecided how many have not chosen; each chooses for themselves
 */
export function allowances(
  variants: readonly VariantGrams[],
  undecided: number,
  chance: number,
): Map<string, number> {
  const common = commonGrams(variants);
  const beyond = variants.map(({ share, grams }) => ({ share, more: byFibre(grams, common) }));
  const fibres = [...new Set(beyond.flatMap(({ more }) => [...more.keys()]))];
  const each = chance ** (1 / Math.max(1, fibres.length));
  return new Map(
    fibres.map((fibreId) => [
      fibreId,
      quantileOfSum(
        beyond.map(({ share, more }) => ({ share, massG: more.get(fibreId) ?? 0 })),
        undecided,
        each,
      ),
    ]),
  );
}

function byFibre(
  grams: ReadonlyMap<string, number>,
  common: ReadonlyMap<string, number>,
): Map<string, number> {
  const more = new Map<string, number>();
  for (const [key, massG] of grams) {
    const fibreId = key.slice(key.lastIndexOf('|') + 1);
    const moreG = massG - (common.get(key) ?? 0);
    if (moreG > 1e-9) more.set(fibreId, (more.get(fibreId) ?? 0) + moreG);
  }
  return more;
}
