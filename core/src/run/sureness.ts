import {
  chanceEnough,
  chanceNobodyShort,
  extrasForChance,
  NEED_SIGMA,
  planGroups,
  type FibreStock,
  type GroupToPack,
  type RunPortions,
} from '../portions/index.ts';
import type { Skill } from '../ladder/index.ts';
import { fibreNeeds } from './fibreNeeds.ts';
import type { ToPack } from './packGroups.ts';
import type { RunInput } from './run.ts';

/** The chance a class is packed for, unless another is asked. */
export const WANTED_CHANCE = 0.95;

type Terms = Pick<RunInput, 'skill' | 'roster' | 'scaleStepG' | 'extraFraction' | 'wantedChance'>;

/** Where no amount is enough, five times the likely one is packed, and the chance says so. */
const MOST_EXTRA = 4;

/**
 * Over the likely amount, by fibre and skill, so that nobody in the class is short of anything with this chance: every
 * fibre bears an equal share of it (the root of the chance), each pack alone. Fibres with something unknown are not in it.
 */
export function extrasOfRun(
  { groups, estimates }: ToPack,
  run: Terms,
  chance: number,
): Map<string, (skill: Skill) => number> {
  const { fibres } = fibreNeeds(groups, estimates, null, run);
  const share = chance ** (1 / Math.max(1, fibres.length));
  return new Map(
    fibres.map((fibre) => {
      const extra = extrasForChance(fibre, share);
      return [fibre.fibreId, (skill) => extra?.(NEED_SIGMA[skill]) ?? MOST_EXTRA];
    }),
  );
}

/** The portions of a class by its own terms: a plain percentage, or a chance that nobody is short. */
export function portionsOfRun(
  { groups, estimates }: ToPack,
  run: Terms,
  stockOf: (fibreId: string) => FibreStock,
): RunPortions {
  const toPack = groups.flatMap(({ key, packs }): GroupToPack[] => {
    const estimate = estimates.get(key);
    return estimate ? [{ key, packs, estimate }] : [];
  });
  const { scaleStepG, extraFraction, wantedChance } = run;
  if (wantedChance === null) return planGroups(toPack, { scaleStepG, extraFraction }, stockOf);
  const extras = extrasOfRun({ groups, estimates }, run, wantedChance);
  const skillOf = new Map(groups.map(({ key, skill }) => [key, skill ?? run.skill]));
  const extraOf = (fibreId: string, groupKey: string) =>
    extras.get(fibreId)?.(skillOf.get(groupKey) ?? run.skill) ?? extraFraction;
  return planGroups(toPack, { scaleStepG, extraFraction, extraOf }, stockOf);
}

/** How sure it is that nobody in a class is short of anything. */
export interface Sureness {
  /** With the packs as they are, 0–1. */
  readonly chance: number;
  /** Each fibre by itself, least sure first. */
  readonly fibres: readonly { readonly fibreId: string; readonly chance: number }[];
  /** Fibres of which something is unknown: they are not in the chance. */
  readonly unknown: readonly string[];
}

/** The event is named: nobody in the class is short of anything that is in their pack. */
export function sureness({ groups, estimates }: ToPack, plan: RunPortions, run: Terms): Sureness {
  const { fibres, unknown } = fibreNeeds(groups, estimates, plan, run);
  const each = fibres.map((fibre) => ({ fibreId: fibre.fibreId, chance: chanceEnough(fibre) }));
  return {
    chance: chanceNobodyShort(fibres),
    fibres: each.sort((a, b) => a.chance - b.chance),
    unknown,
  };
}
