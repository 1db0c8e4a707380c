import { unbroken } from './looks.ts';
import { type Block, type BookletCell, type BookletPart, plain } from './model.ts';

/** Words in a table; a number stays with its unit. */
export const cell = (text: string, more: Partial<BookletCell> = {}): BookletCell => ({
  words: plain(unbroken(text)),
  swatch: null,
  ...more,
});

export const part = (
  anchor: string,
  title: string,
  blocks: readonly Block[],
  within: string | null = null,
): BookletPart => ({ anchor, title, within, blocks });
