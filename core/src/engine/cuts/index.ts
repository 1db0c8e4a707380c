export { CUT_STEP, type CutEstimate } from './estimateCuts.ts';
export * from './bentPanels.ts';
export { type CutSizeName, cutSizeOf, cutToSize, type NoShape } from './bothWays.ts';
export { frustumOfCut } from './lengths.ts';
