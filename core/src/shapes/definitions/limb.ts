import { limb } from '../solid/limb.ts';
import { defineShape, isLess } from './define.ts';

export const limbShape = defineShape({
  kind: 'limb',
  sizes: ['length', 'diameter'],
  properties: {},
  blank: {},
  handles: { across: 'diameter', along: 'length' },
  solid: ({ length, diameter }) => limb(length, diameter),
  problems: ({ length, diameter }, _beside, pointer) =>
    length !== undefined && diameter !== undefined && isLess(length, diameter)
      ? [
          {
            code: 'limb_shorter_than_wide',
            pointer: `${pointer}/length`,
            lengthMm: length,
            diameterMm: diameter,
          },
        ]
      : [],
});
