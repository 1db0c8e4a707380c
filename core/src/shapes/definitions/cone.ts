import { cone } from '../solid/cone.ts';
import { defineShape } from './define.ts';

export const coneShape = defineShape({
  kind: 'cone',
  sizes: ['rise', 'diameter'],
  properties: {},
  blank: {},
  handles: { across: 'diameter', along: 'rise' },
  solid: ({ rise, diameter }) => cone(rise, diameter),
});
