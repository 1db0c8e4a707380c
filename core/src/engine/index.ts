export { calibrate, DENSEST_FELT_G_PER_CM3 } from './calibration.ts';
export type { Taught, UseWorking } from './useWorking.ts';
export { coatByContrast, DARK_BELOW_L, hidingConstant, PALE_ABOVE_L } from './coat.ts';
export { compareEstimates, type WoolMove } from './compareEstimates.ts';
export type { CutPiece, FindingTotal } from './estimateFindings.ts';
export type { AcrossBy, JoinEstimate } from './estimateJoins.ts';
export { ESTIMATED_FROM } from './estimatedFrom.ts';
export { estimatePart } from './estimatePart.ts';
export {
  estimatePattern,
  totalsByFibre,
  type FibreTotal,
  type PatternEstimate,
  type SumWithUnknown,
} from './estimatePattern.ts';
export { forMakes } from './forMakes.ts';
export { HAIR_G_PER_M2, hairMass } from './hair.ts';
export { sizeToCut } from './estimateFindings.ts';
export { type SheetPiece } from './sheetPieces.ts';
export { handsMeasures, type HandsMeasure } from './handsMeasures.ts';
export { shareVolume, type LayerRequest } from './layers.ts';
export type { PartEstimate } from './partEstimate.ts';
export { growthFromAcross, rollUpSize, usualPacking, type RollUp } from './rollUp.ts';
export { outermostUse } from './showing.ts';
export { sizeLedger, type SizeStage, type StageSize } from './sizeLedger.ts';
export { topsLength, type TopsLength } from './topsLength.ts';
export type { UnknownReason } from './unknown.ts';
export {
  inOneMake,
  totalOfUses,
  WOOL_ROLES,
  type KnownUse,
  type UseEstimate,
  type WoolRole,
} from './useEstimate.ts';
export { warningsOf, type EngineWarning } from './warnings.ts';
export type { GPerMRange } from './linearWarnings.ts';
export { onlyFibres, woolOnShelf, type FibreLookup, type Wool } from './wool.ts';
export { statedEnds } from './statedEnds.ts';
export * from './cuts/index.ts';
export * from './quantity/index.ts';
export { looseAcrossMm } from './looseEnd.ts';
