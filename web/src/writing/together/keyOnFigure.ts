import { MM_PER_INCH } from '@lanakit/core/base';
import type { Camera } from '@lanakit/core/figure';
import { type Pattern, UPRIGHT } from '@lanakit/core/pattern';
import type { KeyboardEvent } from 'react';
import type { Grasp } from './grasp.ts';
import { leant, nudged, turned } from './moveGrasp.ts';
import type { PlaceEdits } from './usePlaceEdits.ts';

interface KeyContext {
  /** Null: the piece everything is set on. */
  readonly held: Grasp | null;
  readonly camera: Camera;
  readonly edits: PlaceEdits;
  readonly unit: 'mm' | 'in';
  readonly stance: Pattern['stance'];
}

const TURN_DEG = 5;
const NUDGE_MM = { mm: 1, in: MM_PER_INCH / 16 } as const;

const ARROWS: Readonly<Record<string, readonly [right: number, up: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** Does what a key means on a piece; false: it means nothing here. */
export function keyOnFigure(event: KeyboardEvent, context: KeyContext): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return false;
  const arrow = ARROWS[event.key];
  const twist = event.key === '[' ? -TURN_DEG : event.key === ']' ? TURN_DEG : 0;
  const sink = event.key === '+' ? 1 : event.key === '-' || event.key === '−' ? -1 : 0;
  const { held } = context;
  if (held === null) return turnRoot({ arrow: event.shiftKey ? arrow : undefined, twist }, context);
  const key = `${JSON.stringify(held.target)}.keys`;
  const { edits, camera, unit } = context;
  if (arrow) {
    const [right, up] = arrow;
    const placement = event.shiftKey
      ? right === 0
        ? leant(held, { leanUpDeg: up * TURN_DEG })
        : turned(held, camera, -right * TURN_DEG)
      : nudged(held, camera, right * NUDGE_MM[unit], up * NUDGE_MM[unit]);
    edits.place(held.target, placement, event.shiftKey ? 'how it leans' : 'where it sits', key);
    return true;
  }
  if (twist !== 0) {
    edits.place(held.target, leant(held, { twistDeg: twist }), 'how it is turned', key);
    return true;
  }
  const set = held.piece?.set;
  if (sink === 0 || !set) return false;
  edits.sink(set.joinId, set.sinkMm + sink * NUDGE_MM[unit], unit, key);
  return true;
}

function turnRoot(
  { arrow, twist }: { arrow: readonly [number, number] | undefined; twist: number },
  { edits, stance }: KeyContext,
): boolean {
  const now = stance ?? UPRIGHT;
  if (arrow) {
    const [right, up] = arrow;
    edits.stance(
      { rollDeg: now.rollDeg + right * TURN_DEG, pitchDeg: now.pitchDeg - up * TURN_DEG },
      'how it rests',
      'stance.keys',
    );
    return true;
  }
  if (twist === 0) return false;
  edits.stance({ yawDeg: now.yawDeg + twist }, 'how it rests', 'stance.keys');
  return true;
}
