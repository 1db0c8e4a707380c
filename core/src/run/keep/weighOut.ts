import { roundToMicrogram, wholeDown } from '../../base/index.ts';
import type { FibreLookup } from '../../engine/index.ts';
import { lightness, lotsPackedFrom } from '../../shelf/index.ts';
import type { Pack } from '../packs/packList.ts';
import { type Bag, SPARE_BAG, UNDECIDED_BAG } from '../portions/bag.ts';
import { type PackedGroup, type RunFibre, type RunPortions, sameMass } from '../portions/planGroups.ts';
import type { FibrePortion } from '../portions/planPortions.ts';
import type { Weighing } from '../portions/weighing.ts';
import { lotChanges } from './lotChanges.ts';

/** One thing that is put on the scale, and ticked when it is in its bag. */
export interface WeighMark {
  /** Stays the same while its pack, bag and fibre do. */
  readonly mark: string;
  readonly fibreId: string;
  readonly bag: string;
  readonly massG: number;
  /** Off by so much it is still right: a twentieth, and at least one step. */
  readonly toleranceG: number;
  /** One pack; several that share a weighing; none where it lies out for all. */
  readonly packs: readonly Pack[];
  /** How many packs it is parted into; 1 where it is for one, or lies out for all. */
  readonly parts: number;
}

/** A portion this much off, as a share of it, is still right. Ours. */
const TOLERANCE_FRACTION = 0.05;

const toleranceOf = (massG: number, scaleStepG: number): number =>
  Math.max(1, wholeDown((massG * TOLERANCE_FRACTION) / scaleStepG)) * scaleStepG;

/** All weighings of one fibre, bag by bag: it is taken down once. */
export interface FibreWeighing {
  readonly fibreId: string;
  readonly classG: number;
  readonly bags: readonly {
    readonly bag: Bag;
    readonly marks: readonly WeighMark[];
  }[];
  /** Lots it comes from. */
  readonly lotNames: readonly string[];
  /** Where the lot changes, so that no pack has two of it; empty where one lot does for all. */
  readonly lotChange: { readonly from: WeighMark; readonly lotName: string }[];
}

/** Fibres as they come to the scale: each once, pale before dark, so that the scale is wiped least. */
function weighOrder(plan: Pick<RunPortions, 'fibres'>, fibres: FibreLookup): string[] {
  const ids = [...new Set(plan.fibres.map(({ fibreId }) => fibreId))];
  const light = (id: string) => lightness(fibres.get(id)?.colour ?? '#808080');
  return ids.sort((a, b) => light(b) - light(a) || (a < b ? -1 : 1));
}

/** Changes of fibre at the scale: fibre by fibre, and pack by pack. */
export function changesOfFibre(plan: RunPortions): { readonly byFibre: number; readonly byPack: number } {
  const kinds = new Set(plan.fibres.map(({ fibreId }) => fibreId)).size;
  const byPack = plan.groups.reduce(
    (sum, { packs, plan: group }) => sum + packs * new Set(group.fibres.map(({ fibreId }) => fibreId)).size,
    0,
  );
  return { byFibre: Math.max(0, kinds - 1), byPack: Math.max(0, byPack - 1) };
}

/** Everything that is weighed for a run, fibre by fibre. */
export function weighings(
  plan: RunPortions,
  packs: readonly Pack[],
  fibres: FibreLookup,
  scaleStepG: number,
): FibreWeighing[] {
  const bagOf = new Map(plan.bags.map((bag) => [bag.key, bag]));
  const packsOfGroup = new Map<string, Pack[]>();
  for (const pack of packs) {
    const ownPacks = packsOfGroup.get(pack.groupKey);
    if (ownPacks) ownPacks.push(pack);
    else packsOfGroup.set(pack.groupKey, [pack]);
  }
  return weighOrder(plan, fibres).map((fibreId) => {
    const rows = plan.fibres.filter((row) => row.fibreId === fibreId);
    const classG = rows.reduce((sum, row) => sum + row.classG, 0);
    const bags = rows.flatMap((row) => {
      const bag = bagOf.get(row.bag);
      return bag ? [{ bag, marks: marksOf(row, plan.groups, packsOfGroup, scaleStepG) }] : [];
    });
    return {
      fibreId,
      classG,
      bags,
      lotChange: changesOfLot(
        fibreId,
        bags.flatMap(({ marks }) => marks),
        fibres,
      ),
      lotNames: lotsPackedFrom(fibres.get(fibreId)?.lots ?? [], classG).map(({ name }) => name),
    };
  });
}

/** Every weighing of a run, one after another. */
export const allMarks = (all: readonly FibreWeighing[]): WeighMark[] =>
  all.flatMap(({ bags }) => bags.flatMap(({ marks }) => marks));

function changesOfLot(
  fibreId: string,
  marks: readonly WeighMark[],
  fibres: FibreLookup,
): FibreWeighing['lotChange'] {
  const change = lotChanges(
    marks.map(({ massG }) => massG),
    fibres.get(fibreId)?.lots ?? [],
  );
  return (change?.fromPack ?? []).flatMap((at, index) => {
    const from = marks[at];
    return from ? [{ from, lotName: change?.lots[index + 1] ?? '' }] : [];
  });
}

function marksOf(
  row: RunFibre,
  groups: readonly PackedGroup[],
  packsOfGroup: ReadonlyMap<string, readonly Pack[]>,
  scaleStepG: number,
): WeighMark[] {
  const base = { fibreId: row.fibreId, bag: row.bag };
  if (row.bag === SPARE_BAG.key || row.bag === UNDECIDED_BAG.key) {
    return [
      {
        ...base,
        mark: `all|${row.bag}|${row.fibreId}`,
        massG: row.classG,
        toleranceG: toleranceOf(row.classG, scaleStepG),
        packs: [],
        parts: 1,
      },
    ];
  }
  const portions = groups.flatMap(({ key, plan }) => {
    const portion = plan.fibres.find((fibre) => fibre.fibreId === row.fibreId && fibre.bag === row.bag);
    return portion ? [{ portion, packs: packsOfGroup.get(key) ?? [] }] : [];
  });
  const singles = portions.flatMap(({ portion, packs }) => singleMarks(portion, packs, base, scaleStepG));
  return [...singles.sort(inOrderOfPacks), ...togetherMarks(portions, base, scaleStepG)];
}

type Base = Pick<WeighMark, 'fibreId' | 'bag'>;

const singleMarks = (
  { packG, bag, fibreId }: FibrePortion,
  packs: readonly Pack[],
  base: Base,
  scaleStepG: number,
): WeighMark[] =>
  packG === null
    ? []
    : packs.map((pack) => ({
        ...base,
        mark: `${pack.id}|${bag}|${fibreId}`,
        massG: packG,
        toleranceG: toleranceOf(packG, scaleStepG),
        packs: [pack],
        parts: 1,
      }));

const KIND_ORDER: Readonly<Record<Pack['kind'], number>> = {
  seat: 0,
  box: 0,
  demonstration: 1,
  spare: 2,
  sample: 3,
};

const inOrderOfPacks = (a: WeighMark, b: WeighMark): number => {
  const [first, other] = [a.packs[0], b.packs[0]];
  if (!first || !other) return 0;
  return KIND_ORDER[first.kind] - KIND_ORDER[other.kind] || first.number - other.number;
};

/** Weighings that several packs share, over all sorts of pack that are weighed in one go. */
function togetherMarks(
  portions: readonly { readonly portion: FibrePortion; readonly packs: readonly Pack[] }[],
  base: Base,
  scaleStepG: number,
): WeighMark[] {
  const lots = new Map<string, { weighing: Weighing & { kind: 'together' }; packs: Pack[] }>();
  for (const { portion, packs } of portions) {
    if (portion.weighing.kind !== 'together') continue;
    const key = sameMass(portion.exactG);
    const lot = lots.get(key) ?? { weighing: portion.weighing, packs: [] as Pack[] };
    lot.packs.push(...packs);
    lots.set(key, lot);
  }
  return [...lots.values()].flatMap(({ weighing, packs }, lot) => {
    let at = 0;
    return weighing.groups.map((group, index): WeighMark => {
      const ownPacks = packs.slice(at, (at += group.packs));
      const massG = roundToMicrogram(group.steps * scaleStepG);
      return {
        ...base,
        mark: `together ${lot + 1}.${index + 1}|${base.bag}|${base.fibreId}`,
        massG,
        toleranceG: toleranceOf(massG, scaleStepG),
        packs: ownPacks,
        parts: group.packs,
      };
    });
  });
}

/** Every pack that something is weighed for, with the keys of its bags. */
export function packsWithBags(
  all: readonly FibreWeighing[],
): { readonly packId: string; readonly bagKeys: readonly string[] }[] {
  const keys = new Map<string, Set<string>>();
  for (const { bag, marks } of all.flatMap(({ bags }) => bags)) {
    for (const { id } of marks.flatMap(({ packs }) => packs))
      keys.set(id, (keys.get(id) ?? new Set()).add(bag.key));
  }
  return [...keys].map(([packId, bagKeys]) => ({ packId, bagKeys: [...bagKeys] }));
}
