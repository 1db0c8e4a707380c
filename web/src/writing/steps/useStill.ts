import type { Pattern, Step } from '@lanakit/core/pattern';
import { useState } from 'react';
import type { TableView } from '../table/tableContext.ts';

interface Still {
  readonly view: TableView;
  readonly step: Step;
}

/**
 * What everything about a step but its words sees: the same while only words are typed, so that a key in them does not
 * draw a dozen other fields anew. Edits made through it are made on the newest document all the same.
 */
export function useStill(view: TableView, step: Step): Still {
  const [still, setStill] = useState<Still>({ view, step });
  const isStill = still.view === view || onlyWordsDiffer(still, { view, step });
  if (isStill) return still;
  const now = { view, step };
  // Set while drawing, before anything below is drawn with what is old.
  setStill(now);
  return now;
}

function onlyWordsDiffer(before: Still, now: Still): boolean {
  const [was, is] = [before.view, now.view];
  const isSameView =
    was.wool === is.wool && was.choices === is.choices && was.problems.length === is.problems.length;
  return (
    isSameView &&
    sameCautions(was, is, now.step.id) &&
    sameBut(before.step, now.step, 'text') &&
    sameBut(was.draft.document, is.draft.document, 'steps') &&
    sameOthers(was.draft.document, is.draft.document, now.step.id)
  );
}

const sameBut = <T extends object>(a: T, b: T, key: keyof T): boolean =>
  (Object.keys(b) as (keyof T)[]).every((own) => own === key || a[own] === b[own]);

const sameOthers = ({ steps: a }: Pattern, { steps: b }: Pattern, stepId: string): boolean =>
  a.length === b.length &&
  b.every((step, at) => step === a[at] || (step.id === stepId && a[at]?.id === stepId));

const sameCautions = (a: TableView, b: TableView, stepId: string): boolean =>
  a.cautions.get(stepId)?.join() === b.cautions.get(stepId)?.join();
