import { Type, type Static } from '@sinclair/typebox';
import { discriminated, Id, Length, oneOf, orUnknown, strict } from '../../base/index.ts';
import { Shape } from '../../shapes/index.ts';
import { FIRMNESSES, NeedleWanted, PACKINGS, PROVISIONS } from '../../shelf/index.ts';
import { Count } from './count.ts';
import { Cut } from './cut.ts';
import { Join } from './join.ts';
import { Colourway, FibreSlot, Option, OptionLimit, Swap } from './option.ts';
import { Enclosure } from './enclosure.ts';
import { Placement, Stance } from './placement.ts';
import { Pose } from './pose.ts';
import { Proportion } from './proportion.ts';
import { RelatedPattern, Series } from './related.ts';
import { PERMITTED, Rights } from './rights.ts';
import { School } from './school.ts';
import { STAGES } from './stage.ts';
import { Session, Step, StepLink } from './step.ts';
import { Use } from './use.ts';

export const LEVELS = ['first-timer', 'some-practice', 'practised'] as const;
export type Level = (typeof LEVELS)[number];

const Size = orUnknown(Length);
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
    /** The size it was made in, of the part's present one, linear. */
    sizeFraction: Type.Number({ exclusiveMinimum: 0 }),
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
    /** Of a flat piece: what is folded in all round; null: 8 mm. */
    margin: Size,
    /** Of a flat piece: in how many thin layers it is laid; null: the maker's choice. */
    thinLayers: orUnknown(Type.Integer({ minimum: 1, maximum: 20 })),
    /** In another size it stays as thick as it is. */
    holdsThickness: Type.Boolean(),
    /** Loose ends come on top of a stated or weighed amount; false: they are in it. */
    endsApart: Type.Boolean(),
    /** From the inside out. */
    uses: Type.Array(Use, { maxItems: 40 }),
    sample: orUnknown(Sample),
    /** Sizes that are held to the guide exactly, or free; the others are a guide. */
    exactness: Type.Array(Type.Object({ size: SizeOfShape, is: oneOf(['exact', 'free'] as const) }, strict), {
      maxItems: 4,
    }),
    /** What would show if this part were left off, in the author’s words. */
    hides: Type.String({ maxLength: 200 }),
    /** Of what is laid on another part with no join: where; null: nobody has said, and it is proposed. */
    placement: orUnknown(Placement),
    /** Of an outline that is not the author’s own drawing. */
    outlineRights: orUnknown(Rights),
  },
  strict,
);
export type Part = Static<typeof Part>;

/** One stated weight that several uses take from. */
export const SharedWeight = Type.Object(
  {
    id: Id,
    name: Type.String({ maxLength: 80 }),
    massG: orUnknown(Type.Number({ exclusiveMinimum: 0, maximum: 10_000 })),
    /** Makes it a range. */
    highG: orUnknown(Type.Number({ exclusiveMinimum: 0, maximum: 10_000 })),
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
    /** Where on its part; null: nobody has said, and it is proposed. */
    placement: orUnknown(Placement),
  },
  strict,
);
export type FindingUse = Static<typeof FindingUse>;

/** A tool or material of the author's list: one that nothing calls for, or the last word on one that is derived. */
export const ListedTool = Type.Object(
  {
    id: Id,
    /** The derived need it stands for; null: added by the author. */
    needKey: orUnknown(Type.String({ maxLength: 60 })),
    name: Type.String({ maxLength: 80 }),
    per: oneOf(PROVISIONS),
    count: Type.Integer({ minimum: 1, maximum: 500 }),
    isLeftOut: Type.Boolean(),
  },
  strict,
);
export type ListedTool = Static<typeof ListedTool>;

/** A picture of the pattern’s own; where it is kept is not the pattern’s business. */
export const PatternPicture = Type.Object(
  {
    id: Id,
    name: Type.String({ maxLength: 120 }),
    /** Said instead of it, for those who cannot see it. */
    alt: Type.String({ maxLength: 300 }),
    rights: Rights,
  },
  strict,
);
export type PatternPicture = Static<typeof PatternPicture>;

/** A technique as it is used here: linked by version, its steps written out under `steps`. */
export const TechniqueUse = Type.Object(
  {
    id: Id,
    techniqueId: Id,
    name: Type.String({ maxLength: 80 }),
    version: Type.Integer({ minimum: 1 }),
    partIds: Type.Array(Id, { maxItems: 40 }),
    values: Type.Array(
      Type.Object({ key: Type.String({ maxLength: 30 }), value: Type.String({ maxLength: 120 }) }, strict),
      { maxItems: 12 },
    ),
    /** Of the technique, as it was taken: it may be somebody else’s. */
    rights: Rights,
  },
  strict,
);
export type TechniqueUse = Static<typeof TechniqueUse>;

/** A remark of the review that its author has looked at and means so; asked again when what it is of has another stamp. */
export const MeantSo = Type.Object(
  {
    code: Type.String({ maxLength: 60 }),
    of: Type.String({ maxLength: 200 }),
    stamp: Type.String({ maxLength: 40 }),
    reason: Type.String({ maxLength: 300 }),
  },
  strict,
);
export type MeantSo = Static<typeof MeantSo>;

/** Whose left and right it is; null: nobody has said. */
const SIDES_SEEN = ['figure', 'viewer'] as const;

/** What documents are written in today; `upgradePattern` brings older ones forward. */
export const PATTERN_FORMAT = 12;

/** A pattern as it is stored: one document per revision. */
export const Pattern = Type.Object(
  {
    format: Type.Literal('lanakit-pattern'),
    formatVersion: Type.Literal(PATTERN_FORMAT),
    title: Type.String({ maxLength: 120 }),
    finishedHeight: Type.Union([Length, Type.Null()]),
    /** Null: as it is proposed from the pattern itself. */
    level: orUnknown(oneOf(LEVELS)),
    levelReason: Type.String({ maxLength: 300 }),
    lengthUnit: Type.Union([Type.Literal('mm'), Type.Literal('in')], {
      description: 'of bare numbers and derived sizes',
    }),
    /** Sizes to be read stand in the other unit as well. */
    showsBothUnits: Type.Boolean(),
    parts: Type.Array(Part, { maxItems: 200 }),
    /** How the figure rests; null: nobody has said, and it stands. */
    stance: orUnknown(Stance),
    /** Otherwise than it is written, by name: taken where a value of an option that names it is chosen. */
    poses: Type.Array(Pose, { maxItems: 12 }),
    /** Sizes that are to stay in proportion. */
    proportions: Type.Array(Proportion, { maxItems: 20 }),
    /** What the finished figure has to go into. */
    enclosures: Type.Array(Enclosure, { maxItems: 10 }),
    joins: Type.Array(Join, { maxItems: 400 }),
    /** Wool of joins goes into a bag of its own, or it is used up on the body. */
    joinsApart: Type.Boolean(),
    cuts: Type.Array(Cut, { maxItems: 100 }),
    findings: Type.Array(FindingUse, { maxItems: 100 }),
    shared: Type.Array(SharedWeight, { maxItems: 40 }),
    steps: Type.Array(Step, { maxItems: 500 }),
    /** Steps whose picture is made from the figure. */
    drawnStepIds: Type.Array(Id, { maxItems: 500 }),
    links: Type.Array(StepLink, { maxItems: 500 }),
    school: School,
    /** The maker’s own table, kept whatever the school is. */
    stageNeedles: Type.Array(Type.Object({ stage: oneOf(STAGES), needle: NeedleWanted }, strict), {
      maxItems: STAGES.length,
    }),
    sessions: Type.Array(Session, { maxItems: 20 }),
    techniques: Type.Array(TechniqueUse, { maxItems: 60 }),
    tools: Type.Array(ListedTool, { maxItems: 60 }),
    options: Type.Array(Option, { maxItems: 24 }),
    limits: Type.Array(OptionLimit, { maxItems: 60 }),
    slots: Type.Array(FibreSlot, { maxItems: 40 }),
    colourways: Type.Array(Colourway, { maxItems: 40 }),
    swaps: Type.Array(Swap, { maxItems: 60 }),
    pictures: Type.Array(PatternPicture, { maxItems: 200 }),
    /** What the review finds and its author means so. */
    meant: Type.Array(MeantSo, { maxItems: 400 }),
    /** What one should have made or know before. */
    prerequisites: Type.String({ maxLength: 600 }),
    /** What it is one of; null: it stands alone. */
    series: orUnknown(Series),
    /** Patterns to be made before it, and those that go with it. */
    related: Type.Array(RelatedPattern, { maxItems: 24 }),
    sidesSeen: orUnknown(oneOf(SIDES_SEEN)),
    rights: Rights,
    /** What whoever buys or gets the pattern may do with it, of a design that is one's own. */
    grants: Type.Array(oneOf(PERMITTED), { maxItems: PERMITTED.length, uniqueItems: true }),
    /** One finished make on the scale, all its wool and nothing else, grams: evidence for how it felts. */
    weighedMakeG: orUnknown(Type.Number({ exclusiveMinimum: 0, maximum: 10_000 })),
  },
  strict,
);
export type Pattern = Static<typeof Pattern>;
