import { checkRange } from '@lanakit/core/base';
import type { Problem } from '@lanakit/core/problems';
import {
  AMOUNT_BOUNDS,
  type CountInput,
  fromMilli,
  movementMilli,
  type MovementInput,
} from '@lanakit/core/shelf';
import type { Store } from '../db/index.ts';
import { ITEM_KINDS } from './itemKinds.ts';

interface Place {
  readonly itemId: string;
  readonly lotId: string | null;
}

/** What is kept in lots moves by lot, and by one of its own; anything else by itself. */
export function misplaced(store: Store, { itemId, lotId }: Place, pointer: string): Problem[] {
  const item = store.items.kindOf(itemId);
  if (!item) return [{ code: 'not_on_shelf', pointer: `${pointer}/itemId`, name: itemId }];
  const keeping = ITEM_KINDS[item.kind].stock;
  const isRight =
    keeping === 'lots'
      ? lotId !== null && store.stock.findLot(lotId)?.itemId === itemId
      : keeping === 'pieces' && lotId === null;
  if (isRight) return [];
  const lots = store.stock.lotsOf(itemId).map(({ name }) => name);
  return [{ code: 'lot_not_found', pointer: `${pointer}/lotId`, name: lotId ?? '', lots }];
}

/** Why something cannot have been counted there, whoever brings the count. */
export const checkCount = (store: Store, count: CountInput, pointer: string): Problem[] => [
  ...checkRange(count.amount, AMOUNT_BOUNDS, `${pointer}/amount`),
  ...misplaced(store, count, pointer),
];

/** What would leave less than nothing; what was never counted has no sum to fall below. */
export function belowNothing(store: Store, movement: MovementInput): Problem[] {
  const onHand = store.stock.onHandHere(movement.itemId, movement.lotId);
  const taken = -fromMilli(movementMilli(movement));
  if (onHand === null || taken <= Math.max(0, onHand) + 1e-9 || taken <= 0) return [];
  return [{ code: 'stock_below_nothing', pointer: '/amount', onHand, taken }];
}
