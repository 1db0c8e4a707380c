import { roundToMicrogram } from '../base/index.ts';
import type { Supplier } from '../shelf/index.ts';
import { chosenWants, type ChosenWant, type Coming, type RunToBuyFor } from './chosenWants.ts';
import { orderBy } from './days.ts';
import { type Offered, packsOffered } from './packsOffered.ts';
import type { Want } from './wants.ts';
import type { Need, NeededBy, PackCounts, Parcel, PurchaseProblem } from './purchase.ts';

/** What the maker has said of a purchase. */
export interface BuyingChoices {
  /** Things that come from one supplier, by id. */
  readonly fromOne: ReadonlySet<string>;
  /** Things bought as though none were there, because nobody has counted them; by id. */
  readonly asNone: ReadonlySet<string>;
  /** What comes too late is planned too. */
  readonly isLateToo: boolean;
  readonly held: PackCounts;
}

/** A purchase to be planned, and what cannot be bought. */
export interface AskedPurchase extends Omit<Offered, 'offers' | 'suppliers' | 'needs'> {
  readonly problem: PurchaseProblem;
}

/**
 * What has to be bought of things of the shelf, once each. Of a blend its fibres are; what nobody has counted is bought only
 * where the maker says so.
 */
export function needsOf(
  chosen: readonly ChosenWant[],
  { fromOne, asNone, isLateToo }: Omit<BuyingChoices, 'held'>,
  blendIds: ReadonlySet<string>,
): Need[] {
  const byItem = new Map<string, NeededBy[]>();
  for (const { want, tiers, toBuy } of chosen) {
    const { itemId } = want;
    if (itemId === null || blendIds.has(itemId) || tiers.length === 0) continue;
    if (toBuy === null && !asNone.has(itemId)) continue;
    byItem.set(itemId, together(byItem.get(itemId) ?? [], tiers));
  }
  return [...byItem].map(([itemId, tiers]) => ({
    itemId,
    tiers: isLateToo ? tiers.slice(-1).map(({ amount }) => ({ by: null, amount })) : tiers,
    isFromOne: fromOne.has(itemId),
  }));
}

/** Of what is lent and what is taken of the same thing, both by each day. */
function together(some: readonly NeededBy[], more: readonly NeededBy[]): NeededBy[] {
  const days = [...new Set([...some, ...more].map(({ by }) => by))].toSorted((a, b) =>
    (a ?? '') < (b ?? '') ? -1 : 1,
  );
  const until = (tiers: readonly NeededBy[], day: string | null) =>
    tiers.findLast(({ by }) => (by ?? '') <= (day ?? ''))?.amount ?? 0;
  return days.map((by) => ({ by, amount: roundToMicrogram(until(some, by) + until(more, by)) }));
}

export function askedPurchase(
  needs: readonly Need[],
  suppliers: readonly Supplier[],
  today: string,
  held: PackCounts,
): AskedPurchase {
  const { offers, suppliers: terms, needs: met, ...rest } = packsOffered(needs, suppliers, today);
  const keys = new Set(offers.map(({ key }) => key));
  return {
    ...rest,
    problem: {
      needs: met,
      suppliers: terms,
      offers,
      // What was held of a pack that nobody sells any more is held no longer.
      held: new Map([...held].filter(([key]) => keys.has(key))),
    },
  };
}

/** The last day on which a parcel may be ordered, for the first day that wants something in it; null: nobody can tell. */
export function orderByOfParcel(
  { lines }: Parcel,
  { needs }: Pick<PurchaseProblem, 'needs'>,
  leadDays: number | null,
): string | null {
  const inParcel = new Set(lines.flatMap(({ offer }) => offer.contents.map(({ itemId }) => itemId)));
  const days = needs
    .filter(({ itemId }) => inParcel.has(itemId))
    .flatMap(({ tiers }) => tiers[0]?.by ?? [])
    .toSorted();
  const [first] = days;
  return first === undefined ? null : orderBy(first, leadDays);
}

/** A run’s last day to order for: what is short of it, from whoever is quickest. */
interface LastOrderDay {
  /** Null: nobody says how long it takes, or nobody sells what is short. */
  readonly day: string | null;
  /** The thing that has to be ordered first. */
  readonly itemId: string | null;
  /** Short, and sold by nobody. */
  readonly unsold: readonly string[];
}

/** How long each who sells a thing takes; null: nobody has said. By the thing’s id. */
export type Sellers = ReadonlyMap<string, readonly (number | null)[]>;

export function sellersOf(suppliers: readonly Supplier[]): Sellers {
  const sellers = new Map<string, (number | null)[]>();
  for (const { archived, leadDays, offers, assortments = [] } of suppliers) {
    if (archived) continue;
    const sold = new Set([
      ...offers.map(({ itemId }) => itemId),
      ...assortments.flatMap(({ contents }) => contents.map(({ itemId }) => itemId)),
    ]);
    for (const itemId of sold) sellers.set(itemId, [...(sellers.get(itemId) ?? []), leadDays]);
  }
  return sellers;
}

/** @param shortIds things of the shelf that the run is short of @param by the day they have to be there */
function lastOrderDay(shortIds: readonly string[], by: string, sellers: Sellers): LastOrderDay {
  const unsold: string[] = [];
  let first: { readonly day: string; readonly itemId: string } | null = null;
  for (const itemId of shortIds) {
    const leads = sellers.get(itemId) ?? [];
    if (leads.length === 0) unsold.push(itemId);
    const day = leads
      .flatMap((leadDays) => orderBy(by, leadDays) ?? [])
      .toSorted()
      .at(-1);
    if (day !== undefined && (!first || day < first.day)) first = { day, itemId };
  }
  return { day: first?.day ?? null, itemId: first?.itemId ?? null, unsold };
}

/** The days of a run that is bought for. */
export interface BuyingDays extends LastOrderDay {
  readonly runId: string;
  readonly prepareBy: string;
  /** It is short of something, or nobody has counted it. */
  readonly isShort: boolean;
}

/** Of each run by itself, after all that draw before it. @param blendIds what is blended is not bought */
export function buyingDays(
  wants: readonly Want[],
  runs: readonly RunToBuyFor[],
  coming: readonly Coming[],
  sellers: Sellers,
  blendIds: ReadonlySet<string>,
): BuyingDays[] {
  const byRun = new Map<string, Want[]>();
  for (const want of wants)
    for (const { runId } of want.runs) byRun.set(runId, [...(byRun.get(runId) ?? []), want]);
  return runs.map((run) => {
    const short = chosenWants(byRun.get(run.id) ?? [], [run], coming).filter(
      ({ toBuy, want }) => (toBuy === null || toBuy > 0) && !blendIds.has(want.itemId ?? ''),
    );
    const ids = [...new Set(short.flatMap(({ want }) => want.itemId ?? []))];
    return {
      ...lastOrderDay(ids, run.prepareBy, sellers),
      runId: run.id,
      prepareBy: run.prepareBy,
      isShort: short.length > 0,
    };
  });
}
