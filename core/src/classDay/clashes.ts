import type { ClassAct, ClassEvent } from './event.ts';
import { inOrder } from './inOrder.ts';

/** Two devices said different things of the same, and neither knew of the other’s. */
export interface Clash {
  readonly kept: ClassEvent;
  readonly lost: ClassEvent;
}

/** What an act says something of, and what: of the same subject the last holds. Null: it adds, and nothing is lost. */
function saysOf(what: ClassAct): { readonly of: string; readonly is: string } | null {
  switch (what.act) {
    case 'sitting':
      return { of: `sitting ${what.sessionId}`, is: what.does };
    case 'here':
      return { of: `here ${what.seatKey}`, is: String(what.isHere) };
    case 'piece':
      return { of: `piece ${what.seatKey} ${what.partId}`, is: String(what.state) };
    case 'help':
      return { of: `help ${what.seatKey}`, is: String(what.isWanted) };
    case 'finished':
      return { of: `finished ${what.seatKey}`, is: String(what.isFinished) };
    case 'heat':
      return { of: `heat ${what.key}`, is: String(what.isOn) };
    default:
      return null;
  }
}

/** Neither device had heard of the other’s when it was done. */
const areApart = (a: ClassEvent, b: ClassEvent): boolean =>
  a.from !== b.from && a.seen < b.seq && b.seen < a.seq;

/**
 * Where two devices said different things of the same without knowing it: what was done later is kept. A clash is over as soon as
 * somebody who knew of both says anew.
 */
export function clashesOf(all: readonly ClassEvent[]): Clash[] {
  const last = new Map<string, ClassEvent>();
  const clashes = new Map<string, Clash>();
  for (const event of inOrder(all)) {
    const says = saysOf(event.what);
    if (!says) continue;
    const before = last.get(says.of);
    const isOther = before !== undefined && saysOf(before.what)?.is !== says.is;
    if (before && isOther && areApart(before, event)) clashes.set(says.of, { kept: event, lost: before });
    else clashes.delete(says.of);
    last.set(says.of, event);
  }
  return [...clashes.values()];
}
