import { type LinearModel, modelBuilder, type Solved, type Solvers, type Term } from '../solving/index.ts';
import {
  type CutStick,
  cutsOf,
  type LengthPlan,
  type LengthTask,
  type NotCut,
  roomMm,
  stickOf,
  wasteOf,
} from './lengthTask.ts';
import { type CutOften, divedLengths } from './divedLengths.ts';
import { everyWay, firstWays, type Sizes, sizesOf, usefulWays, type Way } from './lengthWays.ts';

export interface PlannedLengths extends LengthPlan {
  /** Longer than every stick there is, or what there is does not reach for them. */
  readonly notCut: readonly NotCut[];
}

/** Every way to cut one stick is looked at where there are no more; of more, those that are useful. */
const MOST_WAYS = 3000;
const A_CUT = 0.01;
/** Of two that waste the same, the one that opens the shorter stick. */
const A_MM_OPENED = 1e-6;
const EPSILON = 1e-6;

/**
 * Pieces from sticks: as much as can be cut at all; of those ways the least that has to be bought, then the least waste, then
 * the fewest cuts. Ways to cut one stick are put together in whole numbers (Gilmore and Gomory 1961).
 * @param limitS for all of it, seconds
 */
export function planLengths(task: LengthTask, solvers: Solvers, limitS: number): PlannedLengths {
  const { possible, tooLong } = withoutTooLong(task);
  if (possible.pieces.length === 0) return { ...NOTHING, notCut: tooLong };
  const sizes = sizesOf(possible);
  const all = everyWay(possible, sizes, MOST_WAYS);
  const found = all
    ? exactly(possible, sizes, all, solvers, limitS)
    : nearly(possible, sizes, solvers, limitS);
  if (!found) return { ...NOTHING, notCut: [...tooLong, ...possible.pieces] };
  const { sticks, left } = sticksOf(possible, sizes, found.cut);
  const bought = sticks.filter((stick) => stick.isBought).length;
  return {
    sticks,
    notCut: [...tooLong, ...left],
    bought,
    atLeastBought: Math.max(0, Math.min(bought, Math.ceil(found.atLeastBought - EPSILON))),
    isProven: found.isProven,
    wasteMm: Math.round(sticks.reduce((sum, stick) => sum + wasteOf(stick), 0) * 100) / 100,
    cuts: sticks.reduce((sum, stick) => sum + cutsOf(stick), 0),
  };
}

interface FoundCut {
  readonly cut: readonly CutOften[];
  readonly atLeastBought: number;
  readonly isProven: boolean;
}

/** Of every way there is. */
function exactly(
  task: LengthTask,
  sizes: Sizes,
  ways: readonly Way[],
  solvers: Solvers,
  limitS: number,
): FoundCut | null {
  const none = sizes.counts.map(() => 0);
  const best = oneAfterAnother(
    solvers,
    master(task, sizes, ways, true),
    [
      [...ways.map(() => 0), ...sizes.lengthsMm],
      [...ways.map(({ stockAt }) => isBought(task, stockAt)), ...none],
      [...ways.map((way) => wasteCost(task, sizes, way)), ...none],
    ],
    limitS,
  );
  return (
    best && {
      cut: oftenOf(ways, best.values),
      atLeastBought: best.atLeast[1] ?? 0,
      isProven: best.proven.every(Boolean),
    }
  );
}

/** Of the ways that are useful: what has to be bought with its bound; and in the time that is left less waste. */
function nearly(task: LengthTask, sizes: Sizes, solvers: Solvers, limitS: number): FoundCut {
  const relaxed = (of: LengthTask, left: Sizes, ways: readonly Way[]) =>
    solvers.relax(master(of, left, ways, false), [
      ...ways.map(({ stockAt }) => isBought(of, stockAt)),
      // Dearer than any stick: only what cannot be cut is left uncut.
      ...left.counts.map(() => UNCUT),
    ]);
  const useful = usefulWays(task, sizes, firstWays(task, sizes), (ways) => relaxed(task, sizes, ways));
  const dived = divedLengths(task, sizes, useful.ways, relaxed);
  const ways = [...useful.ways, ...dived.map(({ way }) => way)];
  const boughtOf = (cut: readonly CutOften[]) =>
    cut.reduce((sum, { way, times }) => sum + isBought(task, way.stockAt) * times, 0);
  const none = sizes.counts.map(() => 0);
  const isEnough = {
    terms: ways.map(({ stockAt }, at): Term => [at, isBought(task, stockAt)]),
    min: 0,
    max: boughtOf(dived),
  };
  const model = master(task, sizes, ways, false);
  const bought = [...ways.map(({ stockAt }) => isBought(task, stockAt)), ...none];
  const waste = [...ways.map((way) => wasteCost(task, sizes, way)), ...none];
  const uncut = [...ways.map(() => 0), ...sizes.lengthsMm];
  // What is proven already is not looked for again; what is cut already is not left uncut for less waste.
  const isFewest = boughtOf(dived) <= Math.ceil((useful.atLeastBought ?? 0) - EPSILON);
  const isAllCut = sizes.counts.every(
    (count, at) => dived.reduce((sum, { way, times }) => sum + (way.counts[at] ?? 0) * times, 0) >= count,
  );
  const better = oneAfterAnother(
    solvers,
    { ...(isAllCut ? allCut(model, ways.length) : model), rows: [...model.rows, isEnough] },
    [...(isAllCut ? [] : [uncut]), ...(isFewest ? [] : [bought]), waste],
    limitS * (isFewest ? 0.3 : 0.6),
  );
  const cut = better?.isWhole === true ? oftenOf(ways, better.values) : dived;
  return { cut, atLeastBought: useful.atLeastBought ?? 0, isProven: false };
}

/** Nothing may be left uncut. */
const allCut = (model: LinearModel, wayCount: number): LinearModel => ({
  ...model,
  variables: model.variables.map((variable, at) => (at < wayCount ? variable : { ...variable, max: 0 })),
});

const oftenOf = (ways: readonly Way[], values: readonly number[]): CutOften[] =>
  ways.flatMap((way, at) => {
    const times = values[at] ?? 0;
    return times > 0 ? [{ way, times }] : [];
  });

const NOTHING: LengthPlan = {
  sticks: [],
  bought: 0,
  atLeastBought: 0,
  isProven: true,
  wasteMm: 0,
  cuts: 0,
};

const isBought = ({ stocks }: LengthTask, stockAt: number): number =>
  stocks[stockAt]?.count === null ? 1 : 0;

function withoutTooLong(task: LengthTask): { possible: LengthTask; tooLong: NotCut[] } {
  const most = Math.max(0, ...task.stocks.map((stock) => roomMm(stock.lengthMm, task) - task.kerfMm));
  const wanted = task.pieces.filter(({ count, lengthMm }) => count > 0 && lengthMm > 0);
  return {
    possible: { ...task, pieces: wanted.filter(({ lengthMm }) => lengthMm <= most + EPSILON) },
    tooLong: wanted.filter(({ lengthMm }) => lengthMm > most + EPSILON),
  };
}

const UNCUT = 1000;

/** How often each way is cut, and how many of each size are not. @param isExact never more than is wanted of any size */
function master(task: LengthTask, { counts }: Sizes, ways: readonly Way[], isExact: boolean): LinearModel {
  const builder = modelBuilder();
  const most = counts.reduce((sum, count) => sum + count, 0);
  for (const { stockAt } of ways) builder.whole(0, task.stocks[stockAt]?.count ?? most);
  const uncut = counts.map((count) => builder.whole(0, count));
  counts.forEach((count, at) => {
    const terms: Term[] = [
      ...ways.flatMap((way, index): Term[] =>
        (way.counts[at] ?? 0) > 0 ? [[index, way.counts[at] ?? 0]] : [],
      ),
      [uncut[at] ?? 0, 1],
    ];
    if (isExact) builder.exactly(count, terms);
    else builder.atLeast(count, terms);
  });
  task.stocks.forEach((stock, stockAt) => {
    const terms = ways.flatMap((way, index): Term[] => (way.stockAt === stockAt ? [[index, 1]] : []));
    builder.atMost(stock.count ?? most, terms);
  });
  return builder.model();
}

function wasteCost(task: LengthTask, sizes: Sizes, { stockAt, counts }: Way): number {
  const stock = task.stocks[stockAt];
  if (!stock) return 0;
  const pieces = counts.flatMap((count, at) =>
    Array.from({ length: count }, () => ({ key: '', lengthMm: sizes.lengthsMm[at] ?? 0 })),
  );
  const stick = stickOf(stock, pieces, task);
  return wasteOf(stick) + A_CUT * cutsOf(stick) + A_MM_OPENED * stock.lengthMm;
}

interface BestOfAll {
  readonly values: readonly number[];
  readonly atLeast: readonly number[];
  readonly proven: readonly boolean[];
  /** Of each something was found. */
  readonly isWhole: boolean;
}

/** The least of the first, of those the least of the second, and so on. */
function oneAfterAnother(
  { solve }: Solvers,
  model: LinearModel,
  all: readonly (readonly number[])[],
  limitS: number,
): BestOfAll | null {
  let rows = model.rows;
  let best: Extract<Solved, { kind: 'found' }> | null = null;
  const [atLeast, proven]: [number[], boolean[]] = [[], []];
  let found = 0;
  for (const costs of all) {
    const solved = solve({ ...model, rows }, costs, { limitS: limitS / all.length });
    if (solved.kind !== 'found') {
      proven.push(false);
      atLeast.push(0);
      continue;
    }
    best = solved;
    found += 1;
    atLeast.push(solved.atLeast);
    proven.push(solved.isProven);
    const terms = costs.flatMap((cost, variable): Term[] => (cost === 0 ? [] : [[variable, cost]]));
    rows = [...rows, { terms, min: -Infinity, max: solved.cost + EPSILON }];
  }
  return best && { values: best.values, atLeast, proven, isWhole: found === all.length };
}

/** Ways become sticks with pieces by name; those of one name lie together as far as they can. */
function sticksOf(task: LengthTask, { lengthsMm }: Sizes, cut: readonly CutOften[]) {
  const queues = lengthsMm.map((length) =>
    task.pieces
      .filter(({ lengthMm }) => Math.abs(lengthMm - length) < 0.011)
      .flatMap((piece) => Array.from({ length: piece.count }, () => piece)),
  );
  const sticks = cut.flatMap(({ way, times }) =>
    Array.from({ length: times }, (): CutStick | null => {
      const stock = task.stocks[way.stockAt];
      const pieces = way.counts.flatMap((count, size) =>
        (queues[size]?.splice(0, count) ?? []).map(({ key, lengthMm }) => ({ key, lengthMm })),
      );
      return stock && pieces.length > 0 ? stickOf(stock, pieces, task) : null;
    }),
  );
  const left = queues.flatMap((queue) => {
    const byKey = new Map<string, NotCut>();
    for (const { key, lengthMm } of queue)
      byKey.set(key, { key, lengthMm, count: (byKey.get(key)?.count ?? 0) + 1 });
    return [...byKey.values()];
  });
  return { sticks: sticks.flatMap((stick) => stick ?? []), left };
}
