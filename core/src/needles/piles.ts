/** Where needles of a class are. What went out is all the others together, and what is still out. */
export type Pile = 'out' | 'in' | 'broken' | 'sold' | 'missing' | 'given-up';

/** Piles a hand counts into; the others come about when the count is closed, and after. */
export const TAPPED = ['out', 'in', 'broken', 'sold'] as const satisfies readonly Pile[];

export type Tapped = (typeof TAPPED)[number];
