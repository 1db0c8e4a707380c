import { taper } from '../solid/taper.ts';
import { defineShape } from './define.ts';
import { endsSwapped } from './endsSwapped.ts';

export const taperShape = defineShape({
  kind: 'taper',
  sizes: ['length', 'thickEnd', 'thinEnd'],
  properties: {},
  blank: {},
  handles: { across: 'thickEnd', along: 'length' },
  solid: ({ length, thickEnd, thinEnd }) => taper(length, thickEnd, thinEnd),
  // It may end in a point.
  mayBeNought: ['thinEnd'],
  problems: (sizes, _beside, pointer) => endsSwapped(sizes, pointer),
});
