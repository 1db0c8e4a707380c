import type { ArrivalDifference, OrderState, PurchaseWay, WantUse } from '@lanakit/core/buying';
import { showNumber, showSizesMm } from '@lanakit/core/base';
import { counted, showMoney } from './show.ts';

export const USE_WORDS: Readonly<Record<WantUse, string>> = {
  packs: 'in packs',
  loss: 'lost in weighing',
  spare: 'spares',
  packaging: 'packaging',
  lent: 'in the room, comes back',
  blend: 'to blend',
};

export const WAY_WORDS: Readonly<Record<PurchaseWay, { readonly name: string; readonly about: string }>> = {
  money: { name: 'Least money', about: 'goods and carriage together' },
  parcels: { name: 'Fewest parcels', about: 'then the least money' },
  'left-over': { name: 'Least left over', about: 'by what it is worth, then the least money' },
};

export const ORDER_STATE_WORDS: Readonly<Record<OrderState, string>> = {
  drafted: 'drafted',
  ordered: 'ordered',
  part: 'arrived in part',
  arrived: 'arrived',
  dropped: 'dropped',
};

/** Where what came is other than what was ordered. */
export function differenceWords(difference: ArrivalDifference, name: string): string {
  switch (difference.kind) {
    case 'fewer':
      return `${counted(difference.packs, 'pack')} of ${name} never came.`;
    case 'more':
      return `${counted(difference.packs, 'pack')} of ${name} more than ordered.`;
    case 'price':
      return `${name}: ${showMoney(difference.paidEachMinor)} paid for each, ordered at ${showMoney(difference.orderedMinor)}.`;
  }
}

/** A size as it is cut: `270 mm`, `18.4 m` of a reel, `120 × 80 mm` of a sheet. */
export function cutSizeMm(lengthMm: number, widthMm: number): string {
  if (widthMm > 0) return showSizesMm([lengthMm, widthMm], 'mm');
  return lengthMm >= 1000 ? `${showNumber(lengthMm / 1000, 2)} m` : showSizesMm([lengthMm], 'mm');
}
