import { Length, orUnknown, toMm } from '../../base/index.ts';
import { roundedPlate } from '../solid/roundedPlate.ts';
import { defineShape } from './define.ts';

export const plateShape = defineShape({
  kind: 'plate',
  sizes: ['length', 'width', 'thickness'],
  properties: {
    /** Radius of its corners; null: square. */
    corner: orUnknown(Length),
  },
  blank: { corner: null },
  handles: { across: 'width', along: 'length' },
  solid: ({ length, width, thickness }, { corner }) =>
    roundedPlate(length, width, thickness, corner === null ? 0 : toMm(corner)),
  problems: ({ length = Infinity, width = Infinity }, { corner }, pointer) => {
    if (corner === null) return [];
    const [cornerMm, narrowMm] = [toMm(corner), Math.min(length, width)];
    return cornerMm < 0 || 2 * cornerMm > narrowMm + 1e-9
      ? [{ code: 'corner_too_round', pointer: `${pointer}/corner`, cornerMm, narrowMm }]
      : [];
  },
});
