import {
  commonSigmaG,
  type FibreTotal,
  type MassTerm,
  sharedSigmaByGroup,
  type UseEstimate,
} from '../../engine/index.ts';
import type { Skill } from '../../needles/index.ts';
import type { Seat } from '../document/seat.ts';
import { isIfNeededBag } from '../portions/bag.ts';
import {
  type ClassNeeds,
  type MakerKind,
  NEED_SIGMA,
  type NeededFibre,
  type Take,
} from '../portions/classNeeds.ts';
import type { RunPortions } from '../portions/planGroups.ts';
import type { PackGroup } from './packGroups.ts';

interface ClassOf {
  readonly skill: Skill;
  readonly roster: readonly Seat[];
  readonly toleranceFraction: number;
}

/** A class’s needs, and fibres of which something is unknown: nothing can be said of them. */
export interface RunNeeds {
  readonly needs: ClassNeeds;
  readonly unknown: readonly string[];
}

interface Estimated {
  readonly fibres: readonly FibreTotal[];
  readonly uses: readonly UseEstimate[];
}

/**
 * What every seat of a class takes of every fibre and has in its pack, alike seats together by build and skill. Spare
 * packs help nobody in this sum, and what is only opened if needed is left out of need and pack alike.
 * @param plan what is in the packs; null while that is still to be found: nothing is then
 */
export function classNeeds(
  groups: readonly PackGroup[],
  estimates: ReadonlyMap<string, Estimated>,
  plan: Pick<RunPortions, 'groups'> | null,
  { skill, roster, toleranceFraction }: ClassOf,
): RunNeeds {
  const skillOf = new Map(roster.map((seat) => [seat.seat, seat.skill ?? skill]));
  const seated = groups.filter(({ seats }) => seats.length > 0);
  const totals = seated.flatMap(({ key }) => estimates.get(key)?.fibres ?? []);
  const unknown = new Set(totals.filter(({ total }) => total.unknownCount > 0).map(({ fibreId }) => fibreId));
  const ids = [...new Set(totals.filter(({ total }) => total.likelyG > 0).map(({ fibreId }) => fibreId))];
  const known = ids.filter((id) => !unknown.has(id));
  const makers = seated.flatMap(({ key, seats }): MakerKind[] => {
    const takes = takesOf(key, known, estimates.get(key), plan);
    return [...countedSkills(seats, skillOf, skill)].map(([countedSkill, count]) => ({
      groupKey: key,
      count,
      sigma: NEED_SIGMA[countedSkill],
      takes,
    }));
  });
  const fibres = known.map((fibreId) => neededFibre(fibreId, seated, estimates));
  return { needs: { fibres, makers, toleranceFraction }, unknown: [...unknown] };
}

function takesOf(
  groupKey: string,
  fibreIds: readonly string[],
  estimate: Estimated | undefined,
  plan: Pick<RunPortions, 'groups'> | null,
): Take[] {
  const portions = plan?.groups.find((group) => group.key === groupKey)?.plan.fibres ?? [];
  return fibreIds.flatMap((fibreId, at): Take[] => {
    const likelyG = estimate?.fibres.find((fibre) => fibre.fibreId === fibreId)?.total.likelyG ?? 0;
    if (likelyG <= 0) return [];
    const packedG = portions
      .filter((portion) => portion.fibreId === fibreId && !isIfNeededBag(portion.bag))
      .reduce((sum, { packG, exactG }) => sum + (packG ?? exactG), 0);
    return [{ at, likelyG, packedG }];
  });
}

/** How unsure a fibre is in the estimate that is least sure of it; what each piece strays by itself evens out over a make. */
function neededFibre(
  fibreId: string,
  groups: readonly PackGroup[],
  estimates: ReadonlyMap<string, Estimated>,
): NeededFibre {
  const each = groups.map(({ key }) => sigmasOf(termsOfFibre(fibreId, estimates.get(key)?.uses ?? [])));
  return each.reduce<NeededFibre>(
    (most, group) =>
      Math.hypot(group.commonSigma, group.sharedSigma) > Math.hypot(most.commonSigma, most.sharedSigma)
        ? { fibreId, ...group }
        : most,
    { fibreId, commonSigma: 0, sharedSigma: 0 },
  );
}

const termsOfFibre = (fibreId: string, uses: readonly UseEstimate[]): MassTerm[] =>
  uses.flatMap((use) =>
    use.kind === 'known' && use.fibreId === fibreId && !use.isIfNeeded ? [use.term] : [],
  );

/** σ of ln grams that every make has alike: of the maker’s firmness, and of what else all pieces share. */
function sigmasOf(terms: readonly MassTerm[]): { commonSigma: number; sharedSigma: number } {
  const likelyG = terms.reduce((sum, { pieceG, count }) => sum + pieceG * count, 0);
  if (likelyG <= 0) return { commonSigma: 0, sharedSigma: 0 };
  let sharedG2 = 0;
  for (const sigmaG of sharedSigmaByGroup(terms).values()) sharedG2 += sigmaG ** 2;
  for (const { pieceG, count, allSigma = 0, countSigma = 0 } of terms) {
    sharedG2 += (allSigma * pieceG * count) ** 2 + (countSigma * pieceG * count) ** 2;
  }
  return { commonSigma: commonSigmaG(terms) / likelyG, sharedSigma: Math.sqrt(sharedG2) / likelyG };
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
