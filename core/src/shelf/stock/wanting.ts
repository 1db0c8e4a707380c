/**
 * What of a thing has to be bought: what is wanted beyond what is on hand and not promised to others. Null where nobody has
 * counted.
 */
export const wantingOf = (wanted: number, onHand: number | null, promised = 0): number | null =>
  onHand === null ? null : Math.max(0, wanted - Math.max(0, onHand - promised));
