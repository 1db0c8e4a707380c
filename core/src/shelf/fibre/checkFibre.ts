import { type Bounds, checkName, isCalendarDate } from '../../base/index.ts';
import { checkColour, checkNumbers, sameName } from '../checks/checkFields.ts';
import type { ShelfProblem } from '../checks/problem.ts';
import type { FibreInput } from './fibre.ts';
import type { FibreNumberName } from './fibreNumbers.ts';
import type { LotInput } from './lot.ts';

/** Bounds a real fibre lies well within; outside them it is a slip of the keyboard. */
export const FIBRE_BOUNDS = {
  stapleMm: { min: 5, max: 400 },
  linearGPerM: { min: 0.1, max: 200 },
  arealGPerM2: { min: 5, max: 3000 },
  loftGPerCm3: { min: 0.001, max: 0.45 },
  smallestPartMm: { min: 0.5, max: 200 },
  hidingGPerM2: { min: 10, max: 500 },
  densityFactor: { min: 0.3, max: 2.25 },
  sheetLengthMm: { min: 20, max: 50_000 },
  sheetWidthMm: { min: 20, max: 5000 },
  pricePer100gMinor: { min: 0, max: 1_000_000 },
} as const satisfies Record<FibreNumberName | 'sheetLengthMm' | 'sheetWidthMm' | 'pricePer100gMinor', Bounds>;

/** What makes a fibre impossible, each beside its field. */
export function checkFibre(fibre: FibreInput): ShelfProblem[] {
  return [
    ...checkName(fibre.name),
    ...checkColour(fibre.colour, '/colour'),
    ...checkNumbers(fibre, FIBRE_BOUNDS, ''),
  ];
}

/** What makes a lot impossible. @param others names of the fibre's other lots */
export function checkLot(lot: LotInput, others: readonly string[]): ShelfProblem[] {
  const { colour, ...numbers } = lot.overrides;
  const isTaken = others.some((other) => sameName(other, lot.name));
  return [
    ...checkName(lot.name),
    ...(isTaken ? [{ code: 'name_taken', pointer: '/name', name: lot.name.trim() } as const] : []),
    ...(lot.receivedOn !== null && !isCalendarDate(lot.receivedOn)
      ? [{ code: 'date_not_read', pointer: '/receivedOn', text: lot.receivedOn } as const]
      : []),
    ...(colour === null ? [] : checkColour(colour, '/overrides/colour')),
    ...checkNumbers(numbers, FIBRE_BOUNDS, '/overrides'),
    ...checkNumbers(lot, { pricePer100gMinor: FIBRE_BOUNDS.pricePer100gMinor }, ''),
  ];
}
