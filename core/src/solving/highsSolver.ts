import highsLoader, { type Highs, type Model, type ModelData } from 'highs';
import type { Found, LinearModel, Relaxed, Solved, Solvers, SolveTerms } from './model.ts';

/**
 * HiGHS (Huangfu and Hall 2018, branch and cut) as WebAssembly. It answers nobody while it works: call it where nobody waits.
 * @param locateFile where its .wasm lies, where it does not lie beside the package's own script
 */
export async function highsSolvers(locateFile?: (file: string) => string): Promise<Solvers> {
  const highs = await highsLoader(locateFile ? { locateFile } : {});
  return {
    solve: (model, costs, terms) =>
      withModel(highs, model, costs, true, (native) => solved(highs, native, model, costs, terms)),
    relax: (model, costs) => withModel(highs, model, costs, false, (native) => relaxed(highs, native, model)),
  };
}

function withModel<T>(
  highs: Highs,
  model: LinearModel,
  costs: readonly number[],
  isWhole: boolean,
  work: (native: Model) => T,
): T {
  const native = highs.createModel(dataOf(highs, model, costs, isWhole));
  try {
    native.options.set('output_flag', false);
    return work(native);
  } finally {
    native.dispose();
  }
}

function solved(
  highs: Highs,
  native: Model,
  model: LinearModel,
  costs: readonly number[],
  { limitS, withinFraction = 0, onBetter, shouldStop }: SolveTerms,
): Solved {
  native.options.set('time_limit', limitS);
  native.options.set('mip_rel_gap', withinFraction);
  native.options.set('mip_abs_gap', 1e-6);
  const { mipImprovingSolution, mipInterrupt } = highs.constants.callbackType;
  native.run({
    ...(onBetter && {
      [mipImprovingSolution]: (event) => {
        const { mip_solution: values, mip_dual_bound: atLeast = -Infinity } = event.data;
        if (values) onBetter(foundOf(model, costs, values, atLeast));
        return undefined;
      },
    }),
    [mipInterrupt]: (event) => {
      // Its own limit is looked at between nodes only; this is asked within one too.
      if (shouldStop?.() || (event.data.running_time ?? 0) > limitS) event.interrupt();
      return undefined;
    },
  });
  const status = native.getModelStatus();
  const { infeasible, unboundedOrInfeasible, optimal, interrupted } = highs.constants.modelStatus;
  if (status === infeasible || status === unboundedOrInfeasible) return { kind: 'impossible' };
  if (Number(native.info.get('primal_solution_status')) !== FEASIBLE) return { kind: 'nothing-in-time' };
  const found = foundOf(
    model,
    costs,
    native.getSolution().colValue,
    Number(native.info.get('mip_dual_bound')),
  );
  const isProven = status === optimal && withinFraction === 0;
  return {
    kind: 'found',
    ...found,
    atLeast: isProven ? found.cost : Math.min(found.cost, found.atLeast),
    isProven,
    isStopped: status === interrupted,
  };
}

const FEASIBLE = 2;

function relaxed(highs: Highs, native: Model, model: LinearModel): Relaxed | null {
  native.run();
  if (native.getModelStatus() !== highs.constants.modelStatus.optimal) return null;
  const { colValue, rowDual } = native.getSolution();
  return {
    cost: Number(native.info.get('objective_function_value')),
    values: Array.from(colValue).slice(0, model.variables.length),
    rowPrices: Array.from(rowDual),
  };
}

/** Whole numbers come back within a millionth of whole: they are made so, and the cost is added up anew. */
function foundOf(
  { variables }: LinearModel,
  costs: readonly number[],
  raw: ArrayLike<number>,
  atLeast: number,
): Found {
  const values = variables.map(({ isWhole }, at) => (isWhole ? Math.round(raw[at] ?? 0) : (raw[at] ?? 0)));
  return { values, cost: values.reduce((sum, value, at) => sum + value * (costs[at] ?? 0), 0), atLeast };
}

function dataOf(
  highs: Highs,
  { variables, rows }: LinearModel,
  costs: readonly number[],
  isWhole: boolean,
): ModelData {
  const { integer, continuous } = highs.constants.variableType;
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const { terms } of rows) {
    for (const [variable, factor] of terms) {
      indices.push(variable);
      values.push(factor);
    }
    starts.push(indices.length);
  }
  const finite = (bound: number) =>
    bound === Infinity ? highs.infinity : bound === -Infinity ? -highs.infinity : bound;
  return {
    numCols: variables.length,
    numRows: rows.length,
    colCost: variables.map((_, at) => costs[at] ?? 0),
    colLower: variables.map(({ min }) => finite(min)),
    colUpper: variables.map(({ max }) => finite(max)),
    rowLower: rows.map(({ min }) => finite(min)),
    rowUpper: rows.map(({ max }) => finite(max)),
    matrix: { format: 'csr', numRows: rows.length, numCols: variables.length, starts, indices, values },
    integrality: variables.map((variable) => (isWhole && variable.isWhole ? integer : continuous)),
  };
}
