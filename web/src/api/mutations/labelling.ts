import type { PrinterAct } from '@lanakit/core/labelling';
import type { LabelSheet } from '@lanakit/core/run';
import type { RollSize } from '@lanakit/core/papers';
import type { Mutation } from './mutation.ts';

/** Something done to a simulated scanner. */
export const actOnScanner = (
  id: string,
  act: { readonly act: 'scan'; readonly text: string } | { readonly act: 'plug' | 'unplug' },
): Mutation<void> => ({ method: 'POST', path: `/scanners/${id}/acts`, body: act, hasOwnKey: true, touches: [] }); // prettier-ignore

/** What is to be printed, and on what. */
export interface LabelJob {
  readonly runId: string;
  /** Codes of labels; null: all. */
  readonly codes: readonly string[] | null;
  readonly on:
    | { readonly as: 'roll'; readonly size: RollSize | null }
    | { readonly as: 'sheets'; readonly sheet: LabelSheet };
}

export const printLabels = (printerId: string, job: LabelJob): Mutation<{ readonly pieces: number }> => ({
  method: 'POST',
  path: `/printers/${printerId}/jobs`,
  body: job,
  touches: [],
});

export const giveUpPrinting = (printerId: string): Mutation<void> => ({
  method: 'DELETE',
  path: `/printers/${printerId}/jobs`,
  touches: [],
});

/** Something done to a simulated printer. */
export const actOnPrinter = (id: string, act: PrinterAct): Mutation<void> => ({
  method: 'POST',
  path: `/printers/${id}/acts`,
  body: act,
  hasOwnKey: true,
  touches: [],
});
