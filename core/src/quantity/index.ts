export { doubtsOf, type Doubt } from './doubt.ts';
export { rangeAbout, Z90, type MassRangeG, type Source } from './quantity.ts';
export {
  commonSigmaG,
  massOfTerm,
  sharedSigmaByGroup,
  totalMass,
  type ErrorCause,
  type MassTerm,
  type TotalMass,
} from './totalMass.ts';
