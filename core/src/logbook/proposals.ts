import { countRange, minutesRange, type Pattern, repeatsOf, type Use } from '../pattern/index.ts';
import type { Making, MakingLine } from './making.ts';
import { tookOfLine } from './took.ts';

interface ProposalBase {
  /** The same for the same thing of the pattern. */
  readonly key: string;
  /** Makings it rests on. */
  readonly makings: number;
}

/** Something a pattern could state from what it took, with what it states now; null: nothing. */
export type Proposal = ProposalBase &
  (
    | {
        readonly kind: 'amount';
        readonly partId: string;
        readonly useId: string;
        /** Of one piece. */
        readonly wasG: number | null;
        readonly lowG: number;
        readonly massG: number;
        readonly highG: number;
      }
    | {
        readonly kind: 'minutes';
        readonly stepId: string;
        readonly was: number | null;
        readonly low: number;
        readonly likely: number;
        readonly high: number;
      }
    | { readonly kind: 'whole'; readonly wasG: number | null; readonly massG: number }
  );

/** Nearer than this to what stands there it is not worth a line. */
const SAME_GRAMS = 0.05;
const SAME_MINUTES = 0.15;

/**
 * What a next revision could state, from what its makings took, line by line. Makings of other sizes are of other figures.
 * @param draft as it is written now
 */
export function proposalsOf(draft: Pattern, makings: readonly Making[]): Proposal[] {
  const ofThis = makings.filter(({ sizeFraction }) => sizeFraction === 1);
  return [
    ...amounts(draft, ofThis),
    ...minutes(draft, ofThis.filter(isByItsAuthor)),
    ...whole(draft, ofThis),
  ];
}

/** A pattern’s minutes are at its author’s pace. */
const isByItsAuthor = ({ madeBy }: Making): boolean => madeBy === '';

interface PlacedUse {
  readonly partId: string;
  readonly use: Use;
  readonly count: number | null;
}

const placedUses = ({ parts }: Pattern): PlacedUse[] =>
  parts.flatMap((part) =>
    part.uses.map((use) => ({ partId: part.id, use, count: countRange(part.count)?.likely ?? null })),
  );

function amounts(draft: Pattern, makings: readonly Making[]): Proposal[] {
  const uses = placedUses(draft);
  return uses.flatMap(({ partId, use, count }): Proposal[] => {
    if (count === null || count <= 0) return [];
    const isOnly =
      'fibreId' in use &&
      uses.filter((other) => 'fibreId' in other.use && other.use.fibreId === use.fibreId).length === 1;
    const isOfUse = (line: MakingLine) =>
      line.of === 'use'
        ? line.useId === use.id
        : line.of === 'fibre' && isOnly && 'fibreId' in use && line.fibreId === use.fibreId;
    const took = makings.flatMap(({ lines }) =>
      lines.filter(isOfUse).flatMap((line) => {
        const tookG = tookOfLine(line);
        return tookG !== null && tookG > 0 ? [tookG / count] : [];
      }),
    );
    if (took.length === 0) return [];
    const wasG = 'amount' in use && use.amount?.form === 'grams' ? use.amount.massG : null;
    const massG = mean(took);
    if (wasG !== null && Math.abs(Math.log(massG / wasG)) < SAME_GRAMS) return [];
    return [
      {
        kind: 'amount',
        key: `amount ${use.id}`,
        makings: took.length,
        partId,
        useId: use.id,
        wasG,
        lowG: Math.min(...took),
        massG: round(massG, 2),
        highG: Math.max(...took),
      },
    ];
  });
}

function minutes(draft: Pattern, makings: readonly Making[]): Proposal[] {
  return draft.steps.flatMap((step): Proposal[] => {
    const repeats = step.areMinutesEach ? (repeatsOf(step, draft.parts)?.likely ?? null) : 1;
    if (repeats === null || repeats <= 0) return [];
    const took = makings.flatMap(({ steps }) =>
      steps.flatMap((each) =>
        each.stepId === step.id && each.minutes !== null && each.minutes > 0 ? [each.minutes / repeats] : [],
      ),
    );
    if (took.length === 0) return [];
    const was = step.minutes === null ? null : minutesRange(step.minutes).likely;
    const likely = mean(took);
    if (was !== null && was > 0 && Math.abs(Math.log(likely / was)) < SAME_MINUTES) return [];
    return [
      {
        kind: 'minutes',
        key: `minutes ${step.id}`,
        makings: took.length,
        stepId: step.id,
        was,
        low: round(Math.min(...took), 0),
        likely: Math.max(1, round(likely, 0)),
        high: round(Math.max(...took), 0),
      },
    ];
  });
}

function whole({ weighedMakeG: wasG }: Pattern, makings: readonly Making[]): Proposal[] {
  const weighed = makings.flatMap(({ wholeG }) => (wholeG === null || wholeG <= 0 ? [] : [wholeG]));
  if (weighed.length === 0) return [];
  const massG = round(mean(weighed), 2);
  return wasG !== null && Math.abs(Math.log(massG / wasG)) < SAME_GRAMS / 2
    ? []
    : [{ kind: 'whole', key: 'whole', makings: weighed.length, wasG, massG }];
}

/** The draft with what was taken of it; everything else as it is. */
export const withProposals = (draft: Pattern, taken: readonly Proposal[]): Pattern =>
  taken.reduce(withProposal, draft);

function withProposal(draft: Pattern, proposal: Proposal): Pattern {
  switch (proposal.kind) {
    case 'whole':
      return { ...draft, weighedMakeG: proposal.massG };
    case 'minutes':
      return {
        ...draft,
        steps: draft.steps.map((step) =>
          step.id === proposal.stepId ? { ...step, minutes: minutesSaid(proposal) } : step,
        ),
      };
    case 'amount':
      return withPart(draft, proposal.partId, (part) => ({
        ...part,
        uses: part.uses.map((use) =>
          use.id === proposal.useId
            ? ({
                ...use,
                amount: { form: 'grams', massG: proposal.massG, highG: null, isWeighed: true },
              } as Use)
            : use,
        ),
      }));
  }
}

/** Several that took differently long are a range. */
const minutesSaid = ({ low, likely, high }: Extract<Proposal, { kind: 'minutes' }>) =>
  high > low && low > 0 ? { low, high } : likely;

const withPart = (
  draft: Pattern,
  partId: string,
  change: (part: Pattern['parts'][number]) => Pattern['parts'][number],
): Pattern => ({
  ...draft,
  parts: draft.parts.map((part) => (part.id === partId ? change(part) : part)),
});

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;
const round = (value: number, digits: number): number => Math.round(value * 10 ** digits) / 10 ** digits;
