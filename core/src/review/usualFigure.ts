import { defaultBuild } from '../build/index.ts';
import { ESTIMATED_FROM, estimatePattern, type PatternEstimate, type Wool } from '../engine/index.ts';
import { putTogether, type Together } from '../figure/index.ts';
import type { Pattern } from '../pattern/index.ts';

/** What somebody makes who chooses nothing: its grams, and how it stands. */
export interface UsualFigure {
  readonly build: Pattern;
  readonly estimate: PatternEstimate;
  readonly together: Together;
}

/** Everything the figure of a build follows from; words of its steps are not in it. */
export const figureStamp = (build: Pattern): string =>
  JSON.stringify([build.finishedHeight, ...ESTIMATED_FROM.map((key) => build[key])]);

/** The last one that was worked out: reviewing as somebody writes asks for the same again and again. */
let last: { readonly of: string; readonly wool: Wool; readonly usual: UsualFigure } | null = null;

export function usualFigure(pattern: Pattern, wool: Wool): UsualFigure {
  const build = defaultBuild(pattern);
  const of = figureStamp(build);
  if (last?.of === of && last.wool === wool) return { ...last.usual, build };
  const estimate = estimatePattern(build, wool);
  const usual = { build, estimate, together: putTogether(build, estimate, wool.findings) };
  last = { of, wool, usual };
  return usual;
}
