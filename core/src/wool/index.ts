export { coatByContrast, hidingConstant, LEAST_COAT_G_PER_M2, type CoatWeight } from './coat.ts';
export { compareEstimates, type WoolMove } from './compareEstimates.ts';
export {
  estimatePart,
  type FibreLookup,
  type PartEstimate,
  type UnknownReason,
  type UseEstimate,
  type WoolRole,
  type Workings,
} from './estimatePart.ts';
export {
  estimatePattern,
  type FibreTotal,
  type PatternEstimate,
  type SumWithUnknown,
} from './estimatePattern.ts';
export { shareVolume, type Layers } from './layers.ts';
export { FLAT_MARGIN_MM, rollUpSize, type RollUp } from './rollUp.ts';
export { SIGMA } from './sigmas.ts';
export { woolOnShelf } from './woolOnShelf.ts';
export { topsLength, type TopsLength } from './topsLength.ts';
