import type { Supplier } from '../shelf/index.ts';
import { daysAfter } from '../base/index.ts';
import type { Need, PackOffer, SupplierTerms } from './purchase.ts';

/** Why a need, or some of it, cannot be bought. */
export type NotOffered =
  /** Nobody sells it. */
  | { readonly why: 'nobody'; readonly itemId: string }
  /** Who sells it is too late for some day; the first of them that would come. */
  | {
      readonly why: 'late';
      readonly itemId: string;
      readonly by: string;
      readonly supplierId: string;
      readonly arrivesOn: string;
    };

export interface Offered {
  readonly offers: readonly PackOffer[];
  readonly suppliers: readonly SupplierTerms[];
  /** What can be bought: of what comes too late the days that it comes in time for. */
  readonly needs: readonly Need[];
  readonly notOffered: readonly NotOffered[];
  /** Who sells something that is needed, and comes too late for all of it. */
  readonly late: readonly { readonly supplierId: string; readonly arrivesOn: string }[];
  /** Who has never said how long it takes; taken to come in time. */
  readonly unknownLead: readonly string[];
  /** Who has never said what carriage is; taken to be free. */
  readonly unknownCarriage: readonly string[];
}

/** What suppliers sell of what is needed, as whole packs, by the day it would come if it were ordered today. */
export function packsOffered(needs: readonly Need[], suppliers: readonly Supplier[], today: string): Offered {
  const needed = new Set(needs.map(({ itemId }) => itemId));
  const selling = suppliers
    .filter(({ archived }) => !archived)
    .map((supplier) => ({ supplier, offers: packsOf(supplier, needed) }))
    .filter(({ offers }) => offers.length > 0);
  const terms = new Map(selling.map(({ supplier }) => [supplier.id, termsOf(supplier, today)]));
  const offers = selling.flatMap((seller) => seller.offers);
  const notOffered: NotOffered[] = [];
  const met = needs.flatMap((need) => {
    const { tiers, missing } = tiersInTime(need, offers, terms);
    if (missing) notOffered.push(missing);
    return tiers.length > 0 ? [{ ...need, tiers }] : [];
  });
  const late = [...terms.values()].flatMap(({ supplierId, arrivesOn }) =>
    arrivesOn !== null && isAllLate(supplierId, arrivesOn, offers, needs) ? [{ supplierId, arrivesOn }] : [],
  );
  const isLate = new Set(late.map(({ supplierId }) => supplierId));
  const usable = selling.filter(({ supplier }) => !isLate.has(supplier.id));
  return {
    offers: usable.flatMap((seller) => seller.offers),
    suppliers: usable.flatMap(({ supplier }) => terms.get(supplier.id) ?? []),
    needs: met,
    notOffered,
    late,
    unknownLead: usable.flatMap(({ supplier }) => (supplier.leadDays === null ? [supplier.id] : [])),
    unknownCarriage: usable.flatMap(({ supplier }) => (supplier.carriageMinor === null ? [supplier.id] : [])),
  };
}

const termsOf = (supplier: Supplier, today: string): SupplierTerms => ({
  supplierId: supplier.id,
  carriageMinor: supplier.carriageMinor ?? 0,
  freeFromMinor: supplier.carriageFreeFromMinor,
  minimumMinor: supplier.minimumOrderMinor,
  arrivesOn: supplier.leadDays === null ? null : daysAfter(today, Math.ceil(supplier.leadDays)),
});

/** Every pack of a supplier that holds something needed. */
function packsOf({ id, offers, assortments = [] }: Supplier, needed: ReadonlySet<string>): PackOffer[] {
  const single = offers
    .filter(({ itemId, packAmount }) => needed.has(itemId) && packAmount > 0)
    .map(({ itemId, packAmount, priceMinor, reference, breaks = [] }): PackOffer => ({
      key: `${id} ${itemId} ${packAmount}`,
      supplierId: id,
      name: '',
      reference,
      contents: [{ itemId, amount: packAmount }],
      steps: [
        { from: 1, priceMinor },
        ...breaks.map((priceBreak) => ({ from: priceBreak.fromPacks, priceMinor: priceBreak.priceMinor })),
      ],
    }));
  const several = assortments.flatMap(({ name, priceMinor, reference, contents }, at): PackOffer[] =>
    contents.some(({ itemId }) => needed.has(itemId))
      ? [
          {
            key: `${id} assortment ${at}`,
            supplierId: id,
            name,
            reference,
            contents,
            steps: [{ from: 1, priceMinor }],
          },
        ]
      : [],
  );
  return [...single, ...several];
}

/** The days of a need that somebody comes in time for, and what is missing of the others. */
function tiersInTime(
  { itemId, tiers }: Need,
  offers: readonly PackOffer[],
  terms: ReadonlyMap<string, SupplierTerms>,
): { readonly tiers: Need['tiers']; readonly missing: NotOffered | null } {
  const sellers = offers
    .filter(({ contents }) => contents.some((content) => content.itemId === itemId))
    .flatMap(({ supplierId }) => terms.get(supplierId) ?? []);
  if (sellers.length === 0) return { tiers: [], missing: { why: 'nobody', itemId } };
  const [first] = sellers.toSorted((a, b) => ((a.arrivesOn ?? '') < (b.arrivesOn ?? '') ? -1 : 1));
  const arrivesOn = first?.arrivesOn ?? null;
  const lateTiers = tiers.filter(({ by }) => arrivesOn !== null && by !== null && by < arrivesOn);
  const [missed] = lateTiers;
  return {
    tiers: tiers.filter((tier) => !lateTiers.includes(tier)),
    missing:
      first && missed && missed.by !== null && arrivesOn !== null
        ? { why: 'late', itemId, by: missed.by, supplierId: first.supplierId, arrivesOn }
        : null,
  };
}

const isAllLate = (
  supplierId: string,
  arrivesOn: string,
  offers: readonly PackOffer[],
  needs: readonly Need[],
): boolean => {
  const sold = new Set(
    offers
      .filter((offer) => offer.supplierId === supplierId)
      .flatMap(({ contents }) => contents.map(({ itemId }) => itemId)),
  );
  const days = needs
    .filter(({ itemId }) => sold.has(itemId))
    .flatMap(({ tiers }) => tiers.map(({ by }) => by));
  return days.every((by) => by !== null && by < arrivesOn);
};
