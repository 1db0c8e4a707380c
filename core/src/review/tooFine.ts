import { remembered } from './remembered.ts';

/** Felt gives under a thumb: no hand brings it nearer than this, mm: ours. */
const FINEST_MM = 1;
const HALF_MM = 0.5;
/** A size so small is told in halves. */
const SMALL_MM = 10;
const TOLERANCE = /(?:±|\+\/-|plus or minus|give or take|to within)\s*(\d+(?:[.,]\d+)?)\s*(mm|cm)\b/giu;
const SIZE = /(?<![\p{L}\d.,])(\d+[.,]\d+)\s*(mm|cm)\b/giu;
const GRAMS = /(?<![\d.,])\d+[.,]\d{2,}\s*g\b/giu;
/** What is bought has the size it has. */
const BOUGHT =
  /^\s*(?:\p{L}+\s+)?(?:eyes?|beads?|bells?|buttons?|magnets?|pins?|rings?|wires?|needles?|cords?|threads?|drill|holes?)\b/iu;
const OF_BOUGHT =
  /\b(?:eye|bead|bell|button|magnet|pin|ring|wire|needle|cord|thread|drill|hole|awl)s?\b[^.;]*$/iu;

/** Sizes and weights in words that are told finer than felt can be made, or a kitchen scale shows. */
export const tooFineIn = remembered((text: string): readonly string[] => [
  ...[...text.matchAll(TOLERANCE)].flatMap(([inText, number = '', unit]) =>
    inMm(number, unit) < FINEST_MM ? [inText] : [],
  ),
  ...[...text.matchAll(SIZE)].flatMap(({ 0: inText, 1: number = '', 2: unit, index }) => {
    const mm = inMm(number, unit);
    const isBought = BOUGHT.test(text.slice(index + inText.length)) || OF_BOUGHT.test(text.slice(0, index));
    // A tolerance is told as one.
    const isTolerance = /(?:±|\+\/-|minus|take|within)\s*$/u.test(text.slice(0, index));
    return mm > SMALL_MM && !Number.isInteger(round(mm * 2)) && !isBought && !isTolerance ? [inText] : [];
  }),
  ...[...text.matchAll(GRAMS)].map(([inText]) => inText),
]);

const inMm = (number: string, unit: string | undefined): number =>
  Number(number.replace(',', '.')) * (unit?.toLowerCase() === 'cm' ? 10 : 1);

/** Without what a decimal fraction leaves in binary. */
const round = (value: number): number => Math.round(value * 1e6) / 1e6;

/** The same to half a millimetre, a tolerance to one, a weight to a tenth of a gram; null: that would be nothing. */
export function asHandsHold(inText: string): string | null {
  const [number] = /\d+(?:[.,]\d+)?/.exec(inText) ?? [];
  if (number === undefined) return null;
  const value = Number(number.replace(',', '.'));
  const isGrams = /g$/i.test(inText);
  const isCm = /cm$/i.test(inText);
  const step = isGrams ? 0.1 : isTolerance(inText) ? FINEST_MM : HALF_MM;
  const inUnit = isCm ? step / 10 : step;
  const rounded = Math.max(isTolerance(inText) ? inUnit : 0, round(Math.round(value / inUnit) * inUnit));
  return rounded === 0 ? null : inText.replace(number, String(rounded));
}

const isTolerance = (inText: string): boolean => /^\D/.test(inText);
