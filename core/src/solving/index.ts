export { highsSolvers } from './highsSolver.ts';
export {
  type Found,
  type LinearModel,
  modelBuilder,
  type ModelBuilder,
  type Relaxed,
  type RelaxedSolver,
  type Solved,
  type Solver,
  type Solvers,
  type SolveTerms,
  type Term,
} from './model.ts';
