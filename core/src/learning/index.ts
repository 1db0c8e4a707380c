export { MINUTES_SIGMA, SIGMA } from './sigmas.ts';
export { type Factor, factorKey, priorSigma } from './factor.ts';
export { type FactorShare, type Observation, ODD_SIGMAS, weighedLess } from './observation.ts';
export {
  type Belief,
  believe,
  type Believed,
  believedOf,
  covarianceOf,
  type PlacedShares,
  placedShares,
} from './belief.ts';
export { withOneMore, withoutOne } from './oneMore.ts';
export { type Surprise, surpriseAmong, surpriseOf } from './surprise.ts';
export { Learnt } from './learnt.ts';
export { learntFrom, onlyOne } from './learntFrom.ts';
export { handsLearnt, type HandSample } from './hands.ts';
export { learntOfFibres } from './learntOfFibres.ts';
