import type { DrawnFigure, DrawnMark, DrawnPiece } from '@lanakit/core/figure';
import { FINENESS, paintOf, type Woolly } from '../ui/look/fibreTile.ts';
import { tileShiftPx } from '../ui/look/fibreStrokes.ts';
import type { DrawingScale } from './TogetherDrawing.tsx';

type Point = readonly [number, number];

/** With what a figure is painted. */
export interface FigurePaint {
  readonly lookOf: (fibreId: string | null) => Woolly | null;
  /** Of outlines, and of what has no wool. */
  readonly ink: string;
  readonly paper: string;
  readonly red: string;
}

/**
 * A figure on a canvas, as `TogetherDrawing` draws it as SVG: for pictures that follow one another sixty times a second,
 * which nobody takes hold of.
 */
export function paintFigure(
  context: CanvasRenderingContext2D,
  drawn: DrawnFigure,
  at: DrawingScale,
  paint: FigurePaint,
): void {
  context.lineJoin = 'round';
  for (const piece of drawn.pieces) {
    piece.behind.forEach((mark) => paintMark(context, mark, piece, at, paint));
    paintPiece(context, piece, at, paint);
    piece.marks.forEach((mark) => paintMark(context, mark, piece, at, paint));
  }
}

const pathOf = (contours: readonly (readonly Point[])[], at: DrawingScale, isOpen = false): Path2D => {
  const path = new Path2D();
  for (const points of contours) {
    points.forEach(([x, y], index) => {
      const [px, py] = [at.leftPx + x * at.pxPerMm, at.groundPx - y * at.pxPerMm];
      if (index === 0) path.moveTo(px, py);
      else path.lineTo(px, py);
    });
    if (!isOpen) path.closePath();
  }
  return path;
};

/** As `FibrePattern`: along the piece, begun where nobody else of it begins. */
function woolIn(
  context: CanvasRenderingContext2D,
  look: Woolly | null,
  seed: string,
  lieDeg: number,
): CanvasPattern | null {
  const tile = look && paintOf(look);
  const pattern = tile ? context.createPattern(tile, 'repeat') : null;
  const [shiftX, shiftY] = tileShiftPx(seed);
  pattern?.setTransform(
    new DOMMatrix()
      .rotate(90 + lieDeg)
      .translate(shiftX, shiftY)
      .scale(1 / FINENESS),
  );
  return pattern;
}

function paintPiece(
  context: CanvasRenderingContext2D,
  piece: DrawnPiece,
  at: DrawingScale,
  { lookOf, ink, paper }: FigurePaint,
): void {
  const path = pathOf(piece.outline, at);
  context.fillStyle = woolIn(context, lookOf(piece.fibreId), piece.partId, piece.lieDeg) ?? paper;
  context.fill(path, 'evenodd');
  shade(context, piece, path, at);
  context.strokeStyle = ink;
  context.lineWidth = 1;
  context.stroke(path);
}

/** Light from above on the left, shade at the rim: over its box, as it is in SVG. */
function shade(
  context: CanvasRenderingContext2D,
  { outline }: DrawnPiece,
  path: Path2D,
  { leftPx, groundPx, pxPerMm }: DrawingScale,
): void {
  let [left, right, bottom, top] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const contour of outline)
    for (const [x, y] of contour) {
      [left, right] = [Math.min(left, x), Math.max(right, x)];
      [bottom, top] = [Math.min(bottom, y), Math.max(top, y)];
    }
  const [width, height] = [(right - left) * pxPerMm, (top - bottom) * pxPerMm];
  if (!(width > 0 && height > 0)) return;
  const gradient = context.createRadialGradient(0.36, 0.28, 0, 0.36, 0.28, 0.85);
  gradient.addColorStop(0, 'rgb(255 255 255 / 0.2)');
  gradient.addColorStop(0.5, 'rgb(255 255 255 / 0)');
  gradient.addColorStop(0.62, 'rgb(0 0 0 / 0)');
  gradient.addColorStop(1, 'rgb(0 0 0 / 0.34)');
  const box = new DOMMatrix([width, 0, 0, height, leftPx + left * pxPerMm, groundPx - top * pxPerMm]);
  const inBox = new Path2D();
  inBox.addPath(path, box.inverse());
  context.save();
  context.transform(box.a, box.b, box.c, box.d, box.e, box.f);
  context.fillStyle = gradient;
  context.fill(inBox, 'evenodd');
  context.restore();
}

function paintMark(
  context: CanvasRenderingContext2D,
  mark: DrawnMark,
  { key, lieDeg }: DrawnPiece,
  at: DrawingScale,
  { lookOf, ink, paper, red }: FigurePaint,
): void {
  const look = 'fibreId' in mark ? lookOf(mark.fibreId) : null;
  const stroke = (path: Path2D, colour: string, width: number) => {
    context.strokeStyle = colour;
    context.lineWidth = width;
    context.stroke(path);
  };
  context.lineCap = 'round';
  switch (mark.kind) {
    case 'area': {
      const path = pathOf([mark.outline], at);
      context.fillStyle = woolIn(context, look, key, lieDeg) ?? paper;
      context.fill(path);
      context.globalAlpha = 0.35;
      stroke(path, ink, 0.5);
      context.globalAlpha = 1;
      return;
    }
    case 'hollow': {
      context.fillStyle = 'rgb(0 0 0 / 0.26)';
      context.fill(pathOf([mark.outline], at));
      return;
    }
    case 'thing': {
      const path = pathOf([mark.outline], at);
      context.fillStyle = mark.colour ?? paper;
      context.fill(path);
      return stroke(path, ink, 0.75);
    }
    case 'line':
      return stroke(pathOf([mark.points], at, true), look?.colour ?? red, Math.max(1.25, at.pxPerMm * 0.9));
    case 'groove':
      return stroke(pathOf([mark.points], at, true), 'rgb(0 0 0 / 0.55)', 1.8);
    case 'hair':
      return stroke(pathOf(mark.strands, at, true), look?.colour ?? red, 1.25);
    case 'strand': {
      const path = pathOf([mark.points], at, true);
      const thickPx = Math.max(1.25, at.pxPerMm * (mark.thickMm ?? 0));
      stroke(path, ink, thickPx + 1);
      if (mark.colour !== null) stroke(path, mark.colour, thickPx);
    }
  }
}
