export { fewestLengths, type Fewest, type FewestResult, type LengthWanted } from './fewestLengths.ts';
export {
  fewestSheets,
  mostOnOneSheet,
  type FewestSheets,
  type PieceWanted,
  type Sheet,
} from './fewestSheets.ts';
