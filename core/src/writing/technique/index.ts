export {
  blankTechniqueStep,
  checkTechnique,
  keysIn,
  TechniqueInput,
  TechniqueStep,
  type Technique,
} from './technique.ts';
export { insertTechnique, newUse, takeNewest, techniqueChanges } from './useTechnique.ts';
export type { TechniqueProblem } from './problem.ts';
