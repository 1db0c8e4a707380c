import { type Static, Type } from '@sinclair/typebox';
import { oneOf, strict } from '../../base/index.ts';

/** What goes into a box beside the wool, in the order it is met. */
export const CARD_NAMES = ['insert', 'contents', 'needles', 'sharps', 'missing', 'certificate'] as const;
export type CardName = (typeof CARD_NAMES)[number];

/** Boxes are opened by who knows nothing of them; who comes to a class is told, and has been there. */
export const CARDS_FOR: Readonly<Record<'class' | 'kits', readonly CardName[]>> = {
  kits: CARD_NAMES.filter((name) => name !== 'certificate'),
  class: CARD_NAMES.filter((name) => name !== 'insert'),
};

/** Of the inside of a box, and so of what fits on a sheet. */
export const BOX_BOUNDS = { widthMm: { min: 60, max: 194 }, heightMm: { min: 60, max: 267 } } as const;

const insideMm = ({ min, max }: { readonly min: number; readonly max: number }) =>
  Type.Number({ minimum: min, maximum: max });

/** Which cards, for which box, on which paper. */
export const CardTerms = Type.Object(
  {
    cards: Type.Array(oneOf(CARD_NAMES), { maxItems: CARD_NAMES.length, uniqueItems: true }),
    /** Inside of the box the cards lie flat in. */
    boxWidthMm: insideMm(BOX_BOUNDS.widthMm),
    boxHeightMm: insideMm(BOX_BOUNDS.heightMm),
    page: oneOf(['a4', 'letter'] as const),
    ink: oneOf(['colour', 'saving'] as const),
    hasMarks: Type.Boolean(),
    /** Every pack its own, or what is alike once. */
    of: oneOf(['packs', 'kinds'] as const),
  },
  strict,
);
export type CardTerms = Static<typeof CardTerms>;

/** A card goes in and comes out again: so much less than the box, in all. */
const PLAY_MM = 4;

export const cardSizeMm = ({ boxWidthMm, boxHeightMm }: Pick<CardTerms, 'boxWidthMm' | 'boxHeightMm'>) => ({
  widthMm: boxWidthMm - PLAY_MM,
  heightMm: boxHeightMm - PLAY_MM,
});

export const CARD_TERMS: Readonly<Record<'class' | 'kits', CardTerms>> = {
  kits: {
    cards: ['insert', 'contents', 'needles', 'sharps', 'missing'],
    boxWidthMm: 101,
    boxHeightMm: 145,
    page: 'a4',
    ink: 'colour',
    hasMarks: true,
    of: 'packs',
  },
  class: {
    cards: ['needles', 'sharps'],
    boxWidthMm: 101,
    boxHeightMm: 145,
    page: 'a4',
    ink: 'colour',
    hasMarks: true,
    of: 'kinds',
  },
};
