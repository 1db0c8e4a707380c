import { ballShape } from './ball.ts';
import { boxShape } from './box.ts';
import { byCountShape } from './byCount.ts';
import { byGramsShape } from './byGrams.ts';
import { coilShape } from './coil.ts';
import { coneShape } from './cone.ts';
import { domeShape } from './dome.ts';
import { dropShape } from './drop.ts';
import { eggShape } from './egg.ts';
import { ellipsoidShape } from './ellipsoid.ts';
import { flatEllipseShape } from './flatEllipse.ts';
import { flatOutlineShape } from './flatOutline.ts';
import { fringeShape } from './fringe.ts';
import { limbShape } from './limb.ts';
import { patchShape } from './patch.ts';
import { plateShape } from './plate.ts';
import { ringShape } from './ring.ts';
import { sleeveShape } from './sleeve.ts';
import { taperShape } from './taper.ts';

/** Every shape there is, in the order they are offered. */
export const SHAPE_DEFINITIONS = {
  ball: ballShape,
  ellipsoid: ellipsoidShape,
  egg: eggShape,
  limb: limbShape,
  taper: taperShape,
  'flat-ellipse': flatEllipseShape,
  plate: plateShape,
  drop: dropShape,
  dome: domeShape,
  cone: coneShape,
  ring: ringShape,
  box: boxShape,
  coil: coilShape,
  sleeve: sleeveShape,
  'flat-outline': flatOutlineShape,
  patch: patchShape,
  fringe: fringeShape,
  'by-count': byCountShape,
  'by-grams': byGramsShape,
} as const;
