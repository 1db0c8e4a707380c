import { sleeve } from '../solid/sleeve.ts';
import { defineShape } from './define.ts';

export const sleeveShape = defineShape({
  kind: 'sleeve',
  sizes: ['length', 'diameter', 'wire'],
  properties: {},
  blank: {},
  handles: { across: 'diameter', along: 'length' },
  solid: ({ length, diameter, wire }) => sleeve(length, diameter, wire),
  mayBeNought: ['wire'],
  problems: ({ diameter, wire }, _beside, pointer) =>
    wire !== undefined && diameter !== undefined && wire >= diameter
      ? [
          {
            code: 'sleeve_thinner_than_wire',
            pointer: `${pointer}/diameter`,
            wireMm: wire,
            diameterMm: diameter,
          },
        ]
      : [],
});
