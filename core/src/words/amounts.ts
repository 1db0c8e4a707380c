import { majorOf, type MassRangeG, showNumber } from '../base/index.ts';
import type { KnownUse } from '../engine/index.ts';
import type { Count } from '../pattern/index.ts';
import type { StockUnit } from '../shelf/index.ts';

/** With its first letter large. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/**
 * A calendar day as a person says it; on paper, which is kept, with its year.
 * @param date YYYY-MM-DD; anything else is given back
 */
export function showDay(date: string, { year = false }: { readonly year?: boolean } = {}): string {
  const day = new Date(`${date}T12:00:00`);
  return Number.isNaN(day.getTime())
    ? date
    : day
        .toLocaleDateString('en-GB', {
          weekday: 'short',
          day: 'numeric',
          month: 'short',
          ...(year && { year: 'numeric' }),
        })
        .replace(',', '');
}

/** How many, as it is known: `4`, `10–14`. */
export const showCountRange = ({ low, high }: { readonly low: number; readonly high: number }): string =>
  low === high ? String(low) : `${low}–${high}`;

/** Grams for reading: two decimals under 1, one above. The unit is always there. */
export const showGrams = (massG: number): string => `${showGramNumber(massG)} g`;

/** Grams as their author states them from – to; one number where both are the same. */
export function showGramRange(lowG: number, highG: number): string {
  const [low, high] = [lowG, highG].map((massG) => showNumber(massG, massG < 1 ? 2 : 1));
  return low === high ? showGrams(lowG) : `${low}–${high} g`;
}

/** A calculated mass: about this much. */
export function showLikely(massG: number): string {
  const words = showGrams(massG);
  return words.startsWith('<') ? words : `≈ ${words}`;
}

/** What was added or taken away, on a scale of this step: `+3.2 g`. */
export const showChange = (massG: number, scaleStepG: number): string =>
  `${massG > 0 ? '+' : '−'}${showWeighed(Math.abs(massG), scaleStepG)}`;

/** The same without its unit, for a column that has it in its heading. */
export function showGramNumber(massG: number): string {
  if (massG > 0 && massG < 0.005) return '<0.01';
  return massG < 1 ? massG.toFixed(2) : massG.toFixed(1);
}

/** Grams that were weighed in whole scale steps: as many decimals as the step has. */
export const showWeighed = (massG: number, scaleStepG: number): string =>
  `${showWeighedNumber(massG, scaleStepG)} g`;

/** The same without its unit. */
export const showWeighedNumber = (massG: number, scaleStepG: number): string =>
  massG.toFixed((String(scaleStepG).split('.')[1] ?? '').length);

export const counted = (count: number, singular: string, many = `${singular}s`): string =>
  `${count} ${count === 1 ? singular : many}`;

/** An amount of a finding in the unit it is kept in. */
export function findingAmount(amount: number, unit: StockUnit): string {
  switch (unit) {
    case 'm':
      return amount < 1 ? `${showNumber(amount * 100, 1)} cm` : `${showNumber(amount, 2)} m`;
    case 'cm2':
      return `${showNumber(amount, 0)} cm²`;
    case 'ml':
      return `${showNumber(amount, 1)} ml`;
    case 'piece':
      return showNumber(amount, 1);
    case 'g':
      return showGrams(amount);
  }
}

/** Grams of one piece: as their author states them, from – to; else about so much. */
export const showUseGrams = ({ range, pieceG }: Pick<KnownUse, 'range' | 'pieceG'>): string =>
  range ? showGramRange(range.lowG, range.highG) : showLikely(pieceG);

/** A number of pieces as a person says it: 4, 24–32, or that nobody has said. */
export const showCount = (count: Count): string =>
  count === null ? 'how many?' : typeof count === 'number' ? String(count) : `${count.low}–${count.high}`;

/** ×4 beside a name; nothing for one. */
export const timesWords = (count: Count): string => (count === 1 ? '' : ` ×${showCount(count)}`);

/** From the low to the high end. */
export const showRange = ({ lowG, highG }: MassRangeG): string =>
  `${showGramNumber(lowG)}–${showGramNumber(highG)} g`;

/** Money of the studio’s own currency, from its minor units: 1250 is 12.50. */
export const showMoney = (minor: number): string => majorOf(minor).toFixed(2);
