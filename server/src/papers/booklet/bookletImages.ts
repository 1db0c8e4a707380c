import {
  type Block,
  type Booklet,
  type BookletTerms,
  type PictureSource,
  type Swatch,
  swatchSvg,
} from '@lanakit/core/papers';
import pLimit from 'p-limit';
import { sharp } from '../imaging.ts';
import type { ReadyImage } from './pen.ts';
import { swatchKey } from './setting.ts';

/** Bytes of pictures that are kept in the studio, by id; one that is not there is left out. */
export type StudioPictures = ReadonlyMap<string, Uint8Array>;

/** As wide as a page prints it, dots: 300 to an inch on 90 mm. */
const [PICTURE_DOTS, DRAWING_DOTS, SWATCH_DPI, JPEG_QUALITY] = [1060, 900, 300, 82] as const;

const AT_ONCE = 3;

/** Draws each picture and each swatch once for all the booklets of a file. */
export interface ImageDrawer {
  readonly image: (source: PictureSource) => Promise<ReadyImage | null>;
  readonly swatch: (shown: Swatch) => Promise<ReadyImage>;
}

export function imageDrawer({ ink }: Pick<BookletTerms, 'ink'>, kept: StudioPictures): ImageDrawer {
  const images = new Map<string, ReadyImage | null>();
  const swatches = new Map<string, ReadyImage>();
  return {
    async image(source) {
      const key = source.from === 'drawing' ? source.svg : source.pictureId;
      const known = images.get(key);
      if (known !== undefined) return known;
      const drawn = await imageOf(source, ink, kept);
      images.set(key, drawn);
      return drawn;
    },
    async swatch(shown) {
      const key = swatchKey(shown);
      const known = swatches.get(key) ?? (await swatchImage(shown, ink));
      swatches.set(key, known);
      return known;
    },
  };
}

/** Every picture of a booklet as it is printed; drawings in outline where ink is saved. */
export async function bookletImages({ pictures }: Booklet, draw: ImageDrawer) {
  const ready = new Map<string, ReadyImage>();
  // A few at once: all sixty would take all the memory there is.
  const limit = pLimit(AT_ONCE);
  await Promise.all(
    Object.entries(pictures).map(([key, source]) =>
      limit(async () => {
        const image = await draw.image(source);
        if (image) ready.set(key, image);
      }),
    ),
  );
  return ready;
}

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
async function swatchImage(swatch: Swatch, ink: BookletTerms['ink']): Promise<ReadyImage> {
  const shown = ink === 'saving' ? { ...swatch, colour: '#ffffff' } : swatch;
  const svg = Buffer.from(swatchSvg(shown, 34, 14));
  const bytes = await sharp(svg, { density: SWATCH_DPI }).flatten({ background: '#ffffff' }).png().toBuffer();
  return { bytes, aspect: 34 / 14 };
}

/** Of every fibre it shows, by `swatchKey`. */
export async function bookletSwatches({ parts }: Booklet, draw: ImageDrawer) {
  const ready = new Map<string, ReadyImage>();
  for (const swatch of parts.flatMap(({ blocks }) => blocks.flatMap(swatchesIn)))
    ready.set(swatchKey(swatch), await draw.swatch(swatch));
  return ready;
}

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
