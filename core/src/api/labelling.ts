import type { PrinterPiece, PrinterState } from '../labelling/index.ts';

/** A printer of labels. */
export interface PrinterInfo {
  readonly id: string;
  readonly name: string;
  readonly kind: 'simulated' | 'wire';
  readonly state: PrinterState;
  /** Pieces it is still to print. */
  readonly waiting: number;
  /** Of a simulated one what it printed, the last first. */
  readonly tray: readonly PrinterPiece[];
}

/** A scanner of codes. */
export interface ScannerInfo {
  readonly id: string;
  readonly name: string;
  readonly kind: 'simulated' | 'wire';
  readonly isHere: boolean;
}

/** Codes that were scanned just now, in their order. */
export interface Scans {
  readonly isHere: boolean;
  readonly codes: readonly string[];
}

/** Where a label belongs. */
export interface LabelPlaceFound {
  readonly runId: string;
  readonly runName: string;
  readonly packId: string;
  /** Null: the pack itself. */
  readonly bagKey: string | null;
}
