import { estimatePattern, onlyFibres } from '@lanakit/core/engine';
import { readList } from '@lanakit/core/files';
import {
  blankJoin,
  blankPart,
  blankPattern,
  blankUse,
  type Part,
  type Pattern,
  type Use,
} from '@lanakit/core/pattern';
import { previewResize } from '@lanakit/core/resize';
import { planPortions } from '@lanakit/core/run';
import { BLANK_FIBRE, type Fibre, nearestColours } from '@lanakit/core/shelf';
import { time, type Row } from './measure.ts';

const mm = (value: number) => ({ value, unit: 'mm' as const });

export const benchFibres: readonly Fibre[] = Array.from({ length: 12 }, (_, i) => ({
  ...BLANK_FIBRE,
  id: `f${i}`,
  version: 1,
  name: `Fibre ${i}`,
  preparation: i % 3 === 0 ? 'tops' : 'carded',
  colour: `#${((i * 1_234_567 + 999_999) % 0xffffff).toString(16).padStart(6, '0')}`,
  linearGPerM: 22,
  stapleMm: 75,
  pricePer100gMinor: 500,
  lots: [],
  onHandG: 200,
  peakG: 200,
}));

const SHAPES: readonly ((i: number) => Part['shape'])[] = [
  (i) => ({ kind: 'ball', diameter: mm(20 + i) }),
  (i) => ({ kind: 'ellipsoid', length: mm(30 + i), width: mm(22 + i), height: mm(18 + i) }),
  (i) => ({ kind: 'egg', length: mm(40 + i), diameter: mm(30 + i), widestAtFraction: 0.4 }),
  (i) => ({ kind: 'limb', length: mm(50 + i), diameter: mm(9) }),
  (i) => ({ kind: 'taper', length: mm(40 + i), thickEnd: mm(14), thinEnd: mm(4) }),
  (i) => ({ kind: 'flat-ellipse', length: mm(38 + i), width: mm(20), thickness: mm(5) }),
];

const size = (value: number) => ({ length: mm(value), width: mm(value) });

/** A part with five uses: core, coat, a second coat over a patch, a line, dots. */
const partWithFive = (i: number): Part => {
  const [core, coat, other] = [`f${i % 12}`, `f${(i + 5) % 12}`, `f${(i + 8) % 12}`];
  return {
    ...blankPart(`p${i}`, `Part ${i}`),
    shape: SHAPES[i % SHAPES.length]?.(i % 60) ?? { kind: 'ball', diameter: mm(20) },
    count: 1 + (i % 8),
    uses: [
      blankUse(`c${i}`, 'core', core),
      blankUse(`a${i}`, 'coat', coat),
      { ...blankUse(`b${i}`, 'coat', other), cover: { kind: 'patch', ...size(8) } } as Use,
      { ...blankUse(`l${i}`, 'line', other), length: mm(20) } as Use,
      { ...blankUse(`d${i}`, 'dot', other), diameter: mm(2), count: 3 } as Use,
    ],
  };
};

/** A figure of so many parts, each set onto the one before, its joins covered. */
export const figureOf = (parts: number, title = `${parts} parts`): Pattern => ({
  ...blankPattern(title),
  finishedHeight: mm(200),
  level: 'practised',
  parts: Array.from({ length: parts }, (_, i) => partWithFive(i)),
  joins: Array.from({ length: Math.min(60, parts - 1) }, (_, i) => ({
    ...blankJoin(`j${i}`, `p${i + 1}`, `p${i}`),
    cover: { fibreId: 'f2', band: null, words: '', wordsSizeFraction: 1, isIfNeeded: false },
  })),
});

const sixtyParts = figureOf(60);

/** 200 fibres all over the colours that wool is dyed in (a plain generator, the same every time). */
function twoHundredFibres() {
  let state = 1;
  const channel = () => {
    state = (state * 16_807) % 2_147_483_647;
    return Math.floor(20 + (215 * state) / 2_147_483_647)
      .toString(16)
      .padStart(2, '0');
  };
  return Array.from({ length: 200 }, (_, i) => ({
    id: `f${i}`,
    colour: `#${channel()}${channel()}${channel()}`,
  }));
}

const LONG_LIST = new TextEncoder().encode(
  `name;prepared as;colour;g per m;price per 100 g\n${Array.from({ length: 5000 }, (_, i) => `Fibre ${i};tops;#6b7d36;21,5;6,40`).join('\n')}`,
);
const NOTHING = { fibres: [], blends: [], findings: [], needles: [], tools: [], suppliers: [] };
const GUESS = { encoding: null, delimiter: null, decimal: null };

export async function benchCore(): Promise<Row[]> {
  const candidates = twoHundredFibres();
  const shelf = onlyFibres(new Map(benchFibres.map((fibre) => [fibre.id, fibre])));
  const tenThousand = figureOf(10_000);
  const estimate = estimatePattern(sixtyParts, shelf);
  const terms = { seats: 500, sparePacks: 0, scaleStepG: 0.1, extraFraction: 0.1 };
  return [
    await time(
      'estimate of a pattern',
      '60 parts × 5 uses, 59 joins',
      () => estimatePattern(sixtyParts, shelf),
      200,
    ),
    await time(
      'estimate of a pattern',
      '10 000 parts × 5 uses',
      () => estimatePattern(tenThousand, shelf),
      5,
    ),
    await time(
      'another size, beside this one',
      '60 parts × 5 uses',
      () => previewResize(sixtyParts, 0.8, shelf),
      60,
    ),
    await time(
      'portions of a class',
      '500 seats × 60 parts',
      () => planPortions(estimatePattern(sixtyParts, shelf), terms, () => ({ onHandG: 200, promisedG: 0 })),
      200,
    ),
    await time(
      'portions alone',
      '500 seats × 60 parts',
      () => planPortions(estimate, terms, () => ({ onHandG: 200, promisedG: 0 })),
      200,
    ),
    await time('nearest blends of three', '200 fibres', () => nearestColours('#6b7d36', candidates), 12),
    await time(
      'a list read for its preview',
      '5 000 rows',
      () => readList(LONG_LIST, 'fibres', GUESS, NOTHING),
      12,
    ),
  ];
}
