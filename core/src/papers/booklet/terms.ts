import { type Static, Type } from '@sinclair/typebox';
import { oneOf, strict } from '../../base/index.ts';

/** What a booklet may have in it, in the order it usually stands in. */
export const BOOKLET_PARTS = [
  'before',
  'needs',
  'cuts',
  'pieces',
  'guide',
  'needles',
  'steps',
  'techniques',
  'trouble',
  'hands',
  'care',
  'glossary',
  'sources',
  'companions',
  'rights',
] as const;
export type BookletPartName = (typeof BOOKLET_PARTS)[number];

/** What it is for: each begins with its own settings. */
export const BOOKLET_ENDS = ['sell', 'teach', 'oneself'] as const;
export type BookletEnd = (typeof BOOKLET_ENDS)[number];

export const BOOKLET_PAGES = ['a4', 'a5', 'a5-folded', 'letter'] as const;
export type BookletPage = (typeof BOOKLET_PAGES)[number];

/** Its type is smaller, and has one column. Folded: two pages on each side of a sheet of A4. */
export const isSmallPage = (page: BookletPage): boolean => page === 'a5' || page === 'a5-folded';

/** How a booklet is set, and what is in it. */
export const BookletTerms = Type.Object(
  {
    reader: oneOf(['kit', 'pattern'] as const),
    /** In this order; what is not named is left out. */
    parts: Type.Array(oneOf(BOOKLET_PARTS), { maxItems: BOOKLET_PARTS.length, uniqueItems: true }),
    page: oneOf(BOOKLET_PAGES),
    columns: Type.Union([Type.Literal(1), Type.Literal(2)]),
    /** Large: 18 points. */
    type: oneOf(['usual', 'large'] as const),
    isStepAPage: Type.Boolean(),
    /** Saving: nothing is filled, fibre is told by name and hatching alone. */
    ink: oneOf(['colour', 'saving'] as const),
    hasPictures: Type.Boolean(),
    /** Millimetres and inches side by side. */
    hasBothUnits: Type.Boolean(),
  },
  strict,
);
export type BookletTerms = Static<typeof BookletTerms>;

const USUAL: BookletTerms = {
  reader: 'pattern',
  parts: [...BOOKLET_PARTS],
  page: 'a4',
  columns: 1,
  type: 'usual',
  isStepAPage: false,
  ink: 'colour',
  hasPictures: true,
  hasBothUnits: false,
};

/** To sell: all of it. To teach: with the kit beside it, without what an instructor says. For oneself: short, saving ink. */
export const BOOKLET_TERMS: Readonly<Record<BookletEnd, BookletTerms>> = {
  sell: USUAL,
  teach: {
    ...USUAL,
    reader: 'kit',
    parts: ['needs', 'pieces', 'needles', 'steps', 'trouble', 'hands', 'rights'],
  },
  oneself: { ...USUAL, parts: ['needs', 'cuts', 'pieces', 'steps'], page: 'a5', ink: 'saving' },
};
