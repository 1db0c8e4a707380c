import { type LengthUnit, MM_PER_INCH, showInches, showNumber } from '../base/index.ts';
import type { HandsMeasure, TopsLength } from '../engine/index.ts';
import type { Preparation } from '../shelf/index.ts';
import { showGrams } from './amounts.ts';

/** Lengths in the hand: to 5 mm, or to ¼ inch. */
export function showHandLength(lengthMm: number, unit: LengthUnit): string {
  if (unit === 'in') {
    const quarter = MM_PER_INCH / 4;
    return `${showInches(Math.max(1, Math.round(lengthMm / quarter)) / 4)} in`;
  }
  const rounded = Math.max(5, Math.round(lengthMm / 5) * 5);
  return `${showNumber(rounded / 10, 1)} cm`;
}

/** One way to measure wool out by hand. */
export function measureByHand(way: HandsMeasure, unit: LengthUnit, preparation: Preparation): string {
  switch (way.kind) {
    case 'length': {
      const what = preparation === 'tops' ? 'tops' : preparation === 'yarn' ? 'yarn' : 'sliver';
      return topsWords(way.tops, unit, what);
    }
    case 'strip':
      return `a strip of batt ${showHandLength(way.lengthMm, unit)} × ${showHandLength(way.widthMm, unit)}`;
    case 'square':
      return `a square of ${showHandLength(way.sideMm, unit)}`;
    case 'halvings':
      return `weigh ${showGrams(way.startG)} and halve it ${timesWords(way.times)}`;
    case 'hand':
      return `${way.count === 1 ? `a ${way.measure}` : `${way.count} ${PLURALS[way.measure]}`} of yours`;
  }
}

/** The same with what its rounding does. */
export function handsWords(way: HandsMeasure, unit: LengthUnit, preparation: Preparation): string {
  const words = measureByHand(way, unit, preparation);
  switch (way.kind) {
    case 'length':
      return (
        words +
        (way.tops.kind === 'split' ? ` (${showGrams(way.tops.trueG)})` : '') +
        rounding(way.roundingFraction)
      );
    case 'strip':
    case 'square':
      return words + rounding(way.roundingFraction);
    case 'halvings':
      return `${words}: each within about ${showNumber(way.errorFraction * 100, 0)} %`;
    case 'hand':
      return words + rounding(way.offFraction);
  }
}

const PLURALS = { wisp: 'wisps', pinch: 'pinches', tuft: 'tufts' } as const;

const timesWords = (times: number): string => ['', 'once', 'twice'][times] ?? `${times} times`;

/** What rounding a measure does to the grams; nothing where nobody would notice. */
function rounding(fraction: number): string {
  const percent = Math.round(fraction * 100);
  return percent === 0 ? '' : ` (${percent > 0 ? `${percent} % more` : `${-percent} % less`}, by rounding)`;
}

/** A length of tops, or of sliver, as hands take it. */
function topsWords(tops: TopsLength, unit: LengthUnit, what: 'tops' | 'sliver' | 'yarn'): string {
  switch (tops.kind) {
    case 'pull':
      return `≈ ${showHandLength(tops.lengthMm, unit)} of ${what}`;
    case 'split':
      return tops.ways === 1
        ? `${showHandLength(tops.lengthMm, unit)} of ${what}, the staple`
        : `${showHandLength(tops.lengthMm, unit)} of ${what} split lengthwise in ${tops.ways}`;
    case 'too-little':
      return 'a wisp, too little to measure';
  }
}
