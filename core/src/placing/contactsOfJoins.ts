import type { Pattern } from '../pattern/index.ts';
import { placeFigure, type SizedPiece } from './placeFigure.ts';

/**
 * Across where the pieces of each join meet what they are set on, mm, by join: of unlike pieces the mean. A join is not
 * there whose pieces have no size, no place, or only lie on their host.
 */
export function contactsOfJoins(
  build: Pick<Pattern, 'parts' | 'joins' | 'stance'>,
  parts: readonly SizedPiece[],
): Map<string, number> {
  const acrossByJoin = new Map<string, number[]>();
  for (const { set } of placeFigure(build, { parts }).pieces) {
    if (!set?.contact) continue;
    const across = acrossByJoin.get(set.joinId) ?? [];
    acrossByJoin.set(set.joinId, across);
    across.push(set.contact.acrossMm);
  }
  return new Map(
    [...acrossByJoin].map(([joinId, across]) => [
      joinId,
      across.reduce((sum, mm) => sum + mm, 0) / across.length,
    ]),
  );
}
