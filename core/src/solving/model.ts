/** A linear programme with whole numbers in it: what is least is asked by costs that are given beside it. */
export interface LinearModel {
  readonly variables: readonly Variable[];
  readonly rows: readonly Row[];
}

interface Variable {
  readonly min: number;
  readonly max: number;
  readonly isWhole: boolean;
}

/** min ≤ Σ factor · variable ≤ max */
interface Row {
  readonly terms: readonly Term[];
  readonly min: number;
  readonly max: number;
}

/** A variable by its place, and what it counts for. */
export type Term = readonly [variable: number, factor: number];

export interface SolveTerms {
  readonly limitS: number;
  /** Ended once what was found is proven to be within this of the least; 0: the least. */
  readonly withinFraction?: number;
  /** Told of each solution that is better than the last. */
  readonly onBetter?: (found: Found) => void;
  /** Asked every now and then. */
  readonly shouldStop?: () => boolean;
}

export interface Found {
  /** One for each variable; whole ones are whole. */
  readonly values: readonly number[];
  readonly cost: number;
  /** Nothing costs less than this. */
  readonly atLeast: number;
}

export type Solved =
  | ({ readonly kind: 'found'; readonly isProven: boolean; readonly isStopped: boolean } & Found)
  | { readonly kind: 'impossible' }
  /** Nothing was found in the time there was. */
  | { readonly kind: 'nothing-in-time' };

/** @param costs one for each variable */
export type Solver = (model: LinearModel, costs: readonly number[], terms: SolveTerms) => Solved;

/** A solution of the model without its whole numbers, with what one more of each row would cost. */
export interface Relaxed {
  readonly cost: number;
  readonly values: readonly number[];
  readonly rowPrices: readonly number[];
}

/** Null: it has none. */
export type RelaxedSolver = (model: LinearModel, costs: readonly number[]) => Relaxed | null;

export interface Solvers {
  readonly solve: Solver;
  readonly relax: RelaxedSolver;
}

/** Gathers variables and rows, one after another. */
export function modelBuilder() {
  const variables: Variable[] = [];
  const rows: Row[] = [];
  return {
    /** @returns its place */
    whole: (min: number, max: number): number => variables.push({ min, max, isWhole: true }) - 1,
    real: (min: number, max: number): number => variables.push({ min, max, isWhole: false }) - 1,
    atLeast: (min: number, terms: readonly Term[]): void => void rows.push({ terms, min, max: Infinity }),
    atMost: (max: number, terms: readonly Term[]): void => void rows.push({ terms, min: -Infinity, max }),
    exactly: (amount: number, terms: readonly Term[]): void =>
      void rows.push({ terms, min: amount, max: amount }),
    model: (): LinearModel => ({ variables: [...variables], rows: [...rows] }),
  };
}

export type ModelBuilder = ReturnType<typeof modelBuilder>;
