import { Type, type Static } from '@sinclair/typebox';
import { Id, strict } from '../schema/discriminated.ts';
import { oneOf, orUnknown } from '../schema/oneOf.ts';
import { Length } from '../units/index.ts';
import { Count } from './count.ts';

const Size = orUnknown(Length);

export const JOIN_METHODS = ['needled', 'sewn', 'glued', 'wired', 'wrapped'] as const;
export type JoinMethod = (typeof JOIN_METHODS)[number];

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
    /** The unfelted tail that goes into the other part; `length` null: one diameter, 10 to 30 mm. */
    looseEnd: orUnknown(Type.Object({ partId: Id, length: Size }, strict)),
    /** Across the place where they meet; null: as thick as the part set on is there. */
    across: Size,
    /** How deep the part is sunk into the other. */
    sink: Size,
    /** A wrap of wool over the join; `band` null: a third of the diameter on each side, at least 8 mm. */
    cover: orUnknown(
      Type.Object(
        {
          fibreId: orUnknown(Id),
          band: Size,
          words: Type.String({ maxLength: 200 }),
          isIfNeeded: Type.Boolean(),
        },
        strict,
      ),
    ),
  },
  strict,
);
export type Join = Static<typeof Join>;
