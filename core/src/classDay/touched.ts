import type { ClassEvent } from './event.ts';
import { eventsOf } from './inOrder.ts';
import { doneByPieces } from './pieces.ts';
import type { ClassDayPlan, PlannedSitting, ShowEntry } from './plan.ts';
import type { RoomNow } from './room.ts';

/** A moment on the clock of the room, minutes from midnight of the run’s day. @param at ISO 8601 */
export type Clock = (at: string) => number;

/** What was spoken of an entry. Minutes of the clock. */
export interface Touched {
  readonly entry: ShowEntry;
  readonly beganAt: number | null;
  /** Everybody had it: it was spoken, or every piece of it is so. */
  readonly endedAt: number | null;
  readonly extraMinutes: number;
  /** When it was last begun, ended or given more time; null: never. */
  readonly touchedAt: number | null;
}

/** All entries of a sitting with what was spoken of them. @param events in the order in which they were done */
export function touchedOf(
  plan: ClassDayPlan,
  { entries }: PlannedSitting,
  events: readonly ClassEvent[],
  { pieces, away }: Pick<RoomNow, 'pieces' | 'away'>,
  clock: Clock,
): Touched[] {
  const [all, more] = [eventsOf(events, 'entry'), eventsOf(events, 'more')];
  return entries.map((entry) => {
    const spoken = all.filter(({ what }) => what.entryId === entry.id);
    const given = more.filter(({ what }) => what.entryId === entry.id);
    const began = spoken.find(({ what }) => what.does === 'begin');
    const had = spoken.findLast(({ what }) => what.does === 'has-it')?.at;
    const ended = had ?? (entry.stepId === null ? null : doneByPieces(plan, pieces, away, entry.stepId));
    const times = [...spoken.map(({ at }) => at), ...given.map(({ at }) => at), ...(ended ? [ended] : [])];
    return {
      entry,
      beganAt: began ? clock(began.at) : null,
      endedAt: ended === null ? null : clock(ended),
      extraMinutes: given.reduce((sum, { what }) => sum + what.minutes, 0),
      touchedAt: times.length === 0 ? null : Math.max(...times.map(clock)),
    };
  });
}

/** What was begun, ended or given time last. */
export const lastTouched = (touched: readonly Touched[]): Touched | null =>
  touched.reduce<Touched | null>(
    (last, each) =>
      each.touchedAt !== null && each.touchedAt >= (last?.touchedAt ?? Number.NEGATIVE_INFINITY)
        ? each
        : last,
    null,
  );

/** Nobody marked it, and the class is past it: it was left out, or taken along. */
export function isPassed({ entry, touchedAt }: Touched, last: Touched | null): boolean {
  if (touchedAt !== null || last === null) return false;
  return entry.kind === 'step'
    ? last.endedAt !== null && entry.to <= last.entry.to
    : entry.from < last.entry.from;
}

/** Whether any step was begun or ended by a word. */
export const areStepsMarked = (touched: readonly Touched[]): boolean =>
  touched.some(({ entry, touchedAt }) => entry.kind === 'step' && touchedAt !== null);
