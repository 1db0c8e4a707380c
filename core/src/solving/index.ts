export { highsSolvers } from './highsSolver.ts';
export {
  type Found,
  type LinearModel,
  modelBuilder,
  type ModelBuilder,
  type Relaxed,
  type Row,
  type Solved,
  type Solver,
  type Solvers,
  type SolveTerms,
  type Term,
  type Variable,
} from './model.ts';
