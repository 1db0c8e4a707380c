import { lookOfBuild } from '../../figure/index.ts';
import type { Words } from './model.ts';
import { figureSvg } from '../figureSvg.ts';
import type { Swatch } from '../paper.ts';
import type { BookletSource } from './source.ts';

/** As fine a line as a page is read with. */
const PAGE_LINE = 1 / 220;

/** The finished figure, drawn; null: nothing of it can be. */
export function figureOf({ build, estimate, wool, whole }: BookletSource) {
  return figureSvg([lookOfBuild(build, estimate, wool, whole)], PAGE_LINE);
}

export function swatchOf({ wool }: Pick<BookletSource, 'wool'>, fibreId: string | null): Swatch | null {
  const fibre = fibreId === null ? undefined : wool.fibres.get(fibreId);
  return fibre ? { colour: fibre.colour, preparation: fibre.preparation } : null;
}

/** A number stays with its unit. */
export const unbroken = (text: string): string =>
  text.replaceAll(/(\d) (mm|cm|in|g|min|h|m|cm²|ml)\b/g, '$1\u00A0$2');

export const unbrokenWords = (words: Words): Words =>
  words.map((run) => ({ ...run, text: unbroken(run.text) }));
