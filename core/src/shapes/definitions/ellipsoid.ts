import { ellipsoid } from '../solid/ellipsoid.ts';
import { defineShape } from './define.ts';

export const ellipsoidShape = defineShape({
  kind: 'ellipsoid',
  sizes: ['length', 'width', 'height'],
  properties: {},
  blank: {},
  handles: { across: 'width', along: 'length' },
  solid: ({ length, width, height }) => ellipsoid(length, width, height),
});
