import { isWool, type Pattern } from '../pattern/index.ts';

/** Something that was hidden and is now seen. */
export type NowShows =
  /** A coat is left out: what is beneath it. */
  | { readonly what: 'beneath'; readonly partId: string; readonly fibreId: string | null }
  /** The cover of a join is left out, its ends stay. */
  | { readonly what: 'join'; readonly joinId: string }
  /** The place on another part where one would have sat. */
  | { readonly what: 'place'; readonly partId: string; readonly onPartId: string }
  /** In the author's words. */
  | { readonly what: 'said'; readonly partId: string; readonly words: string };

/** What a build shows that the whole pattern would have hidden. */
export function nowShows(pattern: Pattern, build: Pattern): NowShows[] {
  const left = new Map(build.parts.map((part) => [part.id, part]));
  const joins = new Map(build.joins.map((join) => [join.id, join]));
  const fromParts = pattern.parts.flatMap((part): NowShows[] => {
    const leftPart = left.get(part.id);
    if (!leftPart)
      return part.hides.trim() === '' ? [] : [{ what: 'said', partId: part.id, words: part.hides }];
    const coats = (uses: typeof part.uses) => uses.filter(({ role }) => role === 'coat').length;
    if (coats(part.uses) === 0 || coats(leftPart.uses) > 0) return [];
    const core = leftPart.uses.find(({ role }) => role === 'core');
    return [{ what: 'beneath', partId: part.id, fibreId: core && isWool(core) ? core.fibreId : null }];
  });
  const fromJoins = pattern.joins.flatMap((join): NowShows[] => {
    const ownJoin = joins.get(join.id);
    if (ownJoin) return join.cover && !ownJoin.cover ? [{ what: 'join', joinId: join.id }] : [];
    const isSunk = join.sink !== null && join.sink.value > 0;
    return isSunk && !left.has(join.partId) && left.has(join.ontoId)
      ? [{ what: 'place', partId: join.partId, onPartId: join.ontoId }]
      : [];
  });
  return [...fromParts, ...fromJoins];
}
