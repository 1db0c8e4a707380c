export { apportion } from './apportion.ts';
export {
  BAGS,
  planPortions,
  shortOfPlan,
  takingsOfPlan,
  uncountedOfPlan,
  type Bag,
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
  alikePortions,
  planGroups,
  type AlikePortions,
  type GroupToPack,
  type PackedGroup,
  type RunFibre,
  type RunPortions,
} from './planGroups.ts';
export { WANTED_ERROR_FRACTION, weighPortions, type Weighing, type WeighingGroup } from './weighing.ts';
