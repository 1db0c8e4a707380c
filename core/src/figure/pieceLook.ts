import type { PointMm } from '../shapes/index.ts';
import type { Fibre } from '../shelf/index.ts';
import type { Decoration } from './decorations.ts';

export interface Outline {
  readonly points: readonly PointMm[];
  /** What is open within it. */
  readonly holes: readonly (readonly PointMm[])[];
  readonly widthMm: number;
  readonly heightMm: number;
}

/** What of a fibre is seen. */
export type WoolLook = Pick<Fibre, 'colour' | 'preparation'>;

/** What is laid on, with the fibre to draw it in. */
export interface DrawnDecoration {
  readonly what: Decoration;
  readonly fibre: WoolLook | null;
}

/** All it takes to draw a piece from the front; plain JSON. */
export interface PieceLook {
  readonly id: string;
  /** What shows on the outside; null while not chosen. */
  readonly fibre: WoolLook | null;
  /** Null: of unknown size. */
  readonly finished: Outline | null;
  /** As it is rolled up, behind it. */
  readonly rolled: Outline | null;
  readonly decorations: readonly DrawnDecoration[];
  /** The box that holds both, mm. */
  readonly widthMm: number;
  readonly heightMm: number;
}
