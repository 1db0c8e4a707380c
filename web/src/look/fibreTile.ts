import type { Fibre } from '@lanakit/core';
import { fibreStrokes, TILE_PX } from './fibreStrokes.ts';

/** Drawn larger than it is shown, for fine screens and for paper. */
const FINENESS = 2;

const tiles = new Map<string, string>();

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
  const context = canvas.getContext('2d');
  if (!context) return '';
  const strokes = fibreStrokes(preparation);
  context.scale(FINENESS, FINENESS);
  context.fillStyle = colour;
  context.fillRect(0, 0, TILE_PX, TILE_PX);
  context.lineCap = 'round';
  context.lineWidth = strokes.strokeWidth;
  context.strokeStyle = 'rgb(0 0 0 / 17%)';
  context.stroke(new Path2D(strokes.dark));
  context.strokeStyle = 'rgb(255 255 255 / 19%)';
  context.stroke(new Path2D(strokes.pale));
  return canvas.toDataURL('image/webp', 0.9);
}
