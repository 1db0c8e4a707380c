import { Type, type Static } from '@sinclair/typebox';
import { discriminated, Id, Length, oneOf, orUnknown, strict } from '../../base/index.ts';
import { Placement } from './placement.ts';

const Size = orUnknown(Length);
const Number0 = Type.Number({ minimum: 0, maximum: 500 });

/** Which way it runs off what it is set on: as it is leant, by its own weight, or up to what the figure hangs by. */
export const CUT_RUNS = ['out', 'down', 'up'] as const;
export type CutRuns = (typeof CUT_RUNS)[number];

/** Where on the figure something cut is seen. */
export const CutSeat = Type.Object(
  {
    partId: Id,
    runs: oneOf(CUT_RUNS),
    /** It begins so far off, on threads of its own; null: on the surface. */
    hangBy: Size,
    /** Null: nobody has said, and it is proposed. */
    placement: orUnknown(Placement),
  },
  strict,
);
export type CutSeat = Static<typeof CutSeat>;

const common = {
  id: Id,
  name: Type.String({ maxLength: 80 }),
  /** What it is cut from; null: not on the shelf yet. */
  findingId: orUnknown(Id),
  /** How many alike in one make. */
  count: Type.Number({ minimum: 1, maximum: 500 }),
  /** Null: it lies within the figure, or nobody has said. */
  seat: orUnknown(CutSeat),
};

/** A stretch of wire; its length, or as long as the part it runs through. */
const Segment = Type.Object(
  {
    name: Type.String({ maxLength: 60 }),
    partId: orUnknown(Id),
    length: Size,
    /** Lies double: two. */
    strands: Type.Integer({ minimum: 1, maximum: 8 }),
    isTwisted: Type.Boolean(),
  },
  strict,
);
export type Segment = Static<typeof Segment>;

/** Turns of this wire round another. */
const Winding = Type.Object({ turns: Number0, aroundDiameter: Size, count: Number0 }, strict);

/** Something cut to a length or a size. Every allowance is here, so that a length is never guessed at the pliers. */
export const Cut = discriminated('kind', [
  Type.Object(
    {
      ...common,
      kind: Type.Literal('wire'),
      segments: Type.Array(Segment, { maxItems: 40 }),
      windings: Type.Array(Winding, { maxItems: 20 }),
      /** Curled back flat, so that no end pricks. */
      endCurls: Type.Integer({ minimum: 0, maximum: 40 }),
      /** Null: 8 mm each. */
      curlLength: Size,
    },
    strict,
  ),
  /** A fuzzy stem wound over wire. */
  Type.Object(
    {
      ...common,
      kind: Type.Literal('covering'),
      over: Size,
      pitch: Size,
      aroundDiameter: Size,
      folds: Type.Integer({ minimum: 0, maximum: 40 }),
      foldLength: Size,
    },
    strict,
  ),
  /** Cord, ribbon or thread that hangs double. */
  Type.Object(
    {
      ...common,
      kind: Type.Literal('cord'),
      drop: Size,
      fold: Size,
      knots: Type.Integer({ minimum: 0, maximum: 20 }),
      knotLength: Size,
      /** What hands need to tie it. */
      handling: Size,
      /** Grows and shrinks with the figure. */
      isScaled: Type.Boolean(),
    },
    strict,
  ),
  /** Thread wound round something, or a seam along a line. */
  Type.Object(
    { ...common, kind: Type.Literal('binding'), girth: Size, turns: Number0, seam: Size, handling: Size },
    strict,
  ),
  Type.Object({ ...common, kind: Type.Literal('whisker'), span: Size, margin: Size }, strict),
  /** A strip of sheet rolled up to a limb. */
  Type.Object(
    { ...common, kind: Type.Literal('rolled-strip'), length: Size, diameter: Size, sheetThickness: Size },
    strict,
  ),
  /** Cut to a length that is said. */
  Type.Object({ ...common, kind: Type.Literal('length'), length: Size }, strict),
  /** Cut to a length and a width that are said. */
  Type.Object({ ...common, kind: Type.Literal('panel'), length: Size, width: Size }, strict),
  /** A panel bent to a tube. */
  Type.Object(
    { ...common, kind: Type.Literal('tube-panel'), height: Size, diameter: Size, overlap: Size },
    strict,
  ),
  /** A panel bent to a cone, or to what is cut off one. */
  Type.Object(
    {
      ...common,
      kind: Type.Literal('cone-panel'),
      bottomDiameter: Size,
      topDiameter: Size,
      height: Size,
      overlap: Size,
    },
    strict,
  ),
  /** A square notched at its corners and folded up to a pouch or a box. */
  Type.Object({ ...common, kind: Type.Literal('pouch-square'), base: Size, wall: Size }, strict),
  /** A half-round handle, both ends tucked in. */
  Type.Object({ ...common, kind: Type.Literal('handle'), diameter: Size, tuck: Size }, strict),
]);
export type Cut = Static<typeof Cut>;
export type CutKind = Cut['kind'];
export const CUT_KINDS = [
  'length',
  'panel',
  'wire',
  'covering',
  'cord',
  'binding',
  'whisker',
  'rolled-strip',
  'tube-panel',
  'cone-panel',
  'pouch-square',
  'handle',
] as const satisfies readonly CutKind[];

const mm = (value: number): Length => ({ value, unit: 'mm' });

/** Something of this kind with our own allowances and no sizes yet. */
export function blankCut(id: string, kind: CutKind): Cut {
  const base = { id, name: '', findingId: null, count: 1, seat: null };
  switch (kind) {
    case 'wire':
      return { ...base, kind, segments: [blankSegment()], windings: [], endCurls: 2, curlLength: null };
    case 'covering':
      return { ...base, kind, over: null, pitch: null, aroundDiameter: null, folds: 2, foldLength: mm(8) };
    case 'cord':
      return {
        ...base,
        kind,
        drop: null,
        fold: mm(0),
        knots: 1,
        knotLength: mm(15),
        handling: mm(80),
        isScaled: false,
      };
    case 'binding':
      return { ...base, kind, girth: null, turns: 0, seam: null, handling: mm(150) };
    case 'whisker':
      return { ...base, kind, span: null, margin: mm(20) };
    case 'rolled-strip':
      return { ...base, kind, length: null, diameter: null, sheetThickness: null };
    case 'length':
      return { ...base, kind, length: null };
    case 'panel':
      return { ...base, kind, length: null, width: null };
    case 'tube-panel':
      return { ...base, kind, height: null, diameter: null, overlap: mm(6) };
    case 'cone-panel':
      return { ...base, kind, bottomDiameter: null, topDiameter: null, height: null, overlap: mm(6) };
    case 'pouch-square':
      return { ...base, kind, base: null, wall: null };
    case 'handle':
      return { ...base, kind, diameter: null, tuck: mm(10) };
  }
}

export const blankSegment = (): Segment => ({
  name: '',
  partId: null,
  length: null,
  strands: 1,
  isTwisted: false,
});
