import { roundToMicrogram } from '../../base/index.ts';
import type { CutPiece, FibreLookup } from '../../engine/index.ts';
import {
  type Finding,
  findingMassG,
  type Needle,
  type NeedleWanted,
  type StockUnit,
  wantedKey,
} from '../../shelf/index.ts';
import type { PackedRun } from '../inForce/packedRun.ts';
import type { PackGroup } from '../packs/packGroups.ts';
import type { Pack } from '../packs/packList.ts';
import type { Bag } from '../portions/bag.ts';
import { needlesOfBox } from '../things/boxNeedles.ts';
import { type FindingInPack, findingsOfPack, isEasilyLost } from '../things/findingsOfRun.ts';
import { type GroupNeed, personalNeeds } from '../things/needsOfGroup.ts';
import { lotsOfPacks } from '../keep/lotsOfPacks.ts';
import { packedMark, type RunTick } from '../keep/tick.ts';
import { allMarks, type FibreWeighing, type WeighMark } from '../keep/weighOut.ts';

/** Wool of one colour in a bag. */
interface WoolInBag {
  readonly fibreId: string;
  /** As the scale showed it, else what was wanted; grams. Of what is parted, its share. */
  readonly massG: number;
  readonly isWeighed: boolean;
  /** A scale told it; else it is what was wanted. */
  readonly isByScale: boolean;
  /** By which it is off what was wanted, grams, where that is more than was agreed; 0: it is right, or nobody knows. */
  readonly offG: number;
  /** What its lots say: may bleed, a shade paler. */
  readonly lotNotes: readonly string[];
}

/** One thing that is laid into a pack, and ticked when it is in. */
export type PackLine = {
  /** Stays the same while the pack and the thing do. */
  readonly key: string;
  /** Grams; null: nobody has weighed it. */
  readonly massG: number | null;
} & (
  | {
      readonly kind: 'bag';
      readonly bag: Bag;
      readonly wool: readonly WoolInBag[];
      readonly unknownCount: number;
    }
  | {
      readonly kind: 'finding';
      readonly findingId: string;
      readonly unit: StockUnit;
      readonly amount: number;
      readonly spare: number;
      readonly pieces: readonly CutPiece[];
      readonly where: 'inner-bag' | 'loose' | 'packaging';
      readonly unknownCount: number;
    }
  | {
      readonly kind: 'needles';
      readonly wanted: NeedleWanted;
      readonly needle: Needle | null;
      readonly count: number;
    }
  | { readonly kind: 'tool'; readonly need: GroupNeed; readonly count: number }
  | { readonly kind: 'paper'; readonly paper: PackPaper }
);

/** What is printed and laid in. */
export type PackPaper = 'pattern' | 'contents' | 'homework';

/** The mark of a thing that is laid into a pack. */
export const inMark = (packId: string, key: string): string => `in|${packId}|${key}`;

/**
 * Everything that goes into a pack, in the order of laying in: what was packaging first, bags of wool as they are used, then
 * findings, needles, tools, papers on top.
 * @param ticks what was weighed for it
 */
export function packLines(
  { toPack, plan, wool, input }: PackedRun,
  pack: Pack,
  needles: readonly Needle[],
  all: readonly FibreWeighing[],
  ticks: ReadonlyMap<string, RunTick>,
): PackLine[] {
  const group = toPack.groups.find(({ key }) => key === pack.groupKey);
  if (!group) return [];
  const portionPlan = plan.groups.find(({ key }) => key === group.key)?.plan;
  const marks = allMarks(all).filter(({ packs }) => packs.some(({ id }) => id === pack.id));
  const notesOf = notesOfLots(pack, all, wool.fibres);
  const bags = (portionPlan?.bags ?? []).map((bag) =>
    bagLineOf(bag, { marks, ticks, unknownCount: unknownOf(portionPlan, bag), notesOf }),
  );
  const findings = findingsOfPack(group, toPack, wool.findings, input).map((inPack) =>
    findingLine(inPack, wool.findings.get(inPack.findingId)),
  );
  const isPackaging = (line: PackLine) => line.kind === 'finding' && line.where === 'packaging';
  return [
    ...findings.filter(isPackaging),
    ...bags,
    ...findings.filter((line) => !isPackaging(line)),
    ...toolLines(group, needles),
    ...papersOf(
      group.recipe !== null,
      group.sample !== null,
      input.plan.elsewhere.some(({ where }) => where === 'home'),
    ),
  ];
}

function findingLine(inPack: FindingInPack, finding: Finding | undefined): PackLine {
  const { findingId, unit, amount, spare, isPackaging, unknownCount, pieces } = inPack;
  return {
    kind: 'finding',
    key: `${isPackaging ? 'packaging' : 'finding'} ${findingId}`,
    findingId,
    unit,
    amount,
    spare,
    pieces,
    unknownCount,
    where: isPackaging ? 'packaging' : finding && isEasilyLost(finding) ? 'inner-bag' : 'loose',
    massG: finding && unknownCount === 0 ? findingMassG(finding.measure, amount + spare) : null,
  };
}

/** A box of everything gives needles away; in a class what lies at the seat. */
function toolLines(group: PackGroup, needles: readonly Needle[]): PackLine[] {
  const { recipe, sample } = group;
  if (sample || recipe?.form === 'refill' || recipe?.form === 'pattern-only') return [];
  if (recipe)
    return needlesOfBox(group, needles).map(({ wanted, needle, count }) => ({
      kind: 'needles',
      key: `needles ${wantedKey(wanted)}`,
      wanted,
      needle,
      count,
      massG: null,
    }));
  return personalNeeds(group).map((need) => ({
    kind: 'tool',
    key: `tool ${need.key}`,
    need,
    count: need.wanted ? need.perPerson : need.alone,
    massG: null,
  }));
}

const papersOf = (isBox: boolean, isSample: boolean, hasHomework: boolean): PackLine[] =>
  (isSample
    ? []
    : isBox
      ? (['contents', 'pattern'] as const)
      : hasHomework
        ? (['homework'] as const)
        : []
  ).map((paper) => ({ kind: 'paper', key: `paper ${paper}`, paper, massG: null }));

const unknownOf = (
  portionPlan: PackedRun['plan']['groups'][number]['plan'] | undefined,
  { key }: Bag,
): number =>
  (portionPlan?.fibres ?? []).reduce(
    (sum, { bag, unknownCount }) => sum + (bag === key ? unknownCount : 0),
    0,
  );

interface BagTerms {
  readonly marks: readonly WeighMark[];
  readonly ticks: ReadonlyMap<string, RunTick>;
  readonly unknownCount: number;
  readonly notesOf: (bagKey: string, fibreId: string) => readonly string[];
}

/** What the lots of a pack say; nothing where no lot says anything. */
function notesOfLots(pack: Pack, all: readonly FibreWeighing[], fibres: FibreLookup): BagTerms['notesOf'] {
  const hasNotes = [...fibres.values()].some(({ lots }) => lots.some(({ note }) => note.trim() !== ''));
  if (!hasNotes) return () => [];
  const lotsOf = lotsOfPacks(all, fibres);
  return (bagKey, fibreId) =>
    lotsOf(pack.id, bagKey, fibreId).flatMap(({ name, note }) =>
      note.trim() === '' ? [] : [`lot ${name}: ${note.trim()}`],
    );
}

/** A scale told it, and it is further off than was agreed. */
const offOf = ({ massG, toleranceG, parts }: WeighMark, tick: RunTick | undefined): number => {
  if (!tick?.isDone || typeof tick.weighedG !== 'number') return 0;
  const offG = roundToMicrogram((tick.weighedG - massG) / parts);
  return Math.abs(offG) > toleranceG / parts + 1e-9 ? offG : 0;
};

function bagLineOf(bag: Bag, { marks, ticks, unknownCount, notesOf }: BagTerms): PackLine {
  const wool = marks
    .filter((mark) => mark.bag === bag.key)
    .map((weighed): WoolInBag => {
      const { mark, fibreId, massG, parts } = weighed;
      const tick = ticks.get(mark);
      const isWeighed = tick?.isDone === true;
      return {
        fibreId,
        isWeighed,
        offG: offOf(weighed, tick),
        lotNotes: notesOf(bag.key, fibreId),
        isByScale: isWeighed && typeof tick.weighedG === 'number',
        massG: roundToMicrogram((isWeighed ? (tick.weighedG ?? tick.massG) : massG) / parts),
      };
    });
  const sum = roundToMicrogram(wool.reduce((total, { massG }) => total + massG, 0));
  return {
    kind: 'bag',
    key: `bag ${bag.key}`,
    bag,
    wool,
    unknownCount,
    massG: unknownCount > 0 ? null : sum,
  };
}

/** Lines of a pack that are not ticked in. */
export const notIn = (
  packId: string,
  lines: readonly PackLine[],
  ticks: ReadonlyMap<string, RunTick>,
): PackLine[] => lines.filter(({ key }) => ticks.get(inMark(packId, key))?.isDone !== true);

/**
 * Packs that were closed with something left out. Of who only says that a pack is packed, and ticks nothing in, nothing is known.
 */
export const closedWithout = (
  packs: readonly Pack[],
  linesOf: (pack: Pack) => readonly PackLine[],
  ticks: ReadonlyMap<string, RunTick>,
): Pack[] => {
  const isTicked = (mark: string) => ticks.get(mark)?.isDone === true;
  const tickedIn = new Set(
    [...ticks.keys()]
      .filter((mark) => mark.startsWith('in|') && isTicked(mark))
      .map((mark) => mark.split('|')[1]),
  );
  return packs.filter(
    (pack) =>
      tickedIn.has(pack.id) &&
      isTicked(packedMark(pack.id)) &&
      notIn(pack.id, linesOf(pack), ticks).length > 0,
  );
};
