import { targetOf, type Together } from '@lanakit/core/figure';
import type { Placement, PlaceTarget } from '@lanakit/core/pattern';

/** Places that are ours so far, each with what keeps it. */
export function proposedPlaces({ figure, details }: Together): (readonly [PlaceTarget, Placement])[] {
  const byTarget = new Map<string, readonly [PlaceTarget, Placement]>();
  const note = (target: PlaceTarget, placement: Placement) => {
    const key = JSON.stringify(target);
    if (!byTarget.has(key)) byTarget.set(key, [target, placement]);
  };
  for (const { set } of figure.pieces)
    if (set?.isProposed) note({ kind: 'join', joinId: set.joinId }, set.placement);
  for (const detail of details) if (detail.isProposed) note(targetOf(detail), detail.placement);
  return [...byTarget.values()];
}
