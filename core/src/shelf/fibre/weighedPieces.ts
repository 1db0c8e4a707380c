import { CUT_ERROR_MM, type WeighedPieces } from './measured.ts';

/** What is weighed: pieces of a length, pieces of an area, or what fingers take. */
export type Measuring = 'length' | 'area' | 'hand';

/** A weighing as it is typed; null is not typed yet. */
export interface TypedWeighing {
  readonly pieces: number | null;
  readonly lengthCm: number | null;
  readonly widthCm: number | null;
  readonly massG: number | null;
}

/** The weighing in metres, square metres or handfuls; null while something of it is missing. */
export function weighedPieces(typed: TypedWeighing, measuring: Measuring): WeighedPieces | null {
  const { pieces, lengthCm, widthCm, massG } = typed;
  if (pieces === null || massG === null) return null;
  if (measuring === 'hand') return { pieces, eachAmount: 1, massG };
  if (lengthCm === null) return null;
  if (measuring === 'length') return { pieces, eachAmount: lengthCm / 100, massG };
  return widthCm === null ? null : { pieces, eachAmount: (lengthCm * widthCm) / 10_000, massG };
}

/** How far a cut piece strays from its size, as a fraction of the shortest side there is; 0 where nothing is cut. */
export function cutFraction(typed: readonly TypedWeighing[], measuring: Measuring): number {
  if (measuring === 'hand') return 0;
  const sidesCm = typed
    .flatMap(({ lengthCm, widthCm }) => [lengthCm, measuring === 'area' ? widthCm : null])
    .filter((side) => side !== null);
  return sidesCm.length === 0 ? 0 : CUT_ERROR_MM / (Math.min(...sidesCm) * 10);
}
