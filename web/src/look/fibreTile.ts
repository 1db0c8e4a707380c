import type { Fibre } from '@lanakit/core';
import { fibreStrokes, TILE_PX } from './fibreStrokes.ts';

/** Drawn larger than it is shown, for fine screens and for paper. */
const FINENESS = 2;

const tiles = new Map<string, string>();

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
 * A fibre's tile as a picture (data URL), painted once for each colour and preparation. As live strokes a shelf of
 * fibres is tens of thousands of curves to paint at every change; as a picture it is one copy.
 */
export function fibreTile(wool: Woolly): string {
  const { colour, preparation, strands = [] } = wool;
  const key =
    colour + preparation + strands.map((strand) => strand.colour + strand.fraction.toFixed(3)).join();
  const tile = tiles.get(key) ?? paintTile(colour, preparation, strands);
  tiles.set(key, tile);
  return tile;
}

function paintTile(colour: string, preparation: Fibre['preparation'], strands: readonly Strand[]): string {
  const canvas = document.createElement('canvas');
  canvas.width = canvas.height = TILE_PX * FINENESS;
  const context = canvas.getContext('2d', { alpha: false, willReadFrequently: true });
  if (!context) return '';
  const brush = brushOf(preparation);
  context.scale(FINENESS, FINENESS);
  context.fillStyle = colour;
  context.fillRect(0, 0, TILE_PX, TILE_PX);
  context.lineCap = 'round';
  context.lineWidth = brush.strokeWidth;
  if (strands.length > 0) paintStrands(context, preparation, strands);
  context.strokeStyle = `rgb(0 0 0 / ${strands.length > 0 ? 9 : 17}%)`;
  context.stroke(brush.dark);
  context.strokeStyle = `rgb(255 255 255 / ${strands.length > 0 ? 9 : 19}%)`;
  context.stroke(brush.pale);
  // It has no holes, and this is the quickest to encode and to decode.
  return canvas.toDataURL('image/jpeg', 0.92);
}

/** Close to, a blend shows the fibres it is made of: so many strokes of each as its share. */
function paintStrands(
  context: CanvasRenderingContext2D,
  preparation: Fibre['preparation'],
  strands: readonly Strand[],
): void {
  const { strokes } = fibreStrokes(preparation);
  const ends = strands.map((_, i) =>
    strands.slice(0, i + 1).reduce((sum, { fraction }) => sum + fraction, 0),
  );
  context.globalAlpha = 0.5;
  strokes.forEach((stroke, index) => {
    // A golden step deals the strokes out evenly, without runs of one colour.
    const place = (index * 0.618034) % 1;
    const strand = strands[ends.findIndex((end) => place < end)];
    if (!strand) return;
    context.strokeStyle = strand.colour;
    context.stroke(new Path2D(stroke));
  });
  context.globalAlpha = 1;
}
