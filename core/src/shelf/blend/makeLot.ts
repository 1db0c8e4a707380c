import { Type, type Static } from '@sinclair/typebox';

/** A lot of a blend as it was made: what was weighed out of which lot. */
export const BlendLotMade = Type.Object(
  {
    name: Type.String({ maxLength: 60 }),
    note: Type.String({ maxLength: 400 }),
    place: Type.String({ maxLength: 60 }),
    from: Type.Array(
      Type.Object(
        {
          itemId: Type.String({ minLength: 1, maxLength: 40 }),
          lotId: Type.String({ minLength: 1, maxLength: 40 }),
          massG: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }),
        },
        { additionalProperties: false },
      ),
      { minItems: 1, maxItems: 60 },
    ),
  },
  { additionalProperties: false },
);
export type BlendLotMade = Static<typeof BlendLotMade>;
