import { Type } from '@sinclair/typebox';
import { orUnknown } from '../../base/index.ts';
import { flatEllipse } from '../solid/flatEllipse.ts';
import { defineShape } from './define.ts';

/** Laid on another part: its body follows from its wool. */
export const patchShape = defineShape({
  kind: 'patch',
  sizes: ['length', 'width'],
  properties: {
    onPartId: orUnknown(Type.String({ maxLength: 40, description: 'what it is laid on' })),
  },
  blank: { onPartId: null },
  handles: { across: 'width', along: 'length' },
  bodyOfWool: ({ length, width }, volumeMm3) =>
    flatEllipse(length, width, volumeMm3 / ((Math.PI / 4) * length * width)),
});
