import {
  type ClassDayPlan,
  type ClassEvent,
  type Clock,
  entriesTook,
  type EntryTook,
  eventsOf,
  type FibreTook,
  inOrder,
  type PhotoPermission,
  roomNow,
  saidNow,
  type SaidNow,
  sharpsNow,
  showNow,
} from '../classDay/index.ts';
import { type TrayLine, trayTotals } from '../needles/index.ts';

/** What a class came to, as its notebook page tells it. */
export interface ClassMaking {
  readonly seats: number;
  readonly finished: number;
  /** Pieces made up beforehand that were handed over. */
  readonly prepared: number;
  readonly wool: readonly FibreTook[];
  /** Of what was marked. Minutes. */
  readonly entries: readonly EntryTook[];
  /** Null: none was counted. */
  readonly needles: { readonly out: number; readonly broken: number; readonly missing: number } | null;
  /** Tips that broke off, and those of them that nobody found. */
  readonly tips: number;
  readonly openTips: number;
  readonly notes: readonly SaidNow[];
  readonly photos: readonly {
    readonly pictureId: string;
    readonly seatKey: string | null;
    readonly permission: PhotoPermission;
  }[];
}

interface Told {
  readonly plan: ClassDayPlan;
  readonly events: readonly ClassEvent[];
  readonly wool: readonly FibreTook[];
  readonly tray: readonly TrayLine[];
  readonly clock: Clock;
  /** Minutes of the clock. */
  readonly now: number;
}

/** All of a class that is worth knowing for the next, out of what happened in it; nothing is typed for it. */
export function classMaking({ plan, events, wool, tray, clock, now }: Told): ClassMaking {
  const room = roomNow(plan, events);
  const shows = plan.sittings.map((sitting) => showNow(plan, sitting, events, { now, clock }));
  const { tips, openTips } = sharpsNow(plan, events);
  const { out, broken, missing, givenUp } = trayTotals(tray);
  return {
    seats: room.seats.length,
    finished: room.seats.filter(({ isFinished }) => isFinished).length,
    prepared: room.seats.reduce((total, { prepared }) => total + prepared.length, 0),
    wool,
    entries: entriesTook(shows),
    needles: tray.length === 0 ? null : { out, broken, missing: missing + givenUp },
    tips: tips.length,
    openTips,
    notes: saidNow(events),
    photos: eventsOf(inOrder(events), 'photo').map(({ what: { pictureId, seatKey, permission } }) => ({
      pictureId,
      seatKey,
      permission,
    })),
  };
}

/** Grams of all fibres together. Null: of one of them nobody knows. */
export interface WoolSum {
  readonly plannedG: number;
  readonly weighedG: number | null;
  readonly tookG: number | null;
}

export function woolSum(wool: readonly FibreTook[]): WoolSum {
  const known = (of: (row: FibreTook) => number | null): number | null => {
    const all = wool.map(of);
    return all.length === 0 || all.includes(null) ? null : all.reduce<number>((sum, each) => sum + (each ?? 0), 0);
  };
  return {
    plannedG: wool.reduce((sum, { plannedG }) => sum + plannedG, 0),
    weighedG: known(({ weighedG }) => weighedG),
    tookG: known(({ tookG }) => tookG),
  };
} // prettier-ignore
