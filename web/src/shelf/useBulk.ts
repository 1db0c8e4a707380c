import { repriced } from '@lanakit/core/base';
import type { Lot, LotInput } from '@lanakit/core/shelf';
import { counted } from '../words/show.ts';
import type { Entry, Item } from './entries.ts';
import { inputOf, type Stored } from './inputOf.ts';
import { performAll, type Mutation } from '../api/mutations/mutation.ts';
import { saveItems, saveLots } from '../api/mutations/shelf.ts';
import { useAttempt } from '../shell/useAttempt.ts';

const PATHS: Readonly<Record<Item['kind'], `/${string}`>> = {
  fibre: '/fibres',
  blend: '/blends',
  finding: '/findings',
  needle: '/needles',
  tool: '/tools',
  supplier: '/suppliers',
};

/** One thing as it was and as it is to be. */
interface Change {
  /** A collection that takes several at once; `lots` has its own form. */
  readonly path: `/${string}`;
  readonly id: string;
  readonly version: number;
  readonly before: object;
  readonly after: object;
}

/** What can be done to several things at once. Each can be taken back from the notice. */
export function useBulk(entries: readonly Entry[], onDone: () => void) {
  const attempt = useAttempt();
  const apply = (changes: readonly Change[], words: string) =>
    attempt(async () => {
      await performAll(savings(changes, 'after', 0), onDone);
      return { text: words, undo: () => performAll(savings(changes, 'before', 1)) };
    });
  const things = counted(entries.length, 'thing');
  return {
    archive: (archived: boolean) =>
      void apply(
        entries.map((entry) => changeOf(entry, { archived })),
        `${things} ${archived ? 'archived' : 'brought back'}.`,
      ),
    move: (place: string) =>
      void apply(
        entries.flatMap((entry) => moveOf(entry, place)),
        `${things} moved to ${place}.`,
      ),
    /** @param percent dearer, or under nought cheaper */
    reprice: (percent: number) =>
      void apply(
        entries.flatMap((entry) => repriceOf(entry, percent)),
        `${counted(entries.filter(hasPrice).length, 'price')} changed by ${percent} %.`,
      ),
    canReprice: entries.some(hasPrice),
    canMove: entries.some(({ item }) => item.kind !== 'supplier'),
  };
}

const hasPrice = ({ item, priceMinor }: Entry): boolean => item.kind !== 'blend' && priceMinor !== null;

function changeOf({ item, id }: Entry, change: object): Change {
  const stored = item.thing as Stored<object>;
  const before = inputOf<object>(stored);
  return { path: PATHS[item.kind], id, version: stored.version, before, after: { ...before, ...change } };
}

/** Wool lies in lots, each in its place; anything else has a place of its own. */
function moveOf(entry: Entry, place: string): Change[] {
  const { item } = entry;
  if (item.kind === 'supplier') return [];
  if (item.kind !== 'fibre' && item.kind !== 'blend') return [changeOf(entry, { place })];
  return item.thing.lots.map((lot) => {
    const before = lotInputOf(lot);
    return { path: '/lots', id: lot.id, version: lot.version, before, after: { ...before, place } };
  });
}

const lotInputOf = ({ id: _id, version: _version, onHandG: _onHand, ...input }: Lot): LotInput => input;

function repriceOf(entry: Entry, percent: number): Change[] {
  if (!hasPrice(entry)) return [];
  const minor = repriced(entry.priceMinor ?? 0, percent);
  return [
    changeOf(entry, entry.item.kind === 'fibre' ? { pricePer100gMinor: minor } : { priceMinor: minor }),
  ];
}

/** One write for each collection. @param versionsOn how many versions have been saved since the changes were made */
const savings = (
  changes: readonly Change[],
  side: 'before' | 'after',
  versionsOn: number,
): readonly Mutation<unknown>[] =>
  [...new Set(changes.map(({ path }) => path))].map((path) => {
    const items = changes
      .filter((change) => change.path === path)
      .map(({ id, version, [side]: input }) => ({ id, version: version + versionsOn, input }));
    return path === '/lots' ? saveLots(items) : saveItems(path, items);
  });
