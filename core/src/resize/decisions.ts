import {
  type EngineWarning,
  estimatePattern,
  type PatternEstimate,
  type TotalMass,
  warningsOf,
  type Wool,
} from '../engine/index.ts';
import { resolveBuild } from '../build/index.ts';
import {
  type Choices,
  findingReferences,
  isWool,
  NO_CHOICES,
  type Pattern,
  stepTotals,
  type StepTotals,
} from '../pattern/index.ts';
import { fibreNumber, type Finding } from '../shelf/index.ts';
import { resizePattern } from './resizePattern.ts';

/** What resizing cannot decide for the author. */
export type ResizeDecision =
  /** A bought thing has no size in between: stay with it, or take the nearest there is. */
  | {
      readonly kind: 'finding';
      readonly findingId: string;
      readonly wantedMm: number;
      /** Alike and nearer in size than the one in use; nearest first. */
      readonly insteadIds: readonly string[];
    }
  /** Wire stays as thick: over a smaller figure it may be too stiff, under a larger one too weak. */
  | { readonly kind: 'wire'; readonly findingId: string }
  /** Hangs as long as before, unless it is marked to grow. */
  | { readonly kind: 'cord'; readonly cutId: string }
  /** Its size follows from a bought thing, so it does not grow with the figure. */
  | { readonly kind: 'fit'; readonly partId: string }
  /** A length of tops would fall under the staple: split lengthwise in so many instead. */
  | { readonly kind: 'split'; readonly partId: string; readonly useId: string; readonly ways: number }
  /** A hand measure is what it is: so many as before. */
  | { readonly kind: 'hand'; readonly partId: string; readonly useId: string };

interface MakeSum {
  readonly total: TotalMass;
  readonly minutes: StepTotals['minutes'];
}

export interface ResizePreview {
  readonly pattern: Pattern;
  readonly before: PatternEstimate;
  readonly after: PatternEstimate;
  /** Of one make as it is chosen: what is written for other choices is not in it. */
  readonly oneMake: { readonly before: MakeSum; readonly after: MakeSum };
  readonly decisions: readonly ResizeDecision[];
  /** What is worth looking at now and was not before. */
  readonly warnings: readonly EngineWarning[];
}

/** What a pattern becomes at k times its size, beside what it is. */
export function previewResize(
  pattern: Pattern,
  k: number,
  wool: Wool,
  swaps: ReadonlyMap<string, string> = new Map(),
  choices: Choices = NO_CHOICES,
): ResizePreview {
  const stapleMmOf = (fibreId: string | null) => {
    const fibre = wool.fibres.get(fibreId ?? '');
    return fibre ? (fibreNumber(fibre, 'stapleMm')?.value ?? null) : null;
  };
  const resized = resizePattern(pattern, k, swaps, stapleMmOf);
  const [before, after] = [estimatePattern(pattern, wool), estimatePattern(resized, wool)];
  const sumOf = (whole: Pattern): MakeSum => {
    const build = resolveBuild(whole, choices);
    return { total: estimatePattern(build, wool).total, minutes: stepTotals(build).minutes };
  };
  const had = new Set(warningsOf(before, wool.fibres, pattern).map(keyOf));
  return {
    pattern: resized,
    before,
    after,
    oneMake: { before: sumOf(pattern), after: sumOf(resized) },
    decisions: [...resizeDecisions(pattern, k, wool), ...otherForms(pattern, resized)],
    warnings: warningsOf(after, wool.fibres, resized).filter((warning) => !had.has(keyOf(warning))),
  };
}

/** Lengths of tops that would have fallen under the staple, and are split lengthwise instead. */
const otherForms = (before: Pattern, after: Pattern): ResizeDecision[] =>
  before.parts.flatMap((part, at) =>
    part.uses.flatMap((use, index): ResizeDecision[] => {
      const then = after.parts[at]?.uses[index];
      const [was, is] = [use, then].map((sizedUse) =>
        sizedUse && isWool(sizedUse) && sizedUse.amount?.form === 'tops' ? sizedUse.amount : null,
      );
      return was && is && is.ways !== was.ways
        ? [{ kind: 'split', partId: part.id, useId: use.id, ways: is.ways }]
        : [];
    }),
  );

const keyOf = (warning: EngineWarning): string =>
  `${warning.code} ${warning.partId} ${'useId' in warning ? warning.useId : ''}`;

/** What stays as it is at k times the size, and may want another choice; nothing in the size as written. */
export function resizeDecisions(
  pattern: Pattern,
  k: number,
  { findings }: Pick<Wool, 'findings'>,
): ResizeDecision[] {
  if (k === 1) return [];
  const ids = [...new Set(findingReferences(pattern).map(({ findingId }) => findingId))];
  const bought = ids.flatMap((id): ResizeDecision[] => {
    const finding = findings.get(id);
    if (finding?.measure.by === 'length')
      return finding.measure.sort === 'wire' ? [{ kind: 'wire', findingId: id }] : [];
    return finding ? sizeDecision(finding, k, findings) : [];
  });
  return [
    ...bought,
    ...pattern.cuts.flatMap((cut): ResizeDecision[] =>
      cut.kind === 'cord' && !cut.isScaled ? [{ kind: 'cord', cutId: cut.id }] : [],
    ),
    ...pattern.parts.flatMap((part): ResizeDecision[] => [
      ...(part.derived.some(({ from }) => from === 'finding')
        ? [{ kind: 'fit', partId: part.id } as const]
        : []),
      ...part.uses.flatMap((use): ResizeDecision[] =>
        isWool(use) && use.amount && HAND_FORMS.has(use.amount.form)
          ? [{ kind: 'hand', partId: part.id, useId: use.id }]
          : [],
      ),
    ]),
  ];
}

const HAND_FORMS = new Set(['hand', 'tufts', 'locks']);

function sizeDecision(finding: Finding, k: number, findings: Wool['findings']): ResizeDecision[] {
  const lengthMm = lengthOf(finding);
  if (lengthMm === null || finding.measure.by !== 'count') return [];
  const wantedMm = lengthMm * k;
  const { sort } = finding.measure;
  const off = (sizeMm: number) => Math.abs(Math.log(sizeMm / wantedMm));
  const insteadIds = [...findings.values()]
    .filter(
      (other) =>
        other.id !== finding.id &&
        !other.archived &&
        other.measure.by === 'count' &&
        other.measure.sort === sort,
    )
    .flatMap((other) => {
      const sizeMm = lengthOf(other);
      return sizeMm !== null && off(sizeMm) < off(lengthMm) ? [{ id: other.id, off: off(sizeMm) }] : [];
    })
    .sort((a, b) => a.off - b.off)
    .map(({ id }) => id);
  return [{ kind: 'finding', findingId: finding.id, wantedMm, insteadIds }];
}

const lengthOf = ({ measure }: Finding): number | null =>
  measure.by === 'count' ? measure.outerMm.length : null;
