export { CUT_STEP, estimateCuts, type CutEstimate } from './estimateCuts.ts';
export { CURL_MM, ROLL_COMPRESSION, TWIST_TAKE_UP, type ExactCut } from './lengths.ts';
