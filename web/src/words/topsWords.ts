import type { LengthUnit, TopsLength } from '@lanakit/core';
import { showGrams, showHandLength } from './show.ts';

/** A length of tops as hands take it. */
export function topsWords(tops: TopsLength, unit: LengthUnit): string {
  switch (tops.kind) {
    case 'pull':
      return `≈ ${showHandLength(tops.lengthMm, unit)} of tops`;
    case 'split':
      return tops.ways === 1
        ? `${showHandLength(tops.lengthMm, unit)} of tops, the staple (${showGrams(tops.trueG)})`
        : `${showHandLength(tops.lengthMm, unit)} of tops split lengthwise in ${tops.ways} (${showGrams(tops.trueG)})`;
    case 'too-little':
      return 'a wisp, too little to measure';
  }
}
