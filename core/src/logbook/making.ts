import { type Static, Type } from '@sinclair/typebox';
import { Id, oneOf, orUnknown, strict } from '../base/index.ts';
import type { WoolRole } from '../engine/index.ts';
import { SKILLS } from '../needles/index.ts';
import { STAGES } from '../pattern/index.ts';
import { SeatChoices } from '../run/index.ts';
import { FIRMNESSES, HAND_MEASURES } from '../shelf/index.ts';

const Words = (maxLength: number) => Type.String({ maxLength });
/** What lies on a scale, grams. */
const Grams = orUnknown(Type.Number({ description: 'grams; null: not weighed' }));
const Millimetres = orUnknown(Type.Number({ description: 'mm; null: not measured' }));

/** What a line of a making is of, from the finest to the coarsest; with no pattern, in the maker’s own words. */
const MAKING_LINE_KINDS = ['use', 'part', 'fibre', 'said'] as const;

/** What a line may be for that is said in words. */
export const SAID_ROLES = ['core', 'coat', 'hair', 'added'] as const satisfies readonly WoolRole[];

/** Wool that went into the figure: a bag before and after, or the piece before and after. */
export const MakingLine = Type.Object(
  {
    id: Id,
    of: oneOf(MAKING_LINE_KINDS),
    /** Of a use or a part. */
    useId: orUnknown(Id),
    partId: orUnknown(Id),
    /** What it is called where there is no pattern; else empty. */
    name: Words(80),
    role: oneOf(SAID_ROLES),
    firmness: oneOf(FIRMNESSES),
    fibreId: orUnknown(Id),
    lotId: orUnknown(Id),
    /** Where it was weighed: the bag it came from, or the piece it went onto. */
    weighed: oneOf(['bag', 'piece'] as const),
    beforeG: Grams,
    afterG: Grams,
    /** Came to the bag from elsewhere. */
    addedG: Grams,
    /** Pulled or cut off the piece again. */
    removedG: Grams,
    /** Taken by fingers: so many wisps, pinches or tufts. */
    hand: orUnknown(Type.Object({ name: oneOf(HAND_MEASURES), count: Type.Number() }, strict)),
    note: Words(300),
  },
  strict,
);
export type MakingLine = Static<typeof MakingLine>;

/** One piece, rolled, felted and finished. */
export const MakingPiece = Type.Object(
  {
    id: Id,
    partId: orUnknown(Id),
    name: Words(80),
    /** Across. */
    rolledMm: Millimetres,
    feltedMm: Millimetres,
    /** Its length over all, when it is done. */
    finishedMm: Millimetres,
    massG: Grams,
  },
  strict,
);
export type MakingPiece = Static<typeof MakingPiece>;

export const MakingStep = Type.Object(
  {
    id: Id,
    stepId: orUnknown(Id),
    /** What was done, where there is no pattern. */
    text: Words(600),
    stage: oneOf(STAGES),
    minutes: orUnknown(Type.Number()),
    /** Since when it goes on, ISO 8601, UTC; null: it does not. */
    since: orUnknown(Words(30)),
    needleId: orUnknown(Id),
    /** Needles that broke in it. */
    broken: Type.Integer(),
    note: Words(600),
  },
  strict,
);
export type MakingStep = Static<typeof MakingStep>;

/** A figure that was made, as far as it was written down. Half of it is enough. */
export const MakingInput = Type.Object(
  {
    title: Words(120),
    date: Words(10),
    patternId: orUnknown(Id),
    revisionId: orUnknown(Id),
    /** What was chosen in it. */
    choices: SeatChoices,
    /** Of the pattern’s own size, linear. */
    sizeFraction: Type.Number(),
    /** Empty: the studio’s own maker. */
    madeBy: Words(60),
    skill: oneOf(SKILLS),
    isDone: Type.Boolean(),
    lines: Type.Array(MakingLine, { maxItems: 200 }),
    pieces: Type.Array(MakingPiece, { maxItems: 200 }),
    steps: Type.Array(MakingStep, { maxItems: 300 }),
    /** The whole figure on the scale. */
    wholeG: Grams,
    /** What failed, and what was done instead. */
    tried: Type.Array(Type.Object({ id: Id, failed: Words(600), instead: Words(600) }, strict), {
      maxItems: 40,
    }),
    words: Words(4000),
    pictures: Type.Array(Type.Object({ id: Id, pictureId: Id, words: Words(200) }, strict), { maxItems: 24 }),
    /** Bought things: how many went in, and how many more were lost or broken. Left out: nobody counted. */
    things: Type.Optional(
      Type.Array(Type.Object({ findingId: Id, used: Type.Number(), lost: Type.Number() }, strict), {
        maxItems: 100,
      }),
    ),
  },
  strict,
);
export type MakingInput = Static<typeof MakingInput>;

export interface Making extends MakingInput {
  readonly id: string;
  readonly version: number;
}

export const MAKING_BOUNDS = {
  sizeFraction: { min: 0.25, max: 4 },
  massG: { min: 0, max: 20_000 },
  sizeMm: { min: 0.5, max: 3000 },
  minutes: { min: 0, max: 6000 },
  handCount: { min: 0.25, max: 200 },
  broken: { min: 0, max: 50 },
  things: { min: 0, max: 1000 },
} as const;

export const blankMakingLine = (id: string, more: Partial<MakingLine> = {}): MakingLine => ({
  id,
  of: 'said',
  useId: null,
  partId: null,
  name: '',
  role: 'core',
  firmness: 'firm',
  fibreId: null,
  lotId: null,
  weighed: 'bag',
  beforeG: null,
  afterG: null,
  addedG: null,
  removedG: null,
  hand: null,
  note: '',
  ...more,
});

export const blankMakingPiece = (id: string, more: Partial<MakingPiece> = {}): MakingPiece => ({
  id,
  partId: null,
  name: '',
  rolledMm: null,
  feltedMm: null,
  finishedMm: null,
  massG: null,
  ...more,
});

export const blankMakingStep = (id: string, more: Partial<MakingStep> = {}): MakingStep => ({
  id,
  stepId: null,
  text: '',
  stage: 'core',
  minutes: null,
  since: null,
  needleId: null,
  broken: 0,
  note: '',
  ...more,
});

/** @param date YYYY-MM-DD */
export const blankMaking = (title: string, date: string): MakingInput => ({
  title,
  date,
  patternId: null,
  revisionId: null,
  choices: { values: {}, colourwayId: null, swapIds: [] },
  sizeFraction: 1,
  madeBy: '',
  skill: 'practised',
  isDone: false,
  lines: [],
  pieces: [],
  steps: [],
  wholeG: null,
  tried: [],
  words: '',
  pictures: [],
});
