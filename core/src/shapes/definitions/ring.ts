import { ring } from '../solid/ring.ts';
import { defineShape } from './define.ts';

export const ringShape = defineShape({
  kind: 'ring',
  sizes: ['outer', 'rope'],
  properties: {},
  blank: {},
  handles: { across: 'outer', along: null },
  solid: ({ outer, rope }) => ring(outer, rope),
  problems: ({ outer, rope }, _beside, pointer) =>
    outer !== undefined && rope !== undefined && rope * 2 >= outer
      ? [{ code: 'ring_without_hole', pointer: `${pointer}/rope`, outerMm: outer, ropeMm: rope }]
      : [],
});
