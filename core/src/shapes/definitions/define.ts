import { type Static, type TProperties, Type } from '@sinclair/typebox';
import { Length, orUnknown, strict } from '../../base/index.ts';
import type { ShapeProblem } from '../problem.ts';
import type { Solid } from '../solid/solid.ts';

/** Sizes in mm by name. */
export type SizesMm<N extends string> = Readonly<Record<N, number>>;

/** Which size of a shape is drawn across and which along; null where no single size is. */
export interface SizeHandles<N extends string = string> {
  readonly across: N | null;
  readonly along: N | null;
}

/**
 * Everything there is to say of one shape; its words are said under its kind in `words/`. A new shape is a file like this
 * one's neighbours, a line in `registry.ts`, and a row in the test.
 */
export interface ShapeRules<K extends string, N extends string, P extends TProperties> {
  readonly kind: K;
  /** In the order a maker reads them. */
  readonly sizes: readonly N[];
  /** Sizes that may be nought: a point, or no wire within. */
  readonly mayBeNought?: readonly N[];
  /** What it has beside its sizes. */
  readonly properties: P;
  /** The same as it begins. */
  readonly blank: { readonly [Key in keyof P]: Static<P[Key]> };
  /** What is changed when a drawn piece is pulled wider or longer. */
  readonly handles: SizeHandles<N>;
  /** Its body, all sizes given; null: an outline nobody has drawn. Without it the body follows from its wool. */
  readonly solid?: (sizes: SizesMm<N>, beside: { readonly [Key in keyof P]: Static<P[Key]> }) => Solid | null;
  /** A body of so much wool, > 0 mm³; without it a ball. */
  readonly bodyOfWool?: (sizes: SizesMm<N>, volumeMm3: number) => Solid;
  /** Sizes, as far as they are given, that make no such shape. @param pointer JSON pointer of the shape */
  readonly problems?: (
    sizes: Partial<SizesMm<N>>,
    beside: { readonly [Key in keyof P]: Static<P[Key]> },
    pointer: string,
  ) => ShapeProblem[];
}

/** A size not given yet is null: unknown, never zero. */
const Size = orUnknown(Length);

/** With the schema of its part in a document, sizes as typed. */
export const defineShape = <const K extends string, const N extends string, P extends TProperties>(
  rules: ShapeRules<K, N, P>,
) => ({
  ...rules,
  schema: Type.Object(
    {
      kind: Type.Literal(rules.kind),
      ...(Object.fromEntries(rules.sizes.map((name) => [name, Size])) as Record<N, typeof Size>),
      ...rules.properties,
    },
    strict,
  ),
});

/** By more than the noise of inches turned into millimetres: 1 in is 25.4 mm whatever the last bit says. */
export const isLess = (aMm: number, bMm: number): boolean => aMm < bMm * (1 - 1e-12);
