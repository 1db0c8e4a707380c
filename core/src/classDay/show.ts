import type { ClassEvent } from './event.ts';
import { eventsOf, inOrder } from './inOrder.ts';
import { lateOf } from './late.ts';
import type { ClassDayPlan, PlannedSitting, ShowEntry } from './plan.ts';
import { roomNow } from './room.ts';
import { areStepsMarked, type Clock, isPassed, lastTouched, type Touched, touchedOf } from './touched.ts';

/** An entry as it goes. Minutes of the clock. */
export interface ShowLine {
  readonly entry: ShowEntry;
  readonly status: 'ahead' | 'on' | 'over';
  readonly beganAt: number | null;
  readonly endedAt: number | null;
  /** Asked for with “more minutes”. */
  readonly extraMinutes: number;
  /** When it begins and ends as things go; of what is over, when it did. */
  readonly from: number;
  readonly to: number;
}

/** A sitting as it goes. Minutes of the clock. */
export interface ShowNow {
  /** As it is planned, moved where it is held at another time. */
  readonly sitting: PlannedSitting;
  /** By which it was moved: it began hours from when it was to. */
  readonly movedMinutes: number;
  readonly beganAt: number | null;
  readonly endedAt: number | null;
  readonly lines: readonly ShowLine[];
  /** What goes on, the last begun first. */
  readonly on: readonly ShowLine[];
  readonly next: ShowLine | null;
  /** Behind the plan; below nought: ahead of it. */
  readonly lateMinutes: number;
  /** When the last of it ends, as things go. */
  readonly endsAt: number;
  /** Past the time when hands have to stop; 0: it fits. */
  readonly overMinutes: number;
  /** Of breaks that are still ahead. */
  readonly breakMinutes: number;
  /** Whether any step was marked: if not, late is told of talks, demonstrations and breaks alone. */
  readonly areStepsMarked: boolean;
}

/** The sitting that is on, or the next, or the last: by what was begun, else by the clock. @param now minutes of the clock */
export function sittingNow(
  { sittings }: ClassDayPlan,
  all: readonly ClassEvent[],
  now: number,
): PlannedSitting | null {
  const spoken = new Map(
    eventsOf(inOrder(all), 'sitting').map(({ what }) => [what.sessionId, what.does] as const),
  );
  const open = sittings.filter(({ id }) => spoken.get(id) !== 'end');
  return (
    open.findLast(({ id }) => spoken.get(id) === 'begin') ??
    open.find(({ to }) => to > now) ??
    open[0] ??
    sittings.at(-1) ??
    null
  );
}

/** Begun so far from when it was to, it is held at another time, and not late. */
const MOVED_FROM_MINUTES = 180;

/** A sitting as it goes: what is on, what comes next, and by how much the rest of it has moved. @param now minutes of the clock */
export function showNow(
  plan: ClassDayPlan,
  planned: PlannedSitting,
  all: readonly ClassEvent[],
  { now, clock }: { readonly now: number; readonly clock: Clock },
): ShowNow {
  const events = inOrder(all);
  const spoken = eventsOf(events, 'sitting').filter(({ what }) => what.sessionId === planned.id);
  const begun = spoken.find(({ what }) => what.does === 'begin');
  const beganAt = begun ? clock(begun.at) : null;
  const last = spoken.at(-1);
  const endedAt = last?.what.does === 'end' ? clock(last.at) : null;
  const movedMinutes =
    beganAt !== null && Math.abs(beganAt - planned.from) > MOVED_FROM_MINUTES ? beganAt - planned.from : 0;
  const sitting = movedBy(planned, movedMinutes);
  const touched = touchedOf(plan, sitting, events, roomNow(plan, events), clock);
  // After its end the clock of a sitting stands still.
  const at = endedAt ?? now;
  const lateMinutes = lateOf(touched, { from: sitting.from, beganAt, now: at });
  const terms = { lateMinutes, now: at, isOver: endedAt !== null, isBegun: beganAt !== null };
  const lines = linesOf(touched, terms);
  const endsAt = lines.reduce((end, { to }) => Math.max(end, to), sitting.from + lateMinutes);
  return {
    sitting,
    movedMinutes,
    beganAt,
    endedAt,
    lines,
    on: lines.filter(({ status }) => status === 'on').toSorted((a, b) => b.from - a.from),
    next: lines.filter(({ status }) => status === 'ahead').toSorted((a, b) => a.from - b.from)[0] ?? null,
    lateMinutes,
    endsAt,
    overMinutes: Math.max(0, endsAt - sitting.workTo),
    breakMinutes: lines.reduce(
      (sum, { entry, status }) =>
        sum + (entry.kind === 'break' && status === 'ahead' ? entry.to - entry.from : 0),
      0,
    ),
    areStepsMarked: areStepsMarked(touched),
  };
}

const movedBy = (sitting: PlannedSitting, minutes: number): PlannedSitting =>
  minutes === 0
    ? sitting
    : {
        ...sitting,
        from: sitting.from + minutes,
        workTo: sitting.workTo + minutes,
        to: sitting.to + minutes,
        entries: sitting.entries.map((entry) => ({
          ...entry,
          from: entry.from + minutes,
          to: entry.to + minutes,
        })),
      };

interface LineTerms {
  readonly lateMinutes: number;
  readonly now: number;
  readonly isOver: boolean;
  readonly isBegun: boolean;
}

function linesOf(touched: readonly Touched[], terms: LineTerms): ShowLine[] {
  const last = lastTouched(touched);
  const isTold = areStepsMarked(touched);
  return touched.map((each) => lineOf(each, isPassed(each, last), isTold, terms));
}

function lineOf(
  { entry, beganAt, endedAt, extraMinutes }: Touched,
  isLeftOut: boolean,
  isTold: boolean,
  { lateMinutes, now, isOver, isBegun }: LineTerms,
): ShowLine {
  const planned = entry.to - entry.from;
  const line = { entry, beganAt, endedAt, extraMinutes };
  if (endedAt !== null)
    return { ...line, status: 'over', from: Math.min(beganAt ?? endedAt - planned, endedAt), to: endedAt };
  if (isOver || isLeftOut) {
    const from = beganAt ?? entry.from;
    return { ...line, status: 'over', from, to: from + planned };
  }
  const expected = entry.from + lateMinutes;
  // Hands work on by themselves: a step is on from when the middle of the class comes to it.
  const isOn = beganAt !== null || (entry.kind === 'step' && isBegun && expected <= now);
  const from = beganAt ?? (isBegun && !isOn ? Math.max(expected, now) : expected);
  const to = from + planned + extraMinutes;
  if (!isOn) return { ...line, status: 'ahead', from, to };
  // Where no step is ever marked nobody can tell whether it goes on.
  if (beganAt === null && !isTold && to <= now) return { ...line, status: 'over', from, to };
  return { ...line, status: 'on', from, to: Math.max(to, now) };
}
