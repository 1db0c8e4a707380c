import { useCallback, useMemo, useState } from 'react';
import { keptAs } from '../api/studio.ts';
import type { StepTicks } from '../reading/stepTicks.ts';

const keyOf = (code: string): string => keptAs(`pack.${code}`);

function kept(code: string): readonly string[] {
  try {
    const value: unknown = JSON.parse(localStorage.getItem(keyOf(code)) ?? '[]');
    return Array.isArray(value) ? value.filter((id) => typeof id === 'string') : [];
  } catch {
    return [];
  }
}

/** Steps that are done, kept on this phone alone, by the code of the pack. */
export function useDoneSteps(code: string): StepTicks & { readonly count: number } {
  const [done, setDone] = useState(() => kept(code));
  const toggle = useCallback(
    (stepId: string) =>
      setDone((before) => {
        const next = before.includes(stepId) ? before.filter((id) => id !== stepId) : [...before, stepId];
        try {
          localStorage.setItem(keyOf(code), JSON.stringify(next));
        } catch {
          // A browser that keeps nothing ticks as long as the page is open.
        }
        return next;
      }),
    [code],
  );
  return useMemo(
    () => ({ isDone: (stepId: string) => done.includes(stepId), toggle, count: done.length }),
    [done, toggle],
  );
}
