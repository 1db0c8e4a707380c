import { type Static, Type } from '@sinclair/typebox';
import { discriminated, Id, oneOf, strict } from '../../base/index.ts';

export const FIGURE_SIZES = ['height', 'width', 'depth'] as const;

/** A size that is set against another: of the figure over all, or of one of its parts. */
export const MeasuredSize = discriminated('of', [
  Type.Object({ of: Type.Literal('figure'), size: oneOf(FIGURE_SIZES) }, strict),
  Type.Object(
    {
      of: Type.Literal('part'),
      partId: Id,
      size: Type.String({ maxLength: 20, description: 'a size of its shape' }),
    },
    strict,
  ),
]);
export type MeasuredSize = Static<typeof MeasuredSize>;

/** What its author wants one size to be of another, and by how much that may be off. */
export const Proportion = Type.Object(
  {
    id: Id,
    a: MeasuredSize,
    b: MeasuredSize,
    /** a ÷ b. */
    ratio: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
    toleranceFraction: Type.Number({ minimum: 0.001, maximum: 1 }),
  },
  strict,
);
export type Proportion = Static<typeof Proportion>;
