export { carlsonRG } from './carlson.ts';
export { checkShape } from './checkShape.ts';
export {
  DEFAULT_WIDEST_AT_FRACTION,
  reshape,
  Shape,
  SHAPE_KINDS,
  SHAPE_SIZES,
  sizesOf,
  withSize,
  type ShapeKind,
  type SizeName,
} from './shape.ts';
export { acrossMm, type PointMm, type Solid } from './solid.ts';
export { solidOf, type SolidResult } from './solidOf.ts';
