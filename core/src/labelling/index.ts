export { pieceLines, pieceReader } from './pieceLines.ts';
export type { PrinterLabel, PrinterPiece } from './printerLabel.ts';
export {
  afterPrinterLine,
  NO_PRINTER,
  printerLine,
  readPrinterLine,
  type PrinterLine,
  type PrinterState,
} from './printerState.ts';
export { readScanLine, scanFilter } from './scanLine.ts';
export { simulatedPrinter, type PrinterAct } from './simulatedPrinter.ts';
