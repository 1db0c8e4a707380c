import { PART_STATES, type PartState } from '../pattern/index.ts';
import type { ClassEvent } from './event.ts';
import type { ClassDayPlan, PieceLife, PlannedMake, PlannedSeat } from './plan.ts';

/** How a piece at a seat stands. */
interface PieceNow {
  readonly state: PartState | null;
  /** What it became and when, rising; what it was as it came has no time. ISO 8601. */
  readonly became: readonly { readonly state: PartState; readonly at: string | null }[];
  /** It was handed over made up. */
  readonly isPrepared: boolean;
}

/** By seat, then by part. */
export type PiecesNow = ReadonlyMap<string, ReadonlyMap<string, PieceNow>>;

export const rankOf = (state: PartState | null): number => (state === null ? -1 : PART_STATES.indexOf(state));

/** What a piece is before the class has done anything to it: what was done beforehand. */
const asItCame = ({ marks }: PieceLife): PartState | null =>
  marks.reduce<PartState | null>(
    (state, mark) => (mark.isElsewhere && rankOf(mark.state) > rankOf(state) ? mark.state : state),
    null,
  );

/** What that step makes of a piece; null: nothing new. */
const leftBy = ({ marks }: PieceLife, stepId: string): PartState | null =>
  marks.findLast((mark) => mark.stepId === stepId)?.state ?? null;

const piecesOfSeat = ({ makes }: ClassDayPlan, { makeAt }: PlannedSeat): PlannedMake['pieces'] =>
  makes[makeAt]?.pieces ?? [];

/** What an entry teaches: a step, or a row of the plan. */
const stepOfEntry = (entryId: string): string => entryId.slice(entryId.indexOf(':') + 1);

const untouched = (piece: PieceLife): PieceNow => {
  const state = asItCame(piece);
  return { state, became: state === null ? [] : [{ state, at: null }], isPrepared: false };
};

/** A piece that is this from now on; what it had been further is forgotten. */
function becoming(piece: PieceNow, state: PartState | null, at: string): PieceNow {
  const kept = piece.became.filter((each) => rankOf(each.state) <= rankOf(state));
  const isNew = state !== null && kept.every((each) => each.state !== state);
  return { ...piece, state, became: isNew ? [...kept, { state, at }] : kept };
}

/**
 * Every piece at every seat. A tap says what it is, back as well as on; “everybody has it” and a piece handed over bring on whoever is
 * not so far, and nobody back. Who is not here is not brought on.
 * @param events in the order in which they were done
 */
export function piecesNow(plan: ClassDayPlan, events: readonly ClassEvent[]): PiecesNow {
  const seats = new Map(plan.seats.map((seat) => [seat.key, seat]));
  const now = new Map(
    plan.seats.map((seat) => [
      seat.key,
      new Map(piecesOfSeat(plan, seat).map((piece) => [piece.partId, untouched(piece)])),
    ]),
  );
  const bringOn = (seat: PlannedSeat, stepId: string, at: string, isPrepared: boolean) => {
    for (const piece of piecesOfSeat(plan, seat)) {
      const [state, before] = [leftBy(piece, stepId), now.get(seat.key)?.get(piece.partId)];
      if (state === null || !before || rankOf(state) <= rankOf(before.state)) continue;
      const after = becoming(before, state, at);
      now.get(seat.key)?.set(piece.partId, { ...after, isPrepared: isPrepared || before.isPrepared });
    }
  };
  const away = new Set<string>();
  for (const { what, at } of events) {
    if (what.act === 'here') {
      if (what.isHere) away.delete(what.seatKey);
      else away.add(what.seatKey);
    } else if (what.act === 'piece') {
      const before = now.get(what.seatKey)?.get(what.partId);
      if (before) now.get(what.seatKey)?.set(what.partId, becoming(before, what.state, at));
    } else if (what.act === 'prepared') {
      const seat = seats.get(what.seatKey);
      if (seat) bringOn(seat, what.stepId, at, true);
    } else if (what.act === 'entry' && what.does === 'has-it') {
      const stepId = stepOfEntry(what.entryId);
      for (const seat of plan.seats) if (!away.has(seat.key)) bringOn(seat, stepId, at, false);
    }
  }
  return now;
}

/** The states a piece goes through in its build, each once, in their order. */
export const statesOf = ({ marks }: PieceLife): PartState[] => [...new Set(marks.map(({ state }) => state))];

/** What a tap makes of it: the next it becomes; after the last it is as it came. */
export const stateAfterTap = (piece: PieceLife, state: PartState | null): PartState | null =>
  statesOf(piece).find((each) => rankOf(each) > rankOf(state)) ?? asItCame(piece);

/**
 * When every piece of a step had become what it leaves, at all seats that make it and are here.
 * @returns ISO 8601; null: not yet, nobody said so, or the step leaves nothing
 */
export function doneByPieces(
  plan: ClassDayPlan,
  pieces: PiecesNow,
  away: ReadonlySet<string>,
  stepId: string,
): string | null {
  const times = plan.seats
    .filter(({ key }) => !away.has(key))
    .flatMap((seat) =>
      piecesOfSeat(plan, seat).flatMap((piece) => {
        const state = leftBy(piece, stepId);
        if (state === null) return [];
        const became = pieces.get(seat.key)?.get(piece.partId)?.became ?? [];
        const reached = became.find((each) => rankOf(each.state) >= rankOf(state));
        return [reached ? { at: reached.at } : null];
      }),
    );
  if (times.includes(null)) return null;
  return times.reduce<string | null>((last, time) => (time?.at && (last === null || time.at > last) ? time.at : last), null); // prettier-ignore
}

/** Whether anybody has marked a piece yet: where nobody does, nothing is told of who is behind. */
export const isMarked = (events: readonly ClassEvent[]): boolean =>
  events.some(
    ({ what }) =>
      what.act === 'piece' || what.act === 'prepared' || (what.act === 'entry' && what.does === 'has-it'),
  );
