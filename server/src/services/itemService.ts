import { checkRange } from '@lanakit/core/base';
import type { Problem } from '@lanakit/core/problems';
import { AMOUNT_BOUNDS, blankLot } from '@lanakit/core/shelf';
import type { ServiceDeps } from './deps.ts';
import { type ItemKindRules, type StoredItem, writeOf } from './itemKinds.ts';
import { answering, assertSound, foundOr, Refusal } from './refusal.ts';

export type ItemService = ReturnType<typeof itemService>;

/** What a first count is called when nobody has named it. */
const FIRST_LOT = 'first lot';

/** One item as it is to be, and which version of it was changed. */
export interface ItemChange {
  readonly id: string;
  readonly version: number;
  readonly input: unknown;
}

/** Everything of one kind on the shelf, by the same few operations. */
export function itemService(kind: ItemKindRules, { store, now, newId }: ServiceDeps) {
  const { items, stock } = store;
  const at = () => now().toISOString();
  const found = (id: string): StoredItem => foundOr(kind.find(store, id));
  const conflict = (id: string, yours: unknown, version: number) =>
    new Refusal({
      code: 'version_conflict',
      id,
      yours,
      theirs: found(id),
      of: { kind: 'item', id, version },
    });
  const assertPossible = (input: unknown, id: string | null, pointer = '') =>
    assertSound(
      kind
        .check(input, id, store)
        .map((problem): Problem => ({ ...problem, pointer: pointer + problem.pointer })),
    );
  const putCount = (id: string, countedNow: number | null) => {
    if (countedNow === null) return;
    const lotId = kind.stock === 'lots' ? newId() : null;
    if (lotId !== null) stock.insertLot(lotId, id, blankLot(FIRST_LOT), at());
    stock.enterCount({ itemId: id, lotId, amount: countedNow }, at());
  };
  const save = ({ id, version, input }: ItemChange, pointer = ''): StoredItem => {
    found(id);
    assertPossible(input, id, pointer);
    if (!items.update(id, version, writeOf(kind, input), at())) throw conflict(id, input, version);
    return found(id);
  };
  return answering({
    all: () => kind.all(store),
    find: found,
    /** @param countedNow what is there of it, in its unit; null: not counted */
    put(input: unknown, countedNow: number | null = null): StoredItem {
      assertPossible(input, null);
      if (countedNow !== null) assertSound(checkRange(countedNow, AMOUNT_BOUNDS, '/countedNow'));
      const id = newId();
      store.together(() => {
        items.insert(id, writeOf(kind, input), at());
        putCount(id, countedNow);
      });
      return found(id);
    },
    save: (change: ItemChange) => save(change),
    /** All or none. */
    saveAll: (changes: readonly ItemChange[]): StoredItem[] =>
      store.together(() => changes.map((change, index) => save(change, `/items/${index}/input`))),
    usesOf: (id: string) => kind.uses(store, found(id).id),
    remove(id: string, version: number): void {
      const uses = kind.uses(store, found(id).id);
      if (uses.length > 0) throw new Refusal({ code: 'in_use', uses });
      if (!items.remove(id, version, at())) throw conflict(id, null, version);
    },
    restore(id: string): StoredItem {
      if (!items.restore(id)) throw new Refusal({ code: 'not_found' });
      return found(id);
    },
  });
}
