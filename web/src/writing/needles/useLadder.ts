import { type Ladder, ladderOf } from '@lanakit/core/needles';
import { needleOfSchool, type Pattern } from '@lanakit/core/pattern';
import { type Needle, type NeedleWanted, wantedKey } from '@lanakit/core/shelf';
import { useCallback, useDeferredValue, useMemo } from 'react';
import { useNeedles } from '../../api/queries.ts';
import { useTable } from '../table/tableContext.ts';

const NONE: readonly Needle[] = [];

/** The ladder of the build that is looked at. It follows the writing when there is a moment. */
export function useLadder(): { ladder: Ladder; needles: readonly Needle[]; build: Pattern } {
  const now = useTable((table) => table.build);
  const { parts } = useTable((table) => table.estimate);
  const wool = useTable((table) => table.wool);
  const build = useDeferredValue(now);
  const needles = useNeedles().data?.items ?? NONE;
  const ladder = useMemo(() => ladderOf(build, { parts }, wool, needles), [build, parts, wool, needles]);
  return { ladder, needles, build };
}

/** Gives a step a needle of its own; null, or what its school has, gives it back to the school. */
export function useOverride(): (stepId: string, wanted: NeedleWanted | null) => void {
  const edit = useTable((table) => table.edit);
  const document = useTable((table) => table.document);
  return useCallback(
    (stepId, wanted) => {
      const step = document.steps.find(({ id }) => id === stepId);
      const usual = step && needleOfSchool(step, document);
      const isUsual = wanted && usual ? wantedKey(wanted) === wantedKey(usual) : wanted === null;
      edit('the needle of a step', (draft) => {
        const ownStep = draft.steps.find(({ id }) => id === stepId);
        if (ownStep) ownStep.needle = isUsual || !wanted ? { by: 'stage' } : wanted;
      });
    },
    [edit, document],
  );
}
