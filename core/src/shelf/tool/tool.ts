import { type Bounds, checkName, checkWhole, oneOf, orUnknown } from '../../base/index.ts';
import { checkNumbers } from '../checks/checkFields.ts';
import type { ShelfProblem } from '../checks/problem.ts';
import { Type, type Static } from '@sinclair/typebox';

const TOOL_SORTS = ['holder', 'surface', 'tool'] as const;
export type ToolSort = (typeof TOOL_SORTS)[number];

/** For whom one is needed. */
export const PROVISIONS = ['person', 'table', 'room'] as const;
export type Provision = (typeof PROVISIONS)[number];

/** Tools that follow from what is done; needles are listed by their sort beside them. */
export const TOOL_KEYS = [
  'surface',
  'holder',
  'finger-guards',
  'scissors',
  'sewing-needle',
  'glue',
  'glue-drops',
  'pliers',
  'wire-cutters',
  'pins',
  'water',
  'scale',
  'ruler',
  'guide',
  'pencil',
  'iron',
  'tape',
] as const;
export type ToolKey = (typeof TOOL_KEYS)[number];

/** A needle holder, a surface to felt on, or any other tool. */
export const ToolInput = Type.Object(
  {
    name: Type.String({ maxLength: 80 }),
    sort: oneOf(TOOL_SORTS),
    needles: orUnknown(Type.Number({ description: 'how many needles a holder takes; null for other tools' })),
    /** Which tool of the lists it is; null: none that steps call for, found by its name where an author listed it. */
    standsFor: orUnknown(oneOf(TOOL_KEYS)),
    provision: oneOf(PROVISIONS),
    isConsumed: Type.Boolean({ description: 'used up, not given back' }),
    isHot: Type.Boolean(),
    isSharp: Type.Boolean(),
    lengthMm: orUnknown(Type.Number()),
    widthMm: orUnknown(Type.Number()),
    priceMinor: orUnknown(Type.Integer({ description: 'each, integer minor units' })),
    place: Type.String({ maxLength: 60 }),
    note: Type.String({ maxLength: 400 }),
    archived: Type.Boolean(),
  },
  { additionalProperties: false },
);
export type ToolInput = Static<typeof ToolInput>;

export interface Tool extends ToolInput {
  readonly id: string;
  readonly version: number;
  readonly onHand: number | null;
  readonly peak: number;
}

export const TOOL_BOUNDS = {
  needles: { min: 1, max: 20 },
  lengthMm: { min: 1, max: 5000 },
  widthMm: { min: 1, max: 5000 },
  priceMinor: { min: 0, max: 1_000_000 },
} as const satisfies Record<string, Bounds>;

export const BLANK_TOOL: ToolInput = {
  name: '',
  sort: 'tool',
  needles: null,
  standsFor: null,
  provision: 'person',
  isConsumed: false,
  isHot: false,
  isSharp: false,
  lengthMm: null,
  widthMm: null,
  priceMinor: null,
  place: '',
  note: '',
  archived: false,
};

export function checkTool(tool: ToolInput): ShelfProblem[] {
  const { needles: _needles, ...bounds } = TOOL_BOUNDS;
  return [
    ...checkName(tool.name),
    ...(tool.needles === null ? [] : checkWhole(tool.needles, TOOL_BOUNDS.needles, '/needles')),
    ...checkNumbers(tool, bounds, ''),
  ];
}
