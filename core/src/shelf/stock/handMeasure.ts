import { Type, type Static } from '@sinclair/typebox';
import { oneOf } from '../../base/index.ts';

/** What fingers take, from least to most. */
export const HAND_MEASURES = ['wisp', 'pinch', 'tuft'] as const;
export type HandMeasureName = (typeof HAND_MEASURES)[number];

/** One maker's measure, weighed: the middle and the 10th and 90th percentile, grams each. */
export const HandMeasureInput = Type.Object(
  {
    name: oneOf(HAND_MEASURES),
    massG: Type.Number({ exclusiveMinimum: 0, maximum: 100 }),
    lowG: Type.Number({ exclusiveMinimum: 0, maximum: 100 }),
    highG: Type.Number({ exclusiveMinimum: 0, maximum: 100 }),
  },
  { additionalProperties: false },
);
export type HandMeasureInput = Static<typeof HandMeasureInput>;

export interface HandMeasure extends HandMeasureInput {
  readonly weighedAt: string;
}
