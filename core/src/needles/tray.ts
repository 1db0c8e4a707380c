import { Id, oneOf, orUnknown, strict } from '../base/index.ts';
import { type Pile, TAPPED } from './piles.ts';
import type { TrayProblem } from './problem.ts';
import { Type, type Static } from '@sinclair/typebox';

/** One tap at the tray: so many more on a pile, or fewer. Sent twice it counts once. */
export const TapInput = Type.Object(
  {
    key: Id,
    needleId: Id,
    pile: oneOf(TAPPED),
    amount: Type.Integer({ minimum: -500, maximum: 500 }),
    /** The device, by a key it made for itself once. */
    from: Type.Optional(orUnknown(Id)),
  },
  strict,
);
export type TapInput = Static<typeof TapInput>;

/** What became of needles that were missing. */
export const ResolveInput = Type.Object(
  {
    key: Id,
    needleId: Id,
    how: oneOf(['found', 'given-up'] as const),
    amount: Type.Integer({ minimum: 1, maximum: 500 }),
    note: Type.String({ maxLength: 200 }),
  },
  strict,
);
export type ResolveInput = Static<typeof ResolveInput>;

export interface Tap {
  readonly needleId: string;
  readonly pile: Pile;
  readonly amount: number;
}

/** One sort of needle in one class. */
export interface TrayLine extends Readonly<Record<Exclude<Pile, 'given-up'>, number>> {
  readonly needleId: string;
  readonly givenUp: number;
  /** Out, and in no other pile yet. */
  readonly stillOut: number;
}

/** The tray after these taps, in the order in which its needles were first tapped. */
export function trayOf(taps: readonly Tap[]): TrayLine[] {
  const sums = new Map<string, Map<Pile, number>>();
  for (const { needleId, pile, amount } of taps) {
    const sum = sums.get(needleId) ?? new Map<Pile, number>();
    sums.set(needleId, sum.set(pile, (sum.get(pile) ?? 0) + amount));
  }
  return [...sums].map(([needleId, ownSum]) => {
    const sum = (pile: Pile) => ownSum.get(pile) ?? 0;
    return {
      needleId,
      out: sum('out'),
      in: sum('in'),
      broken: sum('broken'),
      sold: sum('sold'),
      missing: sum('missing'),
      givenUp: sum('given-up'),
      stillOut: sum('out') - sum('in') - sum('broken') - sum('sold') - sum('missing') - sum('given-up'),
    };
  });
}

/** All sorts together. */
export const trayTotals = (
  lines: readonly TrayLine[],
): Omit<TrayLine, 'needleId'> & { readonly open: number } => {
  const sum = (of: (line: TrayLine) => number) => lines.reduce((total, line) => total + of(line), 0);
  return {
    out: sum(({ out }) => out),
    in: sum((line) => line.in),
    broken: sum(({ broken }) => broken),
    sold: sum(({ sold }) => sold),
    missing: sum(({ missing }) => missing),
    givenUp: sum(({ givenUp }) => givenUp),
    stillOut: sum(({ stillOut }) => stillOut),
    /** Still out, or missing: nobody may be sure of the floor. */
    open: sum(({ stillOut, missing }) => stillOut + missing),
  };
};

export const emptyLine = (needleId: string): TrayLine => ({
  needleId,
  out: 0,
  in: 0,
  broken: 0,
  sold: 0,
  missing: 0,
  givenUp: 0,
  stillOut: 0,
});

/** Why a tap cannot be: a pile would be less than nothing, or more would be back than went out. */
export function checkTap(line: TrayLine, { pile, amount }: Pick<TapInput, 'pile' | 'amount'>): TrayProblem[] {
  if (amount === 0) return [{ code: 'number_out_of_range', pointer: '/amount', value: 0, min: 1, max: 500 }];
  if (line[pile] + amount < 0) return [{ code: 'pile_too_small', pointer: '/amount', pile, has: line[pile] }];
  const stillOut = pile === 'out' ? line.stillOut + amount : line.stillOut - amount;
  return stillOut < 0 ? [{ code: 'more_back_than_out', pointer: '/amount', out: line.out }] : [];
}

/** Everybody has gone: what is still out is missing. */
export const tapsToClose = (lines: readonly TrayLine[]): Tap[] =>
  lines.flatMap(({ needleId, stillOut }) =>
    stillOut > 0 ? [{ needleId, pile: 'missing' as const, amount: stillOut }] : [],
  );

/** Found: it was in after all. Given up: looked for, and not found; why has to be said. */
export function tapsToResolve(
  line: TrayLine,
  { needleId, how, amount, note }: ResolveInput,
): Tap[] | TrayProblem[] {
  if (amount > line.missing) {
    return [{ code: 'pile_too_small', pointer: '/amount', pile: 'missing', has: line.missing }];
  }
  if (how === 'given-up' && note.trim() === '') return [{ code: 'reason_missing', pointer: '/note' }];
  return [
    { needleId, pile: 'missing', amount: -amount },
    { needleId, pile: how === 'found' ? 'in' : 'given-up', amount },
  ];
}

export const isProblems = (result: Tap[] | TrayProblem[]): result is TrayProblem[] => {
  const [first] = result;
  return first !== undefined && 'code' in first;
};
