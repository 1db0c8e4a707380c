import { type Bounds, checkWhole, oneOf, orUnknown } from '../../base/index.ts';
import { checkColour, checkNumbers } from '../checks/checkFields.ts';
import type { ShelfProblem } from '../checks/problem.ts';
import { Type, type Static } from '@sinclair/typebox';

export const PROFILES = ['triangular', 'star', 'spiral', 'crown', 'reverse'] as const;
export type Profile = (typeof PROFILES)[number];

/** What tells needles in a room apart: a word and a colour of the maker's own. */
const Mark = Type.Object(
  { word: Type.String({ maxLength: 30 }), colour: Type.String({ maxLength: 40 }) },
  { additionalProperties: false },
);

/** A sort of needle. Where the gauge is unknown, the maker's size word or mark names it. */
export const NeedleInput = Type.Object(
  {
    gauge: orUnknown(Type.Number({ description: '32 coarse – 42 fine' })),
    sizeWord: Type.String({ maxLength: 30, description: 'the maker’s own, such as “large”' }),
    profile: orUnknown(oneOf(PROFILES)),
    reachMm: orUnknown(Type.Number({ description: 'from the tip to the last barb' })),
    mark: orUnknown(Mark),
    priceMinor: orUnknown(Type.Integer({ description: 'each, integer minor units' })),
    place: Type.String({ maxLength: 60 }),
    note: Type.String({ maxLength: 400 }),
    archived: Type.Boolean(),
  },
  { additionalProperties: false },
);
export type NeedleInput = Static<typeof NeedleInput>;

export interface Needle extends NeedleInput {
  readonly id: string;
  readonly version: number;
  readonly onHand: number | null;
  readonly peak: number;
}

export const NEEDLE_BOUNDS = {
  gauge: { min: 32, max: 42 },
  reachMm: { min: 2, max: 60 },
  priceMinor: { min: 0, max: 100_000 },
} as const satisfies Record<string, Bounds>;

export const BLANK_NEEDLE: NeedleInput = {
  gauge: null,
  sizeWord: '',
  profile: null,
  reachMm: null,
  mark: null,
  priceMinor: null,
  place: '',
  note: '',
  archived: false,
};

/** What makes a needle impossible: also one that nobody could ask for by name. */
export function checkNeedle(needle: NeedleInput): ShelfProblem[] {
  const { gauge, mark } = needle;
  const isNameless = gauge === null && needle.sizeWord.trim() === '' && (mark?.word ?? '').trim() === '';
  return [
    ...(isNameless ? [{ code: 'needle_nameless', pointer: '/gauge' } as const] : []),
    ...(gauge === null ? [] : checkWhole(gauge, NEEDLE_BOUNDS.gauge, '/gauge')),
    ...checkNumbers(needle, { reachMm: NEEDLE_BOUNDS.reachMm, priceMinor: NEEDLE_BOUNDS.priceMinor }, ''),
    ...(mark ? checkColour(mark.colour, '/mark/colour') : []),
  ];
}

/** What a needle is called: `38 star, sea`; `large, plum`. Number and mark, whatever is known. */
export function needleName({ gauge, sizeWord, profile, mark }: NeedleInput): string {
  const first = [gauge === null ? '' : String(gauge), sizeWord.trim(), profile ?? ''].filter(
    (word) => word !== '',
  );
  const words = [first.join(' '), mark?.word.trim() ?? ''].filter((word) => word !== '');
  return words.join(', ');
}
