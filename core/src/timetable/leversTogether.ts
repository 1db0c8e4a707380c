import { workMinutes } from '../pattern/index.ts';
import type { RunInput } from '../run/index.ts';
import { applied, type Lever } from './levers.ts';
import type { Outcome } from './outcome.ts';
import { outcomeOfRun, type Terms, type TriedLever } from './tryLevers.ts';

/** Several at once that come to a wanted chance, or as near as these get. */
export interface Together {
  readonly levers: readonly Lever[];
  readonly all: number;
  /** By when so many are done with them. */
  readonly doneBy: Outcome['doneBy'];
}

/** More at once than anybody keeps in mind. */
const MOST_TOGETHER = 4;
/** So many of the best are tried with one another, and so many sets of each size. */
const [TRIED_TOGETHER, MOST_SETS] = [12, 40];
/** Of so few sets of a size the next size is made. */
const KEPT_SETS = 5;
/** A class has to keep something to do: no more than this share of its work goes elsewhere. */
const MOST_ELSEWHERE = 0.65;
/** Ours: an hour sooner is worth as much as six classes in a hundred that are done. */
const CHANCE_A_MINUTE = 0.001;
/** What a lever asks beside minutes of work: something to borrow, a day to be found. Minutes: ours. */
const BURDEN = { tool: 3, groups: 1, move: 1, 'another-sitting': 90 } as const;

/** A longer class or another day is asked of others; everything else is in the maker’s own hands. */
const isAskedOfOthers = ({ kind }: Lever): boolean => kind === 'longer' || kind === 'another-sitting';

/**
 * The levers that ask least and come to the wanted chance: single ones, then two at a time, then three and four, those that
 * ask least first. What is asked of others is left out as long as the rest gets there. Nothing does: what comes nearest.
 * Yields between tries, so that whoever runs it may stop.
 */
export function* leversTogether(terms: Terms, tried: readonly TriedLever[]): Generator<void, Together> {
  const before = outcomeOfRun(terms.run, terms);
  if (!before) return { levers: [], all: 0, doneBy: [] };
  const best = tried.toSorted((a, b) => worthOf(b) - worthOf(a)).map(({ lever }) => lever);
  const nothing: Taken = { levers: [], all: before.all, doneBy: before.doneBy, late: lateOf(before) };
  const mine = best.filter((lever) => !isAskedOfOthers(lever)).slice(0, TRIED_TOGETHER);
  const alone = yield* searched(terms, mine, nothing);
  if (alone.all >= terms.run.plan.wantedChance) return alone;
  const all = [...best.filter(isAskedOfOthers), ...mine];
  const helped = yield* searched(terms, all, alone);
  return helped;
}

/** Where no chance is gained yet, minutes are what counts. */
const worthOf = ({ chanceGained, minutesGained }: TriedLever): number =>
  chanceGained + (minutesGained ?? 0) * CHANCE_A_MINUTE;

/** When the last is done in nine classes of ten. */
const lateOf = ({ last }: Outcome): number => last.nineTenths;

interface Taken extends Together {
  readonly late: number;
}

/** Sets of levers, the small and the undemanding first. @param from what is kept where nothing is better */
function* searched(terms: Terms, offered: readonly Lever[], from: Taken): Generator<void, Taken> {
  const wanted = terms.run.plan.wantedChance;
  let nearest = from;
  let sets: readonly (readonly Lever[])[] = [[]];
  for (let size = 1; size <= MOST_TOGETHER; size++) {
    const next = grown(sets, offered)
      .filter((levers) => elsewhereShare(levers, terms) <= MOST_ELSEWHERE)
      .map((levers) => ({ levers, burden: burdenOf(levers, terms) }))
      .toSorted((a, b) => a.burden - b.burden);
    const found: Taken[] = [];
    for (const { levers } of spreadOver(next, MOST_SETS)) {
      const run = levers.reduce<RunInput>((each, lever) => applied(lever, each, terms.designs), terms.run);
      const after = outcomeOfRun(run, terms);
      yield;
      if (!after) continue;
      const taken = { levers, all: after.all, doneBy: after.doneBy, late: lateOf(after) };
      // In the order of what they ask: the first that comes there asks least.
      if (taken.all >= wanted) return taken;
      found.push(taken);
    }
    const ranked = found.toSorted((a, b) => nearness(b) - nearness(a));
    if (ranked[0] && nearness(ranked[0]) > nearness(nearest)) nearest = ranked[0];
    sets = ranked.slice(0, KEPT_SETS).map(({ levers }) => levers);
  }
  return nearest;
}

const nearness = ({ all, late }: Taken): number => all - late * CHANCE_A_MINUTE;

/** Every set with one more in it; each once, and never two that take out the same step. */
function grown(sets: readonly (readonly Lever[])[], offered: readonly Lever[]): Lever[][] {
  const keys = new Map(offered.map((lever) => [lever, JSON.stringify(lever)]));
  const found = new Map<string, Lever[]>();
  for (const set of sets) {
    for (const lever of offered) {
      if (set.includes(lever) || set.some((each) => isAgainst(each, lever))) continue;
      const levers = [...set, lever];
      found.set(
        levers
          .map((each) => keys.get(each) ?? '')
          .toSorted()
          .join('|'),
        levers,
      );
    }
  }
  return [...found.values()];
}

/** Two that say something of the same thing. */
function isAgainst(a: Lever, b: Lever): boolean {
  if ('stepIds' in a && 'stepIds' in b) return a.stepIds.some((id) => b.stepIds.includes(id));
  if ('rowId' in a && 'rowId' in b) return a.rowId === b.rowId;
  if (a.kind === 'choose' && b.kind === 'choose') return a.optionId === b.optionId;
  return a.kind === b.kind && (a.kind === 'longer' || a.kind === 'another-sitting' || a.kind === 'tool');
}

/** Of many every so manieth, in their order: those that ask least alone may never get there. */
function spreadOver<T>(all: readonly T[], most: number): T[] {
  if (all.length <= most) return [...all];
  return Array.from({ length: most }, (_, at) => all[Math.floor((at * all.length) / most)] as T);
}

/** What a set asks, minutes: work that goes elsewhere, and what has to be had or found. */
function burdenOf(levers: readonly Lever[], terms: Terms): number {
  return levers.reduce((sum, lever) => {
    switch (lever.kind) {
      case 'before':
      case 'home':
        return sum + stepMinutes(lever, terms);
      case 'longer':
        return sum + lever.minutes;
      case 'choose':
        return sum + 5;
      default:
        return sum + BURDEN[lever.kind];
    }
  }, 0);
}

function stepMinutes(
  { revisionId, stepIds }: Extract<Lever, { kind: 'before' | 'home' }>,
  { designs }: Terms,
): number {
  const pattern = designs.get(revisionId);
  if (!pattern) return 0;
  return pattern.steps
    .filter(({ id }) => stepIds.includes(id))
    .reduce((sum, step) => sum + (workMinutes(step, pattern)?.likely ?? 0), 0);
}

/** Of the work of the designs it takes from, the most of any. */
function elsewhereShare(levers: readonly Lever[], terms: Terms): number {
  const taken = new Map<string, number>();
  for (const lever of levers)
    if (lever.kind === 'before' || lever.kind === 'home')
      taken.set(lever.revisionId, (taken.get(lever.revisionId) ?? 0) + stepMinutes(lever, terms));
  const shares = [...taken].map(([revisionId, minutes]) => {
    const pattern = terms.designs.get(revisionId);
    const all = (pattern?.steps ?? []).reduce(
      (sum, step) => sum + ((pattern && workMinutes(step, pattern)?.likely) ?? 0),
      0,
    );
    return all > 0 ? minutes / all : 0;
  });
  return Math.max(0, ...shares);
}
