export { checkFinding, FINDING_BOUNDS, FINDING_PRICE_BOUNDS, OUTER_BOUNDS } from './checkFinding.ts';
export {
  AREA_SORTS,
  BLANK_FINDING,
  blankMeasure,
  COUNTED_SORTS,
  FINDING_FLAGS,
  FindingInput,
  LENGTH_SORTS,
  MEASURED_BY,
  NAPS,
  VOLUME_SORTS,
  type Finding,
  type FindingFlag,
  type FindingMeasure,
  type MeasuredBy,
  type Nap,
} from './finding.ts';
export { findingMassG, putUpAmount, unitOfFinding } from './putUp.ts';
export { unitPriceMinor } from './unitPrice.ts';
export { SPARE_RULE_KINDS, SpareRule } from './spareRule.ts';
export { blankSpares } from './usualSpares.ts';
export { usualSpares } from './usualSpares.ts';
export type { CutFrom, Offcut } from './cutFrom.ts';
export { gramsPerCm2, sheetOfFibre } from './sheetOfFibre.ts';
export { thereToCut } from './thereToCut.ts';
