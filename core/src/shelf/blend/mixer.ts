import { fromMixing, toMixing } from './mix.ts';
import { BANDS, colourOf, reflectanceOf, RGB_OF_BANDS, XYZ_OF_BANDS } from './spectrum.ts';

/** Mixes many blends of a few fibres quickly, against one wanted colour. */
export interface Mixer {
  /** Each fibre’s place in three broad bands of mixing values, from the wanted colour; a step is about one ΔE. */
  readonly bands: readonly (readonly [number, number, number])[];
  /** Close to CIEDE2000 where the two are near, and cheap. Parts need not add up to anything. */
  readonly roughDeltaE: (indices: readonly number[], parts: readonly number[]) => number;
  readonly colourOf: (indices: readonly number[], parts: readonly number[]) => string;
}

/** Deliberately plain loops over flat arrays: this runs fifty thousand times for one question. */
export function mixerOf(wanted: string, candidates: readonly { readonly colour: string }[]): Mixer {
  const flat = new Float64Array(candidates.length * BANDS);
  candidates.forEach(({ colour }, index) => flat.set(reflectanceOf(colour).map(toMixing), index * BANDS));
  const spectrum = new Float64Array(BANDS);
  const mixInto = (indices: readonly number[], parts: readonly number[]) => {
    let total = 0;
    for (let k = 0; k < parts.length; k++) total += parts[k] as number;
    spectrum.fill(0);
    for (let k = 0; k < indices.length; k++) {
      const offset = (indices[k] as number) * BANDS;
      const weight = (parts[k] as number) / total;
      for (let i = 0; i < BANDS; i++)
        spectrum[i] = (spectrum[i] as number) + weight * (flat[offset + i] as number);
    }
    for (let i = 0; i < BANDS; i++) spectrum[i] = fromMixing(spectrum[i] as number);
  };
  const metric = metricAt(labOf(reflectanceOf(wanted)));
  return {
    bands: broadBands(wanted, candidates),
    roughDeltaE: (indices, parts) => {
      mixInto(indices, parts);
      return metric(labOf(spectrum));
    },
    colourOf: (indices, parts) => {
      mixInto(indices, parts);
      return colourOf(spectrum);
    },
  };
}

type Lab = readonly [L: number, a: number, b: number];

function labOf(spectrum: Float64Array): Lab {
  const [x, y, z] = [lightOf(spectrum, 0), lightOf(spectrum, 1), lightOf(spectrum, 2)];
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

/** CIE’s f of X/Xn, Y/Yn or Z/Zn. */
function lightOf(spectrum: Float64Array, which: 0 | 1 | 2): number {
  const row = XYZ_OF_BANDS[which] as Float64Array;
  let sum = 0;
  for (let i = 0; i < BANDS; i++) sum += (row[i] as number) * (spectrum[i] as number);
  return sum > 216 / 24389 ? Math.cbrt(sum) : (841 / 108) * sum + 4 / 29;
}

/**
 * The CIE94 difference with CIEDE2000’s weight of lightness, referred to the wanted colour. It only chooses among
 * mixtures; what is shown is CIEDE2000.
 */
function metricAt([L, a, b]: Lab): (lab: Lab) => number {
  const chroma = Math.hypot(a, b);
  const weighL = 1 + (0.015 * (L - 50) ** 2) / Math.sqrt(20 + (L - 50) ** 2);
  const [weighC, weighH] = [1 + 0.045 * chroma, 1 + 0.015 * chroma];
  return (lab) => {
    const [dL, da, db] = [lab[0] - L, lab[1] - a, lab[2] - b];
    const dC = Math.hypot(lab[1], lab[2]) - chroma;
    const dH2 = Math.max(0, da * da + db * db - dC * dC);
    return Math.sqrt((dL / weighL) ** 2 + (dC / weighC) ** 2 + dH2 / weighH ** 2);
  };
}

/** Mixing values in broad red, green and blue, weighed by how far a small change of each moves the wanted colour. */
function broadBands(wanted: string, candidates: readonly { readonly colour: string }[]): Mixer['bands'] {
  const rows = RGB_OF_BANDS.map((row) => row.map((value) => Math.max(0, value)));
  const meanOver = (row: Float64Array, mixing: Float64Array) =>
    row.reduce((sum, value, i) => sum + value * (mixing[i] as number), 0) /
    row.reduce((sum, value) => sum + value, 0);
  const target = reflectanceOf(wanted);
  const metric = metricAt(labOf(target));
  const eye = rows.map((row) => {
    const most = Math.max(...row);
    // A nudge of this band alone, in mixing values, and what the eye makes of it.
    const nudged = target.map((value, i) =>
      fromMixing(toMixing(value) * (1 + (0.05 * (row[i] as number)) / most)),
    );
    return metric(labOf(nudged)) / (0.05 * meanOver(row, target.map(toMixing)));
  });
  return candidates.map(({ colour }) => {
    const mixing = reflectanceOf(colour).map(toMixing);
    const away = rows.map(
      (row, c) => (eye[c] as number) * (meanOver(row, mixing) - meanOver(row, target.map(toMixing))),
    );
    return away as unknown as [number, number, number];
  });
}
