export { carlsonRG } from './solid/carlson.ts';
export { checkShape } from './checkShape.ts';
export {
  DEFAULT_WIDEST_AT_FRACTION,
  HAIR_FIXED,
  HAIR_WEIGHTS,
  type HairFixed,
  type HairWeight,
  reshape,
  Shape,
  SHAPE_KINDS,
  SHAPE_SIZES,
  sizesOf,
  withSize,
  type ShapeKind,
  type SizeName,
} from './shape.ts';
export { acrossMm, alongAxis, baseMm, runMm, type PointMm, type Solid } from './solid/solid.ts';
export { bodyOfWool, solidOf, type SolidResult } from './solidOf.ts';
export { VIEWS, viewOutline, type View, type ViewOutline } from './solid/views.ts';
export { measureFace, type Contours } from './solid/plate.ts';
export { outlineContours } from './outline/outlineContours.ts';
export type { OutlineFault } from './outline/outlineFault.ts';
export { SIZE_HANDLES, type SizeHandles } from './handles.ts';
export type { ShapeFault, ShapeProblem } from './problem.ts';
