import { drop } from '../solid/drop.ts';
import { defineShape } from './define.ts';

export const dropShape = defineShape({
  kind: 'drop',
  sizes: ['length', 'diameter'],
  properties: {},
  blank: {},
  handles: { across: 'diameter', along: 'length' },
  solid: ({ length, diameter }) => drop(length, diameter),
  problems: ({ length, diameter }, _beside, pointer) =>
    length !== undefined && diameter !== undefined && length <= diameter / 2
      ? [{ code: 'drop_without_point', pointer: `${pointer}/length`, lengthMm: length, diameterMm: diameter }]
      : [],
});
