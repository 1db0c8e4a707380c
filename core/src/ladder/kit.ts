import { finenessOf, type Needle, type NeedleWanted, wantedKey } from '../needles/index.ts';
import { minutesRange, type Pattern } from '../pattern/index.ts';
import type { Provision, Tool } from '../tools/index.ts';
import type { SumWithUnknown } from '../wool/index.ts';
import {
  breakageRate,
  riskFactor,
  risksOf,
  SKILL_FACTOR,
  type BreakageEvidence,
  type BreakageRate,
  type Skill,
} from './breakage.ts';
import { peakOf, type Filling } from './fillings.ts';
import type { Ladder, Rung } from './flags.ts';
import { fewestSpares } from './spares.ts';

/** For whom needles are put together. */
export interface KitSetting {
  readonly people: number;
  readonly seatsPerTable: number;
  readonly skill: Skill;
  /** Skills of those among them who are not as the rest. */
  readonly otherSkills?: readonly Skill[];
  /** The chance that any sort may run out, 0–1. */
  readonly riskFraction: number;
  readonly evidence: readonly BreakageEvidence[];
  /** Holders of the shelf, among other tools. */
  readonly tools: readonly Tool[];
}

export const KIT_DEFAULTS = { seatsPerTable: 4, skill: 'some', riskFraction: 0.05 } as const;

/** One needle of the kit. */
export interface KitLine {
  readonly key: string;
  readonly wanted: NeedleWanted;
  /** The needle of the shelf, or the nearest to it; null where nothing is owned. */
  readonly needle: Needle | null;
  readonly isNearest: boolean;
  /** In use at once. */
  readonly perPerson: number;
  readonly perTable: number;
  readonly perRoom: number;
  /** In use at once by everybody. */
  readonly inUse: number;
  /** Minutes of stabbing by everybody, each times its risk and the skill. */
  readonly exposureMinutes: number;
  readonly rate: BreakageRate;
  /** Breakages to be expected. */
  readonly meanBroken: number;
  readonly spares: number;
  readonly total: number;
  /** What is on hand of this very sort; null where it was never counted. */
  readonly onHand: number | null;
  /** Null where nobody has counted. */
  readonly toBuy: number | null;
  readonly stepIds: readonly string[];
  /** The fullest holder of it. */
  readonly fullestHolder: number;
}

export interface HolderNeed {
  readonly needles: number;
  /** The smallest of the shelf that takes so many; null where there is none. */
  readonly tool: Tool | null;
  readonly per: Provision;
  /** At once in each place. */
  readonly count: number;
  readonly total: number;
  readonly short: number | null;
}

export interface NeedleKit {
  readonly people: number;
  readonly tables: number;
  readonly lines: readonly KitLine[];
  readonly holders: readonly HolderNeed[];
  /** The chance that any sort runs out with these spares. */
  readonly riskFraction: number;
  /** Steps with a needle and no minutes: spares are at least so many. */
  readonly unknownStepIds: readonly string[];
  /** Needles of the kit that look alike: the same mark, or none. */
  readonly alike: readonly (readonly Needle[])[];
  /** All of them, integer minor units; those without a price are unknown. */
  readonly costMinor: SumWithUnknown;
  readonly buyCostMinor: SumWithUnknown;
}

/** Everything a room needs of needles and their holders. With nobody in it, nothing. */
export function needleKit(build: Pattern, ladder: Ladder, setting: KitSetting): NeedleKit {
  const people = Math.max(0, setting.people);
  const tables = people === 0 ? 0 : Math.ceil(people / Math.max(1, setting.seatsPerTable));
  const places: Record<Provision, number> = { person: people, table: tables, room: people === 0 ? 0 : 1 };
  const fillings = fillingsOf(ladder, setting.tools);
  const bare = [...groupedByNeedle(ladder.rungs)].map(([key, rungs]) =>
    bareLine(key, rungs, { build, ladder, setting, places, fillings }),
  );
  const spares = fewestSpares(
    bare.map(({ meanBroken }) => meanBroken),
    setting.riskFraction,
  );
  const lines = bare.map((line, index) => withSpares(line, people === 0 ? 0 : (spares.counts[index] ?? 0)));
  return {
    people,
    tables,
    lines,
    holders: holdersOf(fillings, setting.tools, places),
    riskFraction: people === 0 ? 0 : spares.riskFraction,
    unknownStepIds: ladder.path.stretches.flatMap(({ step, wanted, minutes }) =>
      wanted !== null && minutes === null ? [step.id] : [],
    ),
    alike: alikeOf(lines),
    costMinor: costOf(lines, ({ total }) => total),
    buyCostMinor: costOf(lines, ({ toBuy, total }) => toBuy ?? total),
  };
}

/** Sorts that one needle of the shelf serves are one line. */
function groupedByNeedle(rungs: readonly Rung[]): Map<string, Rung[]> {
  const groups = new Map<string, Rung[]>();
  for (const rung of rungs) {
    const key = rung.owned.kind === 'owned' ? rung.owned.needle.id : rung.key;
    groups.set(key, [...(groups.get(key) ?? []), rung]);
  }
  return groups;
}

type BareLine = Omit<KitLine, 'spares' | 'total' | 'toBuy'>;

interface Room {
  readonly build: Pattern;
  readonly ladder: Ladder;
  readonly setting: KitSetting;
  readonly places: Readonly<Record<Provision, number>>;
  readonly fillings: readonly Filling[];
}

function bareLine(key: string, rungs: readonly Rung[], room: Room): BareLine {
  const [rung] = rungs;
  if (!rung) throw new Error('a line of the kit is of at least one sort');
  const { owned, wanted } = rung;
  const keys = new Set(rungs.map((one) => one.key));
  const own = room.fillings.filter((filling) => keys.has(filling.key));
  const per = (provision: Provision) => peakOf(own.filter((filling) => filling.per === provision));
  const [perPerson, perTable, perRoom] = [per('person'), per('table'), per('room')];
  const { places, setting } = room;
  const gauge = finenessOf(wanted);
  const stepIds = rungs.flatMap((one) => one.stepIds);
  const exposureMinutes = exposureOf(stepIds, room) * handsOf(setting);
  const rate = breakageRate(gauge, setting.evidence);
  return {
    key,
    wanted,
    needle: owned.kind === 'none' ? null : owned.needle,
    isNearest: owned.kind === 'nearest',
    perPerson,
    perTable,
    perRoom,
    inUse: perPerson * places.person + perTable * places.table + perRoom * places.room,
    exposureMinutes,
    rate,
    meanBroken: exposureMinutes * rate.perMinute,
    onHand: owned.kind === 'owned' ? owned.needle.onHand : 0,
    stepIds,
    fullestHolder: Math.max(1, ...own.map(({ size }) => size)),
  };
}

const withSpares = (line: BareLine, spares: number): KitLine => {
  const total = line.inUse + spares;
  return { ...line, spares, total, toBuy: line.onHand === null ? null : Math.max(0, total - line.onHand) };
};

/** How many authors’ hands everybody’s are. */
function handsOf({ people, skill, otherSkills = [] }: KitSetting): number {
  const others = otherSkills.slice(0, Math.max(0, people));
  return (
    Math.max(0, people - others.length) * SKILL_FACTOR[skill] +
    others.reduce((sum, other) => sum + SKILL_FACTOR[other], 0)
  );
}

/** Minutes of one author’s hand, times risk. */
function exposureOf(stepIds: readonly string[], { build, ladder }: Room): number {
  const ids = new Set(stepIds);
  return build.steps.reduce((sum, step) => {
    const facts = ladder.facts.get(step.id);
    if (!ids.has(step.id) || !facts || step.minutes === null) return sum;
    return sum + minutesRange(step.minutes).likely * riskFactor(risksOf(facts, step.stroke));
  }, 0);
}

/** Each sort in each size of holder, from its first step to its last. */
function fillingsOf(ladder: Ladder, tools: readonly Tool[]): Filling[] {
  const fillings = new Map<string, Filling>();
  for (const { step, at, wanted } of ladder.path.stretches) {
    if (!wanted) continue;
    const size = step.holder ?? 1;
    const key = wantedKey(wanted);
    const own = fillings.get(`${key} ${size}`);
    const per = size === 1 ? 'person' : (holderFor(size, tools)?.provision ?? 'table');
    fillings.set(`${key} ${size}`, { key, size, per, first: own?.first ?? at, last: at });
  }
  return [...fillings.values()];
}

/** The smallest holder that takes so many. */
const holderFor = (needles: number, tools: readonly Tool[]): Tool | null =>
  tools
    .filter((tool) => tool.sort === 'holder' && !tool.archived && (tool.needles ?? 0) >= needles)
    .sort((a, b) => (a.needles ?? 0) - (b.needles ?? 0))[0] ?? null;

function holdersOf(
  fillings: readonly Filling[],
  tools: readonly Tool[],
  places: Readonly<Record<Provision, number>>,
): HolderNeed[] {
  const sizes = [...new Set(fillings.map(({ size }) => size))]
    .filter((size) => size > 1)
    .sort((a, b) => a - b);
  return sizes.map((needles) => {
    const tool = holderFor(needles, tools);
    const own = fillings.filter(({ size }) => size === needles);
    const per = tool?.provision ?? 'table';
    const count = peakOf(own.map((filling) => ({ ...filling, size: 1 })));
    const total = count * places[per];
    const onHand = tool ? tool.onHand : 0;
    return { needles, tool, per, count, total, short: onHand === null ? null : Math.max(0, total - onHand) };
  });
}

/** Needles nobody could tell apart on a table. */
function alikeOf(lines: readonly KitLine[]): Needle[][] {
  const byMark = new Map<string, Map<string, Needle>>();
  for (const { needle } of lines) {
    if (!needle) continue;
    const mark = needle.mark?.word.trim().toLowerCase() ?? '';
    byMark.set(mark, (byMark.get(mark) ?? new Map<string, Needle>()).set(needle.id, needle));
  }
  return [...byMark.values()].filter((needles) => needles.size > 1).map((needles) => [...needles.values()]);
}

function costOf(lines: readonly KitLine[], countOf: (line: KitLine) => number): SumWithUnknown {
  const priced = lines.map((line) => {
    const count = countOf(line);
    const price = line.isNearest ? null : (line.needle?.priceMinor ?? null);
    return count === 0 ? 0 : price === null ? null : price * count;
  });
  return {
    known: priced.reduce<number>((sum, cost) => sum + (cost ?? 0), 0),
    unknownCount: priced.filter((cost) => cost === null).length,
  };
}
