export { fewestLengths } from './fewestLengths.ts';
export { fewestSheets, mostOnOneSheet } from './fewestSheets.ts';
export {
  type CutStick,
  cutsOf,
  type LengthPiece,
  type LengthPlan,
  type LengthStock,
  type LengthTask,
  type NotCut,
  wasteOf,
} from './lengthTask.ts';
export { planLengths, type PlannedLengths } from './planLengths.ts';
export { planSheets } from './planSheets.ts';
export {
  type Area,
  type CutArea,
  cutsOfSheet,
  type CutSheet,
  isKept,
  partsOf,
  type SheetPiece,
  type SheetPlan,
  type SheetStock,
  type SheetTask,
  wasteOfSheet,
} from './sheetTask.ts';
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
  type CutLine,
  type CutPart,
  type CutStock,
  type PlannedPiece,
  stockOfSheet,
  stockOfStick,
  wasteOfStock,
} from './cuttingPlan.ts';
