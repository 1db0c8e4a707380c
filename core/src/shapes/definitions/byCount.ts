import { defineShape } from './define.ts';

/** So many of them, whatever their size: a ball of their wool. */
export const byCountShape = defineShape({
  kind: 'by-count',
  sizes: [],
  properties: {},
  blank: {},
  handles: { across: null, along: null },
});
