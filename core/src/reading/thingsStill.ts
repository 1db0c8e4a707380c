import type { CutPiece, PatternEstimate, Wool } from '../engine/index.ts';
import {
  countRange,
  type CountRange,
  type Pattern,
  stepOfCut,
  stepOfFinding,
  stepOfInsert,
} from '../pattern/index.ts';
import { type StockUnit, unitOfFinding } from '../shelf/index.ts';

/** What of one finding should still be in the bag. */
export interface ThingStill {
  readonly findingId: string;
  readonly unit: StockUnit;
  /** Null: there is some, and nobody has said how many. */
  readonly amount: CountRange | null;
  /** What of it is cut to size. */
  readonly pieces: readonly CutPiece[];
}

interface Taken {
  readonly findingId: string | null;
  readonly step: number | null;
  readonly amount: CountRange | null;
  readonly piece?: CutPiece;
}

const exactly = (amount: number): CountRange => ({ low: amount, likely: amount, high: amount });
const times = ({ low, likely, high }: CountRange, by: number): CountRange => ({
  low: low * by,
  likely: likely * by,
  high: high * by,
});
const plus = (a: CountRange | null, b: CountRange | null): CountRange | null =>
  a && b && { low: a.low + b.low, likely: a.likely + b.likely, high: a.high + b.high };

/**
 * Findings, cut pieces and what goes inside parts that no step up to this one has taken; spares of the pack stay to the end.
 * What no step tells of is used when the last is done.
 * @param afterStep from 1
 * @param copies makes that the bag is for
 * @param spares of each finding in the pack, in its unit
 */
export function thingsStill(
  build: Pattern,
  { cuts }: Pick<PatternEstimate, 'cuts'>,
  { findings }: Pick<Wool, 'findings'>,
  {
    afterStep,
    copies = 1,
    spares = new Map(),
  }: { readonly afterStep: number; readonly copies?: number; readonly spares?: ReadonlyMap<string, number> },
): ThingStill[] {
  const isLast = afterStep >= build.steps.length;
  const isOpen = ({ step }: Taken) => (step === null ? !isLast : step + 1 > afterStep);
  const still = new Map<string, ThingStill>();
  const add = (findingId: string, amount: CountRange | null, pieces: readonly CutPiece[]) => {
    const finding = findings.get(findingId);
    if (!finding) return;
    const before = still.get(findingId);
    still.set(findingId, {
      findingId,
      unit: unitOfFinding(finding.measure),
      amount: before ? plus(before.amount, amount) : amount,
      pieces: [...(before?.pieces ?? []), ...pieces],
    });
  };
  for (const taken of takenBy(build, cuts).filter(isOpen)) {
    if (taken.findingId === null) continue;
    const { piece } = taken;
    const pieces = piece ? [{ ...piece, count: piece.count * copies }] : [];
    add(taken.findingId, taken.amount && times(taken.amount, copies), pieces);
  }
  for (const [findingId, spare] of spares) {
    if (spare > 0) add(findingId, exactly(spare), []);
  }
  return [...still.values()];
}

function takenBy(build: Pattern, cuts: PatternEstimate['cuts']): Taken[] {
  const inside = build.parts.flatMap((part) =>
    part.uses.flatMap((use): Taken[] => {
      if (use.role !== 'insert') return [];
      const pieces = countRange(part.count);
      return [
        {
          findingId: use.findingId,
          step: stepOfInsert(build, part),
          amount: pieces && times(pieces, use.count),
        },
      ];
    }),
  );
  const setOn = build.findings.map((use): Taken => ({
    findingId: use.findingId,
    step: stepOfFinding(build, use),
    amount: countRange(use.count),
  }));
  const cutOff = cuts.flatMap(({ cutId, findingId, name, cut, sizes, count, stockAmount }): Taken[] => {
    const ownCut = build.cuts.find(({ id }) => id === cutId);
    if (!ownCut) return [];
    const amount = stockAmount === null ? null : exactly(stockAmount);
    const step = stepOfCut(build, ownCut);
    return [
      { findingId, step, amount, ...(cut && { piece: { cutId, name, cut, sizes, count, outline: null } }) },
    ];
  });
  return [...inside, ...setOn, ...cutOff];
}
