import { guideOf } from '../guide/guideOf.ts';
import { guideOfBuild } from '../guide/guideOfPattern.ts';
import { type BookletPart, quiet, say } from './model.ts';
import { part } from './part.ts';
import type { BookletSource } from './source.ts';

/** Every piece at true size, on pages of its own at the end; null: nothing of it can be drawn. */
export function guidePart({ build, whole, wool, terms }: BookletSource): BookletPart | null {
  const page = terms.page === 'letter' ? 'letter' : 'a4';
  const { pages, missing } = guideOf(guideOfBuild(build, whole), wool, page);
  if (pages.length === 0) return null;
  return part('guide', 'Size guide', [
    say({ text: pages.length === 1 ? 'One page' : `${pages.length} pages`, to: SHEETS }, ` of ${page === 'a4' ? 'A4' : 'Letter'} at true size. Print at 100 %, not “fit to page”, and hold a ruler to the scale on the page.`),
    ...missing.map((words) => quiet(words)),
    { is: 'sheets', anchor: SHEETS, about: 'Pieces at true size', page, sheets: pages },
  ]);
} // prettier-ignore

const SHEETS = 'guide-sheets';
