import { showNumber } from '../base/index.ts';
import type { OutlineRefusal } from '../shapes/outline/index.ts';

/** Why an outline was refused, where, and what to do. */
export function outlineRefusalWords(refusal: OutlineRefusal): string {
  switch (refusal.code) {
    case 'outline_not_read':
      return 'This is neither an SVG drawing nor path data. Choose the file, or paste what is in it.';
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
