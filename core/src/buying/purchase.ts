/** What one pack holds of one thing, in the unit the thing is stocked in. */
interface PackContent {
  readonly itemId: string;
  readonly amount: number;
}

/** From so many packs on each of them costs so much, integer minor units. */
interface PriceStep {
  readonly from: number;
  readonly priceMinor: number;
}

/** A pack that a supplier sells: of one thing, or an assortment of several. */
export interface PackOffer {
  /** Unique among all packs of a problem. */
  readonly key: string;
  readonly supplierId: string;
  /** Of an assortment; empty: it is called as what it holds. */
  readonly name: string;
  /** What the supplier calls it. */
  readonly reference: string;
  readonly contents: readonly PackContent[];
  /** The first from 1, then from more and more. */
  readonly steps: readonly PriceStep[];
}

export interface SupplierTerms {
  readonly supplierId: string;
  /** Of a parcel; nought also where nobody has said. */
  readonly carriageMinor: number;
  /** Goods worth this much come free; null: never. */
  readonly freeFromMinor: number | null;
  /** Less is not sold; null: anything is. */
  readonly minimumMinor: number | null;
  /** The day it would come, YYYY-MM-DD; null: nobody has said how long it takes, and it is taken to come in time. */
  readonly arrivesOn: string | null;
}

/** What has to be there of a thing by a day, YYYY-MM-DD; null: some day. */
export interface NeededBy {
  readonly by: string | null;
  /** Altogether by then, what was needed before it included. */
  readonly amount: number;
}

export interface Need {
  readonly itemId: string;
  /** Earliest first, each more than the last. */
  readonly tiers: readonly NeededBy[];
  /** All of it from one supplier: a colour that has to match. */
  readonly isFromOne: boolean;
}

export interface PurchaseProblem {
  readonly needs: readonly Need[];
  readonly suppliers: readonly SupplierTerms[];
  readonly offers: readonly PackOffer[];
  /** Packs by key, held at so many by hand. */
  readonly held: ReadonlyMap<string, number>;
}

/** How many of each pack, by its key; those of none are not in it. */
export type PackCounts = ReadonlyMap<string, number>;

export interface PurchaseLine {
  readonly offer: PackOffer;
  readonly packs: number;
  readonly priceEachMinor: number;
  readonly sumMinor: number;
}

export interface Parcel {
  readonly supplierId: string;
  readonly lines: readonly PurchaseLine[];
  readonly goodsMinor: number;
  readonly carriageMinor: number;
  /** Under the supplier’s minimum by so much. */
  readonly underMinimumMinor: number;
}

export interface Bought {
  readonly itemId: string;
  readonly amount: number;
  readonly needed: number;
  readonly leftOver: number;
  /** Of what is left over, at the least it is sold for; minor units, unrounded. */
  readonly leftOverMinor: number;
}

export interface Purchase {
  readonly parcels: readonly Parcel[];
  readonly bought: readonly Bought[];
  readonly totalMinor: number;
  readonly leftOverMinor: number;
}

/** What is needed of a thing in the end. */
export const neededOf = ({ tiers }: Need): number => tiers.at(-1)?.amount ?? 0;

/** What each costs where so many are bought. */
const priceEachMinor = ({ steps }: PackOffer, packs: number): number =>
  steps.findLast(({ from }) => from <= packs)?.priceMinor ?? steps[0]?.priceMinor ?? 0;

/** The least a unit of each thing is sold for, minor units, unrounded: of an assortment its share by amount. */
export function leastUnitPricesMinor(offers: readonly PackOffer[]): Map<string, number> {
  const least = new Map<string, number>();
  for (const { contents, steps } of offers) {
    const price = Math.min(...steps.map(({ priceMinor }) => priceMinor));
    const total = contents.reduce((sum, { amount }) => sum + amount, 0);
    for (const { itemId } of contents)
      least.set(itemId, Math.min(least.get(itemId) ?? Infinity, price / total));
  }
  return least;
}

/** What so many packs cost, hold and leave: worked out by itself, whoever chose them. */
export function purchaseOf(problem: PurchaseProblem, counts: PackCounts): Purchase {
  const parcels = problem.suppliers
    .map((supplier) => parcelFrom(supplier, problem.offers, counts))
    .filter(({ lines }) => lines.length > 0);
  const bought = boughtOf(problem, counts);
  return {
    parcels,
    bought,
    totalMinor: parcels.reduce((sum, { goodsMinor, carriageMinor }) => sum + goodsMinor + carriageMinor, 0),
    leftOverMinor: bought.reduce((sum, { leftOverMinor }) => sum + leftOverMinor, 0),
  };
}

function parcelFrom(
  { supplierId, carriageMinor, freeFromMinor, minimumMinor }: SupplierTerms,
  offers: readonly PackOffer[],
  counts: PackCounts,
): Parcel {
  const lines = offers.flatMap((offer): PurchaseLine[] => {
    const packs = counts.get(offer.key) ?? 0;
    if (offer.supplierId !== supplierId || packs === 0) return [];
    const each = priceEachMinor(offer, packs);
    return [{ offer, packs, priceEachMinor: each, sumMinor: each * packs }];
  });
  const goodsMinor = lines.reduce((sum, { sumMinor }) => sum + sumMinor, 0);
  const isFree = freeFromMinor !== null && goodsMinor >= freeFromMinor;
  return {
    supplierId,
    lines,
    goodsMinor,
    carriageMinor: isFree || lines.length === 0 ? 0 : carriageMinor,
    underMinimumMinor: Math.max(0, (minimumMinor ?? 0) - goodsMinor),
  };
}

function boughtOf({ needs, offers }: PurchaseProblem, counts: PackCounts): Bought[] {
  const amounts = new Map<string, number>();
  for (const { key, contents } of offers)
    for (const { itemId, amount } of contents) {
      const packs = counts.get(key) ?? 0;
      if (packs > 0) amounts.set(itemId, (amounts.get(itemId) ?? 0) + packs * amount);
    }
  const worth = leastUnitPricesMinor(offers);
  const needed = new Map(needs.map((need) => [need.itemId, neededOf(need)]));
  return [...amounts].map(([itemId, amount]) => {
    const want = needed.get(itemId) ?? 0;
    const leftOver = Math.max(0, amount - want);
    return { itemId, amount, needed: want, leftOver, leftOverMinor: leftOver * (worth.get(itemId) ?? 0) };
  });
}

/** Amounts closer than this are the same: a thousandth of what is written down of a gram. */
const SAME = 1e-6;

/** Whether a pack comes early enough. */
export const isInTime = ({ arrivesOn }: Pick<SupplierTerms, 'arrivesOn'>, by: string | null): boolean =>
  arrivesOn === null || by === null || arrivesOn <= by;

/** A need that so many packs do not meet by a day. */
export interface Unmet {
  readonly itemId: string;
  readonly by: string | null;
  readonly lacking: number;
}

/** Needs that are not met in time: none, of whatever is planned; some, where numbers are held by hand. */
export function unmetBy({ needs, suppliers, offers }: PurchaseProblem, counts: PackCounts): Unmet[] {
  const terms = new Map(suppliers.map((supplier) => [supplier.supplierId, supplier]));
  return needs.flatMap(({ itemId, tiers }) =>
    tiers.flatMap(({ by, amount }) => {
      const there = offers.reduce((sum, { key, supplierId, contents }) => {
        const supplier = terms.get(supplierId);
        if (!supplier || !isInTime(supplier, by)) return sum;
        const inPack = contents.reduce(
          (held, content) => held + (content.itemId === itemId ? content.amount : 0),
          0,
        );
        return sum + inPack * (counts.get(key) ?? 0);
      }, 0);
      return there + SAME < amount ? [{ itemId, by, lacking: amount - there }] : [];
    }),
  );
}
