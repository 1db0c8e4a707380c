import {
  checkRun,
  estimatePattern,
  type PatternEstimate,
  planPortions,
  type PortionPlan,
  type Revision,
  type RunInput,
} from '@lanakit/core';
import { useMemo } from 'react';
import { usePromised, useRevision, useShelf } from '../api/resources.ts';

export type RunPlan =
  | { readonly kind: 'loading'; readonly error: Error | undefined }
  | { readonly kind: 'impossible' }
  | {
      readonly kind: 'plan';
      readonly plan: PortionPlan;
      readonly estimate: PatternEstimate;
      readonly revision: Revision;
      readonly shelf: ReturnType<typeof useShelf>['byId'];
    };

/** The portions of a class as it stands on the screen, worked out here so that they follow every key. */
export function useRunPlan(runId: string, input: RunInput | null): RunPlan {
  const { byId: shelf, isReady, error } = useShelf();
  const { data: revision, error: revisionError } = useRevision(input?.revisionId ?? null);
  const { data: promised, error: promisedError } = usePromised(runId);
  const estimate = useMemo(
    () => (revision && isReady ? estimatePattern(revision.document, shelf) : null),
    [revision, shelf, isReady],
  );
  return useMemo((): RunPlan => {
    if (!estimate || !revision || !promised || !input) {
      return { kind: 'loading', error: error ?? revisionError ?? promisedError };
    }
    if (checkRun({ ...input, name: input.name || '-' }).some(({ pointer }) => pointer !== '/date'))
      return { kind: 'impossible' };
    const promisedG = new Map(promised.items.map(({ fibreId, massG }) => [fibreId, massG]));
    const plan = planPortions(estimate, input, (fibreId) => ({
      onHandG: shelf.get(fibreId)?.onHandG ?? null,
      promisedG: promisedG.get(fibreId) ?? 0,
    }));
    return { kind: 'plan', plan, estimate, revision, shelf };
  }, [estimate, revision, promised, input, shelf, error, revisionError, promisedError]);
}
