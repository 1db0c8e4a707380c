/** In the order they come up in the making; a step belongs to one. */
export const STAGES = [
  'skeleton',
  'core',
  'shape',
  'coat',
  'join',
  'detail',
  'hair',
  'mount',
  'finish',
] as const;
export type Stage = (typeof STAGES)[number];
