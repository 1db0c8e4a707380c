import { toMm } from '../../base/index.ts';
import type { PatternEstimate } from '../../engine/index.ts';
import {
  FIGURE_SIZES,
  type MeasuredSize,
  type Part,
  type Pattern,
  type Proportion,
} from '../../pattern/index.ts';
import { sizesOf } from '../../shapes/index.ts';
import { sizeOverAll } from './overall.ts';
import { type Figure } from '../../placing/index.ts';

/** What a proportion comes to. */
export type ProportionTold =
  | { readonly kind: 'unknown'; readonly proportion: Proportion }
  | {
      readonly kind: 'told';
      readonly proportion: Proportion;
      readonly ratio: number;
      /** Come to ÷ wanted − 1. */
      readonly off: number;
      readonly isBroken: boolean;
    };

/** Every proportion its author cares about, as it is now. */
export const proportionsOf = (
  figure: Figure,
  { proportions }: Pick<Pattern, 'proportions'>,
  estimate: Pick<PatternEstimate, 'parts'>,
): ProportionTold[] =>
  proportions.map((proportion): ProportionTold => {
    const ratio = ratioOf(figure, proportion, estimate);
    if (ratio === null) return { kind: 'unknown', proportion };
    const off = ratio / proportion.ratio - 1;
    return {
      kind: 'told',
      proportion,
      ratio,
      off,
      isBroken: Math.abs(off) > proportion.toleranceFraction + 1e-9,
    };
  });

/** Null: one of the two is not known, or nought. */
function ratioOf(
  figure: Figure,
  { a, b }: Pick<Proportion, 'a' | 'b'>,
  estimate: Pick<PatternEstimate, 'parts'>,
): number | null {
  const [aMm, bMm] = [measuredMm(figure, a, estimate), measuredMm(figure, b, estimate)];
  return aMm === null || bMm === null || bMm <= 0 || aMm <= 0 ? null : aMm / bMm;
}

/** Sizes that follow from others are taken as they came out. */
function measuredMm(
  figure: Figure,
  measured: MeasuredSize,
  { parts }: Pick<PatternEstimate, 'parts'>,
): number | null {
  if (measured.of === 'figure') {
    const size = sizeOverAll(figure);
    return size && { height: size.heightMm, width: size.widthMm, depth: size.depthMm }[measured.size];
  }
  const sized = parts.find(({ partId }) => partId === measured.partId)?.working.part;
  const length = sized && [...sizesOf(sized.shape)].find(([name]) => name === measured.size)?.[1];
  return length ? toMm(length) : null;
}

/** Every size that can be set against another: the figure’s own, then those of each part. */
export const measuredSizes = (parts: readonly Part[]): MeasuredSize[] => [
  ...FIGURE_SIZES.map((size): MeasuredSize => ({ of: 'figure', size })),
  ...parts.flatMap(({ id, shape }) =>
    [...sizesOf(shape).keys()].map((size): MeasuredSize => ({ of: 'part', partId: id, size })),
  ),
];

/** By how much a proportion may be off where nobody has said. */
const USUAL_TOLERANCE = 0.1;
/** As written down: nobody measures finer. */
const DECIMALS = 1000;

/** A proportion as it is now, to keep; null: one of the two is not known. */
export function proportionToKeep(
  id: string,
  figure: Figure,
  sizes: Pick<Proportion, 'a' | 'b'>,
  estimate: Pick<PatternEstimate, 'parts'>,
): Proportion | null {
  const ratio = ratioOf(figure, sizes, estimate);
  return ratio === null
    ? null
    : {
        id,
        ...sizes,
        ratio: Math.max(1 / DECIMALS, Math.round(ratio * DECIMALS) / DECIMALS),
        toleranceFraction: USUAL_TOLERANCE,
      };
}

/** Of the two largest parts with a known size the first sizes: what an author most likely means; null: there are no two. */
export function proposedSizes(
  figure: Figure,
  parts: readonly Part[],
  estimate: Pick<PatternEstimate, 'parts'>,
): Pick<Proportion, 'a' | 'b'> | null {
  const known = parts.flatMap((part): { size: MeasuredSize; volumeMm3: number }[] => {
    const volumeMm3 = estimate.parts.find(({ partId }) => partId === part.id)?.solid?.volumeMm3 ?? 0;
    const [name] = sizesOf(part.shape).keys();
    const size = name === undefined ? null : ({ of: 'part', partId: part.id, size: name } as const);
    return size && measuredMm(figure, size, estimate) !== null ? [{ size, volumeMm3 }] : [];
  });
  const [largest, second] = known.sort((a, b) => b.volumeMm3 - a.volumeMm3);
  return largest && second ? { a: second.size, b: largest.size } : null;
}
