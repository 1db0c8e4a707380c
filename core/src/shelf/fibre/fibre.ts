import { oneOf, orUnknown, strict } from '../../base/index.ts';
import { FibreNumbers, FINENESSES } from './fibreNumbers.ts';
import type { Lot } from './lot.ts';
import { Type, type Static } from '@sinclair/typebox';

export const PREPARATIONS = [
  'core-batt',
  'batt',
  'carded',
  'tops',
  'locks',
  'pre-felt',
  'felt',
  'yarn',
  'loose',
] as const;
export type Preparation = (typeof PREPARATIONS)[number];

/** What someone may react to, or what was done to the fibre. */
export const FIBRE_FLAGS = [
  'lanolin',
  'animal-hair',
  'plant',
  'silk',
  'synthetic',
  'superwash',
  'may-bleed',
  'mothproofed',
  'scented',
] as const;
export type FibreFlag = (typeof FIBRE_FLAGS)[number];

/** What the maker says of a fibre on the shelf. Unknown is null. */
export const FibreInput = Type.Object(
  {
    name: Type.String({ maxLength: 80 }),
    otherNames: Type.Array(Type.String({ maxLength: 60 }), { maxItems: 12 }),
    kind: Type.String({ maxLength: 60, description: 'breed or kind, in the maker’s words' }),
    preparation: oneOf(PREPARATIONS),
    colour: Type.String({ maxLength: 40, description: 'sRGB as #rrggbb' }),
    feltsAlone: orUnknown(Type.Boolean({ description: 'null: as its preparation does' })),
    fineness: orUnknown(oneOf(FINENESSES)),
    ...FibreNumbers.properties,
    sheetLengthMm: orUnknown(Type.Number()),
    sheetWidthMm: orUnknown(Type.Number()),
    flags: Type.Array(oneOf(FIBRE_FLAGS), { maxItems: FIBRE_FLAGS.length }),
    note: Type.String({ maxLength: 400 }),
    pricePer100gMinor: orUnknown(Type.Integer({ description: 'integer minor units, e.g. cents' })),
    archived: Type.Boolean(),
  },
  strict,
);
export type FibreInput = Static<typeof FibreInput>;

/** A fibre as the shelf holds it, lots oldest first. */
export interface Fibre extends FibreInput {
  readonly id: string;
  readonly version: number;
  readonly lots: readonly Lot[];
  /** The sum of its lots' movements; null when nothing was ever counted. */
  readonly onHandG: number | null;
  /** The most its ledger ever held. */
  readonly peakG: number;
}

/** A fibre of which nothing is known but its name. */
export const BLANK_FIBRE: FibreInput = {
  name: '',
  otherNames: [],
  kind: '',
  preparation: 'carded',
  colour: '#b7b2a6',
  feltsAlone: null,
  fineness: null,
  stapleMm: null,
  linearGPerM: null,
  arealGPerM2: null,
  loftGPerCm3: null,
  smallestPartMm: null,
  hidingGPerM2: null,
  densityFactor: null,
  sheetLengthMm: null,
  sheetWidthMm: null,
  flags: [],
  note: '',
  pricePer100gMinor: null,
  archived: false,
};
