import type { PurchasePlan } from './planPurchase.ts';

/** Where the money of a plan goes, minor units: three parts that are its total together. */
export interface MoneyOfPlan {
  readonly usedMinor: number;
  readonly leftOverMinor: number;
  readonly carriageMinor: number;
}

/** What is left over is worth no more than what was paid for goods. */
export function moneyOfPlan({ purchase }: Pick<PurchasePlan, 'purchase'>): MoneyOfPlan {
  const carriageMinor = purchase.parcels.reduce((sum, parcel) => sum + parcel.carriageMinor, 0);
  const goodsMinor = Math.max(0, purchase.totalMinor - carriageMinor);
  const leftOverMinor = Math.min(goodsMinor, purchase.leftOverMinor);
  return { usedMinor: goodsMinor - leftOverMinor, leftOverMinor, carriageMinor };
}

/** How much of a plan's money a better one might save at the most, 0 to 1; nought where it is proven. */
export function gapOfPlan({
  isProven,
  purchase,
  atLeastMinor,
}: Pick<PurchasePlan, 'isProven' | 'purchase' | 'atLeastMinor'>): number {
  if (isProven || purchase.totalMinor <= 0) return 0;
  return Math.max(0, 1 - Math.max(0, atLeastMinor) / purchase.totalMinor);
}
