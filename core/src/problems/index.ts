import type { BaseProblem } from '../base/index.ts';
import type { BuyingProblem, OrderProblem } from '../buying/index.ts';
import type { CommissionProblem } from '../commissions/index.ts';
import type { CuttingProblem } from '../cutting/index.ts';
import type { TrayProblem } from '../needles/index.ts';
import type { PatternProblem } from '../pattern/index.ts';
import type { RunProblem } from '../run/index.ts';
import type { ShapeProblem } from '../shapes/index.ts';
import type { ShelfProblem } from '../shelf/index.ts';
import type { StartProblem } from '../starts/index.ts';
import type { RowProblem } from '../tables/index.ts';
import type { TechniqueProblem } from '../writing/index.ts';
import type { RequestProblem } from './requestProblem.ts';

/** Something that may not be stored or used as it is, whichever room found it. Data only; words are added at the edge. */
export type Problem =
  | BaseProblem
  | ShapeProblem
  | ShelfProblem
  | PatternProblem
  | TechniqueProblem
  | TrayProblem
  | RunProblem
  | StartProblem
  | BuyingProblem
  | OrderProblem
  | CuttingProblem
  | RowProblem
  | CommissionProblem
  | RequestProblem;

export type ProblemCode = Problem['code'];
