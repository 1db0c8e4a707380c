import { posesChosen } from '@lanakit/core/build';
import { applyPose, type Pattern, type Pose } from '@lanakit/core/pattern';
import { useMemo, useState } from 'react';
import { useTable } from '../table/tableContext.ts';

/** Which pose is looked at: the one that was picked here, else the one the chosen options take; null: as it is written. */
export interface PoseLookedAt {
  readonly pose: Pose | null;
  /** The build in it. */
  readonly build: Pattern;
  readonly pick: (poseId: string | null) => void;
}

export function usePose(): PoseLookedAt {
  const poses = useTable((table) => table.document.poses);
  const options = useTable((table) => table.document.options);
  const build = useTable((table) => table.figure);
  const choices = useTable((table) => table.choices);
  /** Undefined: nobody has picked. */
  const [pickedId, setPickedId] = useState<string | null | undefined>(undefined);
  const chosen = useMemo(
    () => posesChosen({ poses, options }, choices).at(-1) ?? null,
    [poses, options, choices],
  );
  const picked = poses.find(({ id }) => id === pickedId) ?? null;
  const pose = pickedId === undefined ? chosen : picked;
  const posed = useMemo(() => (pose === null ? build : applyPose(build, pose)), [build, pose]);
  return { pose, build: posed, pick: setPickedId };
}
