import type { Camera, Together } from '@lanakit/core/figure';
import { type PointerEvent, useRef } from 'react';
import type { DrawingScale } from '../../figure/TogetherDrawing.tsx';
import { useTable } from '../table/tableContext.ts';
import { type Chosen, graspOf } from './grasp.ts';
import { angleAbout } from './heldPoints.ts';
import { movedTo, turned } from './moveGrasp.ts';
import type { PlaceEdits } from './usePlaceEdits.ts';

/** What a hand does until it lets go. */
type Pull =
  | { readonly kind: 'move'; readonly chosen: Chosen; readonly offMm: readonly [number, number] }
  | { readonly kind: 'turn'; readonly chosen: Chosen; readonly lastDeg: number }
  | {
      readonly kind: 'sink';
      readonly joinId: string;
      readonly beganMm: number;
      readonly from: readonly [number, number];
      readonly way: readonly [number, number];
    };

interface PullSources {
  together: Together;
  camera: Camera;
  at: DrawingScale;
  edits: PlaceEdits;
  onHold: (isHeld: boolean) => void;
}

/** Follows a hand from where it takes hold until it lets go; what is pulled follows at once. */
export function usePull({ together, camera, at, edits, onHold }: PullSources) {
  const unit = useTable((table) => table.document.lengthUnit);
  const pull = useRef<Pull | null>(null);
  const svg = useRef<SVGGElement>(null);
  const pointMm = (event: PointerEvent): readonly [number, number] => {
    const box = svg.current?.ownerSVGElement?.getBoundingClientRect();
    return [
      (event.clientX - (box?.left ?? 0) - at.leftPx) / at.pxPerMm,
      (at.groundPx - (event.clientY - (box?.top ?? 0))) / at.pxPerMm,
    ];
  };
  const take = (event: PointerEvent<SVGElement>, next: Pull) => {
    event.stopPropagation();
    pull.current = next;
    svg.current?.setPointerCapture(event.pointerId);
    onHold(true);
  };
  const move = (event: PointerEvent) => {
    const now = pull.current;
    if (!now) return;
    const point = pointMm(event);
    if (now.kind === 'sink') {
      const along = (point[0] - now.from[0]) * now.way[0] + (point[1] - now.from[1]) * now.way[1];
      edits.sink(now.joinId, now.beganMm - along, unit, `${now.joinId}.pull`);
      return;
    }
    const held = graspOf(together, now.chosen);
    if (!held) return;
    const key = `${JSON.stringify(held.target)}.pull`;
    if (now.kind === 'move') {
      const to = [point[0] - now.offMm[0], point[1] - now.offMm[1]] as const;
      edits.place(held.target, movedTo(held, camera, to), 'where it sits', key);
      return;
    }
    const angleDeg = angleAbout(held, camera, point);
    edits.place(held.target, turned(held, camera, angleDeg - now.lastDeg), 'how it leans', key);
    pull.current = { ...now, lastDeg: angleDeg };
  };
  const letGo = () => {
    if (pull.current) onHold(false);
    pull.current = null;
  };
  return { svg, take, move, letGo, pointMm };
}
