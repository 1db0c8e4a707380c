import type { Fibre } from '@lanakit/core/shelf';
import { fibreStrokes, TILE_PX } from './fibreStrokes.ts';

/** Drawn larger than it is shown, for fine screens and for paper. */
export const FINENESS = 2;

interface Tile {
  readonly canvas: HTMLCanvasElement;
  readonly url: string;
}
const tiles = new Map<string, Tile>();
/** With their colours, to be painted with. */
const paints = new Map<string, HTMLCanvasElement>();

interface Brush {
  readonly pale: Path2D;
  readonly dark: Path2D;
  readonly strokeWidth: number;
}

/** The curves of a preparation are the same in every colour. */
const brushes = new Map<Fibre['preparation'], Brush>();

function brushOf(preparation: Fibre['preparation']): Brush {
  const known = brushes.get(preparation);
  if (known) return known;
  const { pale, dark, strokeWidth } = fibreStrokes(preparation);
  const brush = { pale: new Path2D(pale), dark: new Path2D(dark), strokeWidth };
  brushes.set(preparation, brush);
  return brush;
}

/** Of a blend, the colour and share of each fibre in it. */
export interface Strand {
  readonly colour: string;
  readonly fraction: number;
}

export interface Woolly extends Pick<Fibre, 'colour' | 'preparation'> {
  readonly strands?: readonly Strand[];
}

/**
 * The strokes of a preparation as a picture (data URL) to be laid over any colour, painted once. As live strokes a shelf
 * of fibres is tens of thousands of curves to paint at every change; painted for each colour it would be twenty
 * milliseconds a drawer.
 */
export function strokesTile(preparation: Fibre['preparation']): string {
  return strokesOf(preparation)?.url ?? '';
}

const strokesOf = (preparation: Fibre['preparation']): Tile | null =>
  tileOf(strokesKey(preparation), (context) => paintStrokes(context, preparation, 1));

/** A fibre to paint with on a canvas: its colour and its lie, or a blend’s; `FINENESS` times as large as it is shown. */
export function paintOf({ colour, preparation, strands }: Woolly): HTMLCanvasElement | null {
  if (strands) return blendOf(colour, preparation, strands)?.canvas ?? null;
  const key = colour + preparation;
  const known = paints.get(key);
  const strokes = known ? null : strokesOf(preparation);
  if (known || !strokes) return known ?? null;
  const canvas = document.createElement('canvas');
  canvas.width = canvas.height = TILE_PX * FINENESS;
  const context = canvas.getContext('2d');
  if (!context) return null;
  context.fillStyle = colour;
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(strokes.canvas, 0, 0);
  paints.set(key, canvas);
  return canvas;
}

const strokesKey = (preparation: Fibre['preparation']): string => preparation;

/** Whether the tile is painted already: painting one takes longer than all else of a small page. */
export const isTileThere = ({ colour, preparation, strands }: Woolly): boolean =>
  tiles.has(strands ? blendKey(colour, preparation, strands) : strokesKey(preparation));

const blendKey = (colour: string, preparation: Fibre['preparation'], strands: readonly Strand[]): string =>
  colour + preparation + strands.map((strand) => strand.colour + strand.fraction.toFixed(3)).join();

/** A blend’s tile: its colour, the fibres it is made of close to, and light and shade over them. */
export function blendTile(
  colour: string,
  preparation: Fibre['preparation'],
  strands: readonly Strand[],
): string {
  return blendOf(colour, preparation, strands)?.url ?? '';
}

const blendOf = (
  colour: string,
  preparation: Fibre['preparation'],
  strands: readonly Strand[],
): Tile | null =>
  tileOf(blendKey(colour, preparation, strands), (context) => {
    context.fillStyle = colour;
    context.fillRect(0, 0, TILE_PX, TILE_PX);
    paintStrands(context, preparation, strands);
    paintStrokes(context, preparation, 0.5);
  });

function tileOf(key: string, paint: (context: CanvasRenderingContext2D) => void): Tile | null {
  const known = tiles.get(key);
  if (known !== undefined) return known;
  const canvas = document.createElement('canvas');
  canvas.width = canvas.height = TILE_PX * FINENESS;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return null;
  context.scale(FINENESS, FINENESS);
  context.lineCap = 'round';
  paint(context);
  const tile = { canvas, url: canvas.toDataURL() };
  tiles.set(key, tile);
  return tile;
}

const SHADE = 0.23;
const LIGHT = 0.27;

/** @param strength of light and shade, 0–1 */
function paintStrokes(
  context: CanvasRenderingContext2D,
  preparation: Fibre['preparation'],
  strength: number,
): void {
  const brush = brushOf(preparation);
  context.lineWidth = brush.strokeWidth;
  context.strokeStyle = `rgb(0 0 0 / ${SHADE * strength})`;
  context.stroke(brush.dark);
  context.strokeStyle = `rgb(255 255 255 / ${LIGHT * strength})`;
  context.stroke(brush.pale);
}

/** A patch of a blend in which one fibre outweighs, px: carding never quite makes them one. */
const PATCH_PX = { width: 28, height: 10 };
/** Paler fibres are drawn paler, darker ones darker: a blend of two greens is told from one green without colour too. */
const APART_PERCENT = 26;

/** Which patch a stroke begins in: they are dealt out evenly, without runs of one colour. */
function placeOf(stroke: string): number {
  const [, x = '0', y = '0'] = /^M(-?[\d.]+) (-?[\d.]+)/.exec(stroke) ?? [];
  const across = Math.ceil(TILE_PX / PATCH_PX.width);
  const patch = Math.floor(Number(x) / PATCH_PX.width) + across * Math.floor(Number(y) / PATCH_PX.height);
  return (patch * 0.618034) % 1;
}

/** From the darkest to the palest, each pushed away from the middle. */
function toldApart(strands: readonly Strand[]): ReadonlyMap<Strand, string> {
  const byLight = [...strands].sort((a, b) => lightOf(a.colour) - lightOf(b.colour));
  const last = Math.max(1, byLight.length - 1);
  return new Map(
    byLight.map((strand, at) => {
      const push = (at / last - 0.5) * 2 * APART_PERCENT;
      return [
        strand,
        `color-mix(in srgb, ${strand.colour}, ${push < 0 ? 'black' : 'white'} ${Math.abs(push)}%)`,
      ];
    }),
  );
}

/** Luma of `#rrggbb`, 0–255 (Rec. 709). */
function lightOf(colour: string): number {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16));
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
}

/** Close to, a blend shows the fibres it is made of: so many strokes of each as its share. */
function paintStrands(
  context: CanvasRenderingContext2D,
  preparation: Fibre['preparation'],
  strands: readonly Strand[],
): void {
  const { strokes, strokeWidth } = fibreStrokes(preparation);
  context.lineWidth = strokeWidth;
  const ends = strands.map((_, i) =>
    strands.slice(0, i + 1).reduce((sum, { fraction }) => sum + fraction, 0),
  );
  const colours = toldApart(strands);
  context.globalAlpha = 0.6;
  for (const stroke of strokes) {
    const place = placeOf(stroke);
    const strand = strands[ends.findIndex((end) => place < end)];
    if (!strand) continue;
    context.strokeStyle = colours.get(strand) ?? strand.colour;
    context.stroke(new Path2D(stroke));
  }
  context.globalAlpha = 1;
}
