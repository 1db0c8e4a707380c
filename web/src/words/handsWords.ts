import { showNumber, type HandsMeasure, type LengthUnit, type Preparation } from '@lanakit/core';
import { showGrams, showHandLength } from './show.ts';
import { topsWords } from './topsWords.ts';

/** One way to measure wool out by hand, with what its rounding does. */
export function handsWords(way: HandsMeasure, unit: LengthUnit, preparation: Preparation): string {
  switch (way.kind) {
    case 'length': {
      const what = preparation === 'tops' ? 'tops' : preparation === 'yarn' ? 'yarn' : 'sliver';
      return `${topsWords(way.tops, unit, what)}${rounding(way.roundingFraction)}`;
    }
    case 'strip':
      return `a strip of batt ${showHandLength(way.lengthMm, unit)} × ${showHandLength(way.widthMm, unit)}${rounding(way.roundingFraction)}`;
    case 'square':
      return `a square of ${showHandLength(way.sideMm, unit)}${rounding(way.roundingFraction)}`;
    case 'halvings':
      return `weigh ${showGrams(way.startG)} and halve it ${timesWords(way.times)}: each within about ${showNumber(way.errorFraction * 100, 0)} %`;
    case 'hand':
      return `${way.count === 1 ? `a ${way.measure}` : `${way.count} ${PLURALS[way.measure]}`} of yours${rounding(way.offFraction)}`;
  }
}

const PLURALS = { wisp: 'wisps', pinch: 'pinches', tuft: 'tufts' } as const;

const timesWords = (times: number): string => ['', 'once', 'twice'][times] ?? `${times} times`;

/** What rounding a measure does to the grams; nothing where nobody would notice. */
function rounding(fraction: number): string {
  const percent = Math.round(fraction * 100);
  return percent === 0 ? '' : ` (${percent > 0 ? `${percent} % more` : `${-percent} % less`}, by rounding)`;
}
