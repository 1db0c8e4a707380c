import type { Point2 } from './hull.ts';

/** A photo or a sketch behind the figure, to take its proportions from. Its left lower corner in the drawing, mm. */
export interface PhotoBehind {
  /** Down ÷ across, as it is. */
  readonly aspect: number;
  readonly leftMm: number;
  readonly bottomMm: number;
  readonly widthMm: number;
  /** Two marks on it whose distance is known; from its left upper corner, as fractions across and down. */
  readonly marks: readonly [Point2, Point2];
}

/** As high as a figure stands, its foot on the ground, its middle under the figure’s; marked from head to foot. */
export function photoBehind(aspect: number, heightMm: number): PhotoBehind {
  const widthMm = heightMm / aspect;
  return {
    aspect,
    leftMm: -widthMm / 2,
    bottomMm: 0,
    widthMm,
    marks: [
      [0.5, 0],
      [0.5, 1],
    ],
  };
}

/** Where a mark lies in the drawing, mm to the right and up. */
export const markMm = ({ leftMm, bottomMm, widthMm, aspect }: PhotoBehind, [u, v]: Point2): Point2 => [
  leftMm + u * widthMm,
  bottomMm + (1 - v) * widthMm * aspect,
];

/** How far its two marks are from one another now, mm. */
export function betweenMarksMm(photo: PhotoBehind): number {
  const [a, b] = [markMm(photo, photo.marks[0]), markMm(photo, photo.marks[1])];
  return Math.hypot(a[0] - b[0], a[1] - b[1]);
}

/**
 * The photo made so large that its marks are so far from one another; the first of them stays where it is.
 * @param lengthMm > 0
 * @returns null where both marks lie on one spot: then no length tells how large it is
 */
export function photoScaled(photo: PhotoBehind, lengthMm: number): PhotoBehind | null {
  const nowMm = betweenMarksMm(photo);
  if (nowMm < 1e-6 * photo.widthMm) return null;
  const widthMm = (photo.widthMm * lengthMm) / nowMm;
  const [x, y] = markMm(photo, photo.marks[0]);
  const scaled = { ...photo, widthMm };
  const [movedX, movedY] = markMm(scaled, photo.marks[0]);
  return { ...scaled, leftMm: photo.leftMm + x - movedX, bottomMm: photo.bottomMm + y - movedY };
}

export const photoMoved = (photo: PhotoBehind, [dxMm, dyMm]: Point2): PhotoBehind => ({
  ...photo,
  leftMm: photo.leftMm + dxMm,
  bottomMm: photo.bottomMm + dyMm,
});

/** One of its marks set anew, on the photo. @param at in the drawing, mm */
export function photoMarked(photo: PhotoBehind, which: 0 | 1, [xMm, yMm]: Point2): PhotoBehind {
  const within = (share: number) => Math.min(1, Math.max(0, share));
  const mark: Point2 = [
    within((xMm - photo.leftMm) / photo.widthMm),
    within(1 - (yMm - photo.bottomMm) / (photo.widthMm * photo.aspect)),
  ];
  return { ...photo, marks: which === 0 ? [mark, photo.marks[1]] : [photo.marks[0], mark] };
}
