import { Type, type Static } from '@sinclair/typebox';
import { Length, oneOf, orUnknown } from '../base/index.ts';

/** A size not given yet is null: unknown, never zero. */
const Size = orUnknown(Length);

/** How thick hair lies along its line. */
export const HAIR_WEIGHTS = ['light', 'medium', 'full'] as const;
export type HairWeight = (typeof HAIR_WEIGHTS)[number];
/** Laid across and folded over its middle, or held by one end. */
export const HAIR_FIXED = ['middle', 'end'] as const;
export type HairFixed = (typeof HAIR_FIXED)[number];

const strict = { additionalProperties: false } as const;

/** A part's finished shape, sizes as typed. */
const AnyShape = Type.Union([
  Type.Object({ kind: Type.Literal('ball'), diameter: Size }, strict),
  Type.Object({ kind: Type.Literal('ellipsoid'), length: Size, width: Size, height: Size }, strict),
  Type.Object(
    {
      kind: Type.Literal('egg'),
      length: Size,
      diameter: Size,
      widestAtFraction: Type.Number({
        minimum: 0.1,
        maximum: 0.9,
        description: 'of the length, from the blunt end',
      }),
    },
    strict,
  ),
  Type.Object({ kind: Type.Literal('limb'), length: Size, diameter: Size }, strict),
  Type.Object({ kind: Type.Literal('taper'), length: Size, thickEnd: Size, thinEnd: Size }, strict),
  Type.Object({ kind: Type.Literal('flat-ellipse'), length: Size, width: Size, thickness: Size }, strict),
  Type.Object(
    {
      kind: Type.Literal('plate'),
      length: Size,
      width: Size,
      thickness: Size,
      /** Radius of its corners; null: square. */
      corner: orUnknown(Length),
    },
    strict,
  ),
  Type.Object({ kind: Type.Literal('drop'), length: Size, diameter: Size }, strict),
  Type.Object({ kind: Type.Literal('dome'), diameter: Size, rise: Size }, strict),
  Type.Object({ kind: Type.Literal('cone'), rise: Size, diameter: Size }, strict),
  Type.Object({ kind: Type.Literal('ring'), outer: Size, rope: Size }, strict),
  Type.Object({ kind: Type.Literal('box'), length: Size, width: Size, height: Size }, strict),
  Type.Object({ kind: Type.Literal('coil'), length: Size, thickEnd: Size, thinEnd: Size }, strict),
  Type.Object({ kind: Type.Literal('sleeve'), length: Size, diameter: Size, wire: Size }, strict),
  Type.Object(
    {
      kind: Type.Literal('flat-outline'),
      path: Type.String({ maxLength: 200_000, description: 'SVG path data, closed, any unit, even-odd' }),
      /** Real height of the whole outline. */
      length: Size,
      thickness: Size,
    },
    strict,
  ),
  Type.Object(
    {
      kind: Type.Literal('patch'),
      length: Size,
      width: Size,
      onPartId: orUnknown(Type.String({ maxLength: 40, description: 'what it is laid on' })),
    },
    strict,
  ),
  Type.Object(
    {
      kind: Type.Literal('fringe'),
      line: Size,
      drop: Size,
      weight: oneOf(HAIR_WEIGHTS),
      fixed: oneOf(HAIR_FIXED),
      trimFraction: Type.Number({ minimum: 0, maximum: 0.9, description: 'cut off after it is fixed' }),
    },
    strict,
  ),
  Type.Object({ kind: Type.Literal('by-count') }, strict),
  Type.Object(
    {
      kind: Type.Literal('by-grams'),
      massG: orUnknown(Type.Number({ exclusiveMinimum: 0, maximum: 10_000 })),
    },
    strict,
  ),
]);
export type Shape = Static<typeof AnyShape>;

/** The same with its discriminator said, so that a checker names the one wrong size and not every other shape. */
export const Shape = Type.Unsafe<Shape>({
  type: 'object',
  discriminator: { propertyName: 'kind' },
  required: ['kind'],
  oneOf: AnyShape.anyOf,
});
export type ShapeKind = Shape['kind'];

/** The sizes of each shape, in the order a maker reads them. */
export const SHAPE_SIZES = {
  ball: ['diameter'],
  ellipsoid: ['length', 'width', 'height'],
  egg: ['length', 'diameter'],
  limb: ['length', 'diameter'],
  taper: ['length', 'thickEnd', 'thinEnd'],
  'flat-ellipse': ['length', 'width', 'thickness'],
  plate: ['length', 'width', 'thickness'],
  drop: ['length', 'diameter'],
  dome: ['diameter', 'rise'],
  cone: ['rise', 'diameter'],
  ring: ['outer', 'rope'],
  box: ['length', 'width', 'height'],
  coil: ['length', 'thickEnd', 'thinEnd'],
  sleeve: ['length', 'diameter', 'wire'],
  'flat-outline': ['length', 'thickness'],
  patch: ['length', 'width'],
  fringe: ['line', 'drop'],
  'by-count': [],
  'by-grams': [],
} as const satisfies Record<ShapeKind, readonly string[]>;

export type SizeName = (typeof SHAPE_SIZES)[ShapeKind][number];
export const SHAPE_KINDS = Object.keys(SHAPE_SIZES) as ShapeKind[];

/** Widest two fifths up from the blunt end, as most bodies are. */
const DEFAULT_WIDEST_AT_FRACTION = 0.4;

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
  return { kind, ...sizes, ...BESIDE_SIZES[kind] } as Shape;
}

/** What a shape has beside its sizes, as it begins. */
const BESIDE_SIZES: Readonly<Partial<Record<ShapeKind, Readonly<Record<string, unknown>>>>> = {
  egg: { widestAtFraction: DEFAULT_WIDEST_AT_FRACTION },
  'flat-outline': { path: '' },
  plate: { corner: null },
  patch: { onPartId: null },
  fringe: { weight: 'medium', fixed: 'middle', trimFraction: 0.15 },
  'by-grams': { massG: null },
};

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
