import { Type, type Static } from '@sinclair/typebox';
import { FIRMNESSES, PACKINGS } from '../fibre/index.ts';
import { discriminated, Id, strict } from '../schema/discriminated.ts';
import { oneOf, orUnknown } from '../schema/oneOf.ts';
import { Shape } from '../shapes/index.ts';
import { Length } from '../units/index.ts';
import { Count } from './count.ts';
import { Cut } from './cut.ts';
import { Join } from './join.ts';
import { Use } from './use.ts';

export const LEVELS = ['first-timer', 'some-practice', 'practised'] as const;
export type Level = (typeof LEVELS)[number];

/** In the order they come up in the making; a step belongs to one. */
export const STAGES = [
  'skeleton',
  'core',
  'shape',
  'coat',
  'join',
  'detail',
  'hair',
  'mount',
  'finish',
] as const;
export type Stage = (typeof STAGES)[number];

const SizeOfShape = Type.String({ maxLength: 20, description: 'a size of the shape' });

/** A size that follows from something else. */
export const DerivedSize = discriminated('from', [
  /** What a bought or found thing is inside, less room to go in. */
  Type.Object(
    { from: Type.Literal('finding'), size: SizeOfShape, findingId: orUnknown(Id), clearance: Length },
    strict,
  ),
  /** So many times a size of another part. */
  Type.Object(
    {
      from: Type.Literal('part'),
      size: SizeOfShape,
      partId: orUnknown(Id),
      ofSize: SizeOfShape,
      ratio: Type.Number({ exclusiveMinimum: 0, maximum: 20 }),
    },
    strict,
  ),
]);
export type DerivedSize = Static<typeof DerivedSize>;

/** What the author measured on a sample: evidence for how this fibre felts. */
export const Sample = Type.Object(
  {
    /** Across, rolled up and felted. */
    rolled: orUnknown(Length),
    felted: orUnknown(Length),
    /** One finished piece on the scale, grams. */
    massG: orUnknown(Type.Number({ exclusiveMinimum: 0, maximum: 10_000 })),
  },
  strict,
);
export type Sample = Static<typeof Sample>;

/** One piece, or several alike. Its finished size is over everything that is on it. */
export const Part = Type.Object(
  {
    id: Id,
    name: Type.String({ maxLength: 80 }),
    shape: Shape,
    /** Sizes of the shape that follow from something else; the shape's own are null there. */
    derived: Type.Array(DerivedSize, { maxItems: 4 }),
    count: Count,
    firmness: oneOf(FIRMNESSES),
    /** How the core is packed before felting; null: rolled tight, flat pieces laid loose. */
    packing: orUnknown(oneOf(PACKINGS)),
    /** From the inside out. */
    uses: Type.Array(Use, { maxItems: 40 }),
    sample: orUnknown(Sample),
  },
  strict,
);
export type Part = Static<typeof Part>;

export const Step = Type.Object(
  {
    id: Id,
    text: Type.String({ maxLength: 4000 }),
    partIds: Type.Array(Id, { maxItems: 200 }),
    stage: oneOf(STAGES),
    needle: Type.Union([
      Type.Object({ gauge: Type.Number({ description: '32 coarse – 42 fine' }) }, strict),
      Type.Null(),
    ]),
    minutes: Type.Union([Type.Number({ description: 'active, at the author’s pace' }), Type.Null()]),
  },
  strict,
);
export type Step = Static<typeof Step>;

/** One stated weight that several uses take from. */
export const SharedWeight = Type.Object(
  {
    id: Id,
    name: Type.String({ maxLength: 80 }),
    massG: orUnknown(Type.Number({ exclusiveMinimum: 0, maximum: 10_000 })),
    isWeighed: Type.Boolean(),
  },
  strict,
);
export type SharedWeight = Static<typeof SharedWeight>;

/** Something counted that is put on and takes no wool's place: eyes, a bell, a pin back. */
export const FindingUse = Type.Object(
  {
    id: Id,
    findingId: orUnknown(Id),
    partId: orUnknown(Id),
    count: Count,
  },
  strict,
);
export type FindingUse = Static<typeof FindingUse>;

/** A pattern as it is stored: one document per revision. */
export const Pattern = Type.Object(
  {
    format: Type.Literal('lanakit-pattern'),
    formatVersion: Type.Literal(2),
    title: Type.String({ maxLength: 120 }),
    finishedHeight: Type.Union([Length, Type.Null()]),
    level: oneOf(LEVELS),
    lengthUnit: Type.Union([Type.Literal('mm'), Type.Literal('in')], {
      description: 'of bare numbers and derived sizes',
    }),
    parts: Type.Array(Part, { maxItems: 200 }),
    joins: Type.Array(Join, { maxItems: 400 }),
    /** Wool of joins goes into a bag of its own, or it is used up on the body. */
    joinsApart: Type.Boolean(),
    cuts: Type.Array(Cut, { maxItems: 100 }),
    findings: Type.Array(FindingUse, { maxItems: 100 }),
    shared: Type.Array(SharedWeight, { maxItems: 40 }),
    steps: Type.Array(Step, { maxItems: 500 }),
  },
  strict,
);
export type Pattern = Static<typeof Pattern>;
