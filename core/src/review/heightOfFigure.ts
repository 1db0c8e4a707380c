import { heightAgainst } from '../figure/index.ts';
import type { ReviewContext } from './context.ts';

/** A stated height that the figure, put together as its author says, does not come to. */
export interface FigureHeightFault {
  readonly code: 'height_off_figure';
  readonly statedMm: number;
  readonly heightMm: number;
}

/** Null: it comes to it within 5 %, or not all of its places are told. */
export function figureHeightFault(context: ReviewContext): FigureHeightFault | null {
  const { finishedHeight, joins } = context.pattern;
  // What is only proposed is no fault of its author's.
  if (finishedHeight === null || joins.length === 0 || joins.some(({ placement }) => placement === null))
    return null;
  const { build, together } = context.usual;
  if (together.figure.notPlaced.length > 0) return null;
  const against = heightAgainst(together.figure, build);
  return against?.kind === 'told' && against.isOff
    ? { code: 'height_off_figure', statedMm: against.statedMm, heightMm: against.heightMm }
    : null;
}
