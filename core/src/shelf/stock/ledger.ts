import { Type, type Static } from '@sinclair/typebox';
import { oneOf } from '../../base/index.ts';

/** What stock is kept in: fibre in grams, everything else in what it is used by. */
export const STOCK_UNITS = ['g', 'piece', 'm', 'cm2', 'ml'] as const;
export type StockUnit = (typeof STOCK_UNITS)[number];

/** Why a movement happened. `undone` takes back an import. */
export const REASONS = [
  'received',
  'counted',
  'packed',
  'sample',
  'blended',
  'spoiled',
  'returned',
  'undone',
] as const;
export type Reason = (typeof REASONS)[number];

/** Reasons a maker enters by hand, and which way each goes. */
export const ENTERED_REASONS = ['received', 'returned', 'packed', 'sample', 'spoiled'] as const;
export type EnteredReason = (typeof ENTERED_REASONS)[number];

const DIRECTION: Readonly<Record<EnteredReason, 1 | -1>> = {
  received: 1,
  returned: 1,
  packed: -1,
  sample: -1,
  spoiled: -1,
};

/** One line of the ledger. Amounts are in the thing's unit, negative when it left. */
export interface Movement {
  readonly id: number;
  readonly itemId: string;
  readonly lotId: string | null;
  readonly amount: number;
  readonly reason: Reason;
  readonly note: string;
  readonly at: string;
}

/** Something that came or went. */
export const MovementInput = Type.Object(
  {
    itemId: Type.String({ minLength: 1, maxLength: 40 }),
    lotId: Type.Union([Type.String({ minLength: 1, maxLength: 40 }), Type.Null()]),
    reason: oneOf(ENTERED_REASONS),
    amount: Type.Number({ description: 'how much, above 0; the reason says which way' }),
    note: Type.String({ maxLength: 200 }),
    anyway: Type.Optional(
      Type.Boolean({ description: 'although the ledger then says less than nothing is there' }),
    ),
  },
  { additionalProperties: false },
);
export type MovementInput = Static<typeof MovementInput>;

/** What was found when somebody counted. */
export const CountInput = Type.Object(
  {
    itemId: Type.String({ minLength: 1, maxLength: 40 }),
    lotId: Type.Union([Type.String({ minLength: 1, maxLength: 40 }), Type.Null()]),
    amount: Type.Number({ description: 'what is there now, in the thing’s unit' }),
  },
  { additionalProperties: false },
);
export type CountInput = Static<typeof CountInput>;

export const AMOUNT_BOUNDS = { min: 0, max: 1_000_000 } as const;

/** Ledger amounts are whole thousandths of the unit, so that sums are exact. */
export const toMilli = (amount: number): number => Math.round(amount * 1000);
export const fromMilli = (milli: number): number => milli / 1000;

/** The signed thousandths a movement enters. */
export const movementMilli = ({ reason, amount }: Pick<MovementInput, 'reason' | 'amount'>): number =>
  DIRECTION[reason] * toMilli(amount);

/**
 * The movement that makes the sum what was counted, in thousandths; null when there is nothing to write.
 * A first count of nought is written: from then on nought is known.
 */
export function countDifferenceMilli(onHand: number | null, counted: number): number | null {
  const difference = toMilli(counted) - toMilli(onHand ?? 0);
  return difference !== 0 || onHand === null ? difference : null;
}

/** Put on the shelf together with what is there of it, in its own unit; null: not counted yet. */
export const CountedNow = Type.Object({
  countedNow: Type.Union([Type.Number(), Type.Null()]),
});
