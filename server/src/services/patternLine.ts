import type { PatternLine, StoredPattern } from '@lanakit/core/api';
import type { Store } from '../db/index.ts';
import { defaultBuild } from '@lanakit/core/build';
import { estimatePattern, type Wool } from '@lanakit/core/engine';
import { figureLook, type FigureLook } from '@lanakit/core/figure';
import { isWoolOnly, missingForPublishing, stepTotals } from '@lanakit/core/pattern';
import { proposeLevel } from '@lanakit/core/writing';

/** A pattern as a list shows it, weighed with the wool of the shelf as it is. */
export function patternLine(store: Store, pattern: StoredPattern, wool: Wool): PatternLine {
  const { id, document, revision } = pattern;
  const build = defaultBuild(document);
  const estimate = estimatePattern(build, wool);
  const { lowG, likelyG, highG, unknownCount } = estimate.total;
  const { known, unknownCount: unknownMinutes } = stepTotals(build).minutes;
  return {
    id,
    title: document.title,
    figure: figureOfPattern(store, pattern, wool),
    level: document.level ?? proposeLevel(build, estimate).level,
    finishedHeight: document.finishedHeight,
    series: document.series,
    parts: document.parts.length,
    steps: document.steps.length,
    takesWool: estimate.uses.length > 0,
    isWoolOnly: isWoolOnly(document),
    total: { lowG, likelyG, highG, unknownCount },
    minutes: { known, unknownCount: unknownMinutes },
    revisionNumber: revision?.number ?? null,
    unknownCount: missingForPublishing(document).length,
  };
}

/** Drawn once as long as neither the pattern nor a thing of the shelf is another. */
export const figureOfPattern = (
  store: Store,
  { id, version, document }: StoredPattern,
  wool: Wool,
): FigureLook =>
  store.remember(['things'], `figure of pattern ${id} ${version}`, () => figureLook(document, wool));
