import { type Length, toMm } from '../base/index.ts';
import { outlineContours } from './outline/outlineContours.ts';
import { type Shape, type SizeName, sizesOf } from './shape.ts';
import { ball } from './solid/ball.ts';
import { box } from './solid/box.ts';
import { coil } from './solid/coil.ts';
import { cone } from './solid/cone.ts';
import { dome } from './solid/dome.ts';
import { drop } from './solid/drop.ts';
import { egg } from './solid/egg.ts';
import { ellipsoid } from './solid/ellipsoid.ts';
import { flatEllipse } from './solid/flatEllipse.ts';
import { limb } from './solid/limb.ts';
import { plate } from './solid/plate.ts';
import { ring } from './solid/ring.ts';
import { roundedPlate } from './solid/roundedPlate.ts';
import { sleeve } from './solid/sleeve.ts';
import type { Solid } from './solid/solid.ts';
import { taper } from './solid/taper.ts';

/** Shapes that lie on a table; the others are only what wool is laid on or counted as. */
type BodyShape = Exclude<Shape, { kind: 'patch' | 'fringe' | 'by-count' | 'by-grams' }>;

export type SolidResult =
  | { readonly kind: 'solid'; readonly solid: Solid }
  | { readonly kind: 'sizes-missing'; readonly missing: readonly SizeName[] }
  /** An outline nobody has drawn yet. */
  | { readonly kind: 'outline-missing' }
  /** Its body follows from its wool (`bodyOfWool`). */
  | { readonly kind: 'by-wool' };

/** The solid of a shape, or which of its sizes nobody has given. Sizes must have passed `checkShape`. */
export function solidOf(shape: Shape): SolidResult {
  const missing = [...sizesOf(shape)].filter(([, size]) => size === null).map(([name]) => name);
  if (missing.length > 0) return { kind: 'sizes-missing', missing };
  if (!isBody(shape)) return { kind: 'by-wool' };
  if (shape.kind === 'flat-outline') return outlined(shape.path, mm(shape.length), mm(shape.thickness));
  return { kind: 'solid', solid: build(shape) };
}

const BY_WOOL = new Set<Shape['kind']>(['patch', 'fringe', 'by-count', 'by-grams']);
const isBody = (shape: Shape): shape is BodyShape => !BY_WOOL.has(shape.kind);

function outlined(path: string, heightMm: number, thicknessMm: number): SolidResult {
  const contours = outlineContours(path, heightMm);
  return contours.length === 0
    ? { kind: 'outline-missing' }
    : { kind: 'solid', solid: plate(contours, thicknessMm) };
}

/** A solid of wool whose volume is known, for what has no shape of its own. @param volumeMm3 > 0 */
export function bodyOfWool(shape: Shape, volumeMm3: number): Solid {
  switch (shape.kind) {
    case 'patch': {
      const [lengthMm, widthMm] = [mm(shape.length), mm(shape.width)];
      return flatEllipse(lengthMm, widthMm, volumeMm3 / ((Math.PI / 4) * lengthMm * widthMm));
    }
    case 'fringe': {
      const [lineMm, dropMm] = [mm(shape.line), mm(shape.drop)];
      const contour = [
        [0, 0],
        [lineMm, 0],
        [lineMm, dropMm],
        [0, dropMm],
      ] as const;
      return plate([contour], volumeMm3 / (lineMm * dropMm));
    }
    default:
      return ball(Math.cbrt((6 * volumeMm3) / Math.PI));
  }
}

function build(shape: Exclude<BodyShape, { kind: 'flat-outline' }>): Solid {
  switch (shape.kind) {
    case 'ball':
      return ball(mm(shape.diameter));
    case 'ellipsoid':
      return ellipsoid(mm(shape.length), mm(shape.width), mm(shape.height));
    case 'egg':
      return egg(mm(shape.length), mm(shape.diameter), shape.widestAtFraction);
    case 'limb':
      return limb(mm(shape.length), mm(shape.diameter));
    case 'taper':
      return taper(mm(shape.length), mm(shape.thickEnd), mm(shape.thinEnd));
    case 'flat-ellipse':
      return flatEllipse(mm(shape.length), mm(shape.width), mm(shape.thickness));
    case 'plate':
      return roundedPlate(
        mm(shape.length),
        mm(shape.width),
        mm(shape.thickness),
        shape.corner === null ? 0 : mm(shape.corner),
      );
    case 'drop':
      return drop(mm(shape.length), mm(shape.diameter));
    case 'dome':
      return dome(mm(shape.diameter), mm(shape.rise));
    case 'cone':
      return cone(mm(shape.rise), mm(shape.diameter));
    case 'ring':
      return ring(mm(shape.outer), mm(shape.rope));
    case 'coil':
      return coil(mm(shape.length), mm(shape.thickEnd), mm(shape.thinEnd));
    case 'sleeve':
      return sleeve(mm(shape.length), mm(shape.diameter), mm(shape.wire));
    case 'box':
      return box(mm(shape.length), mm(shape.width), mm(shape.height));
  }
}

/** Only called once no size is missing. */
const mm = (size: Length | null): number => toMm(size as Length);
