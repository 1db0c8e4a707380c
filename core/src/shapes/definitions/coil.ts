import { coil } from '../solid/coil.ts';
import { defineShape } from './define.ts';
import { endsSwapped } from './endsSwapped.ts';

export const coilShape = defineShape({
  kind: 'coil',
  sizes: ['length', 'thickEnd', 'thinEnd'],
  properties: {},
  blank: {},
  handles: { across: null, along: null },
  solid: ({ length, thickEnd, thinEnd }) => coil(length, thickEnd, thinEnd),
  mayBeNought: ['thinEnd'],
  problems: (sizes, _beside, pointer) => endsSwapped(sizes, pointer),
});
