import type { Wool } from '../../engine/index.ts';
import type { RunInput } from '../document/run.ts';
import { differenceOf, type Frozen, type RunDifference, thawPlan, thawWool } from '../keep/frozen.ts';
import type { Designs } from '../packs/packGroups.ts';
import { type Pack, packsOf } from '../packs/packList.ts';
import { portionsOfRun } from '../packs/sureness.ts';
import { type ToPack, toPackOf } from '../packs/toPack.ts';
import { restocked, type RunPortions } from '../portions/planGroups.ts';
import type { FibreStock } from '../portions/planPortions.ts';

/** A run with everything its numbers come from and what they come to. */
export interface PackedRun {
  readonly input: RunInput;
  /** What its wool is looked up in: of the day it counted, or today’s. */
  readonly wool: Wool;
  readonly toPack: ToPack;
  readonly plan: RunPortions;
  readonly packs: readonly Pack[];
}

/** What a run is worked out from today. */
export interface RunSources {
  /** Every pattern that it, or what was written down of it, is pinned to. */
  readonly designs: Designs;
  /** As it is today. */
  readonly shelf: Wool;
  /** Grams that runs before it will take, by fibre. */
  readonly promisedG: ReadonlyMap<string, number>;
}

/** What is there of a fibre, and what runs before will take. Grams; null was never counted. */
export const stockIn =
  ({ shelf, promisedG }: Pick<RunSources, 'shelf' | 'promisedG'>) =>
  (fibreId: string): FibreStock => ({
    onHandG: shelf.fibres.get(fibreId)?.onHandG ?? null,
    promisedG: promisedG.get(fibreId) ?? 0,
  });

/** As its terms and the shelf are now. */
export function planOfToday(input: RunInput, sources: RunSources): PackedRun {
  const { designs, shelf } = sources;
  const toPack = toPackOf(designs, input, shelf);
  const plan = portionsOfRun(toPack, input, stockIn(sources));
  return { input, wool: shelf, toPack, plan, packs: packsOf(toPack.groups, input.roster) };
}

/** As it was written down when it counted; only what is free and short follows the shelf. */
export function planWrittenDown(frozen: Frozen, sources: RunSources): PackedRun {
  const { input } = frozen;
  const wool = thawWool(frozen);
  const toPack = toPackOf(sources.designs, input, wool);
  const plan = restocked(thawPlan(frozen), stockIn(sources));
  return { input, wool, toPack, plan, packs: packsOf(toPack.groups, input.roster) };
}

/** What is in force of a run: what was written down of it, else as it would be now. @param frozen null while only planned */
export const packedRun = (input: RunInput, frozen: Frozen | null, sources: RunSources): PackedRun =>
  frozen ? planWrittenDown(frozen, sources) : planOfToday(input, sources);

/** What would be other than it was written down. */
export const differenceFrom = (was: PackedRun, live: PackedRun): RunDifference =>
  differenceOf(plannedPacks(was), plannedPacks(live));

const plannedPacks = ({ plan, toPack, input }: PackedRun) => ({ plan, groups: toPack.groups, input });
