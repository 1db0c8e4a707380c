import { defaultBuild } from '../build/index.ts';
import {
  type EngineWarning,
  estimatePattern,
  type PatternEstimate,
  warningsOf,
  type Wool,
} from '../engine/index.ts';
import { putTogether, type Together } from '../figure/index.ts';
import { needsOf } from '../needles/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { orderLinks, workOnParts } from '../writing/index.ts';
import { buildsNearby, type NearbyBuild } from './buildsNearby.ts';

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
  /** What the engine would have looked at, of everything that is written. */
  readonly warnings: readonly EngineWarning[];
  /** The builds one choice away. */
  readonly nearby: readonly NearbyBuild[];
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
    get warnings() {
      const written = this.usual.build === pattern ? this.usual.estimate : estimatePattern(pattern, wool);
      return (known.warnings ??= warningsOf(written, wool.fibres, pattern));
    },
    get nearby() {
      return (known.nearby ??= buildsNearby(pattern));
    },
  };
}

function usualOf(pattern: Pattern, wool: Wool): ReviewContext['usual'] {
  const build = defaultBuild(pattern);
  const estimate = estimatePattern(build, wool);
  return { build, estimate, together: putTogether(build, estimate, wool.findings) };
}
