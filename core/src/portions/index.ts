export { apportion } from './apportion.ts';
export {
  FIGURE_BAG,
  IF_NEEDED_BAG,
  JOINS_BAG,
  SMALLEST_BAG_G,
  SPARE_BAG,
  UNDECIDED_BAG,
  usualBags,
  withoutTinyBags,
  type Bag,
  type BaggedUse,
  type BagHolds,
} from './bag.ts';
export {
  planPortions,
  portionsInBags,
  shortOfPlan,
  takingsOfPlan,
  uncountedOfPlan,
  type FibrePortion,
  type FibreStock,
  type PackingTerms,
  type PortionLine,
  type PortionPlan,
} from './planPortions.ts';
export {
  chanceEnough,
  chanceNobodyShort,
  extrasForChance,
  NEED_SIGMA,
  normalCdf,
  type FibreNeed,
  type SeatNeed,
} from './howSure.ts';
export {
  planGroups,
  restocked,
  type GroupTerms,
  type GroupToPack,
  type PackedGroup,
  type RunFibre,
  type RunPortions,
  type SharedLot,
} from './planGroups.ts';
export {
  bestGroups,
  groupErrorFraction,
  HALVING_ERROR_FRACTION,
  PARTED_ERROR_FRACTION,
  partingErrorFraction,
  partingOf,
  type PartedGroup,
  type Parting,
} from './parting.ts';
export {
  HAND_ERROR_FRACTION,
  leastWeighableG,
  stepsUp,
  WANTED_ERROR_FRACTION,
  weighPortions,
  type Weighing,
  type WeighingGroup,
} from './weighing.ts';
export { chanceWithBag, extraForComing, normalQuantile, spareBagG } from './spareBag.ts';
export { seededRandom, simulateRun, type NeedWithBag, type Simulated } from './simulate.ts';
