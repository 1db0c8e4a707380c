import { defaultBuild } from '../build/index.ts';
import { estimatePattern, type Wool } from '../engine/index.ts';
import { heightAgainst, putTogether } from '../figure/index.ts';
import type { Pattern } from '../pattern/index.ts';

/** A stated height that the figure, put together as its author says, does not come to. */
export interface FigureHeightFault {
  readonly code: 'height_off_figure';
  readonly statedMm: number;
  readonly heightMm: number;
}

/** Null: it comes to it within 5 %, or not all of its places are told. */
export function figureHeightFault(pattern: Pattern, wool: Wool): FigureHeightFault | null {
  const { finishedHeight, joins } = pattern;
  // What is only proposed is no fault of its author's.
  if (finishedHeight === null || joins.length === 0 || joins.some(({ placement }) => placement === null))
    return null;
  const build = defaultBuild(pattern);
  const { figure } = putTogether(build, estimatePattern(build, wool), wool.findings);
  if (figure.notPlaced.length > 0) return null;
  const against = heightAgainst(figure, build);
  return against?.kind === 'told' && against.isOff
    ? { code: 'height_off_figure', statedMm: against.statedMm, heightMm: against.heightMm }
    : null;
}
