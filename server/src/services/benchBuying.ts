import type { BenchBuying } from '@lanakit/core/api';
import type { Store } from '../db/index.ts';
import { thingsOf } from './buyingThings.ts';
import { buyingDaysAhead } from './wantsAhead.ts';

/** So many of each stand on a bench. */
const MOST_SHOWN = 6;
const LAST_OF_ALL = '9999';

/** What has to be ordered, what is on its way, what runs low. */
export function benchBuying(store: Store, today: string): BenchBuying {
  const days = buyingDaysAhead(store, today)
    .filter(({ isShort }) => isShort)
    .toSorted((a, b) => ((a.day ?? LAST_OF_ALL) < (b.day ?? LAST_OF_ALL) ? -1 : 1));
  const levels = store.settings.levels();
  return {
    toOrder: days.slice(0, MOST_SHOWN).map(({ run, day, itemId }) => ({
      runId: run.id,
      name: run.name,
      day,
      itemName: itemId === null ? null : (store.items.kindOf(itemId)?.name ?? null),
    })),
    onOrder: store.orders
      .open()
      .flatMap(({ id, supplierName, stage, expectedOn }) =>
        stage === 'drafted' || stage === 'ordered' ? [{ orderId: id, supplierName, stage, expectedOn }] : [],
      ),
    low:
      levels.size === 0
        ? []
        : thingsOf(store).flatMap(({ id, kind, name, unit, onHand, least, isArchived }) =>
            !isArchived && least !== null && onHand !== null && onHand < least
              ? [{ itemId: id, kind, name, unit, onHand, least }]
              : [],
          ),
  };
}
