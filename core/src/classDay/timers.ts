import type { ClassEvent } from './event.ts';
import { eventsOf, inOrder } from './inOrder.ts';

/** Something that runs by itself, and rings on every device. */
export interface TimerNow {
  readonly id: string;
  readonly name: string;
  /** ISO 8601. */
  readonly startedAt: string;
  readonly rings: number;
  /** Until it rings, milliseconds; below nought: it has rung for so long. */
  readonly leftMs: number;
}

/** Timers nobody has put out, the one that rings first first. @param nowMs on the studio’s clock */
export function timersNow(all: readonly ClassEvent[], nowMs: number): TimerNow[] {
  const events = inOrder(all);
  const off = new Set(eventsOf(events, 'timer-off').map(({ what }) => what.timerId));
  const more = eventsOf(events, 'timer-more');
  const seen = new Set<string>();
  return eventsOf(events, 'timer')
    .flatMap(({ what: { timerId, name, minutes }, at }): TimerNow[] => {
      if (off.has(timerId) || seen.has(timerId)) return [];
      seen.add(timerId);
      const extra = more.reduce((sum, { what }) => sum + (what.timerId === timerId ? what.minutes : 0), 0);
      const rings = Date.parse(at) + (minutes + extra) * MINUTE_MS;
      return [{ id: timerId, name, startedAt: at, rings, leftMs: rings - nowMs }];
    })
    .toSorted((a, b) => a.rings - b.rings);
}

const MINUTE_MS = 60_000;

/** How much more a timer is given so that it rings so long from now; of one that still runs, so much more. */
export const minutesToRingIn = ({ leftMs }: Pick<TimerNow, 'leftMs'>, minutes: number): number =>
  minutes - Math.min(0, leftMs) / MINUTE_MS;
