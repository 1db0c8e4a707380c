import { Type, type Static } from '@sinclair/typebox';
import { FIRMNESSES } from '../fibre/index.ts';
import { oneOf, orUnknown } from '../schema/oneOf.ts';
import { Shape } from '../shapes/index.ts';
import { Length } from '../units/index.ts';

const strict = { additionalProperties: false } as const;
const Id = Type.String({ minLength: 1, maxLength: 40, pattern: '^[A-Za-z0-9_-]+$' });
const FibreId = orUnknown(Id);

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

/** Wool on a part. `coat: null` leaves the core bare; a null fibre is not chosen yet, so its amount is unknown. */
export const Part = Type.Object(
  {
    id: Id,
    name: Type.String({ maxLength: 80 }),
    shape: Shape,
    count: Type.Number({ description: 'how many alike' }),
    firmness: oneOf(FIRMNESSES),
    core: Type.Object({ fibreId: FibreId }, strict),
    coat: Type.Union([Type.Object({ fibreId: FibreId }, strict), Type.Null()]),
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

/** A pattern as it is stored: one document per revision. */
export const Pattern = Type.Object(
  {
    format: Type.Literal('lanakit-pattern'),
    formatVersion: Type.Literal(1),
    title: Type.String({ maxLength: 120 }),
    finishedHeight: Type.Union([Length, Type.Null()]),
    level: oneOf(LEVELS),
    lengthUnit: Type.Union([Type.Literal('mm'), Type.Literal('in')], {
      description: 'of bare numbers and derived sizes',
    }),
    parts: Type.Array(Part, { maxItems: 200 }),
    steps: Type.Array(Step, { maxItems: 500 }),
  },
  strict,
);
export type Pattern = Static<typeof Pattern>;
