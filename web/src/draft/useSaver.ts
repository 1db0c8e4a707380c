import type { Problem } from '@lanakit/core/problems';
import { useEffect, useRef, useState, type RefObject } from 'react';
import { ApiProblem, send, Unreachable } from '../api/client.ts';
import { refresh } from '../api/refresh.ts';
import { DraftSaver, type PutResult, type SaveState, type Versioned } from './DraftSaver.ts';
import { copyKeeper, dropCopy, takeUpCopy } from './localCopies.ts';

/** What the saver must know of one kind of document. */
export interface Savable<T> {
  /** Where it is put, and what its local copy is kept under: `/patterns/ID`. */
  readonly path: string;
  readonly check: (document: T) => readonly Problem[];
  readonly isSame: (a: T, b: T) => boolean;
  /** The document in the stored side of a conflict. */
  readonly readStored: (stored: unknown) => Versioned<T>;
  /** A copy kept by an earlier Lanakit, in the form of today; left out where the form never changed. */
  readonly readKept?: (document: T) => T;
  /** Paths whose numbers move when it is saved. */
  readonly touches: readonly string[];
}

/** Where writing goes on: from the server's document, or from a copy that was kept and never sent. */
interface Opening<T> {
  readonly document: T;
  readonly state: SaveState<T>;
}

export interface SaverHandle<T> {
  readonly opening: Opening<T>;
  readonly saveState: SaveState<T>;
  readonly saver: RefObject<DraftSaver<T> | null>;
}

/** One document's saver for as long as the component stays. Mount it anew (by key) for another document. */
export function useSaver<T>(stored: Versioned<T>, savable: Savable<T>): SaverHandle<T> {
  const [opening] = useState(() => openingOf(stored, savable));
  const [saveState, setSaveState] = useState<SaveState<T>>(opening.state);
  const saver = useRef<DraftSaver<T> | null>(null);

  useEffect(() => {
    const copies = copyKeeper<T>(savable.path);
    const made = new DraftSaver<T>(stored.version, {
      put: (version, document, isLeaving) => put(savable, version, document, isLeaving),
      check: savable.check,
      isSame: savable.isSame,
      keep: copies.keep,
      isKept: copies.isKept,
      drop: copies.drop,
      schedule: (callback, ms) => {
        const timer = setTimeout(callback, ms);
        return () => clearTimeout(timer);
      },
      nowMs: () => Date.now(),
      onState: (state) => {
        setSaveState(state);
        if (state.kind === 'saved') void refresh(...savable.touches);
      },
    });
    saver.current = made;
    if (opening.state.kind === 'conflict') made.begunFromAnother(opening.document, opening.state.theirs);
    else if (opening.state.kind === 'unsaved') made.changed(opening.document);
    const leave = () => {
      copies.now();
      void made.flush(true);
    };
    /** Nowhere but on this page: the browser asks before it goes. */
    const warn = (event: BeforeUnloadEvent) => {
      copies.now();
      if (!copies.isKept() && !made.isSettled) event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    window.addEventListener('pagehide', leave);
    document.addEventListener('visibilitychange', copies.now);
    return () => {
      window.removeEventListener('beforeunload', warn);
      window.removeEventListener('pagehide', leave);
      document.removeEventListener('visibilitychange', copies.now);
      leave();
      made.dispose();
    };
    // Mounted anew for another document; a newer `stored` of the same one must not restart its saver.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [savable.path]);

  return { opening, saveState, saver };
}

function openingOf<T>(stored: Versioned<T>, { path, isSame, readKept }: Savable<T>): Opening<T> {
  const kept = takeUpCopy<T>(path);
  const copy = kept && readKept ? { ...kept, document: readKept(kept.document) } : kept;
  if (copy === null || isSame(copy.document, stored.document)) {
    dropCopy(path);
    return { document: stored.document, state: { kind: 'saved', atMs: null } };
  }
  if (copy.version === stored.version) return { document: copy.document, state: { kind: 'unsaved' } };
  return { document: copy.document, state: { kind: 'conflict', theirs: stored } };
}

/** Browsers refuse to let a larger body outlive its page; the local copy carries that one over. */
const KEEPALIVE_BYTES = 60_000;

/** Sends a document; every way it can end is a value. */
async function put<T>(
  savable: Savable<T>,
  version: number,
  document: T,
  isLeaving: boolean,
): Promise<PutResult<T>> {
  try {
    const keepalive = isLeaving && JSON.stringify(document).length < KEEPALIVE_BYTES;
    const saved = await send<{ version: number }>('PUT', savable.path, {
      body: document,
      version,
      keepalive,
    });
    return { kind: 'saved', version: saved.version };
  } catch (error) {
    if (error instanceof Unreachable) return { kind: 'unreachable' };
    if (!(error instanceof ApiProblem)) throw error;
    const { problem } = error;
    if (problem.code === 'version_conflict')
      return { kind: 'conflict', theirs: savable.readStored(problem['theirs']) };
    if (problem.status >= 500) return { kind: 'unreachable' };
    return { kind: 'refused', message: problem.title, problems: problem.errors ?? [] };
  }
}
