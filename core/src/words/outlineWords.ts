import { showNumber } from '../base/index.ts';
import type { OutlineRefusal } from '../shapes/outline/index.ts';

/** Why an outline was refused, where, and what to do. */
export function outlineRefusalWords(refusal: OutlineRefusal): string {
  switch (refusal.code) {
    case 'outline_not_read':
      return 'This is neither an SVG drawing nor path data. Choose the file, or paste what is in it.';
    case 'outline_too_long':
      return `The drawing is too long: ${showNumber(refusal.characters, 0)} characters; at most ${showNumber(refusal.most, 0)} are read. Save only the outline.`;
    case 'outline_too_fine':
      return `The drawing has more than ${showNumber(refusal.mostPoints, 0)} points: it is no outline, perhaps a traced photograph. Draw the outline alone.`;
    case 'outline_empty':
      return 'There is no outline in this drawing: only what is drawn as a path or a plain shape is read.';
    case 'outline_open':
      return `The outline is open: it runs from ${place(refusal.from)} to ${place(refusal.to)}. Close it in the drawing.`;
    case 'outline_crosses':
      return `The outline crosses itself at ${place(refusal.at)}. Mend it in the drawing.`;
    case 'outline_units_contradict':
      return (
        `Its width says one unit is ${showNumber(refusal.acrossMm, 0)} mm wide in all and its height ` +
        `${showNumber(refusal.downMm, 0)} mm: the two do not fit the drawing. Set both to the drawing’s own proportion.`
      );
  }
}

const place = ([x, y]: readonly [number, number]): string => `${showNumber(x, 1)}, ${showNumber(y, 1)}`;
