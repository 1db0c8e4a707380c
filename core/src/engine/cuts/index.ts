export { CUT_STEP, type CutEstimate } from './estimateCuts.ts';
export type { WireStretch } from './lengths.ts';
