import { Type } from '@sinclair/typebox';
import { oneOf } from '../../base/index.ts';
import { plate } from '../solid/plate.ts';
import { defineShape } from './define.ts';

/** How thick hair lies along its line. */
export const HAIR_WEIGHTS = ['light', 'medium', 'full'] as const;
export type HairWeight = (typeof HAIR_WEIGHTS)[number];
/** Laid across and folded over its middle, or held by one end. */
export const HAIR_FIXED = ['middle', 'end'] as const;
export type HairFixed = (typeof HAIR_FIXED)[number];

/** Hair along a line: its body follows from its wool. */
export const fringeShape = defineShape({
  kind: 'fringe',
  sizes: ['line', 'drop'],
  properties: {
    weight: oneOf(HAIR_WEIGHTS),
    fixed: oneOf(HAIR_FIXED),
    trimFraction: Type.Number({ minimum: 0, maximum: 0.9, description: 'cut off after it is fixed' }),
  },
  blank: { weight: 'medium', fixed: 'middle', trimFraction: 0.15 },
  handles: { across: 'line', along: 'drop' },
  bodyOfWool: ({ line, drop }, volumeMm3) => {
    const contour = [
      [0, 0],
      [line, 0],
      [line, drop],
      [0, drop],
    ] as const;
    return plate([contour], volumeMm3 / (line * drop));
  },
});
