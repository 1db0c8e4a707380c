import type { Problem } from '@lanakit/core/problems';

/** A document at a version the server knows. */
export interface Versioned<T> {
  readonly version: number;
  readonly document: T;
}

export type PutResult<T> =
  | { readonly kind: 'saved'; readonly version: number }
  | { readonly kind: 'conflict'; readonly theirs: Versioned<T> }
  | { readonly kind: 'refused'; readonly message: string; readonly problems: readonly Problem[] }
  | { readonly kind: 'unreachable' };

/** What the author is told about her work. */
export type SaveState<T> =
  | { readonly kind: 'saved'; readonly atMs: number | null }
  | { readonly kind: 'unsaved' }
  | { readonly kind: 'saving' }
  /** The server does not answer; the work is kept in this browser, if it has room, and sent when it is back. */
  | { readonly kind: 'kept-here'; readonly isKept: boolean }
  | { readonly kind: 'refused'; readonly message: string; readonly problems: readonly Problem[] }
  | { readonly kind: 'conflict'; readonly theirs: Versioned<T> };

export interface SaverWorld<T> {
  readonly put: (version: number, document: T, isLeaving: boolean) => Promise<PutResult<T>>;
  /** What may not be stored, known before sending. */
  readonly check: (document: T) => readonly Problem[];
  readonly isSame: (a: T, b: T) => boolean;
  /** Keeps what has been typed and not yet acknowledged through a closed tab. */
  readonly keep: (copy: Versioned<T>) => void;
  /** The browser had room for what it was told to keep. */
  readonly isKept: () => boolean;
  readonly drop: () => void;
  /** Calls back after a while; returns how to cancel. */
  readonly schedule: (callback: () => void, ms: number) => () => void;
  readonly nowMs: () => number;
  readonly onState: (state: SaveState<T>) => void;
}

const SAVE_AFTER_MS = 500;
const RETRY_AFTER_MS = 3000;

/**
 * Saves a document shortly after each edit, one request at a time, and never gives up what was typed: every edit is
 * kept locally first and dropped only when the server has acknowledged that very document.
 */
export class DraftSaver<T> {
  readonly #world: SaverWorld<T>;
  #version: number;
  #wanted: T | null = null;
  /** What is on its way to the server; one at a time. */
  #sending: Promise<void> | null = null;
  #cancelTimer: () => void = () => undefined;
  #isDisposed = false;
  #state: SaveState<T> = { kind: 'saved', atMs: null };

  constructor(version: number, world: SaverWorld<T>) {
    this.#version = version;
    this.#world = world;
  }

  get version(): number {
    return this.#version;
  }

  /** Nothing the server has not acknowledged. */
  get isSettled(): boolean {
    return this.#wanted === null && this.#sending === null;
  }

  /** The author changed something. */
  changed(document: T): void {
    this.#wanted = document;
    this.#world.keep({ version: this.#version, document });
    if (this.#state.kind === 'conflict') return;
    const problems = this.#world.check(document);
    if (problems.length > 0) {
      this.#cancelTimer();
      this.#become({
        kind: 'refused',
        message: 'Not saved until it is mended; kept in this browser.',
        problems,
      });
      return;
    }
    if (this.#state.kind !== 'kept-here') this.#become({ kind: 'unsaved' });
    this.#sendAfter(SAVE_AFTER_MS);
  }

  /** Sends at once what is waiting, unless something is on its way. */
  async flush(isLeaving = false): Promise<void> {
    this.#cancelTimer();
    const document = this.#wanted;
    const isHeld = this.#state.kind === 'conflict' || this.#state.kind === 'refused';
    if (document === null || this.#sending !== null || isHeld) return;
    this.#become({ kind: 'saving' });
    this.#sending = this.#send(document, isLeaving);
    await this.#sending;
  }

  /**
   * Everything done so far is with the server, what was on its way and what was typed meanwhile; false when it cannot be
   * sent now. Whoever makes something of what is stored (a sheet, a revision, a file) waits for this.
   */
  async settle(): Promise<boolean> {
    do {
      if (this.#sending) await this.#sending;
      await this.flush();
    } while (this.#state.kind === 'unsaved' || this.#state.kind === 'saving');
    return this.isSettled;
  }

  /** After a conflict: what is here replaces what is stored. */
  async keepMine(): Promise<void> {
    if (this.#state.kind !== 'conflict') return;
    this.#version = this.#state.theirs.version;
    this.#become({ kind: 'unsaved' });
    if (this.#wanted) this.#world.keep({ version: this.#version, document: this.#wanted });
    await this.flush();
  }

  /** After a conflict: what is stored replaces what is here. */
  takeTheirs(): void {
    if (this.#state.kind !== 'conflict') return;
    this.#version = this.#state.theirs.version;
    this.#wanted = null;
    this.#world.drop();
    this.#become({ kind: 'saved', atMs: this.#world.nowMs() });
  }

  /** Found on opening: a kept copy that was begun from another version than the stored one. */
  begunFromAnother(mine: T, theirs: Versioned<T>): void {
    this.#wanted = mine;
    this.#become({ kind: 'conflict', theirs });
  }

  /** Stops the clock for good; what is unsent stays kept, and whoever opens the document next sends it. */
  dispose(): void {
    this.#isDisposed = true;
    this.#cancelTimer();
  }

  async #send(document: T, isLeaving: boolean): Promise<void> {
    let result: PutResult<T>;
    try {
      result = await this.#world.put(this.#version, document, isLeaving);
    } finally {
      this.#sending = null;
    }
    this.#take(result, document);
  }

  #take(result: PutResult<T>, sent: T): void {
    switch (result.kind) {
      case 'saved':
        return this.#acknowledge(result.version, sent);
      case 'conflict':
        // The same thing done twice, here and there, is no conflict.
        if (this.#world.isSame(sent, result.theirs.document)) {
          return this.#acknowledge(result.theirs.version, sent);
        }
        return this.#become(result);
      case 'refused':
        return this.#become(result);
      case 'unreachable':
        this.#become({ kind: 'kept-here', isKept: this.#world.isKept() });
        return this.#sendAfter(RETRY_AFTER_MS);
    }
  }

  #acknowledge(version: number, sent: T): void {
    this.#version = version;
    if (this.#wanted === sent) {
      this.#wanted = null;
      this.#world.drop();
      return this.#become({ kind: 'saved', atMs: this.#world.nowMs() });
    }
    // Typed on while it was being sent: go on from the version just acknowledged.
    if (this.#wanted) this.changed(this.#wanted);
  }

  #sendAfter(ms: number): void {
    this.#cancelTimer();
    if (this.#isDisposed) return;
    this.#cancelTimer = this.#world.schedule(() => void this.flush(), ms);
  }

  #become(state: SaveState<T>): void {
    this.#state = state;
    this.#world.onState(state);
  }
}
