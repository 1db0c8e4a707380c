import type { Skill } from '../ladder/index.ts';
import { NEED_SIGMA, type FibreNeed, type RunPortions, type SeatNeed } from '../portions/index.ts';
import { Z90 } from '../quantity/index.ts';
import type { FibreTotal } from '../wool/index.ts';
import type { PackGroup } from './packGroups.ts';
import type { Seat } from './seat.ts';

interface ClassOf {
  readonly skill: Skill;
  readonly roster: readonly Seat[];
}

/** What a class needs of each fibre and has in its packs. */
export interface ClassNeeds {
  readonly fibres: readonly FibreNeed[];
  /** Fibres of which something is unknown: nothing can be said of them. */
  readonly unknown: readonly string[];
}

/**
 * For every fibre the packs of all seats, alike ones together by build and skill. Spare packs help nobody in this sum,
 * and what is only opened if needed is left out of need and pack alike.
 * @param plan what is in the packs; null while that is still to be found: nothing is then
 */
export function fibreNeeds(
  groups: readonly PackGroup[],
  estimates: ReadonlyMap<string, { readonly fibres: readonly FibreTotal[] }>,
  plan: Pick<RunPortions, 'groups'> | null,
  { skill, roster }: ClassOf,
): ClassNeeds {
  const skillOf = new Map(roster.map((seat) => [seat.seat, seat.skill ?? skill]));
  const byFibre = new Map<string, { needs: SeatNeed[]; sharedSigma: number }>();
  const unknown = new Set<string>();
  for (const { key, seats } of groups) {
    const portions = plan?.groups.find((own) => own.key === key)?.plan.fibres ?? [];
    for (const { fibreId, total } of estimates.get(key)?.fibres ?? []) {
      if (total.unknownCount > 0) unknown.add(fibreId);
      if (total.unknownCount > 0 || total.likelyG <= 0 || seats.length === 0) continue;
      const packedG = portions
        .filter((portion) => portion.fibreId === fibreId && !portion.bag.endsWith('if-needed'))
        .reduce((sum, { packG, exactG }) => sum + (packG ?? exactG), 0);
      const own = byFibre.get(fibreId) ?? { needs: [], sharedSigma: 0 };
      own.sharedSigma = Math.max(own.sharedSigma, Math.log(total.highG / total.lowG) / (2 * Z90));
      for (const [one, count] of countedSkills(seats, skillOf, skill)) {
        own.needs.push({ likelyG: total.likelyG, packedG, sigma: NEED_SIGMA[one], count });
      }
      byFibre.set(fibreId, own);
    }
  }
  return { fibres: [...byFibre].map(([fibreId, own]) => ({ fibreId, ...own })), unknown: [...unknown] };
}

function countedSkills(
  seats: readonly number[],
  skillOf: ReadonlyMap<number, Skill>,
  usual: Skill,
): Map<Skill, number> {
  const counts = new Map<Skill, number>();
  for (const seat of seats) {
    const skill = skillOf.get(seat) ?? usual;
    counts.set(skill, (counts.get(skill) ?? 0) + 1);
  }
  return counts;
}
