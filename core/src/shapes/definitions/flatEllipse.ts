import { flatEllipse } from '../solid/flatEllipse.ts';
import { defineShape } from './define.ts';

export const flatEllipseShape = defineShape({
  kind: 'flat-ellipse',
  sizes: ['length', 'width', 'thickness'],
  properties: {},
  blank: {},
  handles: { across: 'width', along: 'length' },
  solid: ({ length, width, thickness }) => flatEllipse(length, width, thickness),
});
