import {
  type Block,
  type Booklet,
  type BookletTerms,
  type PictureSource,
  type Swatch,
  swatchSvg,
} from '@lanakit/core/papers';
import sharp from 'sharp';
import type { ReadyImage } from './pen.ts';
import { swatchKey } from './setting.ts';

/** Bytes of pictures that are kept in the studio, by id; one that is not there is left out. */
export type StudioPictures = ReadonlyMap<string, Uint8Array>;

/** As wide as a page prints it, dots: 300 to an inch on 90 mm. */
const [PICTURE_DOTS, DRAWING_DOTS, SWATCH_DPI, JPEG_QUALITY] = [1060, 900, 300, 82] as const;

/** Every picture of a booklet as it is printed; drawings in outline where ink is saved. */
export async function bookletImages({ pictures }: Booklet, { ink }: BookletTerms, kept: StudioPictures) {
  const ready = new Map<string, ReadyImage>();
  // One after the other: sixty pictures at once would take all the memory there is.
  for (const [key, source] of Object.entries(pictures)) {
    const image = await imageOf(source, ink, kept);
    if (image) ready.set(key, image);
  }
  return ready;
} // prettier-ignore

async function imageOf(source: PictureSource, ink: BookletTerms['ink'], kept: StudioPictures): Promise<ReadyImage | null> {
  if (source.from === 'drawing') {
    const svg = ink === 'saving' ? outlined(source.svg) : source.svg;
    const bytes = await sharp(Buffer.from(svg), { density: 300 })
      .resize({ width: DRAWING_DOTS, height: DRAWING_DOTS, fit: 'inside' })
      .flatten({ background: '#ffffff' })
      .png({ compressionLevel: 7 })
      .toBuffer();
    return { bytes, aspect: source.aspect };
  }
  const bytes = kept.get(source.pictureId);
  if (!bytes) return null;
  const picture = sharp(bytes, { density: 200 }).rotate().resize({ width: PICTURE_DOTS, withoutEnlargement: true }).flatten({ background: '#ffffff' });
  const { data, info } = await (ink === 'saving' ? picture.grayscale() : picture).jpeg({ quality: JPEG_QUALITY }).toBuffer({ resolveWithObject: true });
  return { bytes: data, aspect: info.width / info.height };
} // prettier-ignore

/** Nothing is filled but what is white. */
const outlined = (svg: string): string => svg.replaceAll(/fill="#[0-9a-f]{6}"/gi, 'fill="#ffffff"');

/** A pattern of its preparation alone, where ink is saved. */
export async function bookletSwatches({ parts }: Booklet, { ink }: BookletTerms) {
  const all = new Map(
    parts.flatMap(({ blocks }) => blocks.flatMap(swatchesIn)).map((swatch) => [swatchKey(swatch), swatch]),
  );
  const ready = await Promise.all(
    [...all].map(async ([key, swatch]) => {
      const shown = ink === 'saving' ? { ...swatch, colour: '#ffffff' } : swatch;
      const svg = Buffer.from(swatchSvg(shown, 34, 14));
      const bytes = await sharp(svg, { density: SWATCH_DPI }).flatten({ background: '#ffffff' }).png().toBuffer();
      return [key, { bytes, aspect: 34 / 14 }] as const;
    }),
  );
  return new Map<string, ReadyImage>(ready);
} // prettier-ignore

function swatchesIn(block: Block): Swatch[] {
  switch (block.is) {
    case 'facts':
      return block.rows.flatMap(({ swatch }) => swatch ?? []);
    case 'table':
      return block.rows.flatMap(({ cells }) => cells.flatMap(({ swatch }) => swatch ?? []));
    case 'step':
    case 'piece':
      return block.blocks.flatMap(swatchesIn);
    default:
      return [];
  }
}
