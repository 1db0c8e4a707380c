export { apportion } from './apportion.ts';
export {
  FIGURE_BAG,
  IF_NEEDED_BAG,
  isIfNeededBag,
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
  type UnknownPortion,
} from './planPortions.ts';
export {
  estimateSigma,
  HAND_SHARE,
  NEED_SIGMA,
  onlyFibre,
  SHORT_FRACTION,
  type ClassNeeds,
  type MakerKind,
  type NeededFibre,
  type Take,
} from './classNeeds.ts';
export { chanceEachAlone, extraAt, extrasForChance, packedWith, type ExtraFor } from './eachAlone.ts';
export {
  planGroups,
  restocked,
  sameMass,
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
export { bagsForChance, chanceWithBags, extraForComing } from './spareBag.ts';
export { seededRandom, simulateRun, type Simulated } from './simulate.ts';
