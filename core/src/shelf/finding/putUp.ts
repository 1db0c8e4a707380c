import type { StockUnit } from '../stock/ledger.ts';
import type { FindingMeasure } from './finding.ts';

/** The unit its stock is kept in. */
export function unitOfFinding(measure: Pick<FindingMeasure, 'by'>): StockUnit {
  switch (measure.by) {
    case 'count':
      return 'piece';
    case 'length':
      return 'm';
    case 'area':
      return 'cm2';
    case 'volume':
      return 'ml';
  }
}

/** How much one put-up holds, in the stock's unit. */
export function putUpAmount(measure: FindingMeasure): number {
  switch (measure.by) {
    case 'count':
      return measure.piecesPerPack;
    case 'length':
      return measure.metresPerPack;
    case 'area':
      return (measure.sheetLengthMm * measure.sheetWidthMm) / 100;
    case 'volume':
      return measure.millilitresPerPack;
  }
}

/** Grams of so much of it, in the stock's unit; null while nobody has weighed it. */
export function findingMassG(measure: FindingMeasure, amount: number): number | null {
  switch (measure.by) {
    case 'count':
      return measure.massG === null ? null : measure.massG * amount;
    case 'length':
      return measure.linearGPerM === null ? null : measure.linearGPerM * amount;
    case 'area':
      return measure.arealGPerM2 === null ? null : (measure.arealGPerM2 * amount) / 10_000;
    case 'volume':
      return null;
  }
}
