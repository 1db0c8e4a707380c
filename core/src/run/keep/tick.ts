import { Type, type Static } from '@sinclair/typebox';
import { oneOf, orUnknown, roundToMicrogram, strict } from '../../base/index.ts';
import { RUN_STATES } from '../document/runState.ts';
import type { WeighMark } from './weighOut.ts';

/** A tick as it is sent: something is weighed into its bag, or a pack is packed; or it is not after all. */
export const TickInput = Type.Object(
  {
    /** Made by who ticks: the same tick sent twice counts once. */
    key: Type.String({ minLength: 1, maxLength: 40 }),
    mark: Type.String({ minLength: 1, maxLength: 200 }),
    isDone: Type.Boolean(),
    massG: Type.Number({ minimum: 0, maximum: 100_000, description: 'what it was to weigh; 0: not weighed' }),
    /** What the scale showed; not there: it was weighed by hand, or by another scale. */
    weighedG: Type.Optional(
      orUnknown(Type.Number({ minimum: 0, maximum: 100_000, description: 'what lay there, grams' })),
    ),
    /** The lot it was taken from. */
    lotId: Type.Optional(orUnknown(Type.String({ minLength: 1, maxLength: 40 }))),
    /** The device, by a key it made for itself once; not there: it made none. */
    from: Type.Optional(orUnknown(Type.String({ minLength: 1, maxLength: 40, pattern: '^[A-Za-z0-9_-]+$' }))),
    /** The scale, by its name. */
    scale: Type.Optional(orUnknown(Type.String({ maxLength: 60 }))),
  },
  strict,
);
export type TickInput = Static<typeof TickInput>;

/** A run going on to its next state, or back to the one before. */
export const StateInput = Type.Object(
  {
    to: oneOf(RUN_STATES),
    /** Whatever is missing. */
    anyway: Type.Boolean(),
  },
  strict,
);
export type StateInput = Static<typeof StateInput>;

/** The mark of a pack that is packed. */
export const packedMark = (packId: string): string => `packed|${packId}`;

/** One tick as it was sent: weighed into its bag, or packed. */
export interface RunTick {
  readonly mark: string;
  readonly isDone: boolean;
  /** What it was to weigh when it was ticked; 0 for what is not weighed. */
  readonly massG: number;
  /** What a scale showed, grams; null: it was weighed by hand. */
  readonly weighedG?: number | null;
  readonly lotId?: string | null;
  readonly scale?: string | null;
  /** From which device, as the log of writes names it; null, or not there: it is not with the studio yet. */
  readonly device?: string | null;
  /** ISO 8601, UTC. */
  readonly at?: string;
}

/** How a weighing stands: not yet, right, or weighed for another amount than is wanted now. */
export type TickState =
  | { readonly kind: 'open' }
  | { readonly kind: 'done' }
  | { readonly kind: 'other'; readonly weighedG: number; readonly differenceG: number };

/** What is to be done about a weighing, with what was ticked. */
export function tickState(
  wanted: Pick<WeighMark, 'massG' | 'toleranceG'>,
  tick: RunTick | undefined,
): TickState {
  if (!tick?.isDone) return { kind: 'open' };
  const differenceG = roundToMicrogram(wanted.massG - tick.massG);
  return Math.abs(differenceG) < 1e-6
    ? { kind: 'done' }
    : { kind: 'other', weighedG: tick.massG, differenceG };
}

/** How many weighings are right, and how many were ticked for another amount than is wanted now. */
export function weighedOf(
  marks: readonly WeighMark[],
  ticks: ReadonlyMap<string, RunTick>,
): { readonly right: number; readonly other: number } {
  const kinds = marks.map((mark) => tickState(mark, ticks.get(mark.mark)).kind);
  return {
    right: kinds.filter((kind) => kind === 'done').length,
    other: kinds.filter((kind) => kind === 'other').length,
  };
}

/** The tick a scale told last; null: none did. One that is not with the studio yet is later than all that are. */
export const lastWeighed = (ticks: readonly RunTick[]): RunTick | null =>
  ticks
    .filter(({ isDone, weighedG }) => isDone && typeof weighedG === 'number')
    .reduce<RunTick | null>(
      (last, tick) => (last === null || (tick.at ?? '~') >= (last.at ?? '~') ? tick : last),
      null,
    );
