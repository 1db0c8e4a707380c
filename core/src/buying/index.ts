export { partsOfWant, chosenWants, type ChosenWant, type Coming, type RunToBuyFor } from './chosenWants.ts';
export {
  BUYING_BOUNDS,
  BUYING_TERMS,
  type BuyingProblem,
  BuyingTerms,
  checkBuyingTerms,
  isWorked,
  orderBy,
  prepareBy,
  workDaysBefore,
} from './days.ts';
export { type NotOffered } from './packsOffered.ts';
export {
  isNothingNeeded,
  planPurchase,
  PURCHASE_WAYS,
  type PurchasePlan,
  type PurchaseWay,
} from './planPurchase.ts';
export {
  type Bought,
  neededOf,
  type PackOffer,
  type Parcel,
  type PurchaseLine,
  purchaseOf,
  type PurchaseProblem,
  type SupplierTerms,
  unmetBy,
} from './purchase.ts';
export { type RunDrawn, type Want, wantsOfRuns, type WantSources, type WantUse } from './wants.ts';
export {
  type Arrival,
  type ArrivalDifference,
  ArrivalInput,
  type ArrivedGoods,
  arrivedGoods,
  arrivedOfLine,
  checkArrival,
  checkOrder,
  comingOf,
  type ComingOfOrder,
  differencesOf,
  goodsOfOrder,
  priceOfLine,
  totalOfOrder,
  openOfLine,
  type Order,
  OrderDocument,
  OrderInput,
  orderOfParcel,
  type OrderProblem,
  orderState,
  type OrderState,
} from './order.ts';
export {
  askedPurchase,
  type AskedPurchase,
  type BuyingChoices,
  buyingDays,
  type BuyingDays,
  sellersOf,
  needsOf,
  orderByOfParcel,
} from './purchaseProblem.ts';
export { type PieceToCut, planCut, type PlannedCut } from './planCut.ts';
export {
  type HereToMake,
  makesFromHere,
  MOST_MAKES,
  type OneMake,
  oneMakeOf,
  usedOfHeap,
  withMore,
} from './makesFromHere.ts';
export { shelfWorth, type ShelfWorth } from './shelfWorth.ts';
export { stockAhead, type StockStep } from './stockAhead.ts';
export { gapOfPlan, moneyOfPlan, type MoneyOfPlan } from './moneyOfPlan.ts';
