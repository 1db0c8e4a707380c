export { checkName, checkRange, checkWhole, type Bounds } from './bounds.ts';
export type { Problem, ProblemCode } from './problem.ts';
