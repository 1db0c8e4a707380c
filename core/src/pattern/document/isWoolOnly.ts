import type { Pattern } from './pattern.ts';

/** Without steps a pattern says what it takes and not how it is made: it is published as wool only, and says so. */
export const isWoolOnly = ({ steps }: Pick<Pattern, 'steps'>): boolean => steps.length === 0;
