import type { TProperties } from '@sinclair/typebox';
import { toMm } from '../base/index.ts';
import type { ShapeRules, SizesMm } from './definitions/define.ts';
import { SHAPE_DEFINITIONS } from './definitions/registry.ts';
import { type Shape, type SizeName, sizesOf } from './shape.ts';

/** The rules of one shape, whichever it is. What it is asked with is of its own kind. */
export const rulesOf = (shape: Shape): ShapeRules<string, SizeName, TProperties> =>
  SHAPE_DEFINITIONS[shape.kind] as unknown as ShapeRules<string, SizeName, TProperties>;

/** Every size that is given, in mm. */
export const givenMm = (shape: Shape): Partial<SizesMm<SizeName>> =>
  Object.fromEntries([...sizesOf(shape)].flatMap(([name, size]) => (size ? [[name, toMm(size)]] : [])));
