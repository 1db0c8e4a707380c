import { type PrinterHub, printerHub } from './printerHub.ts';
import { type ScaleHub, scaleHub } from './scaleHub.ts';
import { type ScannerHub, scannerHub } from './scannerHub.ts';

/** What lies on the table and says lines. */
export interface Devices {
  readonly scales: ScaleHub;
  readonly scanners: ScannerHub;
  readonly printers: PrinterHub;
}

/** One of each that is not there. */
export const simulatedDevices = (): Devices => ({
  scales: scaleHub(),
  scanners: scannerHub(),
  printers: printerHub(),
});
