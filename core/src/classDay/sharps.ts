import type { ClassEvent } from './event.ts';
import { type EventOf, eventsOf, inOrder } from './inOrder.ts';
import type { ClassDayPlan, PlannedSharp } from './plan.ts';

/** A sort of sharp or hot thing, as it stands. */
export interface SharpNow {
  readonly sharp: PlannedSharp;
  readonly out: number;
  readonly in: number;
  readonly stillOut: number;
  readonly isOn: boolean;
  readonly onSince: string | null;
}

/** A tip that broke off. */
export interface TipNow {
  readonly id: string;
  readonly at: string;
  readonly seatKey: string | null;
  readonly needleId: string | null;
  readonly note: string;
  /** Null: it is still looked for. */
  readonly found: { readonly at: string; readonly where: string } | null;
}

export interface SharpsNow {
  readonly sharps: readonly SharpNow[];
  readonly tips: readonly TipNow[];
  /** Tips that nobody has found. */
  readonly openTips: number;
  readonly stillOut: number;
  readonly stillHot: number;
}

/** What is sharp or hot in the room, beside needles: out, in, on; and broken tips until they are found. */
export function sharpsNow({ sharps }: Pick<ClassDayPlan, 'sharps'>, all: readonly ClassEvent[]): SharpsNow {
  const events = inOrder(all);
  const counts = eventsOf(events, 'sharp');
  const sum = (key: string, pile: 'out' | 'in') =>
    Math.max(0, counts.reduce((total, { what }) => total + (what.key === key && what.pile === pile ? what.amount : 0), 0)); // prettier-ignore
  const lines = withStrays(sharps, events).map((sharp): SharpNow => {
    const heat = eventsOf(events, 'heat').findLast(({ what }) => what.key === sharp.key);
    const [out, back] = [sum(sharp.key, 'out'), sum(sharp.key, 'in')];
    return {
      sharp,
      out,
      in: back,
      stillOut: Math.max(0, out - back),
      isOn: heat?.what.isOn ?? false,
      onSince: heat?.what.isOn ? heat.at : null,
    };
  });
  const tips = tipsOf(events);
  return {
    sharps: lines,
    tips,
    openTips: tips.filter(({ found }) => found === null).length,
    stillOut: lines.reduce((total, { stillOut }) => total + stillOut, 0),
    stillHot: lines.filter(({ isOn }) => isOn).length,
  };
}

/** What was counted out and is no longer planned is out all the same. */
function withStrays(planned: readonly PlannedSharp[], events: readonly ClassEvent[]): PlannedSharp[] {
  const known = new Set(planned.map(({ key }) => key));
  const hot = new Set(eventsOf(events, 'heat').map(({ what }) => what.key));
  const met = new Set([...eventsOf(events, 'sharp').map(({ what }) => what.key), ...hot]);
  const strays = [...met].filter((key) => !known.has(key));
  return [...planned, ...strays.map((key) => ({ key, name: key, wanted: null, isHot: hot.has(key) }))];
}

function tipsOf(events: readonly ClassEvent[]): TipNow[] {
  const found = new Map<string, EventOf<'tip-found'>>();
  for (const event of eventsOf(events, 'tip-found')) {
    if (!found.has(event.what.tipId)) found.set(event.what.tipId, event);
  }
  return eventsOf(events, 'tip').map(({ what: { tipId, seatKey, needleId, note }, at }) => {
    const event = found.get(tipId);
    return { id: tipId, at, seatKey, needleId, note, found: event ? { at: event.at, where: event.what.where } : null };
  });
} // prettier-ignore
