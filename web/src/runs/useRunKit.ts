import { kitAgainst } from '@lanakit/core/needles';
import { type ClassKit, kitOfClass, type RunInput } from '@lanakit/core/run';
import { useMemo } from 'react';
import {
  useNeedleEvidence,
  useNeedles,
  usePromised,
  useRevision,
  useTools,
  useWool,
} from '../api/queries.ts';

const NONE: readonly never[] = [];

/** The needles a class needs, from its revision and what runs before leave on the shelf; null until all is there. */
export function useRunKit(
  runId: string,
  input: RunInput,
): {
  readonly kitOfRun: ClassKit | null;
  readonly error: Error | undefined;
} {
  const revision = useRevision(input.revisionId);
  const { wool, isReady, error } = useWool();
  const needles = useNeedles();
  const evidence = useNeedleEvidence().data?.items ?? NONE;
  const tools = useTools().data?.items ?? NONE;
  const promised = usePromised(runId).data?.things;
  const document = revision.data?.document;
  const items = needles.data?.items;
  const kitOfRun = useMemo(() => {
    if (!document || !items || !isReady || !promised) return null;
    const designs = new Map([[input.revisionId, document]]);
    const made = kitOfClass(input, { designs, wool, needles: items, evidence, tools });
    const amounts = new Map(promised.map(({ itemId, amount }) => [itemId, amount]));
    return { ...made, kit: kitAgainst(made.kit, (itemId) => amounts.get(itemId) ?? 0) };
  }, [document, items, isReady, wool, input, evidence, tools, promised]);
  return { kitOfRun: kitOfRun, error: revision.error ?? error ?? needles.error };
}
