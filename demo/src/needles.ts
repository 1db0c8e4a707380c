import {
  BLANK_NEEDLE,
  BLANK_TOOL,
  type NeedleInput,
  type Profile,
  proposeStandsFor,
  type ToolInput,
} from '@lanakit/core/shelf';

/** The demo's marks are invented and follow no known code. */
const MARKS = {
  plum: { word: 'plum', colour: '#7a3f72' },
  oak: { word: 'oak', colour: '#9c7a4d' },
  sea: { word: 'sea', colour: '#3f8288' },
  straw: { word: 'straw', colour: '#d9bf6a' },
  chalk: { word: 'chalk', colour: '#dcd8cc' },
} as const;

type NeedleRow = readonly [
  gauge: number | null,
  profile: Profile | null,
  mark: keyof typeof MARKS | null,
  reachMm: number | null,
  onHand: number,
  priceMinor: number | null,
  more?: Partial<NeedleInput>,
];

const NEEDLES: readonly NeedleRow[] = [
  [32, 'triangular', null, 30, 4, 45],
  [36, 'triangular', 'plum', 25, 18, 48],
  [36, 'crown', null, 6, 3, 95, { note: 'for hair and locks: one barb a side' }],
  [38, 'triangular', 'oak', 22, 41, 48],
  [38, 'star', 'sea', 22, 24, 55],
  [40, 'triangular', 'straw', 20, 27, 52],
  [40, 'spiral', 'sea', 20, 9, 70, { sizeWord: '' }],
  [40, 'reverse', null, 18, 2, 98, { note: 'draws core colour out: fur only' }],
  [42, 'triangular', 'chalk', 18, 11, 62],
  [
    null,
    null,
    null,
    null,
    7,
    null,
    { sizeWord: 'large, from the old tin', note: 'gauge unknown; marks like a 36' },
  ],
];

export const DEMO_NEEDLES = NEEDLES.map(([gauge, profile, mark, reachMm, onHand, priceMinor, more = {}]) => ({
  input: {
    ...BLANK_NEEDLE,
    gauge,
    profile,
    mark: mark === null ? null : MARKS[mark],
    reachMm,
    priceMinor,
    place: 'needle case',
    ...more,
  } satisfies NeedleInput,
  onHand,
}));

type ToolRow = readonly [
  name: string,
  sort: ToolInput['sort'],
  provision: ToolInput['provision'],
  onHand: number | null,
  priceMinor: number | null,
  more?: Partial<ToolInput>,
];

const TOOLS: readonly ToolRow[] = [
  ['Pen holder', 'holder', 'person', 12, 450, { needles: 1 }],
  ['Holder for three', 'holder', 'table', 5, 690, { needles: 3 }],
  ['Holder for seven', 'holder', 'room', 1, 1250, { needles: 7 }],
  ['Foam pad', 'surface', 'person', 14, 380, { lengthMm: 200, widthMm: 150, note: 'worn through after some five classes' }],
  ['Wool mat', 'surface', 'table', 4, 1900, { lengthMm: 300, widthMm: 200 }],
  ['Finger guards', 'tool', 'person', 20, 220],
  ['Small scissors', 'tool', 'table', 5, 780, { isSharp: true }],
  ['Sewing needle', 'tool', 'table', 12, 30, { isSharp: true }],
  ['Wire pliers', 'tool', 'table', 3, 1450, { isSharp: true }],
  ['Glue gun', 'tool', 'room', 2, 1600, { isHot: true }],
  ['Kitchen scale, 0.1 g', 'tool', 'room', 1, 1400],
]; // prettier-ignore

export const DEMO_TOOLS = TOOLS.map(([name, sort, provision, onHand, priceMinor, more = {}]) => ({
  input: {
    ...BLANK_TOOL,
    name,
    sort,
    standsFor: proposeStandsFor({ name, sort }),
    provision,
    priceMinor,
    place: 'tool cupboard',
    ...more,
  } satisfies ToolInput,
  onHand,
}));
