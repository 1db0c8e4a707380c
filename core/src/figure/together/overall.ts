import { type Length, toMm } from '../../base/index.ts';
import { type Figure, reachOf } from './placeFigure.ts';
import type { Vec3 } from './space.ts';

/** A figure over all, mm. */
export interface SizeOverAll {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly depthMm: number;
}

/** Null: there is nothing of a known size. */
export function sizeOverAll({ pieces }: Figure): SizeOverAll | null {
  if (pieces.length === 0) return null;
  const reach = (direction: Vec3) => Math.max(...pieces.map((piece) => reachOf(piece, direction)));
  const between = (a: Vec3) => reach(a) + reach([-a[0], -a[1], -a[2]]);
  return { widthMm: between([1, 0, 0]), heightMm: between([0, 1, 0]), depthMm: between([0, 0, 1]) };
}

/** By so much a stated height may be off before it is told. */
export const HEIGHT_TOLERANCE = 0.05;

/** A stated height against what the pieces come to. */
export interface HeightAgainst {
  readonly statedMm: number;
  readonly heightMm: number;
  /** Come to ÷ stated − 1. */
  readonly off: number;
  readonly isOff: boolean;
}

/** Null: none is stated, or nothing has a size. */
export function heightAgainst(figure: Figure, finishedHeight: Length | null): HeightAgainst | null {
  const size = sizeOverAll(figure);
  if (!size || finishedHeight === null) return null;
  const statedMm = toMm(finishedHeight);
  const off = size.heightMm / statedMm - 1;
  return { statedMm, heightMm: size.heightMm, off, isOff: Math.abs(off) > HEIGHT_TOLERANCE };
}
