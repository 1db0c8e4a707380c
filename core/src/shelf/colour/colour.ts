import { differenceCiede2000, modeLab65, modeRgb, parseHex, useMode, type Rgb } from 'culori/fn';

useMode(modeRgb);
const toLab65 = useMode(modeLab65);
const ciede2000 = differenceCiede2000();

/** Is this a colour written as #rrggbb? */
export const isColour = (text: string): boolean => /^#[0-9a-f]{6}$/i.test(text);

/** CIEDE2000 between two sRGB colours (#rrggbb) under D65. Dimensionless; 1 is about the least an eye tells apart. */
export function colourDifference(a: string, b: string): number {
  return remembered(differences, `${a}${b}`, () => ciede2000(rgb(a), rgb(b)));
}

/** CIE L* (0 black – 100 white) of an sRGB colour (#rrggbb). */
export function lightness(colour: string): number {
  return remembered(lightnesses, colour, () => toLab65(rgb(colour)).l);
}

/** As many as a shelf has pairs that meet on a figure; then it begins anew. */
const MOST_REMEMBERED = 4000;
const differences = new Map<string, number>();
const lightnesses = new Map<string, number>();

/** Every edit of a figure asks again for the same few colours. */
function remembered(values: Map<string, number>, key: string, work: () => number): number {
  const known = values.get(key);
  if (known !== undefined) return known;
  if (values.size >= MOST_REMEMBERED) values.clear();
  const value = work();
  values.set(key, value);
  return value;
}

/** Only checked colours come here; black stands in for what could not be read rather than NaN in a weight. */
const rgb = (colour: string): Rgb => parseHex(colour) ?? { mode: 'rgb', r: 0, g: 0, b: 0 };

/** CIE LCh of an sRGB colour (#rrggbb): chroma, and hue in degrees; the hue of a grey is 0. */
export function hueChroma(colour: string): { readonly chroma: number; readonly hueDeg: number } {
  const { a, b } = toLab65(rgb(colour));
  const chroma = Math.hypot(a, b);
  return { chroma, hueDeg: chroma < 1e-6 ? 0 : ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360 };
}
