export {
  blankTechniqueStep,
  checkTechnique,
  fillIn,
  keysIn,
  TechniqueInput,
  TechniqueParameter,
  TechniqueStep,
  type Technique,
} from './technique.ts';
export {
  insertTechnique,
  newUse,
  stepsOfTechnique,
  takeNewest,
  techniqueChanges,
  type TechniqueChange,
} from './useTechnique.ts';
export type { TechniqueProblem } from './problem.ts';
