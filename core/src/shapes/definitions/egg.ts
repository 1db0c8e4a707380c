import { Type } from '@sinclair/typebox';
import { egg } from '../solid/egg.ts';
import { defineShape } from './define.ts';

/** Widest two fifths up from the blunt end, as most bodies are. */
const DEFAULT_WIDEST_AT_FRACTION = 0.4;

export const eggShape = defineShape({
  kind: 'egg',
  sizes: ['length', 'diameter'],
  properties: {
    widestAtFraction: Type.Number({
      minimum: 0.1,
      maximum: 0.9,
      description: 'of the length, from the blunt end',
    }),
  },
  blank: { widestAtFraction: DEFAULT_WIDEST_AT_FRACTION },
  handles: { across: 'diameter', along: 'length' },
  solid: ({ length, diameter }, { widestAtFraction }) => egg(length, diameter, widestAtFraction),
});
