import { Type, type Static } from '@sinclair/typebox';
import { oneOf, orUnknown } from '../../base/index.ts';
import { FibreNumbers, FINENESSES } from './fibreNumbers.ts';

/** What a lot has that its fibre has not; null: as the fibre. */
export const LotOverrides = Type.Object(
  {
    colour: orUnknown(Type.String({ maxLength: 40 })),
    feltsAlone: orUnknown(Type.Boolean()),
    fineness: orUnknown(oneOf(FINENESSES)),
    ...FibreNumbers.properties,
  },
  { additionalProperties: false },
);
export type LotOverrides = Static<typeof LotOverrides>;

/** One delivery of a fibre. */
export const LotInput = Type.Object(
  {
    name: Type.String({ maxLength: 60 }),
    note: Type.String({ maxLength: 400, description: 'prints on what is packed from it' }),
    place: Type.String({ maxLength: 60 }),
    receivedOn: orUnknown(Type.String({ maxLength: 10, description: 'calendar date, YYYY-MM-DD' })),
    pricePer100gMinor: orUnknown(Type.Integer({ description: 'what was paid, integer minor units' })),
    overrides: LotOverrides,
  },
  { additionalProperties: false },
);
export type LotInput = Static<typeof LotInput>;

export interface Lot extends LotInput {
  readonly id: string;
  readonly version: number;
  /** The sum of its movements; null when it was never counted. */
  readonly onHandG: number | null;
}

export const NO_OVERRIDES: LotOverrides = {
  colour: null,
  feltsAlone: null,
  fineness: null,
  stapleMm: null,
  linearGPerM: null,
  arealGPerM2: null,
  loftGPerCm3: null,
  smallestPartMm: null,
  hidingGPerM2: null,
  densityFactor: null,
};

export const blankLot = (name: string): LotInput => ({
  name,
  note: '',
  place: '',
  receivedOn: null,
  pricePer100gMinor: null,
  overrides: NO_OVERRIDES,
});
