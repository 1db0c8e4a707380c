import { defaultBuild } from '../build/index.ts';
import { estimatePattern, type PatternEstimate, type Wool } from '../engine/index.ts';
import { putTogether, type Together } from '../figure/index.ts';
import { needsOf } from '../needles/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { orderLinks, workOnParts } from '../writing/index.ts';

/** What rules read: the pattern, and what follows from it, each worked out once and only where it is asked for. */
export interface ReviewContext {
  readonly pattern: Pattern;
  readonly wool: Wool;
  readonly work: ReturnType<typeof workOnParts>;
  readonly links: ReturnType<typeof orderLinks>;
  readonly needs: ReturnType<typeof needsOf>;
  /** As somebody makes it who chooses nothing. */
  readonly usual: {
    readonly build: Pattern;
    readonly estimate: PatternEstimate;
    readonly together: Together;
  };
}

export function reviewContext(pattern: Pattern, wool: Wool): ReviewContext {
  const known: { -readonly [K in keyof ReviewContext]?: ReviewContext[K] } = {};
  return {
    pattern,
    wool,
    get work() {
      return (known.work ??= workOnParts(pattern));
    },
    get links() {
      return (known.links ??= orderLinks(pattern));
    },
    get needs() {
      return (known.needs ??= needsOf(pattern));
    },
    get usual() {
      return (known.usual ??= usualOf(pattern, wool));
    },
  };
}

function usualOf(pattern: Pattern, wool: Wool): ReviewContext['usual'] {
  const build = defaultBuild(pattern);
  const estimate = estimatePattern(build, wool);
  return { build, estimate, together: putTogether(build, estimate, wool.findings) };
}
