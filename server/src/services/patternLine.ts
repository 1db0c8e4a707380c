import type { PatternLine, StoredPattern } from '@lanakit/core/api';
import { defaultBuild } from '@lanakit/core/build';
import { estimatePattern, type Wool } from '@lanakit/core/engine';
import { figureLook } from '@lanakit/core/figure';
import { isWoolOnly, missingForPublishing, stepTotals } from '@lanakit/core/pattern';
import { proposeLevel } from '@lanakit/core/writing';

/** A pattern as a list shows it, weighed with the wool of the shelf as it is. */
export function patternLine({ id, document, revision }: StoredPattern, wool: Wool): PatternLine {
  const build = defaultBuild(document);
  const estimate = estimatePattern(build, wool);
  const { lowG, likelyG, highG, unknownCount } = estimate.total;
  const { known, unknownCount: unknownMinutes } = stepTotals(document).minutes;
  return {
    id,
    title: document.title,
    figure: figureLook(document, wool),
    level: document.level ?? proposeLevel(build, estimate).level,
    finishedHeight: document.finishedHeight,
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
