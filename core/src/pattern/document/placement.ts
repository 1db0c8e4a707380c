import { type Static, Type } from '@sinclair/typebox';
import { Id, Length, oneOf, orUnknown, strict } from '../../base/index.ts';

/** Angles of a place, degrees; more than once round and a half is a slip of the hand. */
const Degrees = Type.Number({ minimum: -360, maximum: 360 });

/**
 * A point of a host's surface: `aroundDeg` 0 is its front, 90 the figure's left, 180 its back; `heightFraction` 0 its
 * lowest and 1 its highest point along its own axis.
 */
const onSurface = {
  aroundDeg: Degrees,
  heightFraction: Type.Number({ minimum: 0, maximum: 1 }),
};
export const SurfacePoint = Type.Object(onSurface, strict);
export type SurfacePoint = Static<typeof SurfacePoint>;

/**
 * Where on its host a piece sits, and how it leans there from straight out: `leanUpDeg` toward the host's top,
 * `leanAsideDeg` toward the figure's left as one goes round; `twistDeg` about its own axis.
 */
export const Place = Type.Object(
  { ...onSurface, leanUpDeg: Degrees, leanAsideDeg: Degrees, twistDeg: Degrees },
  strict,
);
export type Place = Static<typeof Place>;

/**
 * How several pieces share their places. `mirror`: each place stands for itself and for its mirror image over the host's
 * middle; `copy`: the same places, but the piece is of the same hand; `parted`: made as one and parted, placed as
 * mirrored; `ring`: evenly round the host from the first place; `row`: evenly from the first place to the last; `each`:
 * a place for each.
 */
export const PAIR_RULES = ['mirror', 'copy', 'parted', 'ring', 'row', 'each'] as const;
export type PairRule = (typeof PAIR_RULES)[number];

/** By which of its ends a piece is held; by its side it lies on its host. */
export const HELD_BY = ['base', 'tip', 'middle', 'side'] as const;
export type HeldBy = (typeof HELD_BY)[number];

/** Where all pieces of a join, a detail or a finding sit. Depth is the join's `sink`. */
export const Placement = Type.Object(
  {
    rule: oneOf(PAIR_RULES),
    /** Of a ring: over how much of the round it goes, its first place in the middle; 360: all round, beginning there. */
    spanDeg: Type.Number({ exclusiveMinimum: 0, maximum: 360 }),
    heldBy: oneOf(HELD_BY),
    places: Type.Array(Place, { minItems: 1, maxItems: 40 }),
  },
  strict,
);
export type Placement = Static<typeof Placement>;

/** What a figure is meant to do by itself. */
export const RESTS = ['stands', 'sits', 'lies', 'hangs'] as const;
export type Rests = (typeof RESTS)[number];

/** How the first piece is turned, and what the figure rests on. Angles turn it forward, to the figure's left, and round. */
export const Stance = Type.Object(
  {
    rests: oneOf(RESTS),
    /** Forward over its front. */
    pitchDeg: Degrees,
    /** Over to the figure's left. */
    rollDeg: Degrees,
    /** About the upright, its front toward the figure's left. */
    yawDeg: Degrees,
    /** Across the flat that is felted where it stands; null: none. */
    flatAcross: orUnknown(Length),
    /** Where it hangs from; null: nobody has said. */
    hangAt: orUnknown(Type.Object({ partId: Id, ...onSurface }, strict)),
  },
  strict,
);
export type Stance = Static<typeof Stance>;

/** Straight out at this point. */
export const straightOut = (aroundDeg: number, heightFraction: number): Place => ({
  aroundDeg,
  heightFraction,
  leanUpDeg: 0,
  leanAsideDeg: 0,
  twistDeg: 0,
});

/** Upright on whatever is lowest. */
export const UPRIGHT: Stance = {
  rests: 'stands',
  pitchDeg: 0,
  rollDeg: 0,
  yawDeg: 0,
  flatAcross: null,
  hangAt: null,
};
