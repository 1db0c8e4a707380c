import { BANDS, colourOf, reflectanceOf, type Spectrum } from './spectrum.ts';

/** Stearns and Noechel’s constant for carded wool; an average of RGB would be M → ∞ without the eye’s own curve. */
const STEARNS_NOECHEL_M = 0.15;

/** The function of reflectance that mixes by mass fraction. Falling, so that dark fibre outweighs pale. */
export const toMixing = (reflectance: number): number =>
  (1 - reflectance) / (STEARNS_NOECHEL_M * (reflectance - 0.01) + 0.01);

/** And back. */
export const fromMixing = (mixing: number): number =>
  (1 - 0.01 * mixing * (1 - STEARNS_NOECHEL_M)) / (1 + STEARNS_NOECHEL_M * mixing);

export interface Component {
  /** #rrggbb */
  readonly colour: string;
  /** Of the blend’s mass, 0–1. */
  readonly fraction: number;
}

/**
 * The reflectance of an intimate blend, wavelength by wavelength: f(R) = Σ xᵢ·f(Rᵢ) with
 * f(R) = (1 − R)/(M(R − 0.01) + 0.01). Source: Stearns & Noechel, “Spectrophotometric prediction of color of wool
 * blends”, Am. Dyestuff Rep. 33 (1944); M = 0.15.
 */
function mixSpectra(components: readonly Component[]): Spectrum {
  const mixing = new Float64Array(BANDS);
  for (const { colour, fraction } of components) {
    reflectanceOf(colour).forEach((value, i) => (mixing[i] = (mixing[i] ?? 0) + fraction * toMixing(value)));
  }
  return mixing.map(fromMixing);
}

/** The colour of a blend as #rrggbb; fractions add up to 1. */
export const mixColours = (components: readonly Component[]): string => colourOf(mixSpectra(components));
