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
import type { Pattern, Step } from '../pattern/index.ts';
import { joinedBy, JOINING, orderLinks, workOnParts } from '../writing/index.ts';
import { buildsNearby, type NearbyBuild } from './buildsNearby.ts';

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

function stepsByPart({ steps }: Pattern): Map<string, Step[]> {
  const on = new Map<string, Step[]>();
  for (const step of steps)
    for (const partId of step.partIds) {
      const before = on.get(partId);
      if (before) before.push(step);
      else on.set(partId, [step]);
    }
  return on;
}

function joinSteps(pattern: Pattern): Map<string, number> {
  const at = new Map<string, number>();
  pattern.steps.forEach((step, index) => {
    if (!JOINING.has(step.act.kind) || step.act.kind === 'tack') return;
    for (const partId of joinedBy(step, pattern)) if (!at.has(partId)) at.set(partId, index);
  });
  return at;
}

type Usual = ReviewContext['usual'];

/** What the grams and the figure follow from; of an edit of words none of it changes. */
const SEEN_KEYS = [
  'parts',
  'joins',
  'joinsApart',
  'cuts',
  'findings',
  'shared',
  'weighedMakeG',
  'lengthUnit',
  'stance',
  'finishedHeight',
] as const satisfies readonly (keyof Pattern)[];

/** The last figure that was worked out: reviewing as somebody writes asks for the same again and again. */
let last: { readonly of: string; readonly wool: Wool; readonly usual: Usual } | null = null;

function usualOf(pattern: Pattern, wool: Wool): Usual {
  const build = defaultBuild(pattern);
  const of = JSON.stringify(SEEN_KEYS.map((key) => build[key]));
  if (last?.of === of && last.wool === wool) return { ...last.usual, build };
  const estimate = estimatePattern(build, wool);
  const usual = { build, estimate, together: putTogether(build, estimate, wool.findings) };
  last = { of, wool, usual };
  return usual;
}
