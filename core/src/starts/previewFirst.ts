import { estimatePattern, type PatternEstimate, type Wool } from '../engine/index.ts';
import { type FigureLook, lookOfBuild } from '../figure/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { planOfToday, type RunPortions } from '../run/index.ts';
import type { Fibre, FibreInput } from '../shelf/index.ts';
import { startBody } from './bodies.ts';
import { checkFirstClass, type FirstClassInput, firstPattern, firstRun } from './firstClass.ts';
import { newWools, startWool, woolSources } from './woolSources.ts';

/** What the short way would make, before it is made: the same pattern, and the same class, on the shelf as it would be. */
export interface FirstPreview {
  readonly pattern: Pattern;
  readonly estimate: PatternEstimate;
  readonly look: FigureLook;
  /** With the wool that is not there yet. */
  readonly wool: Wool;
  /** Ids of that. */
  readonly newIds: ReadonlySet<string>;
  /** Null: nobody comes, or the class is not possible yet. */
  readonly plan: RunPortions | null;
  /** Of the plan, by fibre, all its bags together, grams; empty without one. */
  readonly classGByFibre: ReadonlyMap<string, number>;
}

/** A fibre that somebody would have, uncounted. */
const uncounted = (id: string, input: FibreInput): Fibre => ({
  ...input,
  id,
  version: 1,
  lots: [],
  onHandG: null,
  peakG: 0,
});

/** A name that no revision has: it is not published yet. */
const NOT_YET = '-';

/** @param input its title and class may still lack something; its height not */
export function previewFirst(input: FirstClassInput, shelf: Wool): FirstPreview {
  const sources = woolSources(input, [...shelf.fibres.values()]);
  const added = newWools(sources).map(({ key, input: wool }) => uncounted(key, wool));
  const wool: Wool = {
    ...shelf,
    fibres: new Map([...shelf.fibres, ...added.map((fibre) => [fibre.id, fibre] as const)]),
  };
  const pattern = firstPattern(
    input,
    startWool(sources, (key) => key),
  );
  const estimate = estimatePattern(pattern, wool);
  const isPossible =
    input.class !== null && checkFirstClass({ ...input, title: 'x' }, () => true).length === 0;
  const plan =
    isPossible && input.class
      ? planOfToday(firstRun('x', input.class, NOT_YET), {
          designs: new Map([[NOT_YET, pattern]]),
          shelf: wool,
          promisedG: new Map(),
        }).plan
      : null;
  const lookDeg = startBody(input.bodyId)?.lookDeg ?? 0;
  return {
    pattern,
    estimate,
    look: lookOfBuild(pattern, estimate, wool, pattern, { kind: 'round', turnDeg: lookDeg }),
    wool,
    newIds: new Set(added.map(({ id }) => id)),
    plan,
    classGByFibre: classGByFibre(plan),
  };
}

function classGByFibre(plan: RunPortions | null): Map<string, number> {
  const byFibre = new Map<string, number>();
  for (const { fibreId, classG } of plan?.fibres ?? [])
    byFibre.set(fibreId, (byFibre.get(fibreId) ?? 0) + classG);
  return byFibre;
}
