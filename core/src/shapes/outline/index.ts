/** Reading outlines from drawings: apart, because only who brings one in needs the XML reader. */
export {
  MOST_OUTLINE_POINTS,
  readOutline,
  type OutlineRefusal,
  type OutlineResult,
  type ReadOutline,
} from './readOutline.ts';
export { drawingOfTrace, type GreyPhoto, inkThreshold, tracePhoto } from './tracePhoto.ts';
