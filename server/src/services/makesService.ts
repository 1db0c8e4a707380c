import type { Makes, MakesLine, Promised, StoredPattern } from '@lanakit/core/api';
import { resolveBuild } from '@lanakit/core/build';
import { type HereToMake, makesFromHere, oneMakeOf, usedOfHeap, withMore } from '@lanakit/core/buying';
import { estimatePattern } from '@lanakit/core/engine';
import { figureLook } from '@lanakit/core/figure';
import { NO_CHOICES, type Pattern } from '@lanakit/core/pattern';
import { type Finding, recipesOf, type Supplier } from '@lanakit/core/shelf';
import { setImmediate } from 'node:timers/promises';
import type { Store } from '../db/index.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import { promisedAhead } from './promisedAhead.ts';
import { answering } from './refusal.ts';
import { shelfOf } from './runSources.ts';
import { warmPlans } from './warmPlans.ts';

export type MakesService = ReturnType<typeof makesService>;

/** Patterns looked at, the last changed first: more nobody reads through. */
const MOST_PATTERNS = 200;
/** So long others wait at most. */
const SLICE_MS = 20;

/** What can be made of what is here, and what would use up what lies over. */
export const makesService = ({ store, now }: ServiceDeps) =>
  answering({
    /**
     * @param heapIds fibres that are to be used up; none: all figures by how many
     * @param isAll also of what runs ahead will take
     */
    async makes(heapIds: readonly string[], isAll: boolean): Promise<Makes> {
      const today = todayOf(now());
      await warmPlans(store, today);
      const here = hereToMake(store, isAll ? [] : promisedAhead(store, today));
      const asked = {
        search: '',
        isArchive: false,
        isUnknownOnly: false,
        order: 'changed',
        offset: 0,
      } as const;
      const { items, total } = store.lists.patterns({ ...asked, limit: MOST_PATTERNS });
      const packs = packAmounts(store.shelf.suppliers());
      const lines: MakesLine[] = [];
      let began = performance.now();
      for (const pattern of store.patterns.byIds(items)) {
        lines.push(...linesOf(store, pattern, here, new Set(heapIds), packs));
        if (performance.now() - began < SLICE_MS) continue;
        await setImmediate();
        began = performance.now();
      }
      const order = (line: MakesLine) => (heapIds.length > 0 ? (line.used?.fraction ?? 0) : line.makes);
      return {
        lines: lines.toSorted((a, b) => order(b) - order(a)),
        leftOut: Math.max(0, total - items.length),
      };
    },
  });

/** What is on hand, less what runs ahead will take. */
export function hereToMake(store: Store, ahead: readonly Promised[]): HereToMake {
  const { fibres, findings } = shelfOf(store);
  const promised = new Map(ahead.map(({ itemId, amount }) => [itemId, amount]));
  const free = (id: string, onHand: number | null) =>
    onHand === null ? null : Math.max(0, onHand - (promised.get(id) ?? 0));
  return {
    freeG: new Map([...fibres].map(([id, { onHandG }]) => [id, free(id, onHandG)])),
    recipes: recipesOf(store.shelf.blends()),
    findings: new Map(
      [...findings].map(([id, finding]): [string, Finding] => [
        id,
        { ...finding, onHand: free(id, finding.onHand) },
      ]),
    ),
  };
}

function linesOf(
  store: Store,
  pattern: StoredPattern,
  here: HereToMake,
  heap: ReadonlySet<string>,
  packs: ReadonlyMap<string, number>,
): MakesLine[] {
  const revision = pattern.revision && store.patterns.findRevision(pattern.revision.id);
  if (!revision) return [];
  const nameOf = (id: string) => store.items.kindOf(id)?.name ?? 'a thing no longer on the shelf';
  const wool = shelfOf(store);
  return buildsOf(revision.document).map(({ name, build }): MakesLine => {
    const make = oneMakeOf(estimatePattern(build, wool));
    const { makes, isMany, limits, uncounted, unknownCount } = makesFromHere(make, here);
    const used = heap.size > 0 ? usedOfHeap(make, here, heap) : null;
    return {
      patternId: pattern.id,
      revisionNumber: revision.number,
      title: revision.document.title,
      build: name,
      figure: store.remember(['things'], `figure of ${revision.id} in ${name}`, () =>
        figureLook(build, wool),
      ),
      makes,
      isMany,
      unknownCount,
      uncounted: uncounted.map(nameOf),
      limits: limits.map((itemId) => ({
        itemId,
        name: nameOf(itemId),
        packAmount: packs.get(itemId) ?? null,
      })),
      makesWithMore: makesFromHere(
        make,
        limits.reduce((more, itemId) => withMore(more, itemId, packs.get(itemId) ?? 0), here),
      ).makes,
      used: used && { usedG: used.usedG, fraction: used.fraction },
    };
  });
}

/** As it usually is, and in each of its colourways. */
const buildsOf = (pattern: Pattern): { readonly name: string; readonly build: Pattern }[] =>
  [{ id: null, name: '' }, ...pattern.colourways].map(({ id, name }) => ({
    name,
    build: resolveBuild(pattern, { ...NO_CHOICES, colourwayId: id }),
  }));

/** The smallest pack that somebody sells of each thing. */
function packAmounts(suppliers: readonly Supplier[]): Map<string, number> {
  const least = new Map<string, number>();
  for (const { archived, offers } of suppliers)
    for (const { itemId, packAmount } of archived ? [] : offers)
      least.set(itemId, Math.min(least.get(itemId) ?? Infinity, packAmount));
  return least;
}
