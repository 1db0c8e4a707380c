import type { Skill } from '../../needles/index.ts';
import { type RunInput, WANTED_CHANCE, WANTED_CHANCE_OF_BOX } from '../document/run.ts';
import { SPARE_BAG, UNDECIDED_BAG } from '../portions/bag.ts';
import { type ClassNeeds, NEED_SIGMA, onlyFibre } from '../portions/classNeeds.ts';
import { chanceEachAlone, extrasForChance, MOST_EXTRA_FRACTION } from '../portions/eachAlone.ts';
import { type GroupToPack, planGroups, type RunPortions, type SharedLot } from '../portions/planGroups.ts';
import type { FibreStock } from '../portions/planPortions.ts';
import { bagsForChance, chanceWithBags, extraForComing } from '../portions/spareBag.ts';
import { classNeeds } from './classNeeds.ts';
import type { PackGroup } from './packGroups.ts';
import type { ToPack } from './toPack.ts';
import { allowances } from './undecided.ts';

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
  | 'toleranceFraction'
  | 'undecidedChance'
  | 'weighingLossFraction'
>;

/** One box by itself: a posted box has nobody beside it. */
const asOneBox = (group: PackGroup): PackGroup => ({ ...group, seats: group.seats.slice(0, 1) });

type Groups = Pick<ToPack, 'groups' | 'estimates'>;

const hasBag = ({ kind, toBagFraction }: Terms): boolean => kind === 'class' && toBagFraction !== null;

/**
 * Over the likely amount, by fibre and skill, so that nobody in the class is short of anything with this chance: every pack
 * at the same quantile, alone or with a bag for all. Fibres with something unknown are not in it.
 */
export function extrasOfRun(
  { groups, estimates }: Groups,
  run: Terms,
  chance: number,
): Map<string, (skill: Skill) => number> {
  const { needs } = classNeeds(groups, estimates, null, run);
  const extra = hasBag(run)
    ? extraForComing(run.toBagFraction ?? 0, run.toleranceFraction)
    : extrasForChance(needs, chance);
  return new Map(
    needs.fibres.map((fibre) => [
      fibre.fibreId,
      (skill) => extra?.(fibre, NEED_SIGMA[skill]) ?? MOST_EXTRA_FRACTION,
    ]),
  );
}

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
  const undecided = undecidedLots(toPack, run, extraOf);
  const plan = planGroups(groups, terms, stockOf, undecided);
  if (!hasBag(run) || wantedChance === null) return plan;
  // What lies in the bag goes by what is in the packs as they are weighed.
  const spare = spareBagLots(toPack, plan, run, wantedChance);
  return spare.length === 0 ? plan : planGroups(groups, terms, stockOf, [...undecided, ...spare]);
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
function spareBagLots(toPack: ToPack, plan: RunPortions, run: Terms, chance: number): SharedLot[] {
  const { needs } = classNeeds(toPack.groups, toPack.estimates, plan, run);
  const bagsG = bagsForChance(needs, chance);
  return needs.fibres.flatMap(({ fibreId }, at): SharedLot[] =>
    (bagsG[at] ?? 0) > 0 ? [{ bag: SPARE_BAG, fibreId, massG: bagsG[at] ?? 0 }] : [],
  );
}

/** How sure it is that nobody in a class is short of anything, or that a box suffices. */
export interface Sureness {
  /** With the packs as they are, 0–1; of boxes the least sure. */
  readonly chance: number;
  /** That one learner, by themselves, is short of nothing; of several sorts of pack the least sure. */
  readonly oneChance: number;
  /** Each fibre by itself, least sure first. */
  readonly fibres: readonly { readonly fibreId: string; readonly chance: number }[];
  /** Fibres of which something is unknown: they are not in the chance. */
  readonly unknown: readonly string[];
}

/** The event is named: nobody in the class is short of anything that is in their pack; or, by post, this box suffices. */
export function sureness(toPack: ToPack, plan: RunPortions, run: Terms): Sureness {
  if (run.kind === 'kits') {
    const boxes = toPack.groups.map((group) => surenessOf([asOneBox(group)], toPack, plan, run));
    return boxes.reduce((least, box) => (box.chance < least.chance ? box : least), boxes[0] ?? NOTHING);
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

const NOTHING: Sureness = { chance: 1, oneChance: 1, fibres: [], unknown: [] };

function surenessOf(
  groups: readonly PackGroup[],
  { estimates }: Pick<ToPack, 'estimates'>,
  plan: RunPortions,
  run: Terms,
): Sureness {
  const { needs, unknown } = classNeeds(groups, estimates, plan, run);
  const inBag = bagOf(plan);
  const bagsG = needs.fibres.map(({ fibreId }) => inBag.get(fibreId) ?? 0);
  const isAnyBag = bagsG.some((massG) => massG > 0);
  const chanceOf = (classNeeds: ClassNeeds, bags: readonly number[]) =>
    isAnyBag ? chanceWithBags(classNeeds, bags) : chanceEachAlone(classNeeds);
  const fibres = needs.fibres.map(({ fibreId }, at) => ({
    fibreId,
    chance: chanceOf(onlyFibre(needs, at), [bagsG[at] ?? 0]),
  }));
  return {
    chance: chanceOf(needs, bagsG),
    oneChance: Math.min(
      1,
      ...needs.makers.map((maker) => chanceEachAlone({ ...needs, makers: [{ ...maker, count: 1 }] })),
    ),
    fibres: fibres.sort((a, b) => a.chance - b.chance),
    unknown,
  };
}

/** What lies in the bag for all, by fibre. */
export const bagOf = ({ fibres }: Pick<RunPortions, 'fibres'>): Map<string, number> =>
  new Map(fibres.filter(({ bag }) => bag === SPARE_BAG.key).map(({ fibreId, classG }) => [fibreId, classG]));
