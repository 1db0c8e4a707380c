import { Type, type Static } from '@sinclair/typebox';
import { discriminated, Id, oneOf, orUnknown, strict } from '../../base/index.ts';
import { WantedByFeel, WantedByGauge } from '../../shelf/index.ts';
import { Minutes } from './minutes.ts';
import { STAGES } from './stage.ts';

/** What is done in a step, where nothing more has to be said of it than the word. */
export const PLAIN_ACTS = [
  'make',
  'tack',
  'join',
  'felt',
  'wrap',
  'cut',
  'sew',
  'glue',
  'wait',
  'check',
] as const;

/** In the order they are offered. */
export const ACT_KINDS = [...PLAIN_ACTS, 'choose', 'decide', 'stand-in'] as const;
export type ActKind = (typeof ACT_KINDS)[number];

export const Act = discriminated('kind', [
  Type.Object({ kind: oneOf(PLAIN_ACTS) }, strict),
  /** Chosen on the figure: all of these are in the bag, one stays on, the others go back. */
  Type.Object({ kind: Type.Literal('choose'), findingUseIds: Type.Array(Id, { maxItems: 10 }) }, strict),
  /** An early choice that later steps recall: which way the wrap runs. */
  Type.Object(
    {
      kind: Type.Literal('decide'),
      question: Type.String({ maxLength: 200 }),
      answers: Type.Array(Type.String({ maxLength: 80 }), { maxItems: 6 }),
    },
    strict,
  ),
  /** Something put in the place of another thing until a later step. */
  Type.Object(
    {
      kind: Type.Literal('stand-in'),
      standsFor: Type.String({ maxLength: 80 }),
      untilStepId: orUnknown(Id),
    },
    strict,
  ),
]);
export type Act = Static<typeof Act>;

const STEP_PLACES = ['in-hand', 'on-surface', 'on-template', 'in-place'] as const;
export type StepPlace = (typeof STEP_PLACES)[number];

export const STROKES = [
  'toward-centre',
  'straight-down',
  'at-a-slant',
  'along',
  'one-direction',
  'edges-first',
  /** Round a rim or a seam. */
  'round-a-rim',
  /** Line beside line, there and back. */
  'in-passes',
  /** Close along the surface. */
  'skimmed',
  /** In and straight out again. */
  'dipped',
  /** With the tip, sideways over the surface. */
  'swept',
  'sideways-at-an-end',
  'from-both-sides',
  /** Right through, out at the other side and back. */
  'through-and-out',
  /** Again and again in one spot, to draw it in. */
  'in-one-spot',
  /** Deep in one spot, to make it smaller there. */
  'deep-in-a-spot',
] as const;
export type Stroke = (typeof STROKES)[number];

export const DEPTHS = ['light', 'half', 'through'] as const;
export type Depth = (typeof DEPTHS)[number];

/** What a part is after a step, from the first wool to the scissors. */
export const PART_STATES = [
  'rolled',
  'tacked',
  'half-firm',
  'felted',
  'joined',
  'covered',
  'trimmed',
] as const;
export type PartState = (typeof PART_STATES)[number];

export const CAUTIONS = [
  'needle',
  'blade',
  'hot',
  'glue',
  'wire-end',
  'small-part',
  'allergy',
  'irreversible',
] as const;
export type Caution = (typeof CAUTIONS)[number];

/** What to look at before going on, and what to do when it is not so. */
export const Check = Type.Object(
  {
    id: Id,
    look: Type.String({ maxLength: 200, description: 'what to look at' }),
    how: Type.String({ maxLength: 200 }),
    pass: Type.String({ maxLength: 200, description: 'what is so when it is right' }),
    remedy: Type.String({ maxLength: 300 }),
    returnToStepId: orUnknown(Id),
  },
  strict,
);
export type Check = Static<typeof Check>;

/** The needle of a step: its stage's, one of its own, or none at all. */
const StepNeedle = discriminated('by', [
  Type.Object({ by: Type.Literal('stage') }, strict),
  WantedByGauge,
  WantedByFeel,
  Type.Object({ by: Type.Literal('none') }, strict),
]);
type StepNeedle = Static<typeof StepNeedle>;

/** A step has room for so many. */
export const MOST_STEP_PICTURES = 8;

const Words = (maxLength: number) => Type.String({ maxLength });

export const Step = Type.Object(
  {
    id: Id,
    /** Markdown. */
    text: Words(4000),
    /** Sentences only for those who have the kit, and only for those who have the pattern alone. */
    readers: Type.Object({ kit: Words(1000), pattern: Words(1000) }, strict),
    act: Act,
    stage: oneOf(STAGES),
    place: orUnknown(oneOf(STEP_PLACES)),
    partIds: Type.Array(Id, { maxItems: 200 }),
    joinIds: Type.Array(Id, { maxItems: 200 }),
    /** Written once, ticked so many times; `times` null: once for each piece it acts on. A note for each time. */
    repeat: orUnknown(
      Type.Object(
        {
          times: orUnknown(Type.Integer({ minimum: 1, maximum: 100 })),
          notes: Type.Array(Words(120), { maxItems: 100 }),
        },
        strict,
      ),
    ),
    needle: StepNeedle,
    /** Needles in the holder; null: one, in the fingers. */
    holder: orUnknown(Type.Integer({ minimum: 1, maximum: 20 })),
    stroke: orUnknown(oneOf(STROKES)),
    depth: orUnknown(oneOf(DEPTHS)),
    /** When to change the needle or stop, in words; never a time. */
    cue: Words(200),
    /** Active, at the author’s pace. */
    minutes: orUnknown(Minutes),
    /** Of each repeat; false: of all of them together. */
    areMinutesEach: Type.Boolean(),
    /** Nobody has to do anything: drying, setting, soaking. */
    waiting: orUnknown(Minutes),
    checks: Type.Array(Check, { maxItems: 6 }),
    cautions: Type.Object(
      {
        added: Type.Array(oneOf(CAUTIONS), { maxItems: CAUTIONS.length }),
        dismissed: Type.Array(oneOf(CAUTIONS), { maxItems: CAUTIONS.length }),
      },
      strict,
    ),
    pictures: Type.Array(Type.Object({ id: Id, pictureId: Id, caption: Words(200) }, strict), {
      maxItems: MOST_STEP_PICTURES,
    }),
    /** The step in which an early choice was made that matters here. */
    recallsStepId: orUnknown(Id),
    /** What the parts are afterwards; null: as the act says. */
    leaves: orUnknown(oneOf(PART_STATES)),
    /** The use of a technique this step came from, and which of its steps it is, from 0. */
    technique: orUnknown(Type.Object({ useId: Id, index: Type.Integer({ minimum: 0 }) }, strict)),
  },
  strict,
);
export type Step = Static<typeof Step>;

export const LINK_STRENGTHS = ['must', 'easier', 'while-soft'] as const;
export type LinkStrength = (typeof LINK_STRENGTHS)[number];

/** The author’s word that one step comes before another. */
export const StepLink = Type.Object(
  {
    id: Id,
    beforeId: Id,
    afterId: Id,
    strength: oneOf(LINK_STRENGTHS),
    reason: Words(200),
  },
  strict,
);
export type StepLink = Static<typeof StepLink>;

/** From this step on until the next session’s first. */
export const Session = Type.Object(
  {
    id: Id,
    name: Words(80),
    firstStepId: orUnknown(Id),
    /** What lies on the table when it begins. */
    startState: Words(300),
    /** Where it can be left without harm. */
    safeStop: Words(300),
    homework: Words(300),
  },
  strict,
);
export type Session = Static<typeof Session>;
