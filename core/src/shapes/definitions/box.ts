import { box } from '../solid/box.ts';
import { defineShape } from './define.ts';

export const boxShape = defineShape({
  kind: 'box',
  sizes: ['length', 'width', 'height'],
  properties: {},
  blank: {},
  handles: { across: 'width', along: 'length' },
  solid: ({ length, width, height }) => box(length, width, height),
});
