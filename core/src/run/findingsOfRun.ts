import { putUpAmount, unitPriceMinor, type Finding } from '../finding/index.ts';
import type { StockUnit } from '../stock/index.ts';
import type { PackGroup } from './packGroups.ts';
import type { ToPack } from './toPack.ts';

/** Counted in one pack of a group. */
export interface FindingInPack {
  readonly findingId: string;
  readonly unit: StockUnit;
  /** What one make takes, with the high end of every count. */
  readonly amount: number;
  /** Over that, because small things roll away. */
  readonly spare: number;
  readonly isPackaging: boolean;
  readonly unknownCount: number;
}

export interface RunFinding extends Omit<FindingInPack, 'amount' | 'spare'> {
  /** In all packs, spares among them. */
  readonly total: number;
  readonly spare: number;
  readonly onHand: number | null;
  /** What is wanting; null where nobody has counted. */
  readonly short: number | null;
  /** Whole put-ups to buy for what is wanting. */
  readonly putUps: number | null;
  readonly costMinor: number | null;
}

/** Small things get spares: a pair of eyes, a tenth of the beads and bells, at least one. Ours. */
export const SPARE_RULES = {
  eye: { pieces: 2 },
  bead: { fraction: 0.1 },
  bell: { fraction: 0.1 },
} as const satisfies Record<string, { readonly pieces: number } | { readonly fraction: number }>;

/** How many spares go with so many of a finding in one pack. */
export function sparesOfFinding({ measure }: Pick<Finding, 'measure'>, amount: number): number {
  if (measure.by !== 'count' || amount <= 0) return 0;
  switch (measure.sort) {
    case 'eye':
      return SPARE_RULES.eye.pieces;
    case 'bead':
    case 'bell':
      return Math.ceil(amount * SPARE_RULES[measure.sort].fraction - 1e-9);
    default:
      return 0;
  }
}

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
): FindingInPack[] {
  // A half-made piece is shown, not given: it takes no findings of its own.
  if (group.sample) return [];
  const made = (estimates.get(group.key)?.findings ?? []).map(
    ({ findingId, unit, most, unknownCount }): FindingInPack => {
      const finding = findings.get(findingId);
      const spare = finding ? sparesOfFinding(finding, most) : 0;
      return { findingId, unit, amount: most, spare, isPackaging: false, unknownCount };
    },
  );
  const around = (group.recipe?.packaging ?? []).map(({ findingId, count }): FindingInPack => ({
    findingId,
    unit: 'piece',
    amount: count,
    spare: 0,
    isPackaging: true,
    unknownCount: 0,
  }));
  return [...made, ...around];
}

/** Everything of findings a run takes, with what is wanting and how many put-ups that is. */
export function findingsOfRun(
  { groups, estimates }: Pick<ToPack, 'groups' | 'estimates'>,
  findings: Findings,
): RunFinding[] {
  const totals = new Map<string, Omit<FindingInPack, 'amount'> & { total: number }>();
  for (const group of groups) {
    for (const own of findingsOfPack(group, { estimates }, findings)) {
      const key = `${own.findingId} ${own.isPackaging}`;
      const before = totals.get(key);
      totals.set(key, {
        ...own,
        spare: (before?.spare ?? 0) + own.spare * group.packs,
        total: (before?.total ?? 0) + (own.amount + own.spare) * group.packs,
        unknownCount: Math.max(before?.unknownCount ?? 0, own.unknownCount),
      });
    }
  }
  return [...totals.values()].map((own) => withStock(own, findings.get(own.findingId)));
}

function withStock(
  own: Omit<RunFinding, 'onHand' | 'short' | 'putUps' | 'costMinor'>,
  finding: Finding | undefined,
) {
  const onHand = finding?.onHand ?? null;
  const short = onHand === null ? null : Math.max(0, own.total - onHand);
  const price = finding ? unitPriceMinor(finding) : null;
  return {
    ...own,
    onHand,
    short,
    putUps:
      finding && short !== null ? Math.max(0, Math.ceil(short / putUpAmount(finding.measure) - 1e-9)) : null,
    costMinor: price === null ? null : Math.round(price * own.total),
  };
}
