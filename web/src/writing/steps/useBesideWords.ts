import type { Pattern } from '@lanakit/core/pattern';
import { useEffect, useState } from 'react';
import { useTableStore } from '../table/tableContext.ts';
import { mirrorOf, type TableState, type TableStore } from '../table/tableStore.ts';

/**
 * What everything about a step but its words sees: the same while only words are typed, so that a key in them does not
 * draw a dozen other fields anew. Edits made through it are made on the newest document all the same.
 * @param stepId of the step; mount it anew for another
 */
export function useBesideWords(stepId: string): TableStore {
  const of = useTableStore();
  const [mirror] = useState(() => mirrorOf(of, (shown, now) => !onlyWordsDiffer(shown, now, stepId)));
  useEffect(() => mirror.watch(), [mirror]);
  return mirror.store;
}

/** What is shown beside a step’s words would be drawn just the same. */
export function onlyWordsDiffer(was: TableState, is: TableState, stepId: string): boolean {
  const isSameView =
    was.wool === is.wool && was.choices === is.choices && was.problems.length === is.problems.length;
  return (
    isSameView &&
    was.cautions.get(stepId)?.join() === is.cautions.get(stepId)?.join() &&
    sameBut(was.document, is.document, 'steps') &&
    sameSteps(was.document, is.document, stepId)
  );
}

const sameBut = <T extends object>(a: T, b: T, key: keyof T): boolean =>
  (Object.keys(b) as (keyof T)[]).every((candidate) => candidate === key || a[candidate] === b[candidate]);

/** Every other step is the same one; of this one only the words may be other. */
const sameSteps = ({ steps: a }: Pattern, { steps: b }: Pattern, stepId: string): boolean =>
  a.length === b.length &&
  b.every((step, at) => {
    const before = a[at];
    return before === step || (before?.id === stepId && step.id === stepId && sameBut(before, step, 'text'));
  });
