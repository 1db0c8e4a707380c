export {
  calibrate,
  DENSEST_FELT_G_PER_CM3,
  type Calibrated,
  type Calibration,
  type Evidence,
} from './calibration.ts';
export type { PartWorking } from './partWorking.ts';
export type { Calculated, UseWorking } from './useWorking.ts';
export {
  coatByContrast,
  coatOver,
  hidingConstant,
  LEAST_COAT_G_PER_M2,
  SHADING_G_PER_M2,
  type CoatWeight,
} from './coat.ts';
export { compareEstimates, type WoolMove } from './compareEstimates.ts';
export { resolveSizes, type SizedPart } from './derivedSizes.ts';
export { DOT_OVERSIZE, dotMassG, LINE_G_PER_M, LINE_OVERCUT, lineMassG, patchMm2 } from './detail.ts';
export type { CutPiece, FindingTotal } from './estimateFindings.ts';
export type { JoinEstimate } from './estimateJoins.ts';
export { estimatePart } from './estimatePart.ts';
export {
  estimatePattern,
  totalsByFibre,
  type FibreTotal,
  type PatternEstimate,
  type WoolOfPattern,
  type RoleTotal,
  type SumWithUnknown,
} from './estimatePattern.ts';
export { forMakes } from './forMakes.ts';
export { HAIR_G_PER_M2, hairMass, PARTING_MM, ROOT_MM, type Hair } from './hair.ts';
export { handsMeasures, type HandsMeasure } from './handsMeasures.ts';
export { joinCoverMm2, usualBandMm } from './joinCover.ts';
export { shareVolume, type LayerRequest, type Layers, type LayerShare } from './layers.ts';
export { looseEndMassG, MOST_TAIL_FRACTION, TAIL_BOUNDS_MM, usualTailMm } from './looseEnd.ts';
export type { PartEstimate } from './partEstimate.ts';
export type { SharedEstimate } from './resolveAmounts.ts';
export { FLAT_MARGIN_MM, rollUpSize, sectionMm2, usualPacking, type Packed, type RollUp } from './rollUp.ts';
export { outermostUse, showingOutside } from './showing.ts';
export { SIGMA } from './sigmas.ts';
export { sizeLedger, type SizeStage, type StageSize } from './sizeLedger.ts';
export { statedMass, type Stated } from './statedMass.ts';
export { topsLength, type TopsLength } from './topsLength.ts';
export type { UnknownReason } from './unknown.ts';
export {
  inOneMake,
  totalOfUses,
  WOOL_ROLES,
  type Comparison,
  type KnownUse,
  type OtherStatement,
  type UnknownUse,
  type UseEstimate,
  type WoolRole,
} from './useEstimate.ts';
export { LEAST_PART_MM, warningsOf, type EngineWarning } from './warnings.ts';
export type { GPerMRange } from './linearWarnings.ts';
export { onlyFibres, woolOnShelf, type FibreLookup, type Wool } from './wool.ts';
export { costEndsOf, statedEnds } from './statedEnds.ts';
export * from './cuts/index.ts';
export * from './quantity/index.ts';
