import { Type, type Static } from '@sinclair/typebox';
import { strict } from '../../base/index.ts';

/** A time: one number, or from – to. */
export const Minutes = Type.Union([
  Type.Number({ description: 'minutes' }),
  Type.Object({ low: Type.Number(), high: Type.Number() }, strict),
]);
export type Minutes = Static<typeof Minutes>;

export interface MinutesRange {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

export const minutesRange = (minutes: Minutes): MinutesRange =>
  typeof minutes === 'number'
    ? { low: minutes, likely: minutes, high: minutes }
    : { low: minutes.low, likely: (minutes.low + minutes.high) / 2, high: minutes.high };
