import type { Problem } from '@lanakit/core/problems';
import { problemWords } from '@lanakit/core/words';
import { useState, type FormEvent } from 'react';
import { ApiProblem, errorWords, send } from '../api/client.ts';
import { refreshShelf } from '../api/resources.ts';
import { firstUnread } from '../ui/fields/firstUnread.ts';
import { useNotice } from '../shell/Notice.tsx';
import { inputOf, type Stored } from './inputOf.ts';

/** What a form must know of its kind of thing. */
export interface FormSpec<T> {
  /** Below /api. */
  readonly path: string;
  readonly blank: T;
  readonly check: (input: T) => readonly Problem[];
  readonly nameOf: (input: T) => string;
}

export interface ItemForm<T> {
  readonly input: T;
  readonly isNew: boolean;
  readonly set: (change: Partial<T>) => void;
  readonly problemAt: (pointer: string) => string | null;
  readonly problems: readonly Problem[];
  /** What a new thing is found to be of, in its unit; null: not counted. */
  readonly countedNow: number | null;
  readonly setCountedNow: (amount: number | null) => void;
  readonly onSubmit: (event: FormEvent<HTMLFormElement>) => void;
  /** Saves at once with this change. */
  readonly saveWith: (change: Partial<T>) => void;
  readonly remove: () => void;
  /** What was saved elsewhere meanwhile; null while nothing was. */
  readonly theirs: Stored<T> | null;
  readonly keepMine: () => void;
  readonly useTheirs: () => void;
}

/** By value, the order of keys apart. */
const isSame = (a: object, b: object): boolean => sorted(a) === sorted(b);
const sorted = (thing: object): string =>
  JSON.stringify(Object.entries(thing).sort(([a], [b]) => (a < b ? -1 : 1)));

/**
 * A thing on the shelf, seen and changed. It is saved when she says so; until then the shelf keeps what it had. What
 * cannot be is said beside its field, and nothing is sent.
 */
export function useItemForm<T extends { readonly archived: boolean }>(
  spec: FormSpec<T>,
  stored: Stored<T> | null,
  hasStock: boolean,
  onSaved: (id: string) => void,
): ItemForm<T> {
  const [input, setInput] = useState<T>(() => (stored ? inputOf<T>(stored) : spec.blank));
  const [version, setVersion] = useState(stored?.version ?? 0);
  const [base, setBase] = useState(stored);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [theirs, setTheirs] = useState<Stored<T> | null>(null);
  const [countedNow, setCountedNow] = useState<number | null>(null);
  const say = useNotice();
  // Changed elsewhere (several at once, an import) while nothing was typed here: go on from what is stored now.
  if (stored && base && stored.version > version && isSame(input, inputOf<T>(base))) {
    setBase(stored);
    setVersion(stored.version);
    setInput(inputOf<T>(stored));
  }

  const fail = (error: unknown) => {
    if (error instanceof ApiProblem && error.problem.code === 'version_conflict') {
      setTheirs(error.problem['theirs'] as Stored<T>);
    } else if (error instanceof ApiProblem && error.problem.errors) setProblems(error.problem.errors);
    else say({ text: errorWords(error), isProblem: true });
  };
  const sendInput = (wanted: T, atVersion: number) =>
    stored
      ? send<Stored<T>>('PUT', `${spec.path}/${stored.id}`, { body: wanted, version: atVersion })
      : send<Stored<T>>('POST', spec.path, { body: hasStock ? { ...wanted, countedNow } : wanted });

  const save = async (wanted: T, atVersion: number) => {
    const found = spec.check(wanted);
    setProblems(found);
    if (found.length > 0) return;
    const before = stored && inputOf<T>(stored);
    try {
      const saved = await sendInput(wanted, atVersion);
      setVersion(saved.version);
      setInput(stored ? inputOf<T>(saved) : spec.blank);
      if (stored) setBase(saved);
      setTheirs(null);
      await refreshShelf();
      const name = spec.nameOf(wanted);
      if (stored && before) {
        const undo = async () => {
          const back = await send<Stored<T>>('PUT', `${spec.path}/${stored.id}`, {
            body: before,
            version: saved.version,
          });
          setVersion(back.version);
          setBase(back);
          setInput(inputOf<T>(back));
          await refreshShelf();
        };
        say({ text: `${name} is saved.`, undo: () => void undo().catch(fail) });
      } else say({ text: `${name} is on the shelf.` });
      onSaved(saved.id);
    } catch (error) {
      fail(error);
    }
  };
  const remove = async () => {
    if (!stored) return;
    try {
      await send('DELETE', `${spec.path}/${stored.id}`, { version });
      await refreshShelf();
      const undo = async () => {
        await send('POST', `${spec.path}/${stored.id}/restore`);
        await refreshShelf();
      };
      say({ text: `${spec.nameOf(input)} is off the shelf.`, undo: () => void undo().catch(fail) });
    } catch (error) {
      fail(error);
    }
  };

  return {
    input,
    isNew: stored === null,
    set: (change) => {
      setInput((before) => ({ ...before, ...change }));
      setProblems([]);
    },
    problemAt: (pointer) => {
      const problem = problems.find((candidate) => candidate.pointer === pointer);
      return problem ? problemWords(problem) : null;
    },
    problems,
    countedNow,
    setCountedNow: (amount) => {
      setCountedNow(amount);
      setProblems([]);
    },
    onSubmit: (event) => {
      event.preventDefault();
      const unread = firstUnread(event.currentTarget);
      if (unread) unread.focus();
      else void save(input, version);
    },
    saveWith: (change) => void save({ ...input, ...change }, version),
    remove: () => void remove(),
    theirs,
    keepMine: () => theirs && void save(input, theirs.version),
    useTheirs: () => {
      if (!theirs) return;
      setInput(inputOf<T>(theirs));
      setBase(theirs);
      setVersion(theirs.version);
      setTheirs(null);
    },
  };
}
