export { fewestLengths } from './fewestLengths.ts';
export { bundled, type PackPieces, unbundled } from './keptTogether.ts';
export { mostOnOneSheet } from './mostOnOneSheet.ts';
export { cutsOf, type LengthTask, wasteOf } from './lengthTask.ts';
export { planLengths, type PlannedLengths } from './planLengths.ts';
export { planSheets } from './planSheets.ts';
export { type Area, type CutArea, type SheetPlan, type SheetTask } from './sheetTask.ts';
export {
  amountOfCut,
  checkCutting,
  checkCuttingTerms,
  CUTTING_BOUNDS,
  CUTTING_TERMS,
  CuttingDocument,
  CuttingInput,
  type CuttingPlan,
  type CuttingProblem,
  CuttingTerms,
  type CutStock,
  type PlannedPiece,
  stockOfSheet,
  stockOfStick,
  wasteOfStock,
} from './cuttingPlan.ts';
