import { ball } from '../solid/ball.ts';
import { defineShape } from './define.ts';

export const ballShape = defineShape({
  kind: 'ball',
  sizes: ['diameter'],
  properties: {},
  blank: {},
  handles: { across: 'diameter', along: null },
  solid: ({ diameter }) => ball(diameter),
});
