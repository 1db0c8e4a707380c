import { Type, type Static } from '@sinclair/typebox';
import { discriminated, Id, Length, oneOf, orUnknown, strict } from '../../base/index.ts';

const Name = Type.String({ maxLength: 80 });
const Words = Type.String({ maxLength: 300 });

/** What an option may switch. A picture is one on a step. */
const THING_KINDS = ['part', 'use', 'join', 'cut', 'finding', 'step', 'picture', 'pose'] as const;
export type ThingKind = (typeof THING_KINDS)[number];

export const ThingRef = Type.Object({ kind: oneOf(THING_KINDS), id: Id }, strict);
export type ThingRef = Static<typeof ThingRef>;

/** One answer to an option. What it names is made only where one of the values that name it is chosen. */
const OptionValue = Type.Object(
  { id: Id, name: Name, things: Type.Array(ThingRef, { maxItems: 200 }) },
  strict,
);
type OptionValue = Static<typeof OptionValue>;

/** One of several, or an extra: yes or no (two values, `yes` and `no`). */
export const Option = Type.Object(
  {
    id: Id,
    name: Name,
    kind: oneOf(['one-of', 'extra'] as const),
    values: Type.Array(OptionValue, { maxItems: 12 }),
    defaultValueId: orUnknown(Id),
  },
  strict,
);
export type Option = Static<typeof Option>;

const ValueRef = Type.Object({ optionId: Id, valueId: Id }, strict);
export type ValueRef = Static<typeof ValueRef>;

/** Two answers that go only together, or never. */
export const OptionLimit = Type.Object(
  { id: Id, kind: oneOf(['needs', 'not-with'] as const), a: ValueRef, b: ValueRef, reason: Words },
  strict,
);
export type OptionLimit = Static<typeof OptionLimit>;

/** A named place for a fibre that a colourway fills: every use and cover listed takes the same. */
export const FibreSlot = Type.Object(
  {
    id: Id,
    name: Name,
    places: Type.Array(Type.Object({ kind: oneOf(['use', 'join'] as const), id: Id }, strict), {
      maxItems: 200,
    }),
    /** Its fibre has to be darker (or lighter) than another slot’s. */
    rule: orUnknown(Type.Object({ is: oneOf(['darker', 'lighter'] as const), thanSlotId: Id }, strict)),
  },
  strict,
);
export type FibreSlot = Static<typeof FibreSlot>;

/** Slots not filled keep the fibre they are written with. */
export const Colourway = Type.Object(
  {
    id: Id,
    name: Name,
    fills: Type.Array(Type.Object({ slotId: Id, fibreId: Id }, strict), { maxItems: 40 }),
  },
  strict,
);
export type Colourway = Static<typeof Colourway>;

/** What is taken in a swap, by what becomes of the place it is taken for. */
export const Taken = discriminated('kind', [
  /** Wool of another fibre, in the same place. */
  Type.Object({ kind: Type.Literal('fibre'), fibreId: orUnknown(Id) }, strict),
  /** A thing: another one, or in place of wool, as many as there are pieces of it. */
  Type.Object({ kind: Type.Literal('finding'), findingId: orUnknown(Id) }, strict),
  /** Wool in place of things that are set on: a dot for each. */
  Type.Object(
    {
      kind: Type.Literal('dots'),
      fibreId: orUnknown(Id),
      diameter: orUnknown(Length),
      /** Null: calculated from the diameter. */
      eachG: orUnknown(Type.Number({ exclusiveMinimum: 0, maximum: 1000 })),
    },
    strict,
  ),
]);
export type Taken = Static<typeof Taken>;

/** Something that may be taken instead, and all that it changes. */
export const Swap = Type.Object(
  {
    id: Id,
    of: Type.Object({ kind: oneOf(['use', 'join', 'finding', 'cut'] as const), id: Id }, strict),
    to: Taken,
    /** How many times the amount; grams that are calculated follow the new fibre by themselves. */
    amountFactor: Type.Number({ exclusiveMinimum: 0, maximum: 20 }),
    moreMinutes: Type.Number({ minimum: -240, maximum: 240 }),
    /** What is read instead in these steps. */
    steps: Type.Array(Type.Object({ stepId: Id, text: Type.String({ maxLength: 4000 }) }, strict), {
      maxItems: 20,
    }),
    look: Words,
  },
  strict,
);
export type Swap = Static<typeof Swap>;

/** What somebody has chosen. Options left out are at their default. */
export interface Choices {
  readonly values: Readonly<Record<string, string>>;
  readonly colourwayId: string | null;
  readonly swapIds: readonly string[];
}

export const NO_CHOICES: Choices = { values: {}, colourwayId: null, swapIds: [] };
