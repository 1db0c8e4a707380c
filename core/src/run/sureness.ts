import {
  chanceEnough,
  chanceNobodyShort,
  chanceWithBag,
  extraForComing,
  extrasForChance,
  NEED_SIGMA,
  planGroups,
  SPARE_BAG,
  spareBagG,
  UNDECIDED_BAG,
  type FibreNeed,
  type FibreStock,
  type GroupToPack,
  type RunPortions,
  type SharedLot,
} from '../portions/index.ts';
import type { Skill } from '../ladder/index.ts';
import { fibreNeeds } from './fibreNeeds.ts';
import type { PackGroup } from './packGroups.ts';
import type { RunInput } from './run.ts';
import type { ToPack } from './toPack.ts';
import { allowances } from './undecided.ts';

/** The chance a class is packed for, unless another is asked; and kits by post, which nobody can add to. */
export const WANTED_CHANCE = 0.95;
export const WANTED_CHANCE_OF_BOX = 0.98;

export const usualChance = ({ kind }: Pick<RunInput, 'kind'>): number =>
  kind === 'kits' ? WANTED_CHANCE_OF_BOX : WANTED_CHANCE;

type Terms = Pick<
  RunInput,
  | 'kind'
  | 'skill'
  | 'roster'
  | 'scaleStepG'
  | 'extraFraction'
  | 'wantedChance'
  | 'toBagFraction'
  | 'undecidedChance'
  | 'weighingLossFraction'
>;

/** Where no amount is enough, five times the likely one is packed, and the chance says so. */
const MOST_EXTRA = 4;

/** One box by itself: a posted box has nobody beside it. */
const asOneBox = (group: PackGroup): PackGroup => ({ ...group, seats: group.seats.slice(0, 1) });

/**
 * Over the likely amount, by fibre and skill, so that nobody in the class is short of anything with this chance: every
 * fibre bears an equal share of it (the root of the chance), each pack alone. Fibres with something unknown are not in it.
 */
export function extrasOfRun(
  { groups, estimates }: Pick<ToPack, 'groups' | 'estimates'>,
  run: Terms,
  chance: number,
): Map<string, (skill: Skill) => number> {
  const { fibres } = fibreNeeds(groups, estimates, null, run);
  const share = shareOf(chance, fibres.length);
  return new Map(
    fibres.map((fibre) => {
      const extra =
        run.toBagFraction !== null && run.kind === 'class'
          ? extraForComing(run.toBagFraction, fibre.sharedSigma)
          : extrasForChance(fibre, share);
      return [fibre.fibreId, (skill) => extra?.(NEED_SIGMA[skill]) ?? MOST_EXTRA];
    }),
  );
}

const shareOf = (chance: number, fibres: number): number => chance ** (1 / Math.max(1, fibres));

/** Over the likely amount, for a fibre in the packs of a group. */
type ExtraOf = (fibreId: string, groupKey: string) => number;

function extraOfRun(toPack: ToPack, run: Terms, chance: number): ExtraOf {
  const { groups } = toPack;
  const skillOf = new Map(groups.map(({ key, skill }) => [key, skill ?? run.skill]));
  const whole = run.kind === 'class' ? extrasOfRun(toPack, run, chance) : null;
  const byBox = new Map(
    whole
      ? []
      : groups.map((group) => [
          group.key,
          extrasOfRun({ groups: [asOneBox(group)], estimates: toPack.estimates }, run, chance),
        ]),
  );
  return (fibreId, groupKey) =>
    (whole ?? byBox.get(groupKey))?.get(fibreId)?.(skillOf.get(groupKey) ?? run.skill) ?? run.extraFraction;
}

/** The portions of a run by its own terms: a plain percentage, or a chance that nobody is short. */
export function portionsOfRun(
  toPack: ToPack,
  run: Terms,
  stockOf: (fibreId: string) => FibreStock,
): RunPortions {
  const { scaleStepG, extraFraction, wantedChance, weighingLossFraction } = run;
  const groups = toPack.groups.map(({ key, packs }): GroupToPack => ({
    key,
    packs,
    uses: toPack.bagged.get(key) ?? [],
  }));
  const extraOf = wantedChance === null ? null : extraOfRun(toPack, run, wantedChance);
  const terms = { scaleStepG, extraFraction, weighingLossFraction, ...(extraOf && { extraOf }) };
  const shared = [...undecidedLots(toPack, run, extraOf), ...spareBagLots(toPack, run, extraOf)];
  return planGroups(groups, terms, stockOf, shared);
}

/** Colours that lie out for those who have not chosen. */
function undecidedLots({ open, groups }: ToPack, run: Terms, extraOf: ExtraOf | null): SharedLot[] {
  if (!open || run.undecidedChance === null) return [];
  const usual = groups.find(({ isOpen }) => isOpen)?.key ?? '';
  return [...allowances(open.variants, open.count, run.undecidedChance)].map(([fibreId, massG]) => ({
    bag: UNDECIDED_BAG,
    fibreId,
    massG: massG * (1 + (extraOf?.(fibreId, usual) ?? run.extraFraction)),
  }));
}

/** What lies in the bag for all, so that packs and bag together are as sure as is asked. */
function spareBagLots(toPack: ToPack, run: Terms, extraOf: ExtraOf | null): SharedLot[] {
  if (run.kind !== 'class' || run.wantedChance === null || run.toBagFraction === null || !extraOf) return [];
  const { fibres } = fibreNeeds(toPack.groups, toPack.estimates, null, run);
  const share = shareOf(run.wantedChance, fibres.length);
  const extras = extrasOfRun(toPack, run, run.wantedChance);
  return fibres.map((fibre) => ({
    bag: SPARE_BAG,
    fibreId: fibre.fibreId,
    massG: spareBagG(packedWith(fibre, extras.get(fibre.fibreId)), share),
  }));
}

const SKILL_OF_SIGMA = new Map(Object.entries(NEED_SIGMA).map(([skill, sigma]) => [sigma, skill as Skill]));

/** A fibre’s needs with so much over the likely amount in every pack. */
const packedWith = (fibre: FibreNeed, extra: ((skill: Skill) => number) | undefined): FibreNeed => ({
  ...fibre,
  needs: fibre.needs.map((need) => ({
    ...need,
    packedG: need.likelyG * (1 + (extra?.(SKILL_OF_SIGMA.get(need.sigma) ?? 'some') ?? 0)),
  })),
});

/** How sure it is that nobody in a class is short of anything, or that a box suffices. */
export interface Sureness {
  /** With the packs as they are, 0–1; of boxes the least sure. */
  readonly chance: number;
  /** Each fibre by itself, least sure first. */
  readonly fibres: readonly { readonly fibreId: string; readonly chance: number }[];
  /** Fibres of which something is unknown: they are not in the chance. */
  readonly unknown: readonly string[];
}

/** The event is named: nobody in the class is short of anything that is in their pack; or, by post, this box suffices. */
export function sureness(toPack: ToPack, plan: RunPortions, run: Terms): Sureness {
  if (run.kind === 'kits') {
    const boxes = toPack.groups.map((group) => surenessOf([asOneBox(group)], toPack, plan, run));
    return boxes.reduce((least, one) => (one.chance < least.chance ? one : least), boxes[0] ?? NOTHING);
  }
  return surenessOf(toPack.groups, toPack, plan, run);
}

/** Whose making is tried: everybody in a class; by post each box stands alone, so the least sure sort of it. */
export function groupsToTry(toPack: ToPack, plan: RunPortions, run: Terms): PackGroup[] {
  if (run.kind === 'class') return [...toPack.groups];
  const boxes = toPack.groups
    .map(asOneBox)
    .map((group) => ({ group, chance: surenessOf([group], toPack, plan, run).chance }));
  return boxes
    .sort((a, b) => a.chance - b.chance)
    .slice(0, 1)
    .map(({ group }) => group);
}

const NOTHING: Sureness = { chance: 1, fibres: [], unknown: [] };

function surenessOf(
  groups: readonly PackGroup[],
  { estimates }: Pick<ToPack, 'estimates'>,
  plan: RunPortions,
  run: Terms,
): Sureness {
  const { fibres, unknown } = fibreNeeds(groups, estimates, plan, run);
  const bagG = bagOf(plan);
  const each = fibres.map((fibre) => {
    const ownG = bagG.get(fibre.fibreId) ?? 0;
    return {
      fibreId: fibre.fibreId,
      chance: ownG > 0 ? chanceWithBag(fibre, ownG) : chanceEnough(fibre),
    };
  });
  return {
    chance:
      bagG.size > 0 ? each.reduce((product, { chance }) => product * chance, 1) : chanceNobodyShort(fibres),
    fibres: each.sort((a, b) => a.chance - b.chance),
    unknown,
  };
}

/** What lies in the bag for all, by fibre. */
export const bagOf = ({ fibres }: Pick<RunPortions, 'fibres'>): Map<string, number> =>
  new Map(fibres.filter(({ bag }) => bag === SPARE_BAG.key).map(({ fibreId, classG }) => [fibreId, classG]));
