import type { Pattern } from '../pattern/index.ts';

/** Of a pattern: all that its grams follow from. Where none of it changes, as when words are typed, no estimate does. */
export const ESTIMATED_FROM = [
  'parts',
  'joins',
  'joinsApart',
  'cuts',
  'findings',
  'shared',
  'weighedMakeG',
  'lengthUnit',
  'stance',
] as const satisfies readonly (keyof Pattern)[];
