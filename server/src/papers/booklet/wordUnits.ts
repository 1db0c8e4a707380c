import type { Words } from '@lanakit/core/papers';
import { linesOf } from './lines.ts';
import { INK } from './pen.ts';
import type { Setting } from './setting.ts';
import type { Tagged } from './structure.ts';
import { type Unit, withoutWidows } from './units.ts';

interface WordPlace {
  readonly xPt: number;
  readonly widthPt: number;
  readonly sizePt: number;
  readonly colour: string;
  readonly abovePt: number;
}

/** A paragraph, line by line. */
export function wordUnits(words: Words, place: Partial<WordPlace>, node: Tagged | null, setting: Setting): Unit[] {
  const { xPt, widthPt, sizePt, colour, abovePt } = {
    xPt: 0,
    widthPt: setting.widthPt - (place.xPt ?? 0),
    sizePt: setting.sizePt,
    colour: INK,
    abovePt: setting.sizePt * 0.45,
    ...place,
  };
  return withoutWidows(
    linesOf(words, widthPt, sizePt, setting.measure).map((line, at): Unit => ({
      heightPt: sizePt * setting.lead,
      keepsNext: false,
      abovePt: at === 0 ? abovePt : 0,
      draw: (pen, left, yPt) => pen.line(line, { xPt: left + xPt, yPt, sizePt, colour }, node),
    })),
  );
} // prettier-ignore
