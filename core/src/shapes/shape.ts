import { type Static, Type } from '@sinclair/typebox';
import type { Length } from '../base/index.ts';
import type { SizeHandles } from './definitions/define.ts';
import { SHAPE_DEFINITIONS } from './definitions/registry.ts';

type Definitions = typeof SHAPE_DEFINITIONS;
export type ShapeKind = keyof Definitions;

/** A part's finished shape, sizes as typed. */
export type Shape = { [K in ShapeKind]: Static<Definitions[K]['schema']> }[ShapeKind];

/** Its discriminator is said, so that a checker names the one wrong size and not every other shape. */
export const Shape = Type.Unsafe<Shape>({
  type: 'object',
  discriminator: { propertyName: 'kind' },
  required: ['kind'],
  oneOf: Object.values(SHAPE_DEFINITIONS).map(({ schema }) => schema),
});

export type SizeName = Definitions[ShapeKind]['sizes'][number];
export const SHAPE_KINDS = Object.keys(SHAPE_DEFINITIONS) as ShapeKind[];

/** One thing of every definition, by kind. */
const ofEach = <T>(pick: (definition: Definitions[ShapeKind]) => T): Readonly<Record<ShapeKind, T>> =>
  Object.fromEntries(SHAPE_KINDS.map((kind) => [kind, pick(SHAPE_DEFINITIONS[kind])])) as Record<
    ShapeKind,
    T
  >;

/** The sizes of each shape, in the order a maker reads them. */
export const SHAPE_SIZES = ofEach((definition): readonly SizeName[] => definition.sizes);

/** What is changed when a drawn piece is pulled wider or longer. */
export const SIZE_HANDLES = ofEach((definition): SizeHandles<SizeName> => definition.handles);

/** The sizes of a shape by name; null where not given. */
export function sizesOf(shape: Shape): ReadonlyMap<SizeName, Length | null> {
  const fields = shape as Readonly<Record<string, unknown>>;
  return new Map(SHAPE_SIZES[shape.kind].map((name) => [name, (fields[name] ?? null) as Length | null]));
}

/** A shape of another kind that keeps every size the two have in common. */
export function reshape(shape: Shape, kind: ShapeKind): Shape {
  const kept = sizesOf(shape);
  const sizes = Object.fromEntries(
    SHAPE_SIZES[kind].map((name) => [name, kept.get(name) ?? likeSize(kept, name)]),
  );
  return { kind, ...sizes, ...SHAPE_DEFINITIONS[kind].blank } as Shape;
}

/** The size that plays the same role under another name: a diameter is a width, and the thick end of a taper. */
const ALIKE: Readonly<Partial<Record<SizeName, readonly SizeName[]>>> = {
  diameter: ['width', 'thickEnd', 'outer'],
  width: ['diameter', 'thickEnd'],
  thickEnd: ['diameter', 'width'],
  length: ['rise', 'diameter', 'outer', 'line'],
  rise: ['length', 'height'],
  outer: ['diameter', 'width'],
  rope: ['thickness'],
  line: ['length'],
  drop: ['length'],
};

function likeSize(kept: ReadonlyMap<SizeName, Length | null>, name: SizeName): Length | null {
  for (const other of ALIKE[name] ?? []) {
    const size = kept.get(other);
    if (size) return size;
  }
  return null;
}

/** This shape with one size replaced. */
export function withSize(shape: Shape, name: SizeName, size: Length | null): Shape {
  return { ...shape, [name]: size };
}
