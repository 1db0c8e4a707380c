import { type Camera, seen, type Together } from '@lanakit/core/figure';
import { contactRing, looseEndOf, type SetOn } from '@lanakit/core/placing';
import { mmOrNull } from '@lanakit/core/pattern';
import type { DrawingScale } from '../../figure/TogetherDrawing.tsx';
import { useTable } from '../table/tableContext.ts';

interface JoinMarksProps {
  together: Together;
  camera: Camera;
  at: DrawingScale;
}

/** Where pieces meet, and the loose ends that go on into what they are set on. */
export function JoinMarks({ together, camera, at }: JoinMarksProps) {
  const joins = useTable((table) => table.build.joins);
  const estimates = useTable((table) => table.estimate.joins);
  const px = (point: readonly [number, number, number]) => {
    const [x, y] = seen(camera, point);
    return `${(at.leftPx + x * at.pxPerMm).toFixed(1)} ${(at.groundPx - y * at.pxPerMm).toFixed(1)}`;
  };
  const tailMm = ({ joinId }: SetOn): number => {
    const join = joins.find(({ id }) => id === joinId);
    if (!join?.looseEnd) return 0;
    return (
      mmOrNull(join.looseEnd.length) ?? estimates.find((estimate) => estimate.joinId === joinId)?.tailMm ?? 0
    );
  };
  return (
    <g pointerEvents="none" aria-hidden>
      {together.figure.pieces.map(({ key, set, frame }) => {
        if (!set) return null;
        const tail = tailMm(set);
        return (
          <g key={key}>
            {tail > 0 && (
              <path
                d={`M${px(frame.origin)}L${px(looseEndOf({ set, frame }, tail))}`}
                stroke="var(--action)"
                strokeWidth={3}
                strokeDasharray="1 4"
                strokeLinecap="round"
              />
            )}
            {set.contact && (
              <path
                d={`M${contactRing(set.contact).map(px).join('L')}Z`}
                fill="none"
                stroke="var(--action)"
                strokeWidth={1.5}
                strokeDasharray="4 2"
              />
            )}
          </g>
        );
      })}
    </g>
  );
}
