import { placesOfPattern, placesOfRun, type SearchedPlace, wordsIn } from '@lanakit/core/search';
import { setImmediate } from 'node:timers/promises';
import {
  newSearchIndex,
  openSearchIndex,
  SEARCHED_KINDS,
  type SearchedKind,
  type SearchedThing,
  type SearchIndex,
  type Store,
} from '../db/index.ts';
import { unlessDamaged } from './oneByOne.ts';

/** Looked into before a search is answered; the rest meanwhile, so many at a time. */
const AT_ONCE = 60;
const IN_A_SLICE = 8;

/**
 * Works with an index that knows the studio as it is. One that fails is made anew; where that fails too (a disk without room keeps
 * no index), it goes without.
 */
export function searchIndexKeeper(store: Store, dataDir: string) {
  const kept: Kept = { index: null, knows: null, isBusy: false };
  const letGo = () => {
    kept.index?.close();
    kept.index = kept.knows = null;
  };
  const withIndex = <T>(without: () => T, work: (index: SearchIndex) => T): T => {
    const attempt = (open: (dataDir: string) => SearchIndex): T => {
      kept.index ??= open(dataDir);
      bringUpToDate(store, kept.index, kept);
      return work(kept.index);
    };
    try {
      return attempt(openSearchIndex);
    } catch (error) {
      letGo();
      if (!isOfFiles(error)) throw error;
    }
    try {
      return attempt(newSearchIndex);
    } catch (error) {
      letGo();
      if (!isOfFiles(error)) throw error;
      return without();
    }
  };
  return {
    withIndex,
    /** Nothing of what it was made of is left in it. Where its file cannot be written there is none to be forgotten in. */
    startAnew(): void {
      letGo();
      try {
        kept.index = newSearchIndex(dataDir);
      } catch (error) {
        if (!isOfFiles(error)) throw error;
      }
    },
  };
}

/** From SQLite or the file system, which name what they meet by a code; anything else is a fault of ours. */
const isOfFiles = (error: unknown): boolean => typeof (error as { code?: unknown } | null)?.code === 'string';

interface Kept {
  index: SearchIndex | null;
  /** The state of the studio it knows all of. */
  knows: object | null;
  /** The rest is being looked into. */
  isBusy: boolean;
}

/** What is newer than what the index knows is looked into: what a studio writes between two searches at once, a whole studio by and by. */
function bringUpToDate(store: Store, index: SearchIndex, kept: Kept): void {
  // The same as long as nothing of these is written.
  const state = store.remember(['things', 'ledger', 'patterns', 'runs'], 'what is searched', () => ({}));
  if (kept.knows === state || kept.isBusy) return;
  const stale = SEARCHED_KINDS.flatMap((kind) => staleOf(store, index, kind));
  index.put(stale.slice(0, AT_ONCE).flatMap(([kind, id]) => thingOf(store, kind, id)));
  const rest = stale.slice(AT_ONCE);
  if (rest.length === 0) kept.knows = state;
  else void lookIntoRest(store, index, kept, rest);
}

async function lookIntoRest(
  store: Store,
  index: SearchIndex,
  kept: Kept,
  rest: readonly (readonly [SearchedKind, string])[],
): Promise<void> {
  kept.isBusy = true;
  try {
    for (let at = 0; at < rest.length && kept.index === index; at += IN_A_SLICE) {
      await setImmediate();
      index.put(rest.slice(at, at + IN_A_SLICE).flatMap(([kind, id]) => thingOf(store, kind, id)));
    }
  } catch {
    // The studio was closed meanwhile, or the index went: the next search goes on from there.
  } finally {
    kept.isBusy = false;
  }
}

/** Those of a kind that are other than the index knows them; what is gone goes out of it. */
function staleOf(store: Store, index: SearchIndex, kind: SearchedKind): (readonly [SearchedKind, string])[] {
  // What an index no longer tells stays as it was last known.
  const there = unlessDamaged(
    () => store.lists.versions(kind),
    () => null,
  );
  if (!there) return [];
  const ids = new Set(there.map(({ id }) => id));
  for (const id of index.ids(kind)) if (!ids.has(id)) index.remove(kind, id);
  return there
    .filter(({ id, version }) => index.versionOf(kind, id) !== version)
    .map(({ id }) => [kind, id] as const);
}

/** A thing with all its words; none where it cannot be read. */
function thingOf(store: Store, kind: SearchedKind, id: string): SearchedThing[] {
  const thing = (version: number, texts: readonly string[]): SearchedThing => ({
    kind,
    id,
    version,
    words: [...new Set(texts.flatMap(wordsIn))],
  });
  const textsOf = (places: readonly SearchedPlace[]) => places.map(({ text }) => text);
  switch (kind) {
    case 'pattern':
      return store.patterns
        .byIds([id])
        .map(({ version, document }) =>
          thing(version, [document.title, ...textsOf(placesOfPattern(document))]),
        );
    case 'run':
      return store.runs
        .byIds([id])
        .map((run) => thing(run.version, [run.name, ...textsOf(placesOfRun(run))]));
    case 'item':
      return store.lists
        .namedItems([id])
        .map(({ version, name, otherNames }) => thing(version, [name, otherNames ?? '']));
    case 'lot':
      return store.lists.namedLots([id]).map(({ version, name }) => thing(version, [name]));
  }
}
