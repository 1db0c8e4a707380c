import { type Paper, type Swatch, swatchSvg } from '@lanakit/core/papers';
import { sharp } from './imaging.ts';

/** The picture of a swatch by name: each is in the file once, however often it is shown. */
const swatchName = ({ colour, preparation }: Swatch): string => `${preparation} ${colour}`;

/** At this size, in points. */
export const swatch = (ownSwatch: Swatch, width: number, height: number) => ({
  image: swatchName(ownSwatch),
  width,
  height,
});

/** Sharp enough for a printer, in points of 1⁄72 inch. */
const SWATCH_PT = [34, 14] as const;
const SWATCH_DPI = 360;

/** Every swatch of a paper as a picture. */
export async function swatchImages({ sections, labels }: Paper): Promise<Record<string, string>> {
  const all = [
    ...sections.flatMap((section) => [section.swatch, ...section.rows.map((line) => line.swatch)]),
    ...labels.flatMap(({ lines }) => lines.map((line) => line.swatch)),
  ];
  const distinct = new Map(
    all.flatMap((ownSwatch) => (ownSwatch ? [[swatchName(ownSwatch), ownSwatch] as const] : [])),
  );
  const images = await Promise.all(
    [...distinct].map(async ([name, ownSwatch]) => {
      const svg = Buffer.from(swatchSvg(ownSwatch, ...SWATCH_PT));
      const png = await sharp(svg, { density: SWATCH_DPI }).png().toBuffer();
      return [name, `data:image/png;base64,${png.toString('base64')}`] as const;
    }),
  );
  return Object.fromEntries(images);
}

/** The picture of a figure by name. */
export const figureName = (key: string): string => `figure ${key}`;
/** Dots down a figure of eight millimetres: as fine as a printer makes them. */
const FIGURE_DOTS = 220;

/** Every figure of a paper as a picture. */
export async function figureImages({ figures }: Paper): Promise<Record<string, string>> {
  const images = await Promise.all(
    Object.entries(figures).map(async ([key, { svg }]) => {
      const png = await sharp(Buffer.from(svg), { density: 300 })
        .resize({ height: FIGURE_DOTS })
        .png()
        .toBuffer();
      return [figureName(key), `data:image/png;base64,${png.toString('base64')}`] as const;
    }),
  );
  return Object.fromEntries(images);
}
