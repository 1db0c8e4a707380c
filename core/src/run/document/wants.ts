/** What a run may want before it goes on. */
export const RUN_WANTS = [
  'choices',
  'stock',
  'counts',
  'amounts',
  'weighing',
  'packing',
  'left-out',
  'needles',
  'sharps',
  'heat',
  'tips',
  'difference',
] as const;

export type RunWants = (typeof RUN_WANTS)[number];
