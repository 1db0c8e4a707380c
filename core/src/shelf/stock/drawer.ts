/** How a drawer stands, as fractions of the most it need hold. */
export interface Drawer {
  /** What is there. */
  readonly fillFraction: number;
  /** What runs ahead will take. */
  readonly promisedFraction: number;
  readonly free: number;
  /** What runs ahead will take and is not there; 0 when there is enough. */
  readonly short: number;
}

/**
 * How full a drawer is against what runs will take. Full is the most the ledger ever held, or what runs want if that
 * is more. Null when nothing was ever counted: that is not an empty drawer.
 */
export function drawerOf(onHand: number | null, peak: number, promised: number): Drawer | null {
  if (onHand === null) return null;
  const full = Math.max(peak, promised, onHand);
  const held = Math.max(0, onHand);
  return {
    fillFraction: full > 0 ? held / full : 0,
    promisedFraction: full > 0 ? promised / full : 0,
    free: Math.max(0, onHand - promised),
    short: Math.max(0, promised - onHand),
  };
}
