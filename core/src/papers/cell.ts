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

/** A number with its unit, as a workbook has it. */
interface CellMeasure {
  readonly number: number;
  readonly decimals: number;
  /** Null: so many of them. */
  readonly unit: string | null;
}

const UNITS: Readonly<Record<StockUnit, string | null>> = {
  m: 'm',
  cm2: 'cm²',
  ml: 'ml',
  g: 'g',
  piece: null,
};

/** Null where it is words, known only in part, or too little to have a number. */
export function measureOfCell(cell: Cell): CellMeasure | null {
  switch (cell.kind) {
    case 'text':
      return null;
    case 'count':
      return { number: cell.count, decimals: 0, unit: null };
    case 'amount':
      return { number: cell.amount, decimals: decimalsOf(cell.amount), unit: UNITS[cell.unit] };
    case 'grams': {
      const words = cellForTable(cell);
      const number = Number(words);
      if (words === '' || Number.isNaN(number)) return null;
      return { number, decimals: decimalsIn(words), unit: 'g' };
    }
  }
}

const decimalsIn = (words: string): number => (words.split('.')[1] ?? '').length;

/** What is kept in pieces, metres or drops is written no finer than a hundredth. */
const decimalsOf = (number: number): number => decimalsIn(String(Math.round(number * 100) / 100));
