import { wholeUp } from '../../base/index.ts';
import type { CutPiece } from '../../engine/index.ts';
import {
  type Finding,
  type SpareRule,
  type StockUnit,
  unitPriceMinor,
  usualSpares,
} from '../../shelf/index.ts';
import type { RunInput } from '../document/run.ts';
import { groupOfMake, type Make, type PackGroup } from '../packs/packGroups.ts';
import type { ToPack } from '../packs/toPack.ts';
import { type FindingStock, promiseOf, stockOfFinding, type ThingPromises } from './thingStock.ts';

/** Counted in one pack of a group. */
export interface FindingInPack {
  readonly findingId: string;
  readonly unit: StockUnit;
  /** What one make takes, with the high end of every count. */
  readonly amount: number;
  /** Over that, where its rule puts spares into every pack. */
  readonly spare: number;
  readonly isPackaging: boolean;
  readonly unknownCount: number;
  /** What of it is cut to size; none where it is counted. */
  readonly pieces: readonly CutPiece[];
}

/** A finding over a whole run, held against the shelf. */
export interface RunFinding extends Omit<FindingInPack, 'amount' | 'spare'>, FindingStock {
  /** In all packs, spares among them. */
  readonly total: number;
  /** In packs and in the spare bag together. */
  readonly spare: number;
  /** Of them in the spare bag, for all to come to. */
  readonly spareBag: number;
  /** Of what the run takes; null where no price is known. */
  readonly costMinor: number | null;
}

/** What of a run tells how many spares there are. */
export type SpareTerms = Pick<RunInput, 'kind' | 'seats' | 'seatsPerTable' | 'findingSpares'>;

/** The rule in force: the run’s, else the finding’s, else what is usual for its sort. */
export const spareRuleOf = (finding: Finding, { kind, findingSpares }: SpareTerms): SpareRule =>
  findingSpares.find(({ findingId }) => findingId === finding.id)?.rule ??
  finding.spares ??
  usualSpares(finding, kind === 'class');

/** Small and easily lost: into an inner bag. */
export const isEasilyLost = ({ measure, flags }: Pick<Finding, 'measure' | 'flags'>): boolean =>
  flags.includes('small-part') ||
  (measure.by === 'count' && ['eye', 'bead', 'bell', 'magnet'].includes(measure.sort));

type Findings = ReadonlyMap<string, Finding>;

/** Findings and packaging of one pack; a box of nothing but paper has only its packaging. */
export function findingsOfPack(
  group: PackGroup,
  { estimates }: Pick<ToPack, 'estimates'>,
  findings: Findings,
  terms: SpareTerms,
): FindingInPack[] {
  // A half-made piece is shown, not given: it takes no findings of its own.
  if (group.sample) return [];
  const made = (estimates.get(group.key)?.findings ?? []).map(
    ({ findingId, unit, most, unknownCount, pieces }): FindingInPack => {
      const finding = findings.get(findingId);
      const rule = finding && most > 0 ? spareRuleOf(finding, terms) : null;
      const spare = rule?.by === 'pack' ? rule.count : 0;
      return { findingId, unit, amount: most, spare, isPackaging: false, unknownCount, pieces };
    },
  );
  const around = (group.recipe?.packaging ?? []).map(({ findingId, count }): FindingInPack => ({
    findingId,
    unit: 'piece',
    amount: count,
    spare: 0,
    isPackaging: true,
    unknownCount: 0,
    pieces: [],
  }));
  return [...made, ...around];
}

/**
 * Of each finding so many in one pack are spare, of the packs that a sheet of a design is for.
 * @param numbers of the seats or boxes; none: every pack of this make
 */
export function sparesInPacks(
  { groups, estimates }: Pick<ToPack, 'groups' | 'estimates'>,
  make: Make,
  numbers: readonly number[],
  findings: Findings,
  terms: SpareTerms,
): Map<string, number> {
  const group = groupOfMake(groups, make, numbers);
  const findingInPacks = group ? findingsOfPack(group, { estimates }, findings, terms) : [];
  return new Map(
    findingInPacks.flatMap(({ findingId, spare }) => (spare > 0 ? [[findingId, spare] as const] : [])),
  );
}

/** Everything of findings a run takes, whatever is on the shelf. */
export interface FindingTaken extends Omit<FindingInPack, 'amount' | 'spare'> {
  readonly total: number;
  readonly spare: number;
  readonly spareBag: number;
  /** What is cut for one pack, by sorts of pack. */
  readonly cutInPacks: readonly { readonly packs: number; readonly pieces: readonly CutPiece[] }[];
}

export function findingsTaken(
  { groups, estimates }: Pick<ToPack, 'groups' | 'estimates'>,
  findings: Findings,
  terms: SpareTerms,
): FindingTaken[] {
  const totals = new Map<string, FindingTaken & { used: number }>();
  for (const group of groups) {
    for (const { amount, spare, ...rest } of findingsOfPack(group, { estimates }, findings, terms)) {
      const key = `${rest.findingId} ${rest.isPackaging}`;
      const before = totals.get(key);
      const pieces = rest.pieces.map((piece) => ({ ...piece, count: piece.count * group.packs }));
      totals.set(key, {
        ...rest,
        used: (before?.used ?? 0) + amount * group.packs,
        spare: (before?.spare ?? 0) + spare * group.packs,
        spareBag: 0,
        total: (before?.total ?? 0) + (amount + spare) * group.packs,
        unknownCount: Math.max(before?.unknownCount ?? 0, rest.unknownCount),
        pieces: [...(before?.pieces ?? []), ...pieces],
        cutInPacks: [
          ...(before?.cutInPacks ?? []),
          ...(rest.pieces.length > 0 ? [{ packs: group.packs, pieces: rest.pieces }] : []),
        ],
      });
    }
  }
  return [...totals.values()].map(({ used, ...total }) => {
    const finding = findings.get(total.findingId);
    const spareBag =
      finding && !total.isPackaging && used > 0 ? inSpareBag(spareRuleOf(finding, terms), used, terms) : 0;
    return { ...total, spareBag, spare: total.spare + spareBag, total: total.total + spareBag };
  });
}

/** Spares that are in nobody’s pack. */
function inSpareBag(rule: SpareRule, used: number, { seats, seatsPerTable }: SpareTerms): number {
  switch (rule.by) {
    case 'none':
    case 'pack':
      return 0;
    case 'table':
      return rule.count * Math.ceil(seats / Math.max(1, seatsPerTable));
    case 'run':
      return rule.count;
    case 'share':
      return wholeUp(used * rule.fraction);
  }
}

/**
 * Everything of findings a run takes, held against the shelf: what is wanting and how many put-ups that is.
 * @param promised what runs before this one take
 */
export function findingsOfRun(
  toPack: Pick<ToPack, 'groups' | 'estimates'>,
  findings: Findings,
  terms: SpareTerms,
  promised: ThingPromises,
): RunFinding[] {
  // Packaging and what is made may be the same thing: the second finds what the first has left.
  const taken = new Map(promised);
  return findingsTaken(toPack, findings, terms).map((findingTaken) => {
    const finding = findings.get(findingTaken.findingId);
    const before = promiseOf(taken, findingTaken.findingId);
    const stock = stockOfFinding(finding, findingTaken, before);
    taken.set(findingTaken.findingId, {
      amount: before.amount + findingTaken.total,
      pieces: [...before.pieces, ...findingTaken.pieces],
    });
    return { ...findingTaken, ...stock, costMinor: finding ? costOf(finding, findingTaken.total) : null };
  });
}

/** Of so many at what one comes to in its put-up; null without a price. */
function costOf(finding: Finding, total: number): number | null {
  const price = unitPriceMinor(finding);
  return price === null ? null : Math.round(price * total);
}
