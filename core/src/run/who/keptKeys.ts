import type { Seat } from '../document/seat.ts';

const plain = (name: string): string => name.trim().toLowerCase();

/** Of each name that comes once, whose it is. */
function byName(roster: readonly Seat[]): Map<string, Seat> {
  const found = new Map<string, Seat>();
  const twice = new Set<string>();
  for (const seat of roster) {
    const name = plain(seat.name);
    if (name === '') continue;
    if (found.has(name)) twice.add(name);
    found.set(name, seat);
  }
  for (const name of twice) found.delete(name);
  return found;
}

/**
 * A list of people in the place of another: who is called the same is the same, wherever they sit now, and what was weighed for
 * them stays theirs. Everybody else is somebody new.
 */
export function withKeptKeys(before: readonly Seat[], after: readonly Seat[]): Seat[] {
  const [known, named] = [byName(before), byName(after)];
  const keyOf = (seat: Seat): string | null => {
    const name = plain(seat.name);
    return named.get(name) === seat ? (known.get(name)?.key ?? null) : null;
  };
  const taken = new Set(after.flatMap((seat) => keyOf(seat) ?? []));
  return after.map((seat) => {
    const kept = keyOf(seat);
    if (kept !== null) return { ...seat, key: kept };
    let key = String(seat.seat);
    while (taken.has(key)) key += '+';
    taken.add(key);
    return { ...seat, key };
  });
}
