import { keptAs } from '../api/studio.ts';
import type { Versioned } from './DraftSaver.ts';
import { nanoid } from 'nanoid';

interface StoredCopy<T> extends Versioned<T> {
  readonly keptAtMs: number;
}

/** A copy of another tab younger than this may still be in that tab's hands. */
const ANOTHER_TABS_MS = 10_000;

const PREFIX = keptAs('draft.');

/** Storage may be full, and a browser may forbid it altogether: then even to look at it throws. */
function fromStorage<T>(work: () => T, without: T): T {
  try {
    return work();
  } catch {
    return without;
  }
}

/** Of this page, where the tab cannot remember one. */
const PAGE_ID = nanoid(8);

/** This tab, the same over a reload: two tabs on one document must not overwrite each other's copies. */
const tabId = (): string =>
  fromStorage(() => {
    const known = sessionStorage.getItem('lanakit.tab');
    if (known !== null) return known;
    const made = nanoid(8);
    sessionStorage.setItem('lanakit.tab', made);
    return made;
  }, PAGE_ID);

const keyOf = (subject: string): string => `${PREFIX}${subject}.${tabId()}`;

/**
 * @param subject what it is a copy of, such as `patterns/ID`
 * @returns false where the browser has no room for it, or forbids it: it is then only on this page
 */
export function keepCopy<T>(subject: string, copy: Versioned<T>): boolean {
  const stored: StoredCopy<T> = { ...copy, keptAtMs: Date.now() };
  return write(keyOf(subject), JSON.stringify(stored));
}

/** False where it is full or forbidden: what is typed still goes to the server. */
const write = (key: string, text: string): boolean =>
  fromStorage(() => {
    localStorage.setItem(key, text);
    return true;
  }, false);

/** How long a key may wait for its local copy: a long pattern takes some milliseconds to write out. */
const KEEP_WITHIN_MS = 120;

/**
 * Keeps the newest of what it is given, soon; at once when the page goes. Dropped, nothing waits any more.
 * @param subject as for `keepCopy`
 */
export function copyKeeper<T>(subject: string) {
  let waiting: Versioned<T> | null = null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let isKept = true;
  const now = () => {
    if (timer !== null) clearTimeout(timer);
    timer = null;
    if (waiting !== null) isKept = keepCopy(subject, waiting);
    waiting = null;
  };
  return {
    keep: (copy: Versioned<T>) => {
      waiting = copy;
      timer ??= setTimeout(now, KEEP_WITHIN_MS);
    },
    /** Writes out what waits. */
    now,
    /** The newest that was written out is safe through a closed tab. */
    isKept: () => isKept,
    drop: () => {
      waiting = null;
      now();
      dropCopy(subject);
    },
  };
}

export const dropCopy = (subject: string): void =>
  fromStorage(() => localStorage.removeItem(keyOf(subject)), undefined);

/** The copy to go on from when a document is opened: this tab's own, or one a closed tab left behind. */
export function takeUpCopy<T>(subject: string): Versioned<T> | null {
  const storedCopy = read<T>(keyOf(subject));
  if (storedCopy) return storedCopy;
  for (const key of fromStorage(() => Object.keys(localStorage), [])) {
    if (!key.startsWith(`${PREFIX}${subject}.`)) continue;
    const left = read<T>(key);
    if (!left || isFresh(left)) continue;
    // Its new place first: where there is no room for it, it stays where it is.
    if (write(keyOf(subject), JSON.stringify(left))) localStorage.removeItem(key);
    return left;
  }
  return null;
}

/** A copy from the future is one from before the clock was set back: nobody holds it. */
function isFresh({ keptAtMs }: StoredCopy<unknown>): boolean {
  const ageMs = Date.now() - keptAtMs;
  return ageMs >= 0 && ageMs < ANOTHER_TABS_MS;
}

function read<T>(key: string): StoredCopy<T> | null {
  const text = fromStorage(() => localStorage.getItem(key), null);
  if (text === null) return null;
  try {
    return JSON.parse(text) as StoredCopy<T>;
  } catch {
    // Not ours, or cut short by a full disk: there is nothing in it to go on from.
    localStorage.removeItem(key);
    return null;
  }
}
