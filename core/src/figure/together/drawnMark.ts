import type { Point2 } from './hull.ts';

/** What lies on a piece, as it is seen. */
export type DrawnMark =
  | {
      readonly kind: 'area';
      readonly fibreId: string | null;
      readonly outline: readonly Point2[];
      readonly detailKey: string;
    }
  | {
      readonly kind: 'line';
      readonly fibreId: string | null;
      readonly points: readonly Point2[];
      readonly detailKey: string;
    }
  | {
      readonly kind: 'hair';
      readonly fibreId: string | null;
      readonly strands: readonly (readonly [Point2, Point2])[];
      readonly detailKey: string;
    }
  /** Only needled: a line drawn in, or the rim of a hollow. */
  | { readonly kind: 'groove'; readonly points: readonly Point2[]; readonly detailKey: string }
  | { readonly kind: 'hollow'; readonly outline: readonly Point2[]; readonly detailKey: string }
  /** Wire, cord, thread: as thick as it is; null: nobody has said. */
  | {
      readonly kind: 'strand';
      readonly colour: string | null;
      readonly thickMm: number | null;
      readonly points: readonly Point2[];
      readonly detailKey: string;
    }
  | {
      readonly kind: 'thing';
      readonly colour: string | null;
      readonly outline: readonly Point2[];
      readonly detailKey: string;
    };
