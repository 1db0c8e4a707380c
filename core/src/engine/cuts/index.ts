export { CUT_STEP, type CutEstimate } from './estimateCuts.ts';
