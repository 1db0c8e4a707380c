import type { ClassEvent } from './event.ts';
import { eventsOf, inOrder } from './inOrder.ts';
import { piecesNow, type PiecesNow } from './pieces.ts';
import type { ClassDayPlan } from './plan.ts';

/** A seat as it stands now. */
interface SeatNow {
  readonly key: string;
  /** False: not come yet, or gone. */
  readonly isHere: boolean;
  /** Since when a hand is up, ISO 8601; null: it is not. */
  readonly helpSince: string | null;
  readonly isFinished: boolean;
  readonly finishedAt: string | null;
  /** Steps up to which a piece was handed over. */
  readonly prepared: readonly string[];
  readonly spare: readonly { readonly key: string; readonly fibreId: string; readonly massG: number }[];
}

export interface RoomNow {
  readonly seats: readonly SeatNow[];
  readonly pieces: PiecesNow;
  /** Hands that are up, the first one first. */
  readonly helpQueue: readonly SeatNow[];
  readonly away: ReadonlySet<string>;
}

/** The last of one sort that was said of each seat. */
const lastBy = <E extends { readonly what: { readonly seatKey: string } }>(all: readonly E[]): Map<string, E> =>
  new Map(all.map((event) => [event.what.seatKey, event])); // prettier-ignore

/** The room as it stands, from all that happened, in whatever order it is given. */
export function roomNow(plan: ClassDayPlan, all: readonly ClassEvent[]): RoomNow {
  const events = inOrder(all);
  const [here, help, finished] = [
    lastBy(eventsOf(events, 'here')),
    helpSince(events),
    lastBy(eventsOf(events, 'finished')),
  ];
  const prepared = eventsOf(events, 'prepared');
  const spare = eventsOf(events, 'spare');
  const seats = plan.seats.map(({ key }): SeatNow => {
    const done = finished.get(key);
    return {
      key,
      isHere: here.get(key)?.what.isHere ?? true,
      helpSince: help.get(key) ?? null,
      isFinished: done?.what.isFinished ?? false,
      finishedAt: done?.what.isFinished ? done.at : null,
      prepared: prepared.flatMap(({ what }) => (what.seatKey === key ? [what.stepId] : [])),
      spare: spare.flatMap(({ key: eventKey, what }) =>
        what.seatKey === key ? [{ key: eventKey, fibreId: what.fibreId, massG: what.massG }] : [],
      ),
    };
  });
  return {
    seats,
    pieces: piecesNow(plan, events),
    helpQueue: seats
      .filter(({ helpSince: since }) => since !== null)
      .toSorted((a, b) => Date.parse(a.helpSince ?? '') - Date.parse(b.helpSince ?? '')),
    away: new Set(seats.filter(({ isHere }) => !isHere).map(({ key }) => key)),
  };
}

/** A hand that is raised twice has been up since the first time. */
function helpSince(events: readonly ClassEvent[]): Map<string, string> {
  const since = new Map<string, string>();
  for (const { what, at } of eventsOf(events, 'help')) {
    if (!what.isWanted) since.delete(what.seatKey);
    else if (!since.has(what.seatKey)) since.set(what.seatKey, at);
  }
  return since;
}
