import { createHash } from 'node:crypto';
import sanitizeHtml from 'sanitize-html';
import type { PictureMime, ReadyPicture } from '../db/pictures.ts';
import { Refusal } from './refusal.ts';

const LARGE_PX = 1600;
const SMALL_PX = 480;
/** More than any camera of a maker’s, and what fits in memory when unpacked. */
const MOST_PIXELS = 40_000_000;

const MIME_OF: Readonly<Record<string, PictureMime>> = {
  jpeg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
};

/** No side is longer: a strip a pixel high would take as much room as a whole picture for each row it is turned by. */
const LONGEST_SIDE_PX = 16_000;
/** Decoding is given up then. */
const LIMIT_SECONDS = 20;

const LARGEST_DRAWING_BYTES = 4_000_000;
const MOST_TAGS = 20_000;

/** Told by what is in it, not by its name. Looks at no more than the head, once. */
export function looksLikeSvg(bytes: Buffer): boolean {
  const head = bytes
    .subarray(0, 4096)
    .toString('utf8')
    .replace(/^\uFEFF/, '');
  let at = 0;
  for (;;) {
    while (/\s/.test(head.charAt(at))) at += 1;
    const ending = PROLOGUE.find(([start]) => head.startsWith(start, at))?.[1];
    if (ending === undefined) return /^<svg[\s>]/i.test(head.slice(at, at + 5));
    const end = head.indexOf(ending, at);
    if (end < 0) return false;
    at = end + ending.length;
  }
}

/** What may stand before a drawing, and how each ends. */
const PROLOGUE = [
  ['<?', '?>'],
  ['<!--', '-->'],
  ['<!DOCTYPE', '>'],
  ['<!doctype', '>'],
] as const;

/**
 * A photograph turned upright and without everything beside its pixels, the place it was taken above all.
 * @throws Refusal picture_not_read, picture_too_large
 */
export async function readPhoto(bytes: Buffer): Promise<ReadyPicture> {
  const { format, width, height } = await metadataOf(bytes);
  const mime = MIME_OF[format];
  if (!mime) throw new Refusal({ code: 'picture_not_read' });
  if (width * height > MOST_PIXELS || Math.max(width, height) > LONGEST_SIDE_PX)
    throw new Refusal({ code: 'picture_too_large', width, height });
  const sharp = await loadSharp();
  const sized = (from: Buffer, px: number) =>
    sharp(from, { limitInputPixels: MOST_PIXELS })
      .timeout({ seconds: LIMIT_SECONDS })
      .autoOrient()
      .resize(px, px, { fit: 'inside', withoutEnlargement: true })
      .toBuffer({ resolveWithObject: true });
  try {
    const large = await sized(bytes, LARGE_PX);
    // From the large one: the picture as it came is decoded once.
    const small = await sized(large.data, SMALL_PX);
    return {
      sha256: hashOf(large.data),
      mime,
      width: large.info.width,
      height: large.info.height,
      large: large.data,
      small: small.data,
    };
  } catch {
    // The head was a picture’s and the rest is not.
    throw new Refusal({ code: 'picture_not_read' });
  }
}

async function metadataOf(bytes: Buffer): Promise<{ format: string; width: number; height: number }> {
  try {
    // No limit here: the size is read from the head, so that it can be told why it is refused.
    const sharp = await loadSharp();
    const { format, width, height } = await sharp(bytes, { limitInputPixels: false }).metadata();
    return { format, width, height };
  } catch {
    throw new Refusal({ code: 'picture_not_read' });
  }
}

/**
 * A drawing without everything that could run or fetch.
 * @throws Refusal drawing_too_large, drawing_unsafe, picture_not_read
 */
export async function readDrawing(bytes: Buffer): Promise<ReadyPicture> {
  if (bytes.length > LARGEST_DRAWING_BYTES || tagsIn(bytes) > MOST_TAGS)
    throw new Refusal({ code: 'drawing_too_large', mostBytes: LARGEST_DRAWING_BYTES, mostTags: MOST_TAGS });
  const svg = safeDrawing(bytes.toString('utf8'));
  const { width, height } = await metadataOf(Buffer.from(svg));
  return keptDrawing(svg, { width: Math.max(1, width), height: Math.max(1, height) });
}

function tagsIn(bytes: Buffer): number {
  let count = 0;
  for (const byte of bytes) if (byte === TAG_START) count += 1;
  return count;
}

const TAG_START = '<'.charCodeAt(0);

interface PixelSize {
  readonly width: number;
  readonly height: number;
}

/** A drawing of known size, made fit to keep. @throws Refusal drawing_unsafe */
export const readyDrawing = (svg: string, size: PixelSize): ReadyPicture =>
  keptDrawing(safeDrawing(svg), size);

function safeDrawing(svg: string): string {
  const clean = sanitizeDrawing(svg);
  if (!/<(?:path|rect|circle|ellipse|line|polyline|polygon|text)\b/.test(clean))
    throw new Refusal({ code: 'drawing_unsafe' });
  return clean;
}

function keptDrawing(svg: string, size: PixelSize): ReadyPicture {
  const bytes = Buffer.from(svg);
  return { sha256: hashOf(bytes), mime: 'image/svg+xml', ...size, large: bytes, small: bytes };
}

/** Brought when the first picture comes: loading it takes longer than a good part of a start. */
const loadSharp = async () => (await import('../papers/imaging.ts')).sharp;

const hashOf = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex');

const SHAPES = ['path', 'rect', 'circle', 'ellipse', 'line', 'polyline', 'polygon', 'text', 'tspan'];
const GROUPS = [
  'svg',
  'g',
  'defs',
  'title',
  'desc',
  'clipPath',
  'mask',
  'pattern',
  'linearGradient',
  'radialGradient',
  'stop',
  'marker',
  'symbol',
];
const LOOKS = [
  'id', 'fill', 'fill-opacity', 'fill-rule', 'stroke', 'stroke-width', 'stroke-linecap', 'stroke-linejoin', 'stroke-dasharray',
  'stroke-dashoffset', 'stroke-opacity', 'stroke-miterlimit', 'opacity', 'transform', 'clip-path', 'clip-rule', 'mask',
  'font-family', 'font-size', 'font-weight', 'font-style', 'text-anchor', 'dominant-baseline', 'letter-spacing', 'paint-order',
  'd', 'x', 'y', 'x1', 'y1', 'x2', 'y2', 'dx', 'dy', 'cx', 'cy', 'r', 'rx', 'ry', 'fx', 'fy', 'width', 'height', 'points',
  'viewBox', 'preserveAspectRatio', 'xmlns', 'version', 'offset', 'stop-color', 'stop-opacity', 'gradientUnits',
  'gradientTransform', 'spreadMethod', 'patternUnits', 'patternTransform', 'patternContentUnits', 'maskUnits', 'clipPathUnits',
  'markerWidth', 'markerHeight', 'markerUnits', 'refX', 'refY', 'orient', 'marker-start', 'marker-mid', 'marker-end', 'rotate',
  'vector-effect', 'color',
]; // prettier-ignore

/** Shapes and looks only: no scripts, no events, no styles, no links, nothing from elsewhere. */
export function sanitizeDrawing(svg: string): string {
  return sanitizeHtml(svg, {
    allowedTags: [...GROUPS, ...SHAPES],
    allowedAttributes: { '*': LOOKS },
    allowedSchemes: [],
    // What stands inside a tag that goes is read as text otherwise.
    nonTextTags: [
      'script',
      'style',
      'foreignObject',
      'iframe',
      'use',
      'image',
      'a',
      'animate',
      'set',
      'metadata',
    ],
    parser: { xmlMode: true, lowerCaseTags: false, lowerCaseAttributeNames: false },
    exclusiveFilter: () => false,
    transformTags: {
      '*': (tagName, attributes) => ({
        tagName,
        attribs: Object.fromEntries(
          // A colour or a mask may be named by its id in this drawing, and by nothing else.
          Object.entries(attributes).filter(([, value]) => !/url\(\s*(?!['"]?#)/i.test(value)),
        ),
      }),
    },
  });
}
