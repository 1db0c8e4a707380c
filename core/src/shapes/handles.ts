import type { ShapeKind, SizeName } from './shape.ts';

/** Which size of a shape is drawn across and which along; null where no single size is. */
export interface SizeHandles {
  readonly across: SizeName | null;
  readonly along: SizeName | null;
}

const NONE: SizeHandles = { across: null, along: null };

/** What is changed when a drawn piece is pulled wider or longer. */
export const SIZE_HANDLES: Readonly<Record<ShapeKind, SizeHandles>> = {
  ball: { across: 'diameter', along: null },
  ellipsoid: { across: 'width', along: 'length' },
  egg: { across: 'diameter', along: 'length' },
  limb: { across: 'diameter', along: 'length' },
  taper: { across: 'thickEnd', along: 'length' },
  'flat-ellipse': { across: 'width', along: 'length' },
  plate: { across: 'width', along: 'length' },
  drop: { across: 'diameter', along: 'length' },
  dome: { across: 'diameter', along: 'rise' },
  cone: { across: 'diameter', along: 'rise' },
  ring: { across: 'outer', along: null },
  box: { across: 'width', along: 'length' },
  coil: NONE,
  sleeve: { across: 'diameter', along: 'length' },
  'flat-outline': { across: null, along: 'length' },
  patch: { across: 'width', along: 'length' },
  fringe: { across: 'line', along: 'drop' },
  'by-count': NONE,
  'by-grams': NONE,
};
