import { Type, type Static } from '@sinclair/typebox';
import { Id, oneOf, strict } from '../../base/index.ts';
import { SeatChoices } from './seat.ts';

/** What a box holds: everything; wool and findings for who has the rest; nothing but the paper. */
export const BOX_FORMS = ['full', 'refill', 'pattern-only'] as const;
export type BoxForm = (typeof BOX_FORMS)[number];

/** One design in a box, so many times. */
export const BoxDesign = Type.Object(
  {
    revisionId: Id,
    copies: Type.Integer({ minimum: 1, maximum: 24 }),
    choices: SeatChoices,
  },
  strict,
);
export type BoxDesign = Static<typeof BoxDesign>;

/** A sort of box, and how many of it are made. */
export const BoxRecipe = Type.Object(
  {
    id: Id,
    name: Type.String({ maxLength: 80 }),
    boxes: Type.Number(),
    spares: Type.Number(),
    form: oneOf(BOX_FORMS),
    designs: Type.Array(BoxDesign, { maxItems: 12 }),
    /** Sorts of needle that the figures want and a full box does not give: `38-star`. */
    needlesLeftOut: Type.Array(Type.String({ maxLength: 30 }), { maxItems: 20 }),
    /** The box itself, tissue, a card: findings of the shelf, so many to a box. */
    packaging: Type.Array(
      Type.Object({ findingId: Id, count: Type.Integer({ minimum: 1, maximum: 100 }) }, strict),
      { maxItems: 20 },
    ),
  },
  strict,
);
export type BoxRecipe = Static<typeof BoxRecipe>;

/** A box of one design, as it is started. */
export const blankRecipe = (id: string, revisionId: string): BoxRecipe => ({
  id,
  name: 'Box',
  boxes: 6,
  spares: 0,
  form: 'full',
  designs: [{ revisionId, copies: 1, choices: { values: {}, colourwayId: null, swapIds: [] } }],
  needlesLeftOut: [],
  packaging: [],
});
