import { Type, type Static } from '@sinclair/typebox';
import { type Bounds, Id, oneOf, orUnknown, strict } from '../../base/index.ts';

/** What another pattern is to this one: made before it, or going with it. */
export const RELATIONS = ['before', 'companion'] as const;
export type Relation = (typeof RELATIONS)[number];

export const RelatedPattern = Type.Object(
  {
    id: Id,
    relation: oneOf(RELATIONS),
    /** A pattern of the studio; null: somebody else’s, or one that is not there. */
    patternId: orUnknown(Id),
    /** What it is called; of one that is there it is called what it is called now. */
    title: Type.String({ maxLength: 120 }),
    /** Where it can be had; empty: nobody has said. */
    where: Type.String({ maxLength: 300 }),
  },
  strict,
);
export type RelatedPattern = Static<typeof RelatedPattern>;

export const SERIES_NUMBER: Bounds = { min: 1, max: 999 };

/** What a pattern is one of. Those that name the same are of the same series. */
export const Series = Type.Object(
  {
    name: Type.String({ minLength: 1, maxLength: 80 }),
    /** Null: it has no order. */
    number: orUnknown(Type.Integer({ minimum: SERIES_NUMBER.min, maximum: SERIES_NUMBER.max })),
  },
  strict,
);
export type Series = Static<typeof Series>;
