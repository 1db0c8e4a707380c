import type { Problem } from '@lanakit/core/problems';
import { problemWords } from '@lanakit/core/words';
import { useState, type FormEvent } from 'react';
import { isEqual } from '@lanakit/core/base';
import type { ApiProblem } from '../api/client.ts';
import { firstUnread } from '../ui/fields/firstUnread.ts';
import { inputOf, type Stored } from './inputOf.ts';
import { perform, type Mutation } from '../api/mutations/mutation.ts';
import { addItem, deleteItem, restoreItem, saveItem } from '../api/mutations/shelf.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { problemsBeside } from '../ui/fields/problemsBeside.ts';

/** What a form must know of its kind of thing. */
export interface FormSpec<T> {
  /** Below /api. */
  readonly path: `/${string}`;
  readonly blank: T;
  readonly check: (input: T) => readonly Problem[];
  readonly nameOf: (input: T) => string;
}

export interface ItemForm<T> {
  readonly input: T;
  readonly isNew: boolean;
  /** Null while it is new. */
  readonly id: string | null;
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
  const attempt = useAttempt();
  // Changed elsewhere (several at once, an import) while nothing was typed here: go on from what is stored now.
  if (stored && base && stored.version > version && isEqual(input, inputOf<T>(base))) {
    setBase(stored);
    setVersion(stored.version);
    setInput(inputOf<T>(stored));
  }

  const beside = (refusal: ApiProblem): boolean => {
    if (refusal.problem.code !== 'version_conflict') return problemsBeside(setProblems)(refusal);
    setTheirs(refusal.problem['theirs'] as Stored<T>);
    return true;
  };
  const saving = (wanted: T, atVersion: number): Mutation<Stored<T>> =>
    stored
      ? saveItem(spec.path, stored.id, atVersion, wanted)
      : addItem(spec.path, hasStock ? { ...wanted, countedNow } : wanted);

  const save = async (wanted: T, atVersion: number) => {
    const found = spec.check(wanted);
    setProblems(found);
    if (found.length > 0) return;
    const before = stored && inputOf<T>(stored);
    const goOnFrom = (saved: Stored<T>) => {
      setVersion(saved.version);
      if (stored) setBase(saved);
      setTheirs(null);
    };
    const next = (saved: Stored<T>) => (stored ? inputOf<T>(saved) : spec.blank);
    await attempt(async () => {
      const saved = await perform(saving(wanted, atVersion), (answer) => {
        goOnFrom(answer);
        // What was typed while it was on its way stays.
        setInput((now) => (now === input ? next(answer) : now));
      });
      onSaved(saved.id);
      const name = spec.nameOf(wanted);
      if (!stored || !before) return { text: `${name} is on the shelf.` };
      const undo = () =>
        perform(saveItem(spec.path, stored.id, saved.version, before), (answer) => {
          goOnFrom(answer);
          setInput(next(answer));
        });
      return { text: `${name} is saved.`, undo };
    }, beside);
  };
  const remove = async () => {
    if (!stored) return;
    await attempt(async () => {
      await perform(deleteItem(spec.path, stored.id, version));
      return {
        text: `${spec.nameOf(input)} is off the shelf.`,
        undo: () => perform(restoreItem(spec.path, stored.id)),
      };
    }, beside);
  };

  return {
    input,
    isNew: stored === null,
    id: stored?.id ?? null,
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
