import { Type, type Static } from '@sinclair/typebox';
import { oneOf, orUnknown, strict } from '../../base/index.ts';
import { SpareRule } from './spareRule.ts';
import type { CutFrom } from './cutFrom.ts';

const Size = orUnknown(Type.Number({ description: 'mm' }));

export const COUNTED_SORTS = ['eye', 'bead', 'bell', 'pin-back', 'magnet', 'found', 'other'] as const;
export const LENGTH_SORTS = ['wire', 'stem', 'ribbon', 'cord', 'thread', 'other'] as const;
export const AREA_SORTS = ['sheet', 'fabric', 'card', 'other'] as const;
export const VOLUME_SORTS = ['glue', 'stiffener', 'paint', 'other'] as const;
export const NAPS = ['none', 'along-length', 'across'] as const;
export type Nap = (typeof NAPS)[number];

/** Outer sizes for balance and packing, the inner one for what must fit into it. Null is unknown. */
const Counted = Type.Object(
  {
    by: Type.Literal('count'),
    sort: oneOf(COUNTED_SORTS),
    massG: orUnknown(Type.Number({ description: 'each' })),
    outerMm: Type.Object({ length: Size, width: Size, height: Size }, strict),
    /** Of things that vary the narrowest. */
    innerMm: Size,
    /** Of things that vary the widest; not there, or null: as wide as all. */
    innerHighMm: Type.Optional(Size),
    /** How far its post, shank or loop goes into the wool; not there, or null: nobody has measured it, or it has none. */
    postMm: Type.Optional(Size),
    /** Found things: no two are alike, so every size is only about right. */
    sizeVaries: Type.Boolean(),
    piecesPerPack: Type.Number({ description: 'put-up' }),
  },
  strict,
);

const ByLength = Type.Object(
  {
    by: Type.Literal('length'),
    sort: oneOf(LENGTH_SORTS),
    diameterMm: Size,
    linearGPerM: orUnknown(Type.Number()),
    /** A reel of 25 m, a stick of 0.3 m. */
    metresPerPack: Type.Number({ description: 'put-up' }),
  },
  strict,
);

const ByArea = Type.Object(
  {
    by: Type.Literal('area'),
    sort: oneOf(AREA_SORTS),
    thicknessMm: Size,
    arealGPerM2: orUnknown(Type.Number()),
    nap: oneOf(NAPS),
    sheetLengthMm: Type.Number({ description: 'put-up' }),
    sheetWidthMm: Type.Number({ description: 'put-up' }),
  },
  strict,
);

const ByVolume = Type.Object(
  {
    by: Type.Literal('volume'),
    sort: oneOf(VOLUME_SORTS),
    activeMinutes: orUnknown(Type.Number({ description: 'how long it can be worked' })),
    settingMinutes: orUnknown(Type.Number({ description: 'before it may be handled' })),
    millilitresPerPack: Type.Number({ description: 'put-up' }),
  },
  strict,
);

const AnyMeasure = Type.Union([Counted, ByLength, ByArea, ByVolume]);
export type FindingMeasure = Static<typeof AnyMeasure>;
export type MeasuredBy = FindingMeasure['by'];
export const MEASURED_BY = ['count', 'length', 'area', 'volume'] as const satisfies readonly MeasuredBy[];

/** With its discriminator said, so that a checker names the one wrong field. */
const Measure = Type.Unsafe<FindingMeasure>({
  type: 'object',
  discriminator: { propertyName: 'by' },
  required: ['by'],
  oneOf: AnyMeasure.anyOf,
});

export const FINDING_FLAGS = ['small-part', 'magnet', 'sharp', 'hot', 'solvent', 'glass'] as const;
export type FindingFlag = (typeof FINDING_FLAGS)[number];

/** Anything on a figure that is not felted. */
export const FindingInput = Type.Object(
  {
    name: Type.String({ maxLength: 80 }),
    otherNames: Type.Array(Type.String({ maxLength: 60 }), { maxItems: 12 }),
    measure: Measure,
    colour: orUnknown(Type.String({ maxLength: 40, description: 'sRGB as #rrggbb' })),
    flags: Type.Array(oneOf(FINDING_FLAGS), { maxItems: FINDING_FLAGS.length }),
    priceMinor: orUnknown(Type.Integer({ description: 'of one put-up, integer minor units' })),
    /** Null: as is usual for its sort. */
    spares: orUnknown(SpareRule),
    place: Type.String({ maxLength: 60 }),
    note: Type.String({ maxLength: 400 }),
    archived: Type.Boolean(),
  },
  strict,
);
export type FindingInput = Static<typeof FindingInput>;

/** `onHand` is in the unit of its measure (`unitOfFinding`); null when never counted. */
export interface Finding extends FindingInput {
  readonly id: string;
  readonly version: number;
  readonly onHand: number | null;
  /** Where it is cut from, and what of that has a size that is known; not there: nothing is. */
  readonly cutFrom?: CutFrom;
  readonly peak: number;
}

const BLANK_MEASURES: { readonly [By in MeasuredBy]: Extract<FindingMeasure, { by: By }> } = {
  count: {
    by: 'count',
    sort: 'eye',
    massG: null,
    outerMm: { length: null, width: null, height: null },
    innerMm: null,
    innerHighMm: null,
    postMm: null,
    sizeVaries: false,
    piecesPerPack: 1,
  },
  length: { by: 'length', sort: 'wire', diameterMm: null, linearGPerM: null, metresPerPack: 1 },
  area: {
    by: 'area',
    sort: 'sheet',
    thicknessMm: null,
    arealGPerM2: null,
    nap: 'none',
    sheetLengthMm: 300,
    sheetWidthMm: 450,
  },
  volume: { by: 'volume', sort: 'glue', activeMinutes: null, settingMinutes: null, millilitresPerPack: 50 },
};

export const blankMeasure = (by: MeasuredBy): FindingMeasure => BLANK_MEASURES[by];

export const BLANK_FINDING: FindingInput = {
  name: '',
  otherNames: [],
  measure: BLANK_MEASURES.count,
  colour: null,
  flags: [],
  priceMinor: null,
  spares: null,
  place: '',
  note: '',
  archived: false,
};
