import { lightness, type Preparation } from '../shelf/index.ts';
import type { Swatch } from './paper.ts';

/** Strokes that tell preparations apart without colour: how they lie in a lock of it. In a square of 10 × 10. */
const HATCHING: Readonly<Record<Preparation, string>> = {
  tops: 'M0 2H10 M0 5H10 M0 8H10',
  'core-batt': 'M1 2q2-2 4 0t4 0 M0 5q2 2 4 0t4 0 M1 8q2-2 4 0t4 0',
  batt: 'M0 3q2.5-3 5 0t5 0 M0 7q2.5 3 5 0t5 0',
  carded: 'M0 1q4 5 10 1 M1 9q3-6 9-2 M4 0q-1 5 2 10',
  locks: 'M1 0q2 2 0 4t0 4 M5 0q2 2 0 4t0 4 M9 0q-2 2 0 4t0 4',
  'pre-felt': 'M0 0L10 10 M0 10L10 0',
  felt: 'M0 0L10 10 M0 10L10 0 M5 0V10 M0 5H10',
  yarn: 'M0 5q1.6-4 3.3 0t3.3 0 3.4 0',
  loose: 'M2 2l1 2 M7 1l-2 2 M5 6l2 1 M1 8l2-1 M8 8l-1 1',
};

/** A small picture of wool for paper: its colour, hatched by its preparation, with an edge. */
export function swatchSvg({ colour, preparation }: Swatch, widthPt: number, heightPt: number): string {
  const ink = lightness(colour) > 55 ? '#1d2733' : '#ffffff';
  const across = Math.max(1, Math.round((widthPt / heightPt) * 1));
  const tiles = Array.from(
    { length: across },
    (_, at) => `<path transform="translate(${at * 10} 0)" d="${HATCHING[preparation]}"/>`,
  ).join('');
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${widthPt}" height="${heightPt}" viewBox="0 0 ${across * 10} 10">` +
    `<rect width="${across * 10}" height="10" fill="${colour}"/>` +
    `<g fill="none" stroke="${ink}" stroke-width="0.7" stroke-opacity="0.8">${tiles}</g>` +
    `<rect x="0.3" y="0.3" width="${across * 10 - 0.6}" height="9.4" fill="none" stroke="#1d2733" stroke-width="0.6"/></svg>`
  );
}
