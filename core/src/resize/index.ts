export { compareBuilds, type Build, type BuildPart } from './compareBuilds.ts';
export { previewResize, resizeDecisions, type ResizeDecision } from './decisions.ts';
export { RESIZE_BOUNDS, resizePattern } from './resizePattern.ts';
