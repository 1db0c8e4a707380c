import { estimatePattern, type KnownUse, type PatternEstimate, type Wool } from '../engine/index.ts';
import { type Factor, factorKey, type FactorShare, onlyOne, SIGMA } from '../learning/index.ts';
import type { Part, Pattern } from '../pattern/index.ts';

/** Wool of one use in one make, before anything was learnt: what its shape comes to, whatever its author states. */
export interface ExpectedUse {
  readonly useId: string;
  readonly partId: string | null;
  readonly fibreId: string;
  readonly pieceG: number;
  readonly count: number;
  /** σ of ln of each piece’s own. */
  readonly ownSigma: number;
  /** What it is in doubt for with others; none where it is only stated. */
  readonly factors: readonly FactorShare[];
}

/** What one make of a build comes to, as wool is weighed. */
export interface Expected {
  readonly uses: readonly ExpectedUse[];
  readonly estimate: PatternEstimate;
}

/** A pattern as it is before its own samples have a say: they are held against it. */
const untaught = (build: Pattern): Pattern => ({
  ...build,
  weighedMakeG: null,
  parts: build.parts.map((part) => (part.sample ? { ...part, sample: null } : part)),
});

/** @param who made it; empty: the studio’s own maker */
export function expectedOf(build: Pattern, wool: Wool, who: string): Expected {
  const pattern = untaught(build);
  const estimateWith = (learnt: Wool['learnt']) => estimatePattern(pattern, { ...wool, learnt });
  const estimate = estimateWith(null);
  const masses = massesOf(estimate, build);
  const factors = factorsOf(masses);
  const moved = factors.map((factor) => ({
    factor,
    masses: massesOf(estimateWith(onlyOne(factor, NUDGE)), build),
  }));
  const uses = [...masses.values()].map(({ use, part, isStated, massG }): ExpectedUse => ({
    useId: use.useId,
    partId: part?.id ?? null,
    fibreId: use.fibreId ?? '',
    pieceG: massG,
    count: use.count.likely,
    ownSigma: isStated ? statedSigma(use) : SIGMA.coreOwn,
    factors: isStated
      ? []
      : moved.flatMap(({ factor, masses: after }): FactorShare[] => {
          const movedG = after.get(use.useId)?.massG ?? massG;
          const share = massG > 0 && movedG > 0 ? Math.log(movedG / massG) / NUDGE : 0;
          return Math.abs(share) < NO_SHARE ? [] : [{ factor: byWhom(factor, who), share }];
        }),
  }));
  return { uses, estimate };
}

/** How far a factor is moved to see what moves with it, ln; and what of that is noise. */
const NUDGE = 0.02;
const NO_SHARE = 1e-3;

const byWhom = (factor: Factor, who: string): Factor =>
  factor.kind === 'maker' ? { kind: 'maker', who } : factor;

/** One use as it comes out, and whether its shape has a say in it. */
interface UseMass {
  readonly use: KnownUse;
  readonly part: Part | null;
  readonly massG: number;
  readonly isStated: boolean;
  readonly cause: Cause;
}

function massesOf(estimate: PatternEstimate, build: Pattern): Map<string, UseMass> {
  const parts = new Map(build.parts.map((part) => [part.id, part]));
  return new Map(
    estimate.uses.flatMap((use): [string, UseMass][] => {
      if (use.kind === 'unknown' || use.isIfNeeded) return [];
      const part = use.owner.kind === 'part' ? (parts.get(use.owner.id) ?? null) : null;
      const calculated = calculatedOf(use, part, estimate);
      const cause = calculated?.cause ?? use.term.cause;
      const massG = calculated?.massG ?? use.pieceG;
      return [[use.useId, { use, part, massG, isStated: calculated === null, cause }]];
    }),
  );
}

/** Everything that could be learnt of what these are made of. */
function factorsOf(masses: ReadonlyMap<string, UseMass>): Factor[] {
  const factors = new Map<string, Factor>();
  const add = (factor: Factor) => factors.set(factorKey(factor), factor);
  for (const { use, part, isStated, cause } of masses.values()) {
    const fibreId = use.fibreId ?? '';
    // A stated coat is still as thick as it felts: what lies beneath it follows from that.
    add({ kind: 'felted', fibreId, firmness: use.role === 'dot' ? 'firm' : (part?.firmness ?? 'firm') });
    if (isStated) continue;
    if (cause === 'density') add({ kind: 'maker', who: '' });
    if (cause === 'hiding') add({ kind: 'hiding', fibreId });
    if (cause === 'hair') add({ kind: 'hair', fibreId });
  }
  return [...factors.values()];
}

type Cause = KnownUse['term']['cause'];

/** What its shape comes to, beside what is stated; null: nothing but what is stated is known of it. */
function calculatedOf(
  use: KnownUse,
  part: Part | null,
  { parts }: PatternEstimate,
): { readonly massG: number; readonly cause: Cause } | null {
  if (part?.shape.kind === 'by-grams') return null;
  if (use.source === 'calculated') return { massG: use.pieceG, cause: use.term.cause };
  const working = parts
    .find(({ partId }) => partId === part?.id)
    ?.working.uses.find(({ use: { id } }) => id === use.useId);
  if (working?.calculated.kind !== 'known' || !use.comparison) return null;
  return { massG: use.comparison.calculatedG, cause: working.calculated.cause };
}

/** What was only said, or weighed by its author: as unsure as that. */
const statedSigma = ({ term }: KnownUse): number =>
  Math.max(0.02, Math.hypot(term.commonSigma ?? 0, term.sharedSigma, term.ownSigma, term.allSigma ?? 0));

/** What several uses come to together. */
export interface ExpectedSum {
  readonly massG: number;
  readonly ownSigma: number;
  readonly of: readonly FactorShare[];
}

/**
 * Adds uses up: shares of factors by grams, own errors of pieces in quadrature of grams.
 * @param oneEach one piece of each, as when a piece is laid on the scale
 */
export function expectedSum(uses: readonly ExpectedUse[], oneEach = false): ExpectedSum {
  const countOf = ({ count }: ExpectedUse) => (oneEach ? 1 : count);
  const massG = uses.reduce((sum, use) => sum + use.pieceG * countOf(use), 0);
  const ownG2 = uses.reduce((sum, use) => sum + countOf(use) * (use.ownSigma * use.pieceG) ** 2, 0);
  const of = uses.flatMap((use) =>
    use.factors.map(({ factor, share }) => ({
      factor,
      share: massG > 0 ? (share * use.pieceG * countOf(use)) / massG : 0,
    })),
  );
  return { massG, ownSigma: massG > 0 ? Math.sqrt(ownG2) / massG : 0, of };
}
