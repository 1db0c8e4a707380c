import type { PartState } from '../pattern/index.ts';
import type { ClassEvent } from './event.ts';
import { isMarked, rankOf } from './pieces.ts';
import type { ClassDayPlan, PieceLife, PlannedMake } from './plan.ts';
import { roomNow } from './room.ts';
import type { ShowNow } from './show.ts';

/** A piece that is not as far as the middle of the class was planned to have it. */
export interface BehindOn {
  readonly partId: string;
  readonly name: string;
  /** The step it waits for. */
  readonly stepId: string;
  readonly wanted: PartState;
  readonly minutes: number;
}

export interface SeatBehind {
  readonly seatKey: string;
  /** What waits longest first. */
  readonly on: readonly BehindOn[];
  readonly minutes: number;
  /** Steps of which a piece made up beforehand would help now: late more often than not. */
  readonly handOver: readonly string[];
}

/**
 * Who is behind, and on what: pieces that are not yet what half of the class was to have made of them by now. What the whole class is
 * late, or was moved by, is nobody’s own; early, nobody is asked for more. Who is away or finished is not behind; where nobody marks
 * pieces, or the sitting is not on, nothing is told.
 * @param now minutes of the clock
 */
export function whoIsBehind(
  plan: ClassDayPlan,
  all: readonly ClassEvent[],
  { beganAt, endedAt, movedMinutes, lateMinutes }: ShowNow,
  now: number,
): SeatBehind[] {
  if (beganAt === null || endedAt !== null || !isMarked(all)) return [];
  const planned = now - movedMinutes - Math.max(0, lateMinutes);
  const room = roomNow(plan, all);
  return plan.seats
    .flatMap((seat): SeatBehind[] => {
      const make = plan.makes[seat.makeAt];
      const seatNow = room.seats.find(({ key }) => key === seat.key);
      if (!make || !seatNow?.isHere || seatNow.isFinished) return [];
      const on = make.pieces
        .flatMap((piece) =>
          behindOn(piece, room.pieces.get(seat.key)?.get(piece.partId)?.state ?? null, planned),
        )
        .toSorted((a, b) => b.minutes - a.minutes);
      const minutes = on[0]?.minutes ?? 0;
      return on.length === 0
        ? []
        : [{ seatKey: seat.key, on, minutes, handOver: handOverOf(make, on, seatNow.prepared, planned) }];
    })
    .toSorted((a, b) => b.minutes - a.minutes);
}

function behindOn({ partId, name, marks }: PieceLife, state: PartState | null, planned: number): BehindOn[] {
  const missing = marks.find((mark) => !mark.isElsewhere && rankOf(mark.state) > rankOf(state));
  if (!missing || missing.by === null || missing.by >= planned) return [];
  return [{ partId, name, stepId: missing.stepId, wanted: missing.state, minutes: planned - missing.by }];
}

function handOverOf(
  { steps }: PlannedMake,
  on: readonly BehindOn[],
  prepared: readonly string[],
  planned: number,
): string[] {
  const waited = new Set(on.map(({ stepId }) => stepId));
  return steps
    .filter(
      ({ id, handOverBy }) =>
        waited.has(id) && handOverBy !== null && handOverBy <= planned && !prepared.includes(id),
    )
    .map(({ id }) => id);
}
