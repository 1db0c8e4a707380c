import {
  type Camera,
  type DrawnFigure,
  type DrawnMark,
  type DrawnPiece,
  seen,
  type Together,
} from '@lanakit/core/figure';
import { type PlacedPiece } from '@lanakit/core/placing';
import { type KeyboardEvent, type PointerEvent, useCallback, useMemo } from 'react';
import { type DrawingScale, TogetherDrawing } from '../../figure/TogetherDrawing.tsx';
import { useTable } from '../table/tableContext.ts';
import { type Chosen, type Grasp, graspOf } from './grasp.ts';
import { keyOnFigure } from './keyOnFigure.ts';
import { Grips } from './Grips.tsx';
import { angleAbout, spotOf } from './heldPoints.ts';
import { nameOfChosen } from './nameOfChosen.ts';
import styles from './Together.module.css';
import type { PlaceEdits } from './usePlaceEdits.ts';
import { usePull } from './usePull.ts';

interface FigureInHandProps {
  together: Together;
  drawn: DrawnFigure;
  camera: Camera;
  at: DrawingScale;
  chosen: Chosen | null;
  grasp: Grasp | null;
  edits: PlaceEdits;
  onChoose: (chosen: Chosen, partId: string) => void;
  onHold: (isHeld: boolean) => void;
}

/** Pieces and details to be taken hold of: dragged along their host, turned and sunk by grips, nudged by keys. */
export function FigureInHand(props: FigureInHandProps) {
  const { together, drawn, camera, at, chosen, grasp, edits, onChoose } = props;
  const build = useTable((table) => table.figure);
  const wool = useTable((table) => table.wool);
  const unit = useTable((table) => table.document.lengthUnit);
  const { svg, take, move, letGo, pointMm } = usePull(props);
  const lookOf = useCallback(
    (fibreId: string | null) => (fibreId === null ? null : (wool.fibres.get(fibreId) ?? null)),
    [wool],
  );
  const hold = (event: PointerEvent<SVGElement>, next: Chosen, partId: string) => {
    onChoose(next, partId);
    const held = graspOf(together, next);
    if (!held) return;
    const [x, y] = seen(camera, spotOf(together, next));
    const [px, py] = pointMm(event);
    take(event, { kind: 'move', chosen: next, offMm: [px - x, py - y] });
  };
  const handlesOf = (next: Chosen, partId: string) => ({
    role: 'button',
    tabIndex: 0,
    'aria-label': nameOfChosen(together, next, build, wool),
    'aria-pressed': next.kind === chosen?.kind && next.key === chosen.key,
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      event.stopPropagation();
      hold(event, next, partId);
    },
    onKeyDown: (event: KeyboardEvent<SVGGElement>) => {
      if (event.target !== event.currentTarget) return;
      if (event.key === 'Enter' || event.key === ' ') {
        event.preventDefault();
        onChoose(next, partId);
        return;
      }
      const held = graspOf(together, next);
      const isDone = keyOnFigure(event, { held, camera, edits, unit, stance: build.stance });
      if (!isDone) return;
      event.preventDefault();
      event.stopPropagation();
      onChoose(next, partId);
    },
  });
  const partOfDetail = useMemo(
    () => new Map(together.details.map(({ key, host }) => [key, host.partId])),
    [together],
  );
  return (
    <g ref={svg} onPointerMove={move} onPointerUp={letGo} onPointerCancel={letGo}>
      <TogetherDrawing
        drawn={drawn}
        at={at}
        lookOf={lookOf}
        chosenKey={chosen?.kind === 'piece' ? chosen.key : null}
        chosenDetailKey={chosen?.kind === 'detail' ? chosen.key : null}
        handlesOf={({ key, partId }: DrawnPiece) => ({
          className: styles.piece,
          ...handlesOf({ kind: 'piece', key }, partId),
        })}
        markHandlesOf={({ detailKey }: DrawnMark) => {
          const partId = partOfDetail.get(detailKey);
          return partId === undefined
            ? {}
            : { className: styles.mark, ...handlesOf({ kind: 'detail', key: detailKey }, partId) };
        }}
      />
      {grasp?.piece && chosen && (
        <Grips
          piece={grasp.piece}
          camera={camera}
          at={at}
          onTurn={(event) =>
            take(event, { kind: 'turn', chosen, lastDeg: angleAbout(grasp, camera, pointMm(event)) })
          }
          onSink={(event, way) => {
            const { set } = grasp.piece as PlacedPiece;
            if (set)
              take(event, {
                kind: 'sink',
                joinId: set.joinId,
                beganMm: set.sinkMm,
                from: pointMm(event),
                way,
              });
          }}
        />
      )}
    </g>
  );
}
