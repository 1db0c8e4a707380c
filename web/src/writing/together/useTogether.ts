import {
  drawnFigure,
  type DrawnFigure,
  type FigureTells,
  type LookFrom,
  putTogether,
  type Together,
  whatItTells,
} from '@lanakit/core/figure';
import { useDeferredValue, useMemo } from 'react';
import { useTable } from '../table/tableContext.ts';

/** The figure of the build that is looked at, and how it is seen. */
export function useTogether(from: LookFrom, isCutOpen: boolean): { together: Together; drawn: DrawnFigure } {
  const build = useTable((table) => table.build);
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
export function useFigureTells(together: Together): FigureTells {
  const build = useTable((table) => table.build);
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
