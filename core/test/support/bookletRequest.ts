import { bookletOf, BOOKLET_TERMS, type BookletRequest, type BookletTerms } from '../../src/papers/index.ts';
import { NO_SURROUNDINGS } from '../../src/pattern/index.ts';
import { bird, coastWool } from './coast.ts';

/** What a booklet of the bird is made from, or of another build. */
export const request = (build = bird, more: Partial<BookletTerms> = {}): BookletRequest => ({
  whole: build,
  build,
  what: ['revision 2'],
  notes: [],
  terms: { ...BOOKLET_TERMS.sell, ...more },
  needles: [],
  packed: null,
  surroundings: NO_SURROUNDINGS,
  sources: { suppliers: [], blends: [] },
  translation: null,
});
export const booklet = (build = bird, more: Partial<BookletTerms> = {}) =>
  bookletOf(request(build, more), coastWool);

/** Gaps that may not be broken, as others. */
export const spaced = (text: string): string => text.replaceAll('\u00A0', ' ');
