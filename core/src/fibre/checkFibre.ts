import { checkRange, type Problem } from '../problems/index.ts';
import { isColour } from './colour.ts';
import type { FibreInput } from './fibre.ts';

/** Bounds a real fibre lies well within; outside them it is a slip of the keyboard. */
export const FIBRE_BOUNDS = {
  linearGPerM: { min: 0.1, max: 200 },
  stapleMm: { min: 5, max: 400 },
  pricePer100gMinor: { min: 0, max: 1_000_000 },
  onHandG: { min: 0, max: 1_000_000 },
} as const;

/** What makes a fibre impossible, each beside its field. */
export function checkFibre(fibre: FibreInput): Problem[] {
  const problems: Problem[] = [];
  if (fibre.name.trim() === '') problems.push({ code: 'title_empty', pointer: '/name' });
  if (!isColour(fibre.colour))
    problems.push({ code: 'colour_not_read', pointer: '/colour', text: fibre.colour });
  for (const [field, bounds] of Object.entries(FIBRE_BOUNDS)) {
    const value = fibre[field as keyof typeof FIBRE_BOUNDS];
    if (value !== null) problems.push(...checkRange(value, bounds, `/${field}`));
  }
  return problems;
}
