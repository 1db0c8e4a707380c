export { apportion } from './apportion.ts';
export { isIfNeededBag, SMALLEST_BAG_G, UNDECIDED_BAG, usualBags, type Bag, type BagHolds } from './bag.ts';
export {
  planPortions,
  shortOfPlan,
  withdrawalsOfPlan,
  uncountedOfPlan,
  type FibrePortion,
  type FibreStock,
  type PackingTerms,
  type PortionLine,
} from './planPortions.ts';
export { NEED_SIGMA, onlyFibre, type ClassNeeds } from './classNeeds.ts';
export { chanceEachAlone, extrasForChance, packedWith } from './eachAlone.ts';
export { planGroups, restocked, type RunFibre, type RunPortions } from './planGroups.ts';
export {
  bestGroups,
  groupErrorFraction,
  PARTED_ERROR_FRACTION,
  partingErrorFraction,
  partingOf,
  type Parting,
} from './parting.ts';
export { HAND_ERROR_FRACTION, weighPortions, type Weighing } from './weighing.ts';
export { bagsForChance, chanceWithBags, extraForComing } from './spareBag.ts';
export { simulateRun, type Simulated } from './simulate.ts';
