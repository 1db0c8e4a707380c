import { Type, type Static } from '@sinclair/typebox';
import { discriminated, Id, Length, oneOf, orUnknown, strict } from '../../base/index.ts';
import { Count } from './count.ts';
import { Placement } from './placement.ts';

const Size = orUnknown(Length);

export const JOIN_METHODS = ['needled', 'sewn', 'glued', 'wired', 'wrapped'] as const;
export type JoinMethod = (typeof JOIN_METHODS)[number];

export const ACROSS_BY = ['thickness', 'contact'] as const;

/** The wool of one loose end, where its part's section does not tell it. */
const LooseEndAmount = discriminated('by', [
  Type.Object(
    { by: Type.Literal('grams'), massG: orUnknown(Type.Number({ exclusiveMinimum: 0, maximum: 1000 })) },
    strict,
  ),
  /** As long as the end is, of tops split lengthwise. */
  Type.Object(
    {
      by: Type.Literal('sliver'),
      ways: Type.Integer({ minimum: 1, maximum: 64, description: 'split lengthwise in so many' }),
    },
    strict,
  ),
]);
type LooseEndAmount = Static<typeof LooseEndAmount>;

/** One part set onto another. Wool of a join belongs to no part, so it is kept here. */
export const Join = Type.Object(
  {
    id: Id,
    /** What is set on. */
    partId: Id,
    /** What it is set onto. */
    ontoId: Id,
    method: oneOf(JOIN_METHODS),
    /** How many such joins; null: one for each piece that is set on. */
    count: Count,
    /**
     * The unfelted tail that goes into the other part. `length` null: as long as is usual for its shape, which for round
     * ones is none. `ends`: one, or one at each end. `amount` null: of the rolled part's section; for what is not rolled
     * grams, or a sliver of so many ways.
     */
    looseEnd: orUnknown(
      Type.Object(
        {
          partId: Id,
          length: Size,
          ends: Type.Integer({ minimum: 1, maximum: 2 }),
          amount: orUnknown(LooseEndAmount),
        },
        strict,
      ),
    ),
    /** Across the place where they meet; null: as `acrossBy` tells. */
    across: Size,
    /**
     * By what the join is as wide as it is, where nobody typed it: the thickness of the part set on, or its contact, as
     * wide as the two surfaces meet where it sits. Cover and loose end follow from it.
     */
    acrossBy: oneOf(ACROSS_BY),
    /** How deep the part is sunk into the other. */
    sink: Size,
    /** Snipped into the other, for the part to go into; `length` along the surface; null: none. */
    slot: orUnknown(Type.Object({ length: Size, depth: Size }, strict)),
    /** Where on the other its pieces sit; null: nobody has said, and it is proposed. */
    placement: orUnknown(Placement),
    /** A wrap of wool over the join; `band` null: a third of the diameter on each side, at least 8 mm. */
    cover: orUnknown(
      Type.Object(
        {
          fibreId: orUnknown(Id),
          band: Size,
          words: Type.String({ maxLength: 200 }),
          /** For which size they were written, of the present one, linear. */
          wordsSizeFraction: Type.Number({ exclusiveMinimum: 0 }),
          isIfNeeded: Type.Boolean(),
        },
        strict,
      ),
    ),
  },
  strict,
);
export type Join = Static<typeof Join>;
