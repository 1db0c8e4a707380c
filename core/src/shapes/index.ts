export { carlsonRG } from './solid/carlson.ts';
export { checkShape } from './checkShape.ts';
export { HAIR_FIXED, HAIR_WEIGHTS, type HairFixed, type HairWeight } from './definitions/fringe.ts';
export {
  reshape,
  Shape,
  SHAPE_KINDS,
  SHAPE_SIZES,
  SIZE_HANDLES,
  sizesOf,
  withSize,
  type ShapeKind,
  type SizeName,
} from './shape.ts';
export { acrossMm, alongAxis, baseMm, runMm, type PointMm, type Solid } from './solid/solid.ts';
export { bodyOfWool, solidOf } from './solidOf.ts';
export { VIEWS, viewOutline, type View } from './solid/views.ts';
export { isWithin } from './solid/isWithin.ts';
export { measureFace } from './solid/plate.ts';
export { outlineContours } from './outline/outlineContours.ts';
export { outlinePointCount } from './outline/outlineFault.ts';
export type { ShapeProblem } from './problem.ts';
