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

/**
 * A fibre's tile as a picture (data URL), painted once for each colour and preparation. As live strokes a shelf of
 * fibres is tens of thousands of curves to paint at every change; as a picture it is one copy.
 */
export function fibreTile({ colour, preparation }: Pick<Fibre, 'colour' | 'preparation'>): string {
  const key = colour + preparation;
  const tile = tiles.get(key) ?? paintTile(colour, preparation);
  tiles.set(key, tile);
  return tile;
}

function paintTile(colour: string, preparation: Fibre['preparation']): string {
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
  context.strokeStyle = 'rgb(0 0 0 / 17%)';
  context.stroke(brush.dark);
  context.strokeStyle = 'rgb(255 255 255 / 19%)';
  context.stroke(brush.pale);
  // It has no holes, and this is the quickest to encode and to decode.
  return canvas.toDataURL('image/jpeg', 0.92);
}
