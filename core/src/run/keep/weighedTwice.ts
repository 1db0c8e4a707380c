import type { RunTick } from './tick.ts';

/** A tick with whose it is. */
export interface SignedTick extends RunTick {
  /** The key the device made for itself; null: it said none. */
  readonly from: string | null;
}

/** A portion that two devices weighed, neither taking the other’s back: the wool of one lies somewhere. */
export interface WeighedTwice {
  readonly mark: string;
  readonly kept: SignedTick;
  readonly lost: SignedTick;
}

/**
 * Portions that were weighed on one device and again on another. Taken back and weighed anew it is told no longer.
 * @param history every tick of a run, in the order in which they came in
 */
export function weighedTwice(history: readonly SignedTick[]): WeighedTwice[] {
  const last = new Map<string, SignedTick>();
  const twice = new Map<string, WeighedTwice>();
  for (const tick of history) {
    // What is laid in, or packed, is so whoever says it.
    if (tick.massG === 0) continue;
    const before = last.get(tick.mark);
    if (!tick.isDone) {
      last.delete(tick.mark);
      twice.delete(tick.mark);
      continue;
    }
    if (before && isOther(before, tick)) twice.set(tick.mark, { mark: tick.mark, kept: tick, lost: before });
    last.set(tick.mark, tick);
  }
  return [...twice.values()];
}

const isOther = (a: SignedTick, b: SignedTick): boolean =>
  a.from !== null && b.from !== null ? a.from !== b.from : (a.device ?? '') !== (b.device ?? '');
