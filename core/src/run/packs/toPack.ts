import {
  estimatePattern,
  type FibreTotal,
  type FindingTotal,
  forMakes,
  type KnownUse,
  type PatternEstimate,
  totalsByFibre,
  type UseEstimate,
  type Wool,
} from '../../engine/index.ts';
import { woolUpTo } from '../../writing/index.ts';
import type { RunInput } from '../document/run.ts';
import { blankSeat } from '../document/seat.ts';
import { type BaggedUse, withoutTinyBags } from '../portions/bag.ts';
import { bagOfUse, type BagTerms } from './bagOfUse.ts';
import { type Designs, type Make, makeKey, type PackGroup, packGroups, type Roster } from './packGroups.ts';
import { commonGrams, gramsByBag, type VariantGrams, variantsOf } from './undecided.ts';

/** What one pack takes, all its makes together. */
interface PackEstimate {
  /** Of each make, all its copies. */
  readonly makes: readonly PatternEstimate[];
  readonly uses: readonly UseEstimate[];
  /** Heaviest first; what is only if needed is not in them. */
  readonly fibres: readonly FibreTotal[];
  readonly findings: readonly FindingTotal[];
}

/** What a run is packed from: its groups, what one pack of each takes, and in which bags. */
export interface ToPack {
  readonly groups: readonly PackGroup[];
  /** By the group’s key. */
  readonly estimates: ReadonlyMap<string, PackEstimate>;
  readonly bagged: ReadonlyMap<string, readonly BaggedUse[]>;
  /** For those who have not chosen and get only what everybody needs: what they may choose. Null: nobody is so. */
  readonly open: { readonly count: number; readonly variants: readonly VariantGrams[] } | null;
}

export type PackRun = Roster & BagTerms & Pick<RunInput, 'rangesAt'>;

/** The groups of a run with their estimates; what makes the same is estimated once. */
export function toPackOf(designs: Designs, run: PackRun, wool: Wool): ToPack {
  const groups = packGroups(designs, run);
  const known = new Map<string, PatternEstimate>();
  const estimateOf = (make: Make): PatternEstimate => {
    const same = makeKey(make);
    const estimate = known.get(same) ?? estimatePattern(make.build, wool);
    known.set(same, estimate);
    return forMakes(estimate, make.copies);
  };
  const count = groups.reduce((sum, { isOpen, seats }) => sum + (isOpen ? seats.length : 0), 0);
  const variants = count > 0 ? variantGrams(designs, run, wool) : [];
  const common = commonGrams(variants);
  const made = groups.map((group) => {
    const makes = group.recipe?.form === 'pattern-only' ? [] : group.makes.map(estimateOf);
    const all = withoutTinyBags(makes.flatMap((make, at) => baggedUses(make, { group, at }, run)));
    const bagged = group.isOpen ? onlyCommon(all, common) : all;
    return { key: group.key, estimate: packEstimate(makes, bagged, group.isOpen), bagged };
  });
  return {
    groups,
    estimates: new Map(made.map(({ key, estimate }) => [key, estimate])),
    bagged: new Map(made.map(({ key, bagged }) => [key, bagged])),
    open: count > 0 ? { count, variants } : null,
  };
}

/** What each of the things that may still be chosen takes, by bag and fibre. */
function variantGrams(designs: Designs, run: PackRun, wool: Wool): VariantGrams[] {
  return variantsOf(designs, run).map(({ choices, share }) => {
    const single = { ...run, seats: 1, spareFraction: null, sparePacks: 0, demonstrations: 0 };
    const alone: PackRun = {
      ...single,
      hasStageSamples: false,
      undecidedChance: null,
      roster: [{ ...blankSeat(1), choices: { ...choices, swapIds: [...choices.swapIds] } }],
    };
    const { bagged } = toPackOf(designs, alone, wool);
    return { share, grams: gramsByBag([...bagged.values()].flat()) };
  });
}

/** The usual uses, made smaller to what all variants have of each fibre in each bag. */
function onlyCommon(uses: readonly BaggedUse[], common: ReadonlyMap<string, number>): BaggedUse[] {
  const usual = gramsByBag(uses);
  return uses.flatMap((baggedUse) => {
    const { use, bag } = baggedUse;
    if (use.kind === 'unknown' || use.isIfNeeded) return [baggedUse];
    const key = `${bag.key}|${use.fibreId}`;
    const factor = (common.get(key) ?? 0) / (usual.get(key) ?? 1);
    return factor > 0 ? [{ ...baggedUse, use: factor === 1 ? use : timesMass(use, factor) }] : [];
  });
}

const timesMass = (use: KnownUse, factor: number): KnownUse => ({
  ...use,
  pieceG: use.pieceG * factor,
  packG: use.packG * factor,
  all: { lowG: use.all.lowG * factor, likelyG: use.all.likelyG * factor, highG: use.all.highG * factor },
  term: { ...use.term, pieceG: use.term.pieceG * factor },
});

function packEstimate(
  makes: readonly PatternEstimate[],
  bagged: readonly BaggedUse[],
  isOpen: boolean,
): PackEstimate {
  const [only] = makes;
  const isWhole = makes.length === 1 && !isOpen && only?.uses.length === bagged.length;
  const uses = isWhole ? only.uses : bagged.map(({ use }) => use);
  return {
    makes,
    uses,
    fibres: isWhole ? only.fibres : totalsByFibre(uses.filter(({ isIfNeeded }) => !isIfNeeded)),
    findings: mergedFindings(makes),
  };
}

function baggedUses(
  estimate: PatternEstimate,
  { group, at }: { readonly group: PackGroup; readonly at: number },
  run: PackRun,
): BaggedUse[] {
  const make = group.makes[at];
  if (!make) return [];
  const { uses, joinsApart } = estimate;
  const whole = group.sample ? woolUpTo(make.build, group.sample.stepId, uses) : uses;
  const atRange = run.rangesAt === 'middle' ? whole.map(atMiddle) : whole;
  const place = { ...make, at, of: group.makes.length, joinsApart };
  return atRange.map((use) => ({ use, makeAt: at, bag: bagOfUse(use, place, run) }));
}

/** Packed at the middle of what its author states from – to. */
const atMiddle = (use: UseEstimate): UseEstimate =>
  use.kind === 'known' && use.range ? { ...use, packG: use.packMiddleG } : use;

function mergedFindings(makes: readonly PatternEstimate[]): FindingTotal[] {
  const totals = new Map<string, FindingTotal>();
  for (const findingTotal of makes.flatMap(({ findings }) => findings)) {
    const before = totals.get(findingTotal.findingId);
    totals.set(
      findingTotal.findingId,
      before
        ? {
            ...before,
            likely: before.likely + findingTotal.likely,
            most: before.most + findingTotal.most,
            unknownCount: before.unknownCount + findingTotal.unknownCount,
            pieces: [...before.pieces, ...findingTotal.pieces],
          }
        : findingTotal,
    );
  }
  return [...totals.values()];
}
