import type { SizeName } from '../shapes/index.ts';

const SIZE_WORDS: Readonly<Record<SizeName, string>> = {
  diameter: 'diameter',
  length: 'length',
  width: 'width',
  height: 'depth',
  thickEnd: 'thick end',
  thinEnd: 'thin end',
  thickness: 'thickness',
  rise: 'height',
  outer: 'outer diameter',
  rope: 'rope thickness',
  wire: 'wire thickness',
  line: 'line it hangs from',
  drop: 'drop',
};

/** The name of a size as a maker says it. */
export const sizeWords = (name: SizeName): string => SIZE_WORDS[name];
