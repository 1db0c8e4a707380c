import { handLength } from '@lanakit/core/base';
import type { Placement, PlaceTarget, Stance } from '@lanakit/core/pattern';
import { placedThing, placeInPose, UPRIGHT } from '@lanakit/core/pattern';
import { useMemo } from 'react';
import { useTable } from '../table/tableContext.ts';

/**
 * Writes places, into the pose that is looked at or as the figure is written; what was only proposed becomes the author’s
 * own with the first touch. How deep a piece is sunk is the same in every pose.
 */
export function usePlaceEdits(poseId: string | null) {
  const edit = useTable((table) => table.edit);
  return useMemo(
    () => ({
      place: (target: PlaceTarget, placement: Placement, label: string, key?: string) =>
        edit(
          label,
          (draft) => {
            const pose = draft.poses.find(({ id }) => id === poseId);
            const thing = placedThing(draft, target);
            if (pose) placeInPose(pose, target, placement);
            else if (thing) thing.placement = placement;
          },
          key,
        ),
      sink: (joinId: string, sinkMm: number, unit: 'mm' | 'in', key?: string) =>
        edit(
          'how deep it is sunk',
          (draft) => {
            const join = draft.joins.find(({ id }) => id === joinId);
            if (join) join.sink = handLength(sinkMm, unit, 0);
          },
          key,
        ),
      stance: (change: Partial<Stance>, label: string, key?: string) =>
        edit(
          label,
          (draft) => {
            const pose = draft.poses.find(({ id }) => id === poseId);
            if (pose) pose.stance = { ...(pose.stance ?? draft.stance ?? UPRIGHT), ...change };
            else draft.stance = { ...(draft.stance ?? UPRIGHT), ...change };
          },
          key,
        ),
      /** All at once, so that one undo takes them back. */
      keepAll: (kept: readonly (readonly [PlaceTarget, Placement])[]) =>
        edit('keeping the proposed places', (draft) => {
          for (const [target, placement] of kept) {
            const thing = placedThing(draft, target);
            if (thing) thing.placement = placement;
          }
        }),
    }),
    [edit, poseId],
  );
}

export type PlaceEdits = ReturnType<typeof usePlaceEdits>;
