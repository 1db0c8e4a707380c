export {
  compareBuilds,
  type Build,
  type BuildComparison,
  type BuildLine,
  type BuildPart,
} from './compareBuilds.ts';
export { previewResize, resizeDecisions, type ResizeDecision, type ResizePreview } from './decisions.ts';
export { RESIZE_BOUNDS, resizePattern } from './resizePattern.ts';
