import { toMm, type Length } from '../units/index.ts';
import { ball } from './ball.ts';
import { box } from './box.ts';
import { cone } from './cone.ts';
import { dome } from './dome.ts';
import { drop } from './drop.ts';
import { egg } from './egg.ts';
import { ellipsoid } from './ellipsoid.ts';
import { flatEllipse } from './flatEllipse.ts';
import { limb } from './limb.ts';
import { ring } from './ring.ts';
import { sizesOf, type Shape, type SizeName } from './shape.ts';
import type { Solid } from './solid.ts';
import { taper } from './taper.ts';

export type SolidResult =
  { kind: 'solid'; solid: Solid } | { kind: 'sizes-missing'; missing: readonly SizeName[] };

/** The solid of a shape, or which of its sizes nobody has given. Sizes must have passed `checkShape`. */
export function solidOf(shape: Shape): SolidResult {
  const missing = [...sizesOf(shape)].filter(([, size]) => size === null).map(([name]) => name);
  return missing.length > 0 ? { kind: 'sizes-missing', missing } : { kind: 'solid', solid: build(shape) };
}

function build(shape: Shape): Solid {
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
    case 'drop':
      return drop(mm(shape.length), mm(shape.diameter));
    case 'dome':
      return dome(mm(shape.diameter), mm(shape.rise));
    case 'cone':
      return cone(mm(shape.rise), mm(shape.diameter));
    case 'ring':
      return ring(mm(shape.outer), mm(shape.rope));
    case 'box':
      return box(mm(shape.length), mm(shape.width), mm(shape.height));
  }
}

/** Only called once no size is missing. */
const mm = (size: Length | null): number => toMm(size as Length);
