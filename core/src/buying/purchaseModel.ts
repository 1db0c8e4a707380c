import { wholeUp } from '../base/index.ts';
import { type LinearModel, modelBuilder, type ModelBuilder, type Term } from '../solving/index.ts';
import {
  isInTime,
  leastUnitPricesMinor,
  type PackCounts,
  type PackOffer,
  type PurchaseProblem,
  type SupplierTerms,
} from './purchase.ts';

/** So many packs of one kind at most: more nobody carries. */
const MOST_PACKS = 10_000;

/** A purchase as a linear programme, with what each of its variables costs. */
export interface PurchaseModel {
  readonly model: LinearModel;
  readonly moneyCosts: readonly number[];
  readonly parcelCosts: readonly number[];
  readonly leftOverCosts: readonly number[];
  readonly countsOf: (values: readonly number[]) => PackCounts;
}

interface PackVariables {
  readonly offer: PackOffer;
  /** Of each price step how many are bought at it; one only is in use. */
  readonly steps: readonly StepVariables[];
}

interface StepVariables {
  readonly from: number;
  readonly last: number;
  readonly priceMinor: number;
  readonly variable: number;
  /** Whether it is the one in use; null: there is no other. */
  readonly isChosen: number | null;
}

interface SupplierVariables {
  readonly terms: SupplierTerms;
  readonly isUsed: number;
  readonly isFree: number | null;
}

/**
 * Whole packs of every offer; a parcel from whom anything is bought, free from a threshold on, never under a minimum; of each
 * price step at least so many, and one step only; every need met by its day; a colour from one supplier.
 */
export function purchaseModel(problem: PurchaseProblem): PurchaseModel {
  const builder = modelBuilder();
  const packs = problem.offers.map((offer) =>
    packVariables(builder, offer, mostPacks(problem, offer), problem.held),
  );
  const suppliers = problem.suppliers.map((terms) =>
    supplierVariables(
      builder,
      terms,
      packs.filter(({ offer }) => offer.supplierId === terms.supplierId),
      problem,
    ),
  );
  meetNeeds(builder, problem, packs);
  fromOneSupplier(builder, problem, packs);
  const model = builder.model();
  const money = costs(model);
  const leftOver = costs(model);
  const parcels = costs(model);
  const worth = leastUnitPricesMinor(problem.offers);
  for (const { offer, steps } of packs) {
    const packWorth = offer.contents.reduce(
      (sum, { itemId, amount }) => sum + amount * (worth.get(itemId) ?? 0),
      0,
    );
    for (const { variable, priceMinor } of steps) {
      money[variable] = priceMinor;
      leftOver[variable] = packWorth;
    }
  }
  for (const { terms, isUsed, isFree } of suppliers) {
    money[isUsed] = terms.carriageMinor;
    if (isFree !== null) money[isFree] = -terms.carriageMinor;
    parcels[isUsed] = 1;
  }
  return {
    model,
    moneyCosts: money,
    parcelCosts: parcels,
    leftOverCosts: leftOver,
    countsOf: (values) =>
      new Map(
        packs.flatMap(({ offer, steps }) => {
          const count = steps.reduce((sum, { variable }) => sum + (values[variable] ?? 0), 0);
          return count > 0 ? [[offer.key, count] as const] : [];
        }),
      ),
  };
}

const costs = ({ variables }: LinearModel): number[] => variables.map(() => 0);

/** Enough for everything it holds, for its dearest threshold, and for what is held by hand; more is never better. */
function mostPacks(
  { needs, suppliers, held }: PurchaseProblem,
  { key, supplierId, contents, steps }: PackOffer,
): number {
  const terms = suppliers.find((supplier) => supplier.supplierId === supplierId);
  const cheapest = Math.min(...steps.map(({ priceMinor }) => priceMinor));
  const forNeeds = contents.map(({ itemId, amount }) => {
    const need = needs.find((other) => other.itemId === itemId);
    return need ? wholeUp((need.tiers.at(-1)?.amount ?? 0) / amount) : 0;
  });
  const thresholds = [terms?.minimumMinor ?? 0, terms?.freeFromMinor ?? 0];
  const forMoney = cheapest > 0 ? thresholds.map((minor) => wholeUp(minor / cheapest)) : [];
  const most = Math.max(0, ...forNeeds, ...forMoney, steps.at(-1)?.from ?? 1);
  return Math.max(held.get(key) ?? 0, Math.min(MOST_PACKS, most));
}

function packVariables(
  builder: ModelBuilder,
  offer: PackOffer,
  most: number,
  held: ReadonlyMap<string, number>,
): PackVariables {
  const fixed = held.get(offer.key);
  const isStepped = offer.steps.length > 1;
  const steps = offer.steps.map(({ from, priceMinor }, at): StepVariables => {
    const last = Math.max(0, Math.min(most, (offer.steps[at + 1]?.from ?? Infinity) - 1));
    const variable = builder.whole(0, last);
    return { from, last, priceMinor, variable, isChosen: isStepped ? builder.whole(0, 1) : null };
  });
  const all = steps.map(({ variable }): Term => [variable, 1]);
  if (fixed !== undefined) builder.exactly(fixed, all);
  for (const { from, last, variable, isChosen } of steps) {
    if (isChosen === null) continue;
    builder.atLeast(0, [
      [variable, 1],
      [isChosen, -from],
    ]);
    builder.atMost(0, [
      [variable, 1],
      [isChosen, -last],
    ]);
  }
  if (isStepped)
    builder.atMost(
      1,
      steps.flatMap(({ isChosen }): Term[] => (isChosen === null ? [] : [[isChosen, 1]])),
    );
  return { offer, steps };
}

function supplierVariables(
  builder: ModelBuilder,
  terms: SupplierTerms,
  packs: readonly PackVariables[],
  problem: PurchaseProblem,
): SupplierVariables {
  const { minimumMinor, freeFromMinor, carriageMinor } = terms;
  const isUsed = builder.whole(0, 1);
  for (const { offer, steps } of packs)
    builder.atMost(0, [
      ...steps.map(({ variable }): Term => [variable, 1]),
      [isUsed, -mostPacks(problem, offer)],
    ]);
  const goods = packs.flatMap(({ steps }) =>
    steps.map(({ variable, priceMinor }): Term => [variable, priceMinor]),
  );
  if (minimumMinor !== null && minimumMinor > 0) builder.atLeast(0, [...goods, [isUsed, -minimumMinor]]);
  if (freeFromMinor === null || carriageMinor === 0) return { terms, isUsed, isFree: null };
  const isFree = builder.whole(0, 1);
  builder.atMost(0, [
    [isFree, 1],
    [isUsed, -1],
  ]);
  builder.atLeast(0, [...goods, [isFree, -freeFromMinor]]);
  return { terms, isUsed, isFree };
}

const amountIn = ({ contents }: PackOffer, itemId: string): number =>
  contents.reduce((sum, content) => sum + (content.itemId === itemId ? content.amount : 0), 0);

function meetNeeds(
  builder: ModelBuilder,
  { needs, suppliers }: PurchaseProblem,
  packs: readonly PackVariables[],
): void {
  const terms = new Map(suppliers.map((supplier) => [supplier.supplierId, supplier]));
  for (const { itemId, tiers } of needs)
    for (const { by, amount } of tiers) {
      const inTime = packs.filter(({ offer }) => {
        const supplier = terms.get(offer.supplierId);
        return supplier !== undefined && isInTime(supplier, by) && amountIn(offer, itemId) > 0;
      });
      // In shares of what is needed: grams beside square centimetres are of very different size.
      builder.atLeast(
        1,
        inTime.flatMap(({ offer, steps }) =>
          steps.map(({ variable }): Term => [variable, amountIn(offer, itemId) / amount]),
        ),
      );
    }
}

function fromOneSupplier(
  builder: ModelBuilder,
  problem: PurchaseProblem,
  packs: readonly PackVariables[],
): void {
  for (const { itemId, isFromOne } of problem.needs) {
    if (!isFromOne) continue;
    const chosen = problem.suppliers.flatMap(({ supplierId }): Term[] => {
      const holding = packs.filter(
        ({ offer }) => offer.supplierId === supplierId && amountIn(offer, itemId) > 0,
      );
      if (holding.length === 0) return [];
      const isChosen = builder.whole(0, 1);
      for (const { offer, steps } of holding)
        builder.atMost(0, [
          ...steps.map(({ variable }): Term => [variable, 1]),
          [isChosen, -mostPacks(problem, offer)],
        ]);
      return [[isChosen, 1]];
    });
    builder.atMost(1, chosen);
  }
}
