import { Type } from '@sinclair/typebox';
import { orUnknown } from '../../base/index.ts';
import { defineShape } from './define.ts';

/** So much of it, whatever its size: a ball of its wool. */
export const byGramsShape = defineShape({
  kind: 'by-grams',
  sizes: [],
  properties: {
    massG: orUnknown(Type.Number({ exclusiveMinimum: 0, maximum: 10_000 })),
  },
  blank: { massG: null },
  handles: { across: null, along: null },
});
