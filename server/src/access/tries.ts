/** So many wrong ones cost nothing but patience. */
const FREE = { address: 5, all: 20 } as const;
const FIRST_WAIT_MS = 1000;
const LONGEST_WAIT_MS = 15 * 60_000;
/** After so long without a wrong one it begins anew. */
const FORGOTTEN_MS = 60 * 60_000;
/** More addresses are not told apart: whoever has as many is slowed down as all. */
const MOST_ADDRESSES = 1000;

interface Counted {
  readonly wrong: number;
  readonly at: number;
}

/** Wrong passphrases, by where they come from and over all: each beyond the free ones doubles the wait. Times in ms. */
export function tries() {
  const byAddress = new Map<string, Counted>();
  let all: Counted = { wrong: 0, at: 0 };
  const fresh = (counted: Counted | undefined, now: number): Counted =>
    !counted || now - counted.at > FORGOTTEN_MS ? { wrong: 0, at: now } : counted;
  const waitOf = ({ wrong, at }: Counted, free: number, now: number): number =>
    wrong < free
      ? 0
      : Math.max(0, at + Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** Math.min(30, wrong - free)) - now);
  return {
    /** How long whoever is there has to wait; 0: they may try. */
    waitMs: (address: string, now: number): number =>
      Math.max(
        waitOf(fresh(byAddress.get(address), now), FREE.address, now),
        waitOf(fresh(all, now), FREE.all, now),
      ),
    wrong(address: string, now: number): void {
      if (byAddress.size >= MOST_ADDRESSES && !byAddress.has(address)) {
        const [oldest] = byAddress.keys();
        if (oldest !== undefined) byAddress.delete(oldest);
      }
      byAddress.set(address, { wrong: fresh(byAddress.get(address), now).wrong + 1, at: now });
      all = { wrong: fresh(all, now).wrong + 1, at: now };
    },
    /** The right one, counted like all before it was looked at, clears its own place; what others did is still there. */
    right(address: string): void {
      byAddress.delete(address);
      all = { ...all, wrong: Math.max(0, all.wrong - 1) };
    },
    /** Since it began anew: what its owner is told. */
    wrongInAll: (now: number): number => fresh(all, now).wrong,
  };
}
