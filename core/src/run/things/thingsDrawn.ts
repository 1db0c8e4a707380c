import type { NeedleKit } from '../../needles/index.ts';
import type { ToPack } from '../packs/toPack.ts';
import { needlesOfBoxes } from './boxNeedles.ts';
import { findingsTaken, type SpareTerms } from './findingsOfRun.ts';
import { addPromises, type ThingPromise, type ThingPromises } from './thingStock.ts';
import type { ThingSources } from './thingsShort.ts';
import { type RoomTerms, toolsLent, toolsUsedUp } from './toolsOfRun.ts';

/** What of things leaves the shelf with a run: findings, packaging, needles that boxes give away, and tools that a class uses up. */
export function thingsTaken(
  toPack: Pick<ToPack, 'groups' | 'estimates'>,
  terms: SpareTerms & RoomTerms,
  { findings, needles, tools }: Pick<ThingSources, 'findings' | 'needles' | 'tools'>,
): ThingPromises {
  const taken = new Map<string, ThingPromise>();
  const add = (itemId: string, thingPromise: ThingPromise) =>
    addPromises(taken, new Map([[itemId, thingPromise]]));
  for (const { findingId, total, pieces } of findingsTaken(toPack, findings, terms)) {
    add(findingId, { amount: total, pieces });
  }
  for (const { needle, total } of needlesOfBoxes(toPack, needles, new Map())) {
    if (needle) add(needle.id, { amount: total, pieces: [] });
  }
  for (const [toolId, amount] of toolsUsedUp(toPack, terms, tools)) add(toolId, { amount, pieces: [] });
  return taken;
}

/** What of things is away for the day of a class and comes back: needles, holders, tools that are not used up. */
export function thingsLent(
  toPack: Pick<ToPack, 'groups'>,
  terms: RoomTerms,
  { tools, kit }: { readonly tools: ThingSources['tools']; readonly kit: NeedleKit | null },
): ThingPromises {
  const lent = new Map<string, ThingPromise>();
  const add = (itemId: string | undefined, amount: number) =>
    itemId !== undefined && addPromises(lent, new Map([[itemId, { amount, pieces: [] }]]));
  for (const { needle, isNearest, total } of kit?.lines ?? []) add(isNearest ? undefined : needle?.id, total);
  for (const { tool, total } of kit?.holders ?? []) add(tool?.id, total);
  for (const [toolId, amount] of toolsLent(toPack, terms, tools)) add(toolId, amount);
  return lent;
}

/** A run as it draws on the shelf for things. */
export interface ThingsDrawn {
  readonly id: string;
  readonly date: string;
  readonly taken: ThingPromises;
  /** Asked only of runs of the same day. */
  readonly lent: () => ThingPromises;
}

/**
 * What runs before this one leave it without: everything they take, and what they have lent on the very same day.
 * @param inOrder runs as they draw on the shelf; those after it promise nothing to it
 */
export function thingsPromisedBefore(
  { id, date }: Pick<ThingsDrawn, 'id' | 'date'>,
  inOrder: readonly ThingsDrawn[],
): ThingPromises {
  const promised = new Map<string, ThingPromise>();
  const at = inOrder.findIndex((run) => run.id === id);
  for (const before of at < 0 ? inOrder : inOrder.slice(0, at)) {
    addPromises(promised, before.taken);
    if (before.date === date) addPromises(promised, before.lent());
  }
  return promised;
}

/**
 * The same of all of them, in their order, each run looked at once: of hundreds each would else add up all before it.
 * @param inOrder runs as they draw on the shelf
 */
export function thingsPromisedInOrder(inOrder: readonly ThingsDrawn[]): ThingPromises[] {
  const taken = new Map<string, ThingPromise>();
  const lentByDay = new Map<string, Map<string, ThingPromise>>();
  return inOrder.map((run) => {
    const lent = lentByDay.get(run.date) ?? new Map<string, ThingPromise>();
    lentByDay.set(run.date, lent);
    const promised = new Map(taken);
    addPromises(promised, lent);
    addPromises(taken, run.taken);
    addPromises(lent, run.lent());
    return promised;
  });
}
