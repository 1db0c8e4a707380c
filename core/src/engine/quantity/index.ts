export { doubtsOf, type Doubt } from './doubt.ts';
export {
  commonSigmaFree,
  commonSigmaG,
  massOfTerm,
  sharedSigmaByGroup,
  totalMass,
  type ErrorCause,
  type MassTerm,
  type TotalMass,
} from './totalMass.ts';
