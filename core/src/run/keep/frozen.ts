import type { Wool } from '../../engine/index.ts';
import type { Learnt } from '../../learning/index.ts';
import { itemsUsed } from '../../pattern/index.ts';
import type { Fibre, Finding, HandMeasure } from '../../shelf/index.ts';
import { revisionsOfRun, type RunInput } from '../document/run.ts';
import type { Designs, PackGroup } from '../packs/packGroups.ts';
import { type Pack, packsOf } from '../packs/packList.ts';
import type { Bag } from '../portions/bag.ts';
import type { PackedGroup, RunFibre, RunPortions } from '../portions/planGroups.ts';
import type { PortionPlan } from '../portions/planPortions.ts';

/** A fibre’s row as it is written down: the map as pairs. */
type FrozenFibre = Omit<RunFibre, 'byGroup'> & { readonly byGroup: readonly (readonly [string, number])[] };

/** A run’s numbers as they were when it counted, and what they came from. Plain JSON. */
export interface Frozen {
  /** ISO 8601. */
  readonly at: string;
  readonly input: RunInput;
  readonly wool: {
    readonly fibres: readonly Fibre[];
    readonly findings: readonly Finding[];
    readonly handMeasures: readonly HandMeasure[];
    /** Missing where it was written down before anything could be learnt. */
    readonly learnt?: Learnt | null;
  };
  readonly plan: Omit<RunPortions, 'fibres' | 'groups' | 'bags'> & {
    readonly bags: readonly Bag[];
    readonly groups: readonly PackedGroup[];
    readonly fibres: readonly FrozenFibre[];
  };
}

/** Writes a plan down with all it came from; of the shelf only what its patterns name. */
export function freezeRun(
  at: string,
  input: RunInput,
  designs: Designs,
  wool: Wool,
  plan: RunPortions,
): Frozen {
  const named = new Set(
    revisionsOfRun(input).flatMap((id) => {
      const pattern = designs.get(id);
      return pattern ? itemsUsed(pattern) : [];
    }),
  );
  for (const { packaging } of input.recipes) for (const { findingId } of packaging) named.add(findingId);
  return {
    at,
    input,
    wool: {
      fibres: [...wool.fibres.values()].filter(({ id }) => named.has(id)),
      findings: [...wool.findings.values()].filter(({ id }) => named.has(id)),
      handMeasures: wool.handMeasures,
      learnt: wool.learnt,
    },
    plan: { ...plan, fibres: plan.fibres.map((row) => ({ ...row, byGroup: [...row.byGroup] })) },
  };
}

/** The plan as it was written down. */
export const thawPlan = ({ plan }: Frozen): RunPortions => ({
  ...plan,
  // Written down before unknown amounts had names: they are only counted there.
  groups: plan.groups.map((group) => ({
    ...group,
    plan: { ...group.plan, unknowns: (group.plan as Partial<PortionPlan>).unknowns ?? [] },
  })),
  fibres: plan.fibres.map((row) => ({ ...row, byGroup: new Map(row.byGroup) })),
});

/** The shelf as it was then. */
export const thawWool = ({ wool }: Frozen): Wool => ({
  fibres: new Map(wool.fibres.map((fibre) => [fibre.id, fibre])),
  findings: new Map(wool.findings.map((finding) => [finding.id, finding])),
  handMeasures: wool.handMeasures,
  learnt: wool.learnt ?? null,
});

/** A plan with the packs it is for. */
export interface PlannedPacks {
  readonly plan: RunPortions;
  readonly groups: readonly PackGroup[];
  readonly input: Pick<RunInput, 'roster'>;
}

/** One fibre in one bag of one pack, then and now; 0: not in it. */
interface PortionChange {
  readonly fibreId: string;
  readonly bag: string;
  readonly wasG: number;
  readonly nowG: number;
}

/** What is other in a pack. */
export interface PackChange {
  readonly kind: 'new' | 'gone' | 'other';
  readonly pack: Pack;
  readonly portions: readonly PortionChange[];
}

/** What a run would be now, beside what it was planned to be. */
export interface RunDifference {
  readonly fibres: readonly { readonly fibreId: string; readonly wasG: number; readonly nowG: number }[];
  readonly packs: readonly PackChange[];
}

/** Packs that are new, gone or other, and what that makes of each fibre. Nothing in it: all is as it was planned. */
export function differenceOf(was: PlannedPacks, now: PlannedPacks): RunDifference {
  const before = packPortions(was);
  const after = packPortions(now);
  const packs = [
    ...[...after].flatMap(([id, { pack, grams }]): PackChange[] => {
      const old = before.get(id);
      const portions = changedPortions(old?.grams ?? new Map(), grams);
      if (!old) return [{ kind: 'new', pack, portions }];
      return portions.length > 0 ? [{ kind: 'other', pack, portions }] : [];
    }),
    ...[...before].flatMap(([id, { pack, grams }]): PackChange[] =>
      after.has(id) ? [] : [{ kind: 'gone', pack, portions: changedPortions(grams, new Map()) }],
    ),
  ];
  return { fibres: changedFibres(was.plan, now.plan), packs };
}

interface PackPortions {
  readonly pack: Pack;
  /** By bag and fibre. */
  readonly grams: ReadonlyMap<string, number>;
}

function packPortions({ plan, groups, input }: PlannedPacks): Map<string, PackPortions> {
  const gramsOf = new Map(
    plan.groups.map(({ key, plan: group }) => [
      key,
      new Map(group.fibres.map(({ bag, fibreId, packG, exactG }) => [`${bag}|${fibreId}`, packG ?? exactG])),
    ]),
  );
  return new Map(
    packsOf(groups, input.roster).map((pack) => [
      pack.id,
      { pack, grams: gramsOf.get(pack.groupKey) ?? new Map<string, number>() },
    ]),
  );
}

/** Under this it is the same to any scale. */
const SAME_G = 1e-6;

function changedPortions(
  was: ReadonlyMap<string, number>,
  now: ReadonlyMap<string, number>,
): PortionChange[] {
  return [...new Set([...was.keys(), ...now.keys()])].flatMap((key) => {
    const [wasG, nowG] = [was.get(key) ?? 0, now.get(key) ?? 0];
    if (Math.abs(nowG - wasG) < SAME_G) return [];
    const at = key.lastIndexOf('|');
    return [{ bag: key.slice(0, at), fibreId: key.slice(at + 1), wasG, nowG }];
  });
}

function changedFibres(was: RunPortions, now: RunPortions) {
  const sums = new Map<string, { wasG: number; nowG: number }>();
  const gather = (plan: RunPortions, key: 'wasG' | 'nowG') => {
    for (const { fibreId, classG } of plan.fibres) {
      const sum = sums.get(fibreId) ?? { wasG: 0, nowG: 0 };
      sum[key] += classG;
      sums.set(fibreId, sum);
    }
  };
  gather(was, 'wasG');
  gather(now, 'nowG');
  return [...sums]
    .filter(([, { wasG, nowG }]) => Math.abs(nowG - wasG) >= SAME_G)
    .map(([fibreId, sum]) => ({ fibreId, ...sum }));
}

export const isSamePlan = ({ fibres, packs }: RunDifference): boolean =>
  fibres.length === 0 && packs.length === 0;
