export { CUT_STEP_MM, estimateCuts, type CutEstimate } from './estimateCuts.ts';
export { CURL_MM, ROLL_COMPRESSION, TWIST_TAKE_UP, type ExactCut } from './lengths.ts';
