import {
  checkRun,
  defaultBuild,
  estimatePattern,
  type FibreLookup,
  type PatternEstimate,
  planPortions,
  type PortionPlan,
  type Revision,
  type RunInput,
  type Wool,
} from '@lanakit/core';
import { useMemo } from 'react';
import { usePromised, useRevision, useWool } from '../api/resources.ts';

export type RunPlan =
  | { readonly kind: 'loading'; readonly error: Error | undefined }
  | { readonly kind: 'impossible' }
  | {
      readonly kind: 'plan';
      readonly plan: PortionPlan;
      readonly estimate: PatternEstimate;
      readonly revision: Revision;
      readonly shelf: FibreLookup;
      readonly wool: Wool;
    };

/** The portions of a class as it stands on the screen, worked out here so that they follow every key. */
export function useRunPlan(runId: string, input: RunInput | null): RunPlan {
  const { wool, isReady, error } = useWool();
  const { data: revision, error: revisionError } = useRevision(input?.revisionId ?? null);
  const { data: promised, error: promisedError } = usePromised(runId);
  const estimate = useMemo(
    () => (revision && isReady ? estimatePattern(defaultBuild(revision.document), wool) : null),
    [revision, wool, isReady],
  );
  return useMemo((): RunPlan => {
    if (!estimate || !revision || !promised || !input) {
      return { kind: 'loading', error: error ?? revisionError ?? promisedError };
    }
    if (checkRun({ ...input, name: input.name || '-' }).some(({ pointer }) => pointer !== '/date'))
      return { kind: 'impossible' };
    const promisedG = new Map(promised.items.map(({ fibreId, massG }) => [fibreId, massG]));
    const plan = planPortions(estimate, input, (fibreId) => ({
      onHandG: wool.fibres.get(fibreId)?.onHandG ?? null,
      promisedG: promisedG.get(fibreId) ?? 0,
    }));
    return { kind: 'plan', plan, estimate, revision, shelf: wool.fibres, wool };
  }, [estimate, revision, promised, input, wool, error, revisionError, promisedError]);
}
