import { byCodePoint } from '../base/index.ts';
import type { ActOf, ClassAct, ClassEvent } from './event.ts';

/** An event of one sort. */
export type EventOf<K extends ClassAct['act']> = Omit<ClassEvent, 'what'> & { readonly what: ActOf<K> };

/**
 * What happened, in the order in which it was done, without what was taken back. The same whichever way and however often events
 * came in, so that devices that know the same events show the same class.
 */
export function inOrder(events: readonly ClassEvent[]): ClassEvent[] {
  const byKey = new Map(events.map((event) => [event.key, event]));
  const all = [...byKey.values()].toSorted((a, b) => moment(a) - moment(b) || byCodePoint(a.key, b.key));
  const gone = new Set(all.flatMap(({ what }) => (what.act === 'back' ? [what.key] : [])));
  return all.filter(({ key, what }) => what.act !== 'back' && !gone.has(key));
}

const moment = ({ at }: Pick<ClassEvent, 'at'>): number => Date.parse(at);

/** Those of one sort. */
export const eventsOf = <K extends ClassAct['act']>(events: readonly ClassEvent[], act: K): EventOf<K>[] =>
  events.filter(({ what }) => what.act === act) as unknown as EventOf<K>[];
