import type { PartEstimate } from '../../engine/index.ts';
import type { Cut, Part } from '../../pattern/index.ts';
import type { PointMm } from '../../shapes/index.ts';

/** What an outline of the guide is of; how it is drawn follows from it. */
export type GuideLineIs =
  /** Over everything that is on it. */
  | 'finished'
  /** Felted, before its coat. */
  | 'felted'
  /** Rolled up, before the first stab. */
  | 'rolled'
  /** Laid out, with what is turned in. */
  | 'laid'
  /** Finished, from its side. */
  | 'side'
  | 'loose-end'
  /** As it is cut. */
  | 'cut'
  /** As far as this under the other edge. */
  | 'overlap'
  /** Folded here. */
  | 'fold';

/** One line of a piece, mm: x to the right, y down. */
export interface GuideLine {
  readonly is: GuideLineIs;
  readonly points: readonly PointMm[];
  readonly isClosed: boolean;
}

/** What is put on a piece, or goes through it, where it does. */
export interface GuideMark {
  readonly of: GuideMarkOf;
  readonly points: readonly PointMm[];
  readonly isClosed: boolean;
  /** On the side away from who looks. */
  readonly isBehind: boolean;
}

export type GuideMarkOf =
  /** Another piece is set on here. */
  | { readonly kind: 'join'; readonly partId: string }
  /** Snipped here, for a piece to go into. */
  | { readonly kind: 'slot'; readonly joinId: string }
  /** So deep it goes into what it is set on. */
  | { readonly kind: 'sunk' }
  | { readonly kind: 'finding'; readonly findingUseId: string; readonly name: string }
  | { readonly kind: 'use'; readonly useId: string }
  /** Wire, cord or sheet is set on here. */
  | { readonly kind: 'cut'; readonly cut: Cut }
  | { readonly kind: 'laid'; readonly partId: string }
  | { readonly kind: 'wire'; readonly cutId: string }
  | { readonly kind: 'hanger' }
  /** Felted flat to here. */
  | { readonly kind: 'flat' };

/** Where a length bends or changes, mm from its first end. */
export interface GuideStretch {
  readonly is: 'curl' | 'stretch' | 'winding' | 'tuck' | 'spare';
  readonly name: string;
  readonly fromMm: number;
  readonly toMm: number;
}

/** One piece to hold the work against. */
export type GuidePiece =
  | {
      readonly kind: 'part';
      readonly part: Part;
      /** In the whole pattern, from 1. */
      readonly number: number;
      readonly estimate: PartEstimate;
      /** How many are made so; null: nobody has said. */
      readonly count: number | null;
      /** Drawn as the other of a pair. */
      readonly isMirrored: boolean;
      readonly lines: readonly GuideLine[];
      readonly marks: readonly GuideMark[];
    }
  | {
      readonly kind: 'panel';
      readonly cut: Cut;
      readonly count: number;
      readonly lines: readonly GuideLine[];
      readonly marks: readonly GuideMark[];
    }
  | {
      readonly kind: 'length';
      readonly cut: Cut;
      readonly count: number;
      readonly lengthMm: number;
      readonly stretches: readonly GuideStretch[];
    };

/** What there is nothing to draw of. */
export interface NotInGuide {
  readonly of:
    | { readonly kind: 'part'; readonly part: Part; readonly number: number }
    | { readonly kind: 'cut'; readonly cut: Cut };
  readonly why: 'size_unknown' | 'no_shape';
}
