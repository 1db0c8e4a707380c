import { boundLength } from '../../base/index.ts';
import type { Join } from '../document/join.ts';
import { lengthsIn } from '../document/lengthsIn.ts';
import type { Pattern } from '../document/pattern.ts';
import type { PatternProblem } from '../document/problem.ts';
import { checkCount } from './checkCount.ts';

/** Why the joins may not be stored: parts that are gone, a part on itself, straight or the long way round. */
export function checkJoins({ joins, parts }: Pick<Pattern, 'joins' | 'parts'>): PatternProblem[] {
  const names = new Map(parts.map(({ id, name }) => [id, name]));
  const patternProblems = joins.flatMap((join, index) => checkJoin(join, names, `/joins/${index}`));
  return patternProblems.length > 0 ? patternProblems : circle(joins, names);
}

function checkJoin(join: Join, names: ReadonlyMap<string, string>, pointer: string): PatternProblem[] {
  const { partId, ontoId, looseEnd } = join;
  const gone = (
    [
      ['partId', partId],
      ['ontoId', ontoId],
    ] as const
  ).flatMap(([key, id]): PatternProblem[] =>
    names.has(id) ? [] : [{ code: 'part_not_found', pointer: `${pointer}/${key}`, partId: id }],
  );
  const sizes = lengthsIn(join, pointer).flatMap(({ pointer: at, length }): PatternProblem[] => {
    const bounded = boundLength(length);
    return bounded.ok || length.value === 0 || bounded.refusal.code === 'length_not_read'
      ? []
      : [{ ...bounded.refusal, pointer: at }];
  });
  return [
    ...gone,
    ...sizes,
    ...checkCount(join.count, `${pointer}/count`),
    ...(partId === ontoId ? [{ code: 'join_to_itself', pointer: `${pointer}/ontoId` } as const] : []),
    ...(looseEnd && looseEnd.partId !== partId && looseEnd.partId !== ontoId
      ? [{ code: 'loose_end_of_neither', pointer: `${pointer}/looseEnd` } as const]
      : []),
  ];
}

/** A part that, through joins, is set onto itself: the first way round that is found. */
function circle(joins: readonly Join[], names: ReadonlyMap<string, string>): PatternProblem[] {
  const onto = new Map<string, Join[]>();
  for (const join of joins) onto.set(join.partId, [...(onto.get(join.partId) ?? []), join]);
  const done = new Set<string>();
  const walk = (partId: string, way: readonly string[]): { way: readonly string[]; join: Join } | null => {
    for (const join of done.has(partId) ? [] : (onto.get(partId) ?? [])) {
      const on = [...way, join.ontoId];
      if (way.includes(join.ontoId)) return { way: on.slice(way.indexOf(join.ontoId)), join };
      const found = walk(join.ontoId, on);
      if (found) return found;
    }
    done.add(partId);
    return null;
  };
  for (const partId of onto.keys()) {
    const found = walk(partId, [partId]);
    if (found) {
      const pointer = `/joins/${joins.indexOf(found.join)}/ontoId`;
      return [{ code: 'join_circular', pointer, names: found.way.map((id) => names.get(id) ?? '') }];
    }
  }
  return [];
}
