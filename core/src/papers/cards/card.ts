import { CARE } from '../paper.ts';
import type { Block, Booklet, PictureSource } from '../booklet/model.ts';
import { part } from '../booklet/part.ts';

/** A card as a booklet of one part without a heading: it is set by the same rules. */
export const cardOf = (
  title: string,
  lines: readonly string[],
  blocks: readonly Block[],
  pictures: Readonly<Record<string, PictureSource>> = {},
): Booklet => ({
  title,
  whose: '',
  language: 'en-GB',
  lines: lines.filter((line) => line !== ''),
  figureKey: FIGURE in pictures ? FIGURE : null,
  parts: [part('card', '', blocks)],
  pictures,
  foot: CARE,
});

/** Stands beside the title. */
export const FIGURE = 'figure';
