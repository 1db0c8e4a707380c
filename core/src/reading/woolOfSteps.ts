import type { UseEstimate } from '../engine/index.ts';
import { isWool, type Pattern } from '../pattern/index.ts';
import { stepOfWool } from '../writing/index.ts';

/** Wool of one colour that must not be used up in this step. */
interface KeptBack {
  readonly fibreId: string;
  /** Likely, in one make; with something unknown only at least. */
  readonly massG: number;
  readonly isAtLeast: boolean;
  /** The step that takes it up next, from 1. */
  readonly forStep: number;
}

/** Wool of one step. */
export interface StepWool {
  /** Taken up here first. */
  readonly takes: readonly UseEstimate[];
  readonly keeps: readonly KeptBack[];
  /** Colours that were kept back for this step, and in which one. */
  readonly kept: readonly { readonly fibreId: string; readonly inStep: number }[];
}

/**
 * A little of much is easily used up: what is left for later is told where it is no more than this share of what is in
 * hand. Ours.
 */
const EASILY_USED_UP = 0.35;

/** What each step takes up, keeps back, and has from what was kept. By the step’s number, from 1; steps without wool are not in it. */
export function woolOfSteps(build: Pattern, uses: readonly UseEstimate[]): ReadonlyMap<number, StepWool> {
  const taken = takenAt(build, uses);
  const steps = new Map<
    number,
    { takes: UseEstimate[]; keeps: KeptBack[]; kept: StepWool['kept'][number][] }
  >();
  const at = (number: number) => {
    const step = steps.get(number) ?? { takes: [], keeps: [], kept: [] };
    steps.set(number, step);
    return step;
  };
  for (const { use, number } of taken) at(number).takes.push(use);
  const shared = sharedUses(build);
  for (const fibreId of new Set(taken.flatMap(({ use }) => use.fibreId ?? []))) {
    const ofFibre = taken.filter(({ use }) => use.fibreId === fibreId);
    const numbers = [...new Set(ofFibre.map(({ number }) => number))].sort((a, b) => a - b);
    numbers.slice(0, -1).forEach((number, index) => {
      const here = ofFibre.filter((candidate) => candidate.number === number);
      const later = ofFibre.filter((candidate) => candidate.number > number);
      const forStep = numbers[index + 1] ?? number;
      if (!isHeldBack(here, later, shared)) return;
      at(number).keeps.push({ fibreId, ...sumOf(later), forStep });
      at(forStep).kept.push({ fibreId, inStep: number });
    });
  }
  return steps;
}

interface Taken {
  readonly use: UseEstimate;
  readonly number: number;
}

const takenAt = (build: Pattern, uses: readonly UseEstimate[]): Taken[] =>
  uses.flatMap((use) => {
    const at = use.isIfNeeded ? null : stepOfWool(build, use);
    return at === null ? [] : [{ use, number: at + 1 }];
  });

/** Its author weighs it with others and parts it, or takes a share of another. */
function sharedUses({ parts }: Pattern): ReadonlyMap<string, string> {
  return new Map(
    parts.flatMap(({ uses }) =>
      uses.flatMap((use) => {
        if (!isWool(use) || use.amount === null) return [];
        const { amount } = use;
        if (amount.form === 'shared' || amount.form === 'rest')
          return amount.sharedId === null ? [] : [[use.id, amount.sharedId] as const];
        return [];
      }),
    ),
  );
}

function isHeldBack(
  here: readonly Taken[],
  later: readonly Taken[],
  shared: ReadonlyMap<string, string>,
): boolean {
  const weights = new Set(here.flatMap(({ use }) => shared.get(use.useId) ?? []));
  if (later.some(({ use }) => weights.has(shared.get(use.useId) ?? ''))) return true;
  const [now, then] = [sumOf(here).massG, sumOf(later).massG];
  return then > 0 && then / (now + then) <= EASILY_USED_UP;
}

function sumOf(taken: readonly Taken[]): { massG: number; isAtLeast: boolean } {
  const known = taken.flatMap(({ use }) => (use.kind === 'known' ? [use.all.likelyG] : []));
  return { massG: known.reduce((sum, massG) => sum + massG, 0), isAtLeast: known.length < taken.length };
}
