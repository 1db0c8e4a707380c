import {
  chanceEnough,
  extraForChance,
  planGroups,
  takingsOfPlan,
  type GroupToPack,
  type RunPortions,
} from '../portions/index.ts';
import type { PatternEstimate } from '../wool/index.ts';
import { fibreNeeds } from './fibreNeeds.ts';
import type { PackGroup } from './packGroups.ts';
import type { RunInput } from './run.ts';

/** The chance a class is packed for, unless another is asked. */
export const WANTED_CHANCE = 0.95;

/** How sure it is that nobody in a class is short of anything, and what would make it so. */
export interface Sureness {
  /** With the packs as they are, 0–1. */
  readonly chance: number;
  /** Each fibre by itself, least sure first. */
  readonly fibres: readonly { readonly fibreId: string; readonly chance: number }[];
  /** Fibres of which something is unknown: they are not in the chance. */
  readonly unknown: readonly string[];
  /** What every pack needs over the likely amount for the wanted chance; null where nothing would be enough. */
  readonly extraFraction: number | null;
  /** Grams of each fibre that would be packed then, in whole scale steps. */
  readonly takings: ReadonlyMap<string, number>;
}

/** The event is named: nobody in the class is short of anything that is in their pack. */
export function sureness(
  groups: readonly PackGroup[],
  estimates: ReadonlyMap<string, PatternEstimate>,
  plan: RunPortions,
  run: Pick<RunInput, 'skill' | 'roster' | 'scaleStepG'>,
  wantedChance = WANTED_CHANCE,
): Sureness {
  const { fibres, unknown } = fibreNeeds(groups, estimates, plan, run);
  const each = fibres.map((fibre) => ({ fibreId: fibre.fibreId, chance: chanceEnough(fibre) }));
  const extraFraction = extraForChance(fibres, wantedChance);
  const toPack = groups.flatMap(({ key, packs }): GroupToPack[] => {
    const estimate = estimates.get(key);
    return estimate ? [{ key, packs, estimate }] : [];
  });
  const then =
    extraFraction === null
      ? null
      : planGroups(toPack, { scaleStepG: run.scaleStepG, extraFraction }, () => ({
          onHandG: null,
          promisedG: 0,
        }));
  return {
    chance: each.reduce((product, { chance }) => product * chance, 1),
    fibres: each.sort((a, b) => a.chance - b.chance),
    unknown,
    extraFraction,
    takings: then ? takingsOfPlan(then) : new Map(),
  };
}
