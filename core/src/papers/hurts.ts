import type { Caution } from '../pattern/index.ts';

/** What hurts somebody, worst first; what cannot be undone hurts only the figure. */
export const HURTS: readonly Caution[] = [
  'needle',
  'blade',
  'wire-end',
  'hot',
  'glue',
  'small-part',
  'allergy',
];
