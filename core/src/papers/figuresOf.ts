import { lookOfBuild } from '../figure/index.ts';
import { type FigureSvg, figureSvg } from './figureSvg.ts';
import type { PaperSource } from './paper.ts';

/** More than so many in one pack are too small to know it by. */
const MOST_FIGURES = 3;

/** What each group of packs makes, by the group’s key; one of which nothing is put together is not there. */
export function figuresOf({ toPack, wool }: PaperSource): Record<string, FigureSvg> {
  const figures: Record<string, FigureSvg> = {};
  for (const { key, makes } of toPack.groups) {
    const estimates = toPack.estimates.get(key)?.makes ?? [];
    const looks = makes.slice(0, MOST_FIGURES).flatMap(({ build, pattern }, at) => {
      const estimate = estimates[at];
      return estimate ? [lookOfBuild(build, estimate, wool, pattern)] : [];
    });
    const figure = figureSvg(looks);
    if (figure) figures[key] = figure;
  }
  return figures;
}
