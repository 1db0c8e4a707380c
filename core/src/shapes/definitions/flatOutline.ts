import { Type } from '@sinclair/typebox';
import { outlineContours } from '../outline/outlineContours.ts';
import { outlineFault } from '../outline/outlineFault.ts';
import { plate } from '../solid/plate.ts';
import { defineShape } from './define.ts';

/** Cut or felted flat to an outline of one's own; `length` is the real height of the whole outline. */
export const flatOutlineShape = defineShape({
  kind: 'flat-outline',
  sizes: ['length', 'thickness'],
  properties: {
    path: Type.String({ maxLength: 200_000, description: 'SVG path data, closed, any unit, even-odd' }),
  },
  blank: { path: '' },
  handles: { across: null, along: 'length' },
  solid: ({ length, thickness }, { path }) => {
    const contours = outlineContours(path, length);
    return contours.length === 0 ? null : plate(contours, thickness);
  },
  // An outline that was read here is sound; one that came with a document from elsewhere may not be.
  problems: (_sizes, { path }, pointer) => {
    const fault = path === '' ? null : outlineFault(path);
    return fault ? [{ code: 'outline_unsound', pointer: `${pointer}/path`, fault }] : [];
  },
});
