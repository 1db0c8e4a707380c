import { type ClassKit, kitOfClass, type RunInput } from '@lanakit/core';
import { useMemo } from 'react';
import { useNeedleEvidence, useNeedles, useRevision, useTools, useWool } from '../api/resources.ts';

const NONE: readonly never[] = [];

/** The needles a class needs, from its revision and the shelf as it is; null until both are there. */
export function useRunKit(input: RunInput): {
  readonly own: ClassKit | null;
  readonly error: Error | undefined;
} {
  const revision = useRevision(input.revisionId);
  const { wool, isReady, error } = useWool();
  const needles = useNeedles();
  const evidence = useNeedleEvidence().data?.items ?? NONE;
  const tools = useTools().data?.items ?? NONE;
  const document = revision.data?.document;
  const items = needles.data?.items;
  const own = useMemo(() => {
    if (!document || !items || !isReady) return null;
    const designs = new Map([[input.revisionId, document]]);
    return kitOfClass(input, { designs, wool, needles: items, evidence, tools });
  }, [document, items, isReady, wool, input, evidence, tools]);
  return { own, error: revision.error ?? error ?? needles.error };
}
