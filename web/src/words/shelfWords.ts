import { showNumber } from '@lanakit/core/base';
import type { StockUnit } from '@lanakit/core/shelf';
import { UNIT_WORDS } from '@lanakit/core/words';
import { showGrams } from './show.ts';

/** An amount in the unit a thing is stocked in, one precision each. */
export function showAmount(amount: number, unit: StockUnit): string {
  switch (unit) {
    case 'g':
      return showGrams(amount);
    case 'm':
      return `${amount.toFixed(amount < 10 ? 2 : 1)} m`;
    case 'piece':
      return `${showNumber(amount, 0)} ${UNIT_WORDS.piece}`;
    case 'cm2':
    case 'ml':
      return `${showNumber(amount, 0)} ${UNIT_WORDS[unit]}`;
  }
}

/** With its sign, for a ledger: what came and what went. */
export const showSigned = (amount: number, unit: StockUnit): string =>
  `${amount < 0 ? '−' : '+'}${showAmount(Math.abs(amount), unit)}`;
