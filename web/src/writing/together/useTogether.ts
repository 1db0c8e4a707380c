import {
  drawnFigure,
  type DrawnFigure,
  type FigureTells,
  type LookFrom,
  putTogether,
  type Together,
  whatItTells,
} from '@lanakit/core/figure';
import type { Pattern } from '@lanakit/core/pattern';
import { useDeferredValue, useMemo } from 'react';
import { useTable } from '../table/tableContext.ts';

/** The figure of the build that is looked at, and how it is seen. */
/** @param build in the pose that is looked at */
export function useTogether(
  build: Pattern,
  from: LookFrom,
  isCutOpen: boolean,
): { together: Together; drawn: DrawnFigure } {
  const estimate = useTable((table) => table.estimate);
  const wool = useTable((table) => table.wool);
  const { parts, joins, findings, cuts, stance, finishedHeight } = build;
  // Words that are typed move no piece.
  const together = useMemo(
    () => putTogether({ parts, joins, findings, cuts, stance, finishedHeight }, estimate, wool.findings),
    [parts, joins, findings, cuts, stance, finishedHeight, estimate, wool.findings],
  );
  const drawn = useMemo(
    () => drawnFigure(together, parts, from, isCutOpen ? estimate.parts : []),
    [together, parts, from, isCutOpen, estimate],
  );
  return { together, drawn };
}

/** What it tells of itself; it follows the drawing when there is a moment. */
export function useFigureTells(together: Together, build: Pattern): FigureTells {
  const estimate = useTable((table) => table.estimate);
  const wool = useTable((table) => table.wool);
  const { parts, joins, findings, cuts, stance, finishedHeight } = build;
  const tells = useMemo(
    () => ({
      read: () =>
        whatItTells(
          together,
          { parts, joins, findings, cuts, stance, finishedHeight },
          estimate,
          wool.findings,
        ),
    }),
    [together, parts, joins, findings, cuts, stance, finishedHeight, estimate, wool.findings],
  );
  const later = useDeferredValue(tells);
  return useMemo(() => later.read(), [later]);
}
