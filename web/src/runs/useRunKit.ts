import { kitAgainst } from '@lanakit/core/needles';
import { type ClassKit, kitOfClass, revisionsOfRun, type RunInput } from '@lanakit/core/run';
import { useMemo } from 'react';
import { designsOf } from './useRunPlan.ts';
import {
  useNeedleEvidence,
  useNeedles,
  usePromised,
  useRevisionsById,
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
  const ids = useMemo(() => revisionsOfRun(input), [input]);
  const revisions = useRevisionsById(ids);
  const { wool, isReady, error } = useWool();
  const needles = useNeedles();
  const evidence = useNeedleEvidence().data?.items ?? NONE;
  const tools = useTools().data?.items ?? NONE;
  const promised = usePromised(runId).data?.things;
  const found = revisions.data;
  const items = needles.data?.items;
  const kitOfRun = useMemo(() => {
    if (!found || !items || !isReady || !promised) return null;
    const designs = designsOf(new Map(found.map((revision) => [revision.id, revision])));
    const made = kitOfClass(input, { designs, wool, needles: items, evidence, tools });
    const amounts = new Map(promised.map(({ itemId, amount }) => [itemId, amount]));
    return { ...made, kit: kitAgainst(made.kit, (itemId) => amounts.get(itemId) ?? 0) };
  }, [found, items, isReady, wool, input, evidence, tools, promised]);
  return { kitOfRun: kitOfRun, error: revisions.error ?? error ?? needles.error };
}
