/** More lengthwise splits than this cannot be told apart by eye. */
const MOST_SPLITS = 16;

/** How a mass of tops is measured with hands. */
export type TopsLength =
  | { readonly kind: 'pull'; readonly lengthMm: number }
  /** Shorter than the staple cannot be pulled: take one staple length and split it lengthwise. */
  | { readonly kind: 'split'; readonly lengthMm: number; readonly ways: number; readonly trueG: number }
  /** Even a sixteenth of a staple length is too much: a wisp, or weigh for several. */
  | { readonly kind: 'too-little' };

/**
 * Length of tops for a mass.
 * @param stapleMm null when unknown; then only the length is given
 */
export function topsLength(massG: number, linearGPerM: number, stapleMm: number | null): TopsLength {
  const lengthMm = (massG / linearGPerM) * 1000;
  if (stapleMm === null || lengthMm >= stapleMm) return { kind: 'pull', lengthMm };
  const stapleG = (stapleMm / 1000) * linearGPerM;
  const ways = Math.max(1, Math.floor(stapleG / massG));
  if (ways > MOST_SPLITS) return { kind: 'too-little' };
  return { kind: 'split', lengthMm: stapleMm, ways, trueG: stapleG / ways };
}
