import type { UseEstimate, WoolRole } from '../../engine/index.ts';
import type { Pack } from '../packs/packList.ts';
import type { RunPortions } from '../portions/planGroups.ts';
import { withdrawalsOfPlan } from '../portions/planPortions.ts';

/** What of a fibre goes where: one part or join in one sort of pack. */
export interface FibreShare {
  readonly groupKey: string;
  readonly packs: number;
  readonly bag: string;
  readonly makeAt: number;
  readonly owner: UseEstimate['owner'];
  readonly role: WoolRole;
  /** In one pack, with what is packed over the likely amount. */
  readonly exactG: number;
  /** In all of them. */
  readonly allG: number;
}

/** Why so much of a fibre: which parts of whose packs, heaviest first. Unrounded; they add up to what is needed. */
export function sharesOfFibre({ groups }: Pick<RunPortions, 'groups'>, fibreId: string): FibreShare[] {
  return groups
    .flatMap(({ key, packs, plan }) =>
      plan.fibres
        .filter((portion) => portion.fibreId === fibreId)
        .flatMap(({ bag, lines }) =>
          lines.map(({ makeAt, owner, role, exactG }) => ({
            groupKey: key,
            packs,
            bag,
            makeAt,
            owner,
            role,
            exactG,
            allG: exactG * packs,
          })),
        ),
    )
    .sort((a, b) => b.allG - a.allG);
}

/** A pack that a shortage leaves without. */
export interface HitPack {
  readonly pack: Pack;
  readonly wantsG: number;
  /** What is left for it. */
  readonly getsG: number;
}

/**
 * Who is hit when there are only so many grams of a fibre: packs are filled in their order, so the last go short; spares
 * and samples come after everybody.
 */
export function whoIsHit(
  { groups }: Pick<RunPortions, 'groups'>,
  packs: readonly Pack[],
  fibreId: string,
  thereIsG: number,
): HitPack[] {
  const wants = new Map(
    groups.map(({ key, plan }) => [
      key,
      plan.fibres
        .filter((portion) => portion.fibreId === fibreId)
        .reduce((sum, { packG, exactG }) => sum + (packG ?? exactG), 0),
    ]),
  );
  let leftG = thereIsG;
  return packs.flatMap((pack) => {
    const wantsG = wants.get(pack.groupKey) ?? 0;
    const getsG = Math.max(0, Math.min(wantsG, leftG));
    leftG -= wantsG;
    return wantsG - getsG > 1e-6 ? [{ pack, wantsG, getsG }] : [];
  });
}

/** Where a fibre of a run goes, and what is wanting of it. */
export interface FibreWhy {
  /** Heaviest first. */
  readonly told: readonly FibreShare[];
  /** Those after them, in one sum. */
  readonly rest: { readonly count: number; readonly allG: number };
  /** What all packs need, before it is rounded up to the scale. */
  readonly needG: number;
  /** Off the shelf: as it is weighed, with what is lost and what lies out for all. */
  readonly takenG: number;
  readonly shortG: number;
  readonly hit: readonly HitPack[];
}

/** @param most shares that are told one by one */
export function whyOfFibre(
  plan: RunPortions,
  packs: readonly Pack[],
  fibreId: string,
  most: number,
): FibreWhy {
  const shares = sharesOfFibre(plan, fibreId);
  const sum = (fibreShares: readonly FibreShare[]) =>
    fibreShares.reduce((total, { allG }) => total + allG, 0);
  const takenG = withdrawalsOfPlan(plan).get(fibreId) ?? 0;
  const shortG = plan.fibres
    .filter((row) => row.fibreId === fibreId)
    .reduce((total, row) => total + (row.shortG ?? 0), 0);
  const after = shares.slice(most);
  return {
    told: shares.slice(0, most),
    rest: { count: after.length, allG: sum(after) },
    needG: sum(shares),
    takenG,
    shortG,
    hit: shortG > 0 ? whoIsHit(plan, packs, fibreId, takenG - shortG) : [],
  };
}
