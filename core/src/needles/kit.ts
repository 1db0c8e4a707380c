import type { SumWithUnknown } from '../engine/index.ts';
import { type Pattern, workMinutes } from '../pattern/index.ts';
import {
  byFineness,
  finenessOf,
  type Needle,
  type NeedleWanted,
  type Provision,
  type Tool,
  wantingOf,
} from '../shelf/index.ts';
import {
  type BreakageEvidence,
  breakageRate,
  type BreakageRate,
  riskFactor,
  risksOf,
  type Skill,
  SKILL_FACTOR,
} from './breakage.ts';
import { type Filling, peakOf } from './fillings.ts';
import { fillingsOf, holderFor } from './fillingsOf.ts';
import type { Ladder, Rung } from './flags.ts';
import { fewestSpares } from './spares.ts';

/** Those in a room who make one build. */
export interface KitMakers {
  readonly build: Pattern;
  readonly ladder: Ladder;
  /** How practised each of them is. */
  readonly skills: readonly Skill[];
}

/** In what room needles are put together. */
export interface KitSetting {
  readonly seatsPerTable: number;
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
  /** In use at once, by whoever needs most of it. */
  readonly perPerson: number;
  /** People whose build takes it at all. */
  readonly usedBy: number;
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

interface HolderNeed {
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

/**
 * Everything a room needs of needles and their holders, whatever each makes in it. What is one for a table or the room
 * is shared by all who sit there. With nobody in it, nothing.
 */
export function needleKit(makers: readonly KitMakers[], setting: KitSetting): NeedleKit {
  const people = makers.reduce((sum, { skills }) => sum + skills.length, 0);
  const tables = people === 0 ? 0 : Math.ceil(people / Math.max(1, setting.seatsPerTable));
  const shared: Shared = { table: tables, room: people === 0 ? 0 : 1 };
  const rooms = makers.map((room): Room => ({
    ...room,
    setting,
    fillings: fillingsOf(room.ladder.path, setting.tools),
  }));
  const bare = togetherByNeedle(rooms, shared);
  const spares = fewestSpares(
    bare.map(({ meanBroken }) => meanBroken),
    setting.riskFraction,
  );
  const lines = bare.map((line, index) => withSpares(line, people === 0 ? 0 : (spares.counts[index] ?? 0)));
  return {
    people,
    tables,
    lines,
    holders: holdersOf(rooms, setting.tools, shared),
    riskFraction: people === 0 ? 0 : spares.riskFraction,
    unknownStepIds: [...new Set(makers.flatMap(({ ladder }) => stepsWithoutMinutes(ladder)))],
    alike: alikeOf(lines),
    costMinor: costOf(lines, ({ total }) => total),
    buyCostMinor: buyCostOf(lines),
  };
}

/** A kit held against what is there once others have taken theirs. @param promisedOf pieces, by id of a needle or tool */
export function kitAgainst(kit: NeedleKit, promisedOf: (itemId: string) => number): NeedleKit {
  const wanting = (total: number, onHand: number | null, itemId: string | undefined) =>
    wantingOf(total, onHand, itemId === undefined ? 0 : promisedOf(itemId));
  const lines = kit.lines.map((line) => ({
    ...line,
    toBuy: wanting(line.total, line.onHand, line.isNearest ? undefined : line.needle?.id),
  }));
  const holders = kit.holders.map((holder) => ({
    ...holder,
    short: wanting(holder.total, holder.tool ? holder.tool.onHand : 0, holder.tool?.id),
  }));
  return { ...kit, lines, holders, buyCostMinor: buyCostOf(lines) };
}

const buyCostOf = (lines: readonly KitLine[]): SumWithUnknown =>
  costOf(lines, ({ toBuy, total }) => toBuy ?? total);

const stepsWithoutMinutes = ({ path }: Ladder): string[] =>
  path.stretches.flatMap(({ step, wanted, minutes }) =>
    wanted !== null && minutes === null ? [step.id] : [],
  );

/** What is shared is there once for each of so many. */
type Shared = Readonly<Record<Exclude<Provision, 'person'>, number>>;

/** A needle’s line over all builds that take it: people add up, tables and the room take what most of them need. */
function togetherByNeedle(rooms: readonly Room[], shared: Shared): BareLine[] {
  const lines = new Map<string, BareLine[]>();
  for (const room of rooms) {
    for (const [key, rungs] of groupedByNeedle(room.ladder.rungs)) {
      lines.set(key, [...(lines.get(key) ?? []), bareLine(key, rungs, room)]);
    }
  }
  const all = [...lines.values()].flatMap((sameNeedle) => {
    const [first] = sameNeedle;
    if (!first) return [];
    const most = (key: 'perPerson' | 'perTable' | 'perRoom' | 'fullestHolder') =>
      Math.max(...sameNeedle.map((line) => line[key]));
    const sum = (key: 'usedBy' | 'inUse' | 'exposureMinutes' | 'meanBroken') =>
      sameNeedle.reduce((total, line) => total + line[key], 0);
    const [perTable, perRoom] = [most('perTable'), most('perRoom')];
    return {
      ...first,
      perPerson: most('perPerson'),
      perTable,
      perRoom,
      usedBy: sum('usedBy'),
      inUse: sum('inUse') + perTable * shared.table + perRoom * shared.room,
      exposureMinutes: sum('exposureMinutes'),
      meanBroken: sum('meanBroken'),
      stepIds: [...new Set(sameNeedle.flatMap(({ stepIds }) => stepIds))],
      fullestHolder: most('fullestHolder'),
    };
  });
  return all.sort((a, b) => byFineness(a.wanted, b.wanted));
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

interface Room extends KitMakers {
  readonly setting: KitSetting;
  readonly fillings: readonly Filling[];
}

/** Of those who make one build; in use are their own, without what is shared. */
function bareLine(key: string, rungs: readonly Rung[], room: Room): BareLine {
  const [rung] = rungs;
  if (!rung) throw new Error('a line of the kit is of at least one sort');
  const { owned, wanted } = rung;
  const keys = new Set(rungs.map((eachRung) => eachRung.key));
  const ownFillings = room.fillings.filter((filling) => keys.has(filling.key));
  const per = (provision: Provision) => peakOf(ownFillings.filter((filling) => filling.per === provision));
  const [perPerson, perTable, perRoom] = [per('person'), per('table'), per('room')];
  const { skills, setting } = room;
  const gauge = finenessOf(wanted);
  const stepIds = rungs.flatMap((eachRung) => eachRung.stepIds);
  const exposureMinutes = exposureOf(stepIds, room) * handsOf(skills);
  const rate = breakageRate(gauge, setting.evidence);
  return {
    key,
    wanted,
    needle: owned.kind === 'none' ? null : owned.needle,
    isNearest: owned.kind === 'nearest',
    perPerson,
    perTable,
    perRoom,
    usedBy: skills.length,
    inUse: perPerson * skills.length,
    exposureMinutes,
    rate,
    meanBroken: exposureMinutes * rate.perMinute,
    onHand: owned.kind === 'owned' ? owned.needle.onHand : 0,
    stepIds,
    fullestHolder: Math.max(1, ...ownFillings.map(({ size }) => size)),
  };
}

const withSpares = (line: BareLine, spares: number): KitLine => {
  const total = line.inUse + spares;
  return { ...line, spares, total, toBuy: wantingOf(total, line.onHand) };
};

/** How many authors’ hands everybody’s are. */
const handsOf = (skills: readonly Skill[]): number =>
  skills.reduce((sum, skill) => sum + SKILL_FACTOR[skill], 0);

/** Minutes of one author’s hand, times risk. */
function exposureOf(stepIds: readonly string[], { build, ladder }: Room): number {
  const ids = new Set(stepIds);
  return build.steps.reduce((sum, step) => {
    const facts = ladder.facts.get(step.id);
    const work = step.minutes === null ? null : workMinutes(step, build);
    if (!ids.has(step.id) || !facts || work === null) return sum;
    return sum + work.likely * riskFactor(risksOf(facts, step.stroke));
  }, 0);
}

function holdersOf(rooms: readonly Room[], tools: readonly Tool[], shared: Shared): HolderNeed[] {
  const sizes = [...new Set(rooms.flatMap(({ fillings }) => fillings.map(({ size }) => size)))]
    .filter((size) => size > 1)
    .sort((a, b) => a - b);
  return sizes.map((needles) => {
    const tool = holderFor(needles, tools);
    const per = tool?.provision ?? 'table';
    const atOnce = rooms.map(({ fillings, skills }) => ({
      people: skills.length,
      count: peakOf(
        fillings.filter(({ size }) => size === needles).map((filling) => ({ ...filling, size: 1 })),
      ),
    }));
    const count = Math.max(0, ...atOnce.map((filling) => filling.count));
    const total =
      per === 'person'
        ? atOnce.reduce((sum, filling) => sum + filling.count * filling.people, 0)
        : count * shared[per];
    const onHand = tool ? tool.onHand : 0;
    return { needles, tool, per, count, total, short: wantingOf(total, onHand) };
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
