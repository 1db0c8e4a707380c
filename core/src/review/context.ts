import { type EngineWarning, estimatePattern, warningsOf, type Wool } from '../engine/index.ts';
import { needsOf } from '../needles/index.ts';
import type { Pattern, Step } from '../pattern/index.ts';
import { orderLinks, workOnParts } from '../writing/index.ts';
import { buildsNearby, type NearbyBuild } from './buildsNearby.ts';
import { joinSteps, stepsByPart } from './stepsByPart.ts';
import { type UsualFigure, usualFigure } from './usualFigure.ts';

/** What rules read: the pattern, and what follows from it, each worked out once and only where it is asked for. */
export interface ReviewContext {
  readonly pattern: Pattern;
  readonly wool: Wool;
  readonly work: ReturnType<typeof workOnParts>;
  /** The steps on a part, in their order. */
  readonly stepsOn: ReadonlyMap<string, readonly Step[]>;
  /** Where each part is set on, from 0; a part that no step sets on is not there. Tacked it may still be felted. */
  readonly joinedAt: ReadonlyMap<string, number>;
  readonly links: ReturnType<typeof orderLinks>;
  readonly needs: ReturnType<typeof needsOf>;
  /** As somebody makes it who chooses nothing. */
  readonly usual: UsualFigure;
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
    get stepsOn() {
      return (known.stepsOn ??= stepsByPart(pattern));
    },
    get joinedAt() {
      return (known.joinedAt ??= joinSteps(pattern));
    },
    get links() {
      return (known.links ??= orderLinks(pattern));
    },
    get needs() {
      return (known.needs ??= needsOf(pattern));
    },
    get usual() {
      return (known.usual ??= usualFigure(pattern, wool));
    },
    get warnings() {
      return (known.warnings ??= warningsOf(
        this.usual.build === pattern ? this.usual.estimate : estimatePattern(pattern, wool),
        wool.fibres,
        pattern,
      ));
    },
    get nearby() {
      return (known.nearby ??= buildsNearby(pattern));
    },
  };
}
