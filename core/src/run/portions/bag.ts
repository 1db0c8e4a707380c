import type { UseEstimate } from '../../engine/index.ts';
import type { Stage } from '../../pattern/index.ts';

/** What a bag is for. */
export type BagHolds =
  /** Everything of the figure that has no bag of its own. */
  | { readonly kind: 'figure' }
  /** Wool of joins, kept back to the end. */
  | { readonly kind: 'joins' }
  /** Opened only if it is needed. */
  | { readonly kind: 'if-needed' }
  | { readonly kind: 'stage'; readonly stage: Stage }
  | { readonly kind: 'session'; readonly number: number; readonly name: string }
  | { readonly kind: 'colour'; readonly fibreId: string }
  | { readonly kind: 'part'; readonly owner: UseEstimate['owner'] }
  | { readonly kind: 'own'; readonly name: string }
  /** The class's, to come to when a pack is not enough. */
  | { readonly kind: 'spare-bag' }
  /** Colours for those who have not chosen yet. */
  | { readonly kind: 'undecided' };

/** One bag of a pack. */
export interface Bag {
  /** The same in every pack that has it. */
  readonly key: string;
  readonly holds: BagHolds;
  /** Which of the makes in a box it is for; null: for all of them. */
  readonly makeAt: number | null;
  /** Where it comes among the bags, rising. */
  readonly order: number;
  /** Not opened at the start: it says so on its label. */
  readonly isKeptBack: boolean;
  /** Bags too small to handle, whose wool went in here. */
  readonly merged: readonly { readonly holds: BagHolds; readonly massG: number }[];
}

const plain = (kind: 'figure' | 'joins' | 'if-needed' | 'spare-bag' | 'undecided', order: number): Bag => ({
  key: kind,
  holds: { kind },
  makeAt: null,
  order,
  isKeptBack: kind !== 'figure',
  merged: [],
});

export const FIGURE_BAG = plain('figure', 0);
export const JOINS_BAG = plain('joins', 8000);
export const IF_NEEDED_BAG = plain('if-needed', 9000);
export const UNDECIDED_BAG = plain('undecided', 9500);
export const SPARE_BAG = plain('spare-bag', 9900);

/** Whether what lies in it is only for who finds their wool wanting: in a box each design may have one of its own. */
export const isIfNeededBag = (key: string): boolean => key.endsWith(IF_NEEDED_BAG.key);

/** One use of wool, and the bag it goes into. */
export interface BaggedUse {
  readonly use: UseEstimate;
  readonly bag: Bag;
  /** Which of the makes in the pack it is of. */
  readonly makeAt: number;
}

/** Under this a bag is too small to handle, grams. Ours. */
export const SMALLEST_BAG_G = 0.3;

/** The usual bags of one make: the figure, its joins where they are packed apart, what is only if needed. */
export const usualBags = ({
  uses,
  joinsApart,
}: {
  readonly uses: readonly UseEstimate[];
  readonly joinsApart: boolean;
}): BaggedUse[] =>
  uses.map((use) => ({
    use,
    makeAt: 0,
    bag: use.isIfNeeded ? IF_NEEDED_BAG : joinsApart && use.owner.kind === 'join' ? JOINS_BAG : FIGURE_BAG,
  }));

/** Bags that hold too little to handle go into the next bag of the same make, and say so. */
export function withoutTinyBags(uses: readonly BaggedUse[]): BaggedUse[] {
  const massG = new Map<string, number>();
  const bags = new Map<string, Bag>();
  for (const { use, bag } of uses) {
    bags.set(bag.key, bag);
    massG.set(bag.key, (massG.get(bag.key) ?? 0) + (use.kind === 'known' ? use.all.likelyG : 0));
  }
  const ordered = [...bags.values()].sort((a, b) => a.order - b.order);
  const isTiny = ({ key, holds }: Bag) =>
    holds.kind !== 'if-needed' && holds.kind !== 'joins' && (massG.get(key) ?? 0) < SMALLEST_BAG_G;
  const goesTo = new Map<string, string>();
  for (const bag of ordered.filter(isTiny)) {
    const others = ordered.filter(
      (other) => other.makeAt === bag.makeAt && !isTiny(other) && other.holds.kind !== 'if-needed',
    );
    const to = others.find(({ order }) => order > bag.order) ?? others.at(-1);
    if (to) goesTo.set(bag.key, to.key);
  }
  if (goesTo.size === 0) return [...uses];
  const withMerged = new Map(
    ordered.map((bag) => [
      bag.key,
      {
        ...bag,
        merged: ordered.flatMap(({ key, holds }) =>
          goesTo.get(key) === bag.key ? [{ holds, massG: massG.get(key) ?? 0 }] : [],
        ),
      },
    ]),
  );
  return uses.map((use) => ({
    ...use,
    bag: withMerged.get(goesTo.get(use.bag.key) ?? use.bag.key) ?? use.bag,
  }));
}
