import { byCodePoint } from '../../base/index.ts';
import type { RelatedPattern, Series } from '../document/related.ts';

/** What of a pattern others are told of. */
export interface PatternNamed {
  readonly id: string;
  readonly title: string;
  readonly series: Series | null;
  readonly related: readonly RelatedPattern[];
}

/** Another pattern, as a reader is told of it. */
export interface Neighbour {
  /** Null: it is not in the studio. */
  readonly patternId: string | null;
  readonly title: string;
  /** Where it can be had; empty: nobody has said. */
  readonly where: string;
}

interface SeriesMember {
  readonly patternId: string;
  readonly title: string;
  readonly number: number | null;
  readonly isThis: boolean;
}

/** The patterns around one: its series, what is made before it, what goes with it, and what needs it. */
export interface Surroundings {
  /** All of its series that are there, itself among them, in their order; null: it is of none. */
  readonly series: {
    readonly name: string;
    readonly number: number | null;
    readonly members: readonly SeriesMember[];
  } | null;
  readonly before: readonly Neighbour[];
  /** Named here, or naming this one. */
  readonly companions: readonly Neighbour[];
  /** Those that say this one is made before them. */
  readonly neededBy: readonly Neighbour[];
  /** Titles from this one round to itself, each made before the one in front of it; null: there is no such circle. */
  readonly circle: readonly string[] | null;
}

export const NO_SURROUNDINGS: Surroundings = {
  series: null,
  before: [],
  companions: [],
  neededBy: [],
  circle: null,
};

/**
 * @param of the pattern as it is now; it need not be kept yet
 * @param others of the studio; what stands there under the same id is not looked at
 */
export function surroundingsOf(of: PatternNamed, others: readonly PatternNamed[]): Surroundings {
  const all = [of, ...others.filter(({ id }) => id !== of.id)];
  const byId = new Map(all.map((each) => [each.id, each]));
  const named = (relation: RelatedPattern['relation']) =>
    of.related
      .filter((each) => each.relation === relation && each.patternId !== of.id)
      .map((each) => neighbourOf(each, byId))
      .filter(({ title }) => title.trim() !== '');
  const naming = (relation: RelatedPattern['relation']): Neighbour[] =>
    all
      .filter(({ id, related }) => id !== of.id && related.some((each) => each.relation === relation && each.patternId === of.id))
      .map(({ id, title }) => ({ patternId: id, title, where: '' }));
  return {
    series: seriesOf(of, all),
    before: once(named('before')),
    companions: once([...named('companion'), ...naming('companion')]),
    neededBy: naming('before').sort((a, b) => byCodePoint(a.title, b.title)),
    circle: circleThrough(of.id, byId),
  };
} // prettier-ignore

function neighbourOf({ patternId, title, where }: RelatedPattern, byId: ReadonlyMap<string, PatternNamed>): Neighbour {
  const known = patternId === null ? undefined : byId.get(patternId);
  return { patternId: known ? known.id : null, title: known?.title ?? title, where };
} // prettier-ignore

/** The first to name a pattern says where it can be had. */
function once(neighbours: readonly Neighbour[]): Neighbour[] {
  const keyOf = ({ patternId, title }: Neighbour) => patternId ?? `named ${title.trim()}`;
  return neighbours.filter(
    (each, at) => neighbours.findIndex((other) => keyOf(other) === keyOf(each)) === at,
  );
}

/** By number; what has none comes after, by its title. */
function seriesOf({ id: ofId, series }: PatternNamed, all: readonly PatternNamed[]): Surroundings['series'] {
  const name = series?.name.trim() ?? '';
  if (!series || name === '') return null;
  const members = all
    .filter((each) => each.series?.name.trim() === name)
    .map(({ id, title, series: its }) => ({
      patternId: id,
      title,
      number: its?.number ?? null,
      isThis: id === ofId,
    }))
    .sort(
      (a, b) =>
        (a.number ?? Number.MAX_SAFE_INTEGER) - (b.number ?? Number.MAX_SAFE_INTEGER) ||
        byCodePoint(a.title, b.title),
    );
  return { name, number: series.number, members };
}

/** The shortest way from a pattern over what is made before it back to itself (breadth first). */
function circleThrough(id: string, byId: ReadonlyMap<string, PatternNamed>): readonly string[] | null {
  const cameFrom = new Map<string, string>();
  let edge = [id];
  while (edge.length > 0) {
    const next: string[] = [];
    for (const at of edge)
      for (const { relation, patternId } of byId.get(at)?.related ?? []) {
        if (relation !== 'before' || patternId === null || !byId.has(patternId)) continue;
        if (patternId === id) return wayTo(at, cameFrom).map((each) => byId.get(each)?.title ?? '');
        if (cameFrom.has(patternId)) continue;
        cameFrom.set(patternId, at);
        next.push(patternId);
      }
    edge = next;
  }
  return null;
}

function wayTo(id: string, cameFrom: ReadonlyMap<string, string>): string[] {
  const way = [id];
  for (let at = cameFrom.get(id); at !== undefined; at = cameFrom.get(at)) way.unshift(at);
  return way;
}

/** Numbers of a series that several have. */
export function numbersTwice({ members }: NonNullable<Surroundings['series']>): number[] {
  const numbers = members.flatMap(({ number }) => number ?? []);
  return [...new Set(numbers.filter((each, at) => numbers.indexOf(each) !== at))];
}
