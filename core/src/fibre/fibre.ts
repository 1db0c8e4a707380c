import { Type, type Static } from '@sinclair/typebox';
import { oneOf, orUnknown } from '../schema/oneOf.ts';

export const PREPARATIONS = ['core-batt', 'batt', 'carded', 'tops'] as const;
export type Preparation = (typeof PREPARATIONS)[number];

/** What the maker says of a fibre on the shelf. Unknown is null. */
export const FibreInput = Type.Object(
  {
    name: Type.String({ maxLength: 80 }),
    preparation: oneOf(PREPARATIONS),
    colour: Type.String({ maxLength: 40, description: 'sRGB as #rrggbb' }),
    linearGPerM: orUnknown(Type.Number({ description: 'tops: grams per metre' })),
    stapleMm: orUnknown(Type.Number({ description: 'fibre length; shorter pieces cannot be pulled' })),
    pricePer100gMinor: orUnknown(Type.Integer({ description: 'integer minor units, e.g. cents' })),
    onHandG: orUnknown(
      Type.Number({
        description: 'what is there now, counted; a change is entered in the stock ledger. null: not counted',
      }),
    ),
    archived: Type.Boolean(),
  },
  { additionalProperties: false },
);
export type FibreInput = Static<typeof FibreInput>;

/** A fibre as the shelf holds it. `onHandG` is the sum of its stock movements; null when there are none. */
export interface Fibre extends FibreInput {
  readonly id: string;
  readonly version: number;
}
