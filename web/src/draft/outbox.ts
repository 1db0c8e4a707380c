import { keptAs } from '../api/studio.ts';
import { nanoid } from 'nanoid';

/** Something that is to be sent, under a key by which the server knows it again. */
export interface Waiting<T> {
  readonly key: string;
  readonly what: T;
}

const PREFIX = keptAs('out.');

/**
 * What was done here and is not yet with the server, in the order in which it was done. Kept by the browser, so that it is
 * still there when the page, or the tablet, goes and comes back; where the browser keeps nothing, on this page.
 * @param subject of what it is, such as `ticks/ID`
 */
export class Outbox<T> {
  readonly #start: string;
  #waiting: readonly Waiting<T>[] = [];
  #places = new Map<string, string>();
  #last = 0;
  readonly #watchers = new Set<() => void>();

  constructor(subject: string) {
    this.#start = `${PREFIX}${subject}.`;
    this.#takeUp();
  }

  /** The same list as long as nothing comes or goes. */
  get waiting(): readonly Waiting<T>[] {
    return this.#waiting;
  }

  put(what: T): Waiting<T> {
    const waiting = { key: nanoid(16), what };
    // Two within one millisecond still have an order.
    this.#last = Math.max(Date.now(), this.#last + 1);
    const place = `${this.#start}${String(this.#last).padStart(15, '0')}.${waiting.key}`;
    this.#places.set(waiting.key, place);
    tried(() => localStorage.setItem(place, JSON.stringify(waiting)));
    this.#become([...this.#waiting, waiting]);
    return waiting;
  }

  /** It is with the server, or the server will not have it. */
  done(key: string): void {
    const place = this.#places.get(key);
    if (place !== undefined) tried(() => localStorage.removeItem(place));
    this.#places.delete(key);
    this.#become(this.#waiting.filter((waiting) => waiting.key !== key));
  }

  watch = (changed: () => void): (() => void) => {
    this.#watchers.add(changed);
    return () => this.#watchers.delete(changed);
  };

  #become(waiting: readonly Waiting<T>[]): void {
    this.#waiting = waiting;
    for (const changed of this.#watchers) changed();
  }

  /** What an earlier page left behind. Another tab may send it too: by its key it counts once. */
  #takeUp(): void {
    const places = tried(() => Object.keys(localStorage).filter((key) => key.startsWith(this.#start))) ?? [];
    const left = places.sort().flatMap((place) => {
      const text = tried(() => localStorage.getItem(place)) ?? null;
      const waiting = text === null ? undefined : tried(() => JSON.parse(text) as Waiting<T>);
      if (waiting) this.#places.set(waiting.key, place);
      return waiting ?? [];
    });
    this.#waiting = left;
  }
}

/** Storage may be full, or forbidden, and what lies in it may be cut short. */
function tried<T>(work: () => T): T | undefined {
  try {
    return work();
  } catch {
    return undefined;
  }
}
