import { wholeUp } from '../../base/index.ts';
import { type FibreLookup, statedEnds } from '../../engine/index.ts';
import type { NeedleKit } from '../../needles/index.ts';
import { type Fibre, type Finding, type Needle, takeFromLots, unitPriceMinor } from '../../shelf/index.ts';
import type { CostTerms } from '../document/run.ts';
import type { PackGroup } from '../packs/packGroups.ts';
import type { ToPack } from '../packs/toPack.ts';
import type { BaggedUse } from '../portions/bag.ts';
import type { PackedGroup, RunPortions } from '../portions/planGroups.ts';
import { withdrawalsOfPlan } from '../portions/planPortions.ts';
import { needlesOfBox } from '../things/boxNeedles.ts';
import { findingsOfPack, findingsTaken, type SpareTerms } from '../things/findingsOfRun.ts';

/** Money in integer minor units, rounded where it is shown; what has no price is counted. */
export interface Cost {
  readonly minor: number;
  readonly unknownCount: number;
}

const NOTHING: Cost = { minor: 0, unknownCount: 0 };
const add = (a: Cost, b: Cost): Cost => ({
  minor: a.minor + b.minor,
  unknownCount: a.unknownCount + b.unknownCount,
});

/** So much at a price of one; without a price, one thing that is unknown. */
const priced = (priceMinor: number | null, amount: number): Cost =>
  priceMinor === null ? { minor: 0, unknownCount: 1 } : { minor: priceMinor * amount, unknownCount: 0 };

const sumOf = <T>(items: readonly T[], costOf: (item: T) => Cost): Cost =>
  items.reduce((sum, item) => add(sum, costOf(item)), NOTHING);

/** What one pack of a group costs. */
interface PackCost {
  readonly groupKey: string;
  readonly packs: number;
  /** At what was paid for the lots it comes from. */
  readonly fibres: Cost;
  /** As paid, were everything that is stated from – to at its low end; null: nothing of it is. */
  readonly fibresLeast: Cost | null;
  /** At today’s price of the fibre. */
  readonly fibresToday: Cost;
  readonly findings: Cost;
  readonly packaging: Cost;
  readonly needles: Cost;
  /** Weighing and packing at the wage; null where none is said. */
  readonly timeMinor: number | null;
  readonly minutes: number;
  /** All of it, fibres as they were paid. */
  readonly whole: Cost;
  readonly wholeLeast: Cost | null;
}

export interface RunCost {
  readonly packs: readonly PackCost[];
  /** What is there once whatever the number: time for the run, what lies out for all, samples, demonstrations, spares. */
  readonly fixed: Cost;
  /** What is fixed, and the packs that are given or sold. */
  readonly whole: Cost;
  /** Were everything that is stated from – to at its low end; null: nothing of it is. */
  readonly wholeLeast: Cost | null;
  readonly wholeToday: Cost;
  /** Seats or boxes. */
  readonly sold: number;
  /** For one, so that the margin is left over; null where a price is unknown or nobody is there. */
  readonly priceMinor: number | null;
  /** Fibres, findings and needles that have no price, each once. */
  readonly unpriced: readonly string[];
  /** The least number at which that price pays for what is fixed; null where it never does. */
  readonly paysFrom: number | null;
}

export interface CostSources {
  readonly wool: FibreLookup;
  readonly findings: ReadonlyMap<string, Finding>;
  /** Of the fibre itself, not of a lot: what it costs today; null unknown. */
  readonly todayPer100gMinor: ReadonlyMap<string, number | null>;
  /** What breaks in a class; null while it is not known, and for kits. */
  readonly kit: NeedleKit | null;
  /** Of the shelf: what a box gives away. */
  readonly needles: readonly Needle[];
  /** What tells how many spares there are. */
  readonly spareTerms: SpareTerms;
}

/** What was paid for so much of a fibre: lot by lot as they are used up, at today's price past them. */
export function paidForMinor(
  { lots }: Pick<Fibre, 'lots'>,
  massG: number,
  todayPer100gMinor: number | null,
): Cost {
  const held = lots.filter((lot) => (lot.onHandG ?? 0) > 0);
  const onLots = held.reduce((sum, { onHandG }) => sum + (onHandG ?? 0), 0);
  const withdrawals = takeFromLots(held, Math.min(massG, onLots)) ?? [];
  const parts = withdrawals.map(({ lotId, massG: ownG }) => ({
    massG: ownG,
    price: held.find(({ id }) => id === lotId)?.pricePer100gMinor ?? todayPer100gMinor,
  }));
  const restG = Math.max(0, massG - onLots);
  const all = restG > 1e-9 ? [...parts, { massG: restG, price: todayPer100gMinor }] : parts;
  return sumOf(all, ({ massG: ownG, price }) => priced(price, ownG / 100));
}

/**
 * What a run costs, pack by pack. A fibre’s cost is that of all the run takes of it, shared by grams, so that the packs
 * together cost what the shelf gives up.
 */
export function costOfRun(
  toPack: ToPack,
  plan: RunPortions,
  terms: CostTerms,
  sources: CostSources,
): RunCost {
  const perGram = pricesPerGram(plan, sources);
  const packs = plan.groups.map((packed) => packCost(packed, toPack, terms, perGram, sources));
  return {
    ...summed(toPack, plan, packs, terms, perGram, sources),
    unpriced: unpricedOf(toPack, perGram, sources),
  };
}

/** One pack of a group: its wool by the gram, its things, its needles, and the time it takes. */
function packCost(
  { key, packs: count, plan: { fibres: portions } }: PackedGroup,
  toPack: ToPack,
  terms: CostTerms,
  { paid, today }: Prices,
  sources: CostSources,
): PackCost {
  const group = toPack.groups.find((packGroup) => packGroup.key === key);
  const ofFibres = (prices: Prices['paid'], share: (fibreId: string) => number = () => 1): Cost =>
    sumOf(portions, ({ fibreId, classG }) =>
      priced(prices.get(fibreId) ?? null, (classG / count) * share(fibreId)),
    );
  const least = leastShares(toPack.bagged.get(key) ?? []);
  const things = group ? findingsOfPack(group, toPack, sources.findings, sources.spareTerms) : [];
  const ofThings = (isPackaging: boolean): Cost =>
    sumOf(
      things.filter((thing) => thing.isPackaging === isPackaging),
      ({ findingId, amount, spare }) => priced(priceOf(sources.findings.get(findingId)), amount + spare),
    );
  const minutes = terms.minutesPerPack + (portions.length * terms.secondsPerPortion) / 60;
  const timeMinor = terms.hourlyWageMinor === null ? null : (minutes / 60) * terms.hourlyWageMinor;
  const parts = {
    fibres: ofFibres(paid),
    findings: ofThings(false),
    packaging: ofThings(true),
    needles: group ? needlesOf(group, sources) : NOTHING,
  };
  const wholeWith = (fibres: Cost) =>
    sumOf([...Object.values({ ...parts, fibres }), priced(1, timeMinor ?? 0)], (cost) => cost);
  const fibresLeast = least.size === 0 ? null : ofFibres(paid, (fibreId) => least.get(fibreId) ?? 1);
  return {
    groupKey: key,
    packs: count,
    ...parts,
    fibresLeast,
    fibresToday: ofFibres(today),
    timeMinor,
    minutes,
    whole: wholeWith(parts.fibres),
    wholeLeast: fibresLeast && wholeWith(fibresLeast),
  };
}

/** Of each fibre that something is stated of from – to: which share of what is packed its low end would be. */
function leastShares(bagged: readonly BaggedUse[]): Map<string, number> {
  const sums = new Map<string, { leastG: number; packG: number }>();
  for (const { use } of bagged) {
    if (use.kind === 'unknown' || use.fibreId === null) continue;
    const sum = sums.get(use.fibreId) ?? { leastG: 0, packG: 0 };
    sum.leastG += Math.min(use.packG, statedEnds(use).lowG);
    sum.packG += use.packG;
    sums.set(use.fibreId, sum);
  }
  return new Map(
    [...sums].flatMap(([fibreId, { leastG, packG }]) =>
      packG > 0 && leastG < packG - 1e-9 ? [[fibreId, leastG / packG] as const] : [],
    ),
  );
}

function unpricedOf(
  { groups, estimates }: ToPack,
  { paid }: Prices,
  { findings, needles, spareTerms }: CostSources,
): string[] {
  const things = groups.flatMap((group) => findingsOfPack(group, { estimates }, findings, spareTerms));
  return [
    ...new Set([
      ...[...paid].flatMap(([fibreId, price]) => (price === null ? [fibreId] : [])),
      ...things.flatMap(({ findingId }) => (priceOf(findings.get(findingId)) === null ? [findingId] : [])),
      ...groups.flatMap((group) =>
        needlesOfBox(group, needles).flatMap(({ needle }) =>
          needle && needle.priceMinor === null ? [needle.id] : [],
        ),
      ),
    ]),
  ];
}

/** Of one unit; what was picked up costs nothing unless somebody says it does. */
function priceOf(finding: Finding | undefined): number | null {
  if (!finding) return null;
  const isFound = finding.measure.by === 'count' && finding.measure.sort === 'found';
  return unitPriceMinor(finding) ?? (isFound ? 0 : null);
}

/** In a box those it gives away; in a class the share of those that break. */
function needlesOf(group: PackGroup, { kit, needles }: CostSources): Cost {
  if (group.sample) return NOTHING;
  if (!group.recipe) return needlesShare(kit);
  return sumOf(needlesOfBox(group, needles), ({ needle, count }) =>
    priced(needle?.priceMinor ?? null, count),
  );
}

/** Needles that break, shared by who sits there. */
function needlesShare(kit: NeedleKit | null): Cost {
  if (!kit || kit.people === 0) return NOTHING;
  const broken = kit.lines.filter(({ meanBroken }) => meanBroken > 0);
  return sumOf(broken, ({ meanBroken, needle }) =>
    priced(needle?.priceMinor ?? null, meanBroken / kit.people),
  );
}

interface Prices {
  readonly paid: ReadonlyMap<string, number | null>;
  readonly today: ReadonlyMap<string, number | null>;
}

/** What a gram that goes into a pack costs, with what weighing loses of it. */
function pricesPerGram(plan: RunPortions, { wool, todayPer100gMinor }: CostSources): Prices {
  const taken = withdrawalsOfPlan(plan);
  const packed = new Map<string, number>();
  for (const { fibreId, classG } of plan.fibres) packed.set(fibreId, (packed.get(fibreId) ?? 0) + classG);
  const paid = new Map<string, number | null>();
  const today = new Map<string, number | null>();
  for (const [fibreId, massG] of taken) {
    const fibre = wool.get(fibreId);
    const price = todayPer100gMinor.get(fibreId) ?? null;
    const cost = fibre ? paidForMinor(fibre, massG, price) : { minor: 0, unknownCount: 1 };
    const inPacksG = packed.get(fibreId) ?? massG;
    paid.set(fibreId, cost.unknownCount > 0 || inPacksG === 0 ? null : cost.minor / inPacksG);
    today.set(fibreId, price === null || inPacksG === 0 ? null : (price * massG) / 100 / inPacksG);
  }
  return { paid, today };
}

function summed(
  { groups, estimates }: ToPack,
  plan: RunPortions,
  packs: readonly PackCost[],
  terms: CostTerms,
  perGram: Prices,
  sources: CostSources,
): Omit<RunCost, 'unpriced'> {
  const times = (cost: Cost, count: number): Cost => ({ ...cost, minor: cost.minor * count });
  const timeMinor = ((terms.hourlyWageMinor ?? 0) * terms.fixedMinutes) / 60;
  let fixed: Cost = sumOf(
    [
      { minor: timeMinor, unknownCount: 0 },
      lyingOut(plan, perGram.paid),
      spareThings({ groups, estimates }, sources),
    ],
    (cost) => cost,
  );
  let [variable, today, sold]: [Cost, number, number] = [NOTHING, 0, 0];
  let lessMinor = 0;
  for (const pack of packs) {
    const group = groups.find(({ key }) => key === pack.groupKey);
    const given = group?.seats.length ?? 0;
    sold += given;
    variable = add(variable, times(pack.whole, given));
    fixed = add(fixed, times(pack.whole, pack.packs - given));
    today += (pack.fibresToday.minor - pack.fibres.minor) * pack.packs;
    lessMinor += (pack.fibres.minor - (pack.fibresLeast ?? pack.fibres).minor) * pack.packs;
  }
  const whole = add(variable, fixed);
  const priceMinor =
    sold === 0 || whole.unknownCount > 0 || terms.marginFraction >= 1
      ? null
      : wholeUp(whole.minor / sold / (1 - terms.marginFraction));
  const eachMinor = sold === 0 ? 0 : variable.minor / sold;
  return {
    packs,
    fixed,
    whole,
    wholeLeast: packs.some(({ fibresLeast }) => fibresLeast)
      ? { ...whole, minor: whole.minor - lessMinor }
      : null,
    wholeToday: { ...whole, minor: whole.minor + today },
    sold,
    priceMinor,
    paysFrom:
      priceMinor === null || priceMinor <= eachMinor
        ? null
        : Math.max(1, wholeUp(fixed.minor / (priceMinor - eachMinor))),
  };
}

/** Findings in the spare bag. */
const spareThings = (
  toPack: Pick<ToPack, 'groups' | 'estimates'>,
  { findings, spareTerms }: CostSources,
): Cost =>
  sumOf(findingsTaken(toPack, findings, spareTerms), ({ findingId, spareBag }) =>
    spareBag > 0 ? priced(priceOf(findings.get(findingId)), spareBag) : NOTHING,
  );

/** Wool of the run that is in nobody’s pack. */
const lyingOut = (plan: RunPortions, paid: Prices['paid']): Cost =>
  sumOf(plan.fibres, ({ fibreId, classG, byGroup }) => {
    const ownG = classG - [...byGroup.values()].reduce((a, b) => a + b, 0);
    return ownG <= 1e-9 ? NOTHING : priced(paid.get(fibreId) ?? null, ownG);
  });
