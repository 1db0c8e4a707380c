import FFT from 'fft.js';

/** One thing somebody may choose: how likely, and what it takes. */
export interface Choice {
  readonly share: number;
  readonly massG: number;
}

/** How likely each sum is: of cell 0 nothing, of cell 1 up to one cell more, and so on. */
interface SumChances {
  readonly cellG: number;
  readonly chances: Float64Array;
}

/**
 * A sum is kept in cells of a milligram, or coarser where it would take more of them than this. What each chooses is rounded
 * up to whole cells, so a sum is never told too small, and too large by less than one cell for each chooser: of two hundred
 * at most 0.7 % of the most they can take.
 */
const MOST_CELLS = 32_768;
const FINEST_CELL_G = 0.001;

/**
 * How likely each sum of what so many choose is, everybody for themselves. The sum of independent choices multiplies their
 * transforms (convolution theorem): one transform there, a power, one back, however many choose.
 */
export function chancesOfSum(choices: readonly Choice[], choosers: number): SumChances {
  const mostG = Math.max(0, ...choices.map(({ massG }) => massG)) * choosers;
  if (!(mostG > 0)) return { cellG: FINEST_CELL_G, chances: Float64Array.of(1) };
  // Rounding up may take one cell more for each chooser.
  const cellG = Math.max(FINEST_CELL_G, mostG / (MOST_CELLS - choosers - 1));
  const cells = choices.map(({ share, massG }) => ({ share, cell: Math.ceil(massG / cellG - 1e-6) }));
  const length = Math.max(...cells.map(({ cell }) => cell)) * choosers + 1;
  const size = Math.max(2, 2 ** Math.ceil(Math.log2(length)));
  const ofOneChooser = new Float64Array(size);
  for (const { share, cell } of cells) ofOneChooser[cell] = (ofOneChooser[cell] ?? 0) + share;
  return { cellG, chances: selfConvolved(ofOneChooser, choosers).subarray(0, length) };
}

/** Made once for each size: its tables take longer than a transform. */
const transforms = new Map<number, FFT>();

function transformOf(size: number): FFT {
  const transform = transforms.get(size) ?? new FFT(size);
  transforms.set(size, transform);
  return transform;
}

/** A distribution added to itself so many times. @param distribution room for the whole sum, a power of two long */
function selfConvolved(distribution: Float64Array, times: number): Float64Array {
  const transform = transformOf(distribution.length);
  const spectrum = transform.createComplexArray() as number[];
  transform.realTransform(spectrum, distribution);
  // Of what is real one half of the spectrum is the mirror of the other.
  for (let at = 0; at <= distribution.length; at += 2) raise(spectrum, at, times);
  transform.completeSpectrum(spectrum);
  const sums = transform.createComplexArray() as number[];
  transform.inverseTransform(sums, spectrum);
  // A chance is never less than none: below the rounding of the transforms it is none.
  return Float64Array.from({ length: distribution.length }, (_, at) => Math.max(0, sums[2 * at] ?? 0));
}

/** Raises the complex number at a place to a whole power, by squaring. */
function raise(spectrum: number[], at: number, times: number): void {
  let [real, imaginary] = [1, 0];
  let [squaredReal, squaredImaginary] = [spectrum[at] ?? 0, spectrum[at + 1] ?? 0];
  for (let left = times; left > 0; left >>= 1) {
    if (left & 1) {
      const product = real * squaredReal - imaginary * squaredImaginary;
      imaginary = real * squaredImaginary + imaginary * squaredReal;
      real = product;
    }
    const square = squaredReal * squaredReal - squaredImaginary * squaredImaginary;
    squaredImaginary *= 2 * squaredReal;
    squaredReal = square;
  }
  spectrum[at] = real;
  spectrum[at + 1] = imaginary;
}
