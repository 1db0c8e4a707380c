export { CUT_STEP, type CutEstimate } from './estimateCuts.ts';
export type { CutStretch } from './lengths.ts';
export * from './bentPanels.ts';
export { CUT_SIZES, type CutSizeName, cutSizeOf, cutToSize, type NoShape } from './bothWays.ts';
export { frustumOfCut } from './lengths.ts';
