import type { StockUnit } from '../shelf/index.ts';
import { findingAmount, showGramNumber, showLikely, showWeighed, showWeighedNumber } from '../words/index.ts';

/** What stands in one place of a paper: a number stays a number until somebody reads it. */
export type Cell =
  | { readonly kind: 'text'; readonly text: string }
  | {
      readonly kind: 'grams';
      readonly massG: number;
      /** The step it is weighed in; null: not weighed but worked out. */
      readonly scaleStepG: number | null;
      /** Something of it is unknown. */
      readonly isAtLeast: boolean;
    }
  | { readonly kind: 'count'; readonly count: number }
  /** Of a finding, in the unit it is kept in. */
  | { readonly kind: 'amount'; readonly amount: number; readonly unit: StockUnit };

export const text = (words: string): Cell => ({ kind: 'text', text: words });
export const count = (number: number): Cell => ({ kind: 'count', count: number });
export const amount = (number: number, unit: StockUnit): Cell => ({ kind: 'amount', amount: number, unit });

/** @param scaleStepG null: worked out, not weighed */
export const grams = (massG: number, scaleStepG: number | null, isAtLeast = false): Cell => ({
  kind: 'grams',
  massG,
  scaleStepG,
  isAtLeast,
});

/** As a person reads it, with its unit. */
export function cellWords(cell: Cell): string {
  switch (cell.kind) {
    case 'text':
      return cell.text;
    case 'count':
      return String(cell.count);
    case 'amount':
      return findingAmount(cell.amount, cell.unit);
    case 'grams': {
      const { massG, scaleStepG, isAtLeast } = cell;
      const words = scaleStepG === null ? showLikely(massG) : showWeighed(massG, scaleStepG);
      return isAtLeast ? `at least ${words}` : words;
    }
  }
}

/** As a spreadsheet adds it up: grams without their unit, as far as they are known; anything else as it reads. */
export function cellForTable(cell: Cell): string {
  if (cell.kind !== 'grams' || cell.isAtLeast) return cellWords(cell);
  const { massG, scaleStepG } = cell;
  const number = scaleStepG === null ? showGramNumber(massG) : showWeighedNumber(massG, scaleStepG);
  // “<0.01” is no number to a spreadsheet either.
  return number.startsWith('<') ? cellWords(cell) : number;
}
