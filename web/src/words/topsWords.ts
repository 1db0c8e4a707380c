import type { LengthUnit, TopsLength } from '@lanakit/core';
import { showGrams, showHandLength } from './show.ts';

/** A length of tops, or of sliver, as hands take it. */
export function topsWords(
  tops: TopsLength,
  unit: LengthUnit,
  what: 'tops' | 'sliver' | 'yarn' = 'tops',
): string {
  switch (tops.kind) {
    case 'pull':
      return `≈ ${showHandLength(tops.lengthMm, unit)} of ${what}`;
    case 'split':
      return tops.ways === 1
        ? `${showHandLength(tops.lengthMm, unit)} of ${what}, the staple (${showGrams(tops.trueG)})`
        : `${showHandLength(tops.lengthMm, unit)} of ${what} split lengthwise in ${tops.ways} (${showGrams(tops.trueG)})`;
    case 'too-little':
      return 'a wisp, too little to measure';
  }
}
