import { dome } from '../solid/dome.ts';
import { defineShape } from './define.ts';

export const domeShape = defineShape({
  kind: 'dome',
  sizes: ['diameter', 'rise'],
  properties: {},
  blank: {},
  handles: { across: 'diameter', along: 'rise' },
  solid: ({ diameter, rise }) => dome(diameter, rise),
});
