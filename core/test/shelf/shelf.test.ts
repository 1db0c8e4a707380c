import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { topsLength, woolOnShelf } from '../../src/engine/index.ts';
import type { Problem } from '../../src/problems/index.ts';
import {
  BLANK_FIBRE,
  BLANK_FINDING,
  BLANK_NEEDLE,
  BLANK_SUPPLIER,
  BLANK_TOOL,
  blankLot,
  blankMeasure,
  checkFibre,
  checkFinding,
  checkLot,
  checkNeedle,
  checkSupplier,
  checkTool,
  contradiction,
  countDifferenceMilli,
  cutFraction,
  drawerOf,
  feltsAlone,
  FibreInput,
  fibreNumber,
  FindingInput,
  findingMassG,
  fromMilli,
  type Lot,
  lotInUse,
  lotsPackedFrom,
  measure,
  movementMilli,
  NeedleInput,
  needleName,
  NO_OVERRIDES,
  ofLot,
  PREPARATION_DEFAULTS,
  PREPARATIONS,
  pricePer100Minor,
  putUpAmount,
  sheetMassG,
  SupplierInput,
  toMilli,
  ToolInput,
  tooSmallFor,
  weighedPieces,
} from '../../src/shelf/index.ts';
import { fibre } from '../support/make.ts';
import { uniform } from '../support/random.ts';

const places = (problems: readonly Problem[]) => problems.map(({ code, pointer }) => `${code} ${pointer}`);
const lot = (id: string, onHandG: number | null, more: Partial<Lot> = {}): Lot => ({
  ...blankLot(id),
  id,
  version: 1,
  onHandG,
  ...more,
});

describe('what may not be a fibre', () => {
  const ok = { ...BLANK_FIBRE, name: 'Moss' };
  test.each([
    ['a plain one', {}, []],
    ['no name', { name: ' ' }, ['title_empty /name']],
    ['a colour in words', { colour: 'blue-ish' }, ['colour_not_read /colour']],
    ['0 g/m', { linearGPerM: 0 }, ['number_out_of_range /linearGPerM']],
    ['a staple of 3 m', { stapleMm: 3000 }, ['number_out_of_range /stapleMm']],
    ['over the density of a packed stone', { densityFactor: 3 }, ['number_out_of_range /densityFactor']],
  ])('%s', (_name, change, expected) => expect(places(checkFibre({ ...ok, ...change }))).toEqual(expected));
});

describe('lots', () => {
  test('two lots with one name are refused, whatever their capitals', () => {
    expect(places(checkLot(blankLot('Spring '), ['spring']))).toEqual(['name_taken /name']);
    expect(checkLot(blankLot('autumn'), ['spring'])).toEqual([]);
  });
  test('what a lot says goes before its fibre; what it does not say is the fibre’s', () => {
    const moss = fibre('moss', { stapleMm: 60, colour: '#6b7d36' });
    const ownLot = lot('a', 5, { overrides: { ...NO_OVERRIDES, colour: '#758238' }, pricePer100gMinor: 610 });
    expect(ofLot(moss, ownLot)).toMatchObject({ colour: '#758238', stapleMm: 60, pricePer100gMinor: 610 });
  });
  test('the oldest lot with anything left is in use, and the engine works from it', () => {
    const ownLot = lot('b', 12, { overrides: { ...NO_OVERRIDES, linearGPerM: 30 } });
    const moss = fibre('moss', { linearGPerM: 20, lots: [lot('a', 0), ownLot, lot('c', 40)] });
    expect(lotInUse(moss)?.id).toBe('b');
    expect(woolOnShelf([moss], []).get('moss')?.linearGPerM).toBe(30);
    expect(lotInUse(fibre('bare', { lots: [lot('a', null)] }))).toBeNull();
  });
  test.each([
    [
      'a colour in words',
      { overrides: { ...NO_OVERRIDES, colour: 'greenish' } },
      ['colour_not_read /overrides/colour'],
    ],
    [
      '0 g/m',
      { overrides: { ...NO_OVERRIDES, linearGPerM: 0 } },
      ['number_out_of_range /overrides/linearGPerM'],
    ],
    ['a day there is not', { receivedOn: '2026-02-30' }, ['date_not_read /receivedOn']],
  ])('refused: %s', (_name, change, expected) =>
    expect(places(checkLot({ ...blankLot('a'), ...change }, []))).toEqual(expected),
  );
});

test.each([
  ['the oldest alone, and its note prints', 5, ['a']],
  ['two, when the oldest is not enough', 10, ['a', 'c']],
  ['all there are, when they are not enough', 100, ['a', 'c']],
])('packed from %s', (_name, massG, expected) => {
  const lots = [lot('a', 6), lot('b', 0), lot('c', 12)];
  expect(lotsPackedFrom(lots, massG).map(({ id }) => id)).toEqual(expected);
});

test.each([
  ['an eye in core batt', 'core-batt', null, 4, { value: 12, isDefault: true }],
  ['a head in core batt', 'core-batt', null, 40, null],
  ['an eye in a core batt that the maker knows to be fine', 'core-batt', 3, 4, null],
] as const)('fit for: %s', (_name, preparation, smallestPartMm, acrossMm, expected) => {
  expect(tooSmallFor({ preparation, smallestPartMm }, acrossMm)).toEqual(expected);
});

describe('defaults', () => {
  test('what is said goes before the default, and the default is marked', () => {
    expect(fibreNumber(fibre('a', { stapleMm: 42 }), 'stapleMm')).toEqual({ value: 42, isDefault: false });
    expect(fibreNumber(fibre('a', { preparation: 'tops' }), 'stapleMm')).toEqual({
      value: 75,
      isDefault: true,
    });
  });
  test('grams per metre are never guessed', () => {
    for (const preparation of PREPARATIONS)
      expect(fibreNumber(fibre('a', { preparation }), 'linearGPerM')).toBeNull();
  });
  test('felt sheet does not felt on; a word of the maker’s does', () => {
    expect(feltsAlone(fibre('a', { preparation: 'felt' }))).toBe(false);
    expect(feltsAlone(fibre('a', { preparation: 'felt', feltsAlone: true }))).toBe(true);
  });
});

describe('measured, not looked up', () => {
  const scale = { scaleStepG: 0.1, cutFraction: 0 };
  test('12 pieces of 30 cm weigh 8.6 g: 2.39 g/m', () => {
    const found = measure([{ pieces: 12, eachAmount: 0.3, massG: 8.6 }], {
      scaleStepG: 0.1,
      cutFraction: 2 / 300,
    });
    expect(found?.value).toBeCloseTo(8.6 / 3.6, 12);
    expect((found?.high ?? 0) / (found?.value ?? 1)).toBeGreaterThan(1.002);
    expect((found?.high ?? 0) / (found?.value ?? 1)).toBeLessThan(1.02);
  });
  test('a 20 × 30 cm piece weighs 14 g: 233 g/m²', () => {
    expect(measure([{ pieces: 1, eachAmount: 0.06, massG: 14 }], scale)?.value).toBeCloseTo(233.33, 2);
  });
  test('20 pinches weigh 2.3 g: 0.115 g each', () => {
    expect(measure([{ pieces: 20, eachAmount: 1, massG: 2.3 }], scale)?.value).toBeCloseTo(0.115, 12);
  });
  test('several weighings: all grams over all pieces, and wider the further they lie apart', () => {
    const near = measure(
      [2.3, 2.4].map((massG) => ({ pieces: 20, eachAmount: 1, massG })),
      scale,
    );
    const far = measure(
      [1.7, 3.0].map((massG) => ({ pieces: 20, eachAmount: 1, massG })),
      scale,
    );
    expect(near?.value).toBeCloseTo(far?.value ?? 0, 12);
    expect((far?.high ?? 0) - (far?.low ?? 0)).toBeGreaterThan(5 * ((near?.high ?? 0) - (near?.low ?? 0)));
  });
  test('the spread of one weighing holds the truth 8 times in 10, judged by weighing on a rough scale', () => {
    const random = uniform(3);
    let held = 0;
    const tries = 4000;
    for (let i = 0; i < tries; i++) {
      const trueG = 5 + 5 * random();
      const read = Math.round(trueG / 0.5) * 0.5;
      const found = measure([{ pieces: 10, eachAmount: 1, massG: read }], {
        scaleStepG: 0.5,
        cutFraction: 0,
      });
      if (found && found.low <= trueG / 10 && trueG / 10 <= found.high) held++;
    }
    // An even error read as a log-normal: a little under 8 in 10.
    expect(held / tries).toBeGreaterThan(0.7);
    expect(held / tries).toBeLessThan(0.85);
  });
  test.each([[[]], [[{ pieces: 0, eachAmount: 1, massG: 2 }]], [[{ pieces: 3, eachAmount: 1, massG: 0 }]]])(
    'nothing weighed is nothing known',
    (weighings) => expect(measure(weighings, scale)).toBeNull(),
  );
  test('a weight and a length that contradict the record by over 15 %', () => {
    expect(contradiction(24, 24)).toBeNull();
    expect(contradiction(27.5, 24)).toBeNull();
    expect(contradiction(28, 24)).toBeCloseTo(1 / 6, 9);
    expect(contradiction(18, 24)).toBeCloseTo(-0.25, 9);
  });
  test('grams to metres and back: what is cut weighs what was asked', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 50, noNaN: true }),
        fc.double({ min: 1, max: 60, noNaN: true }),
        (massG, gPerM) => {
          const cut = topsLength(massG, gPerM, null);
          if (cut.kind !== 'pull') throw new Error('without a staple it is only a length');
          const back = measure([{ pieces: 1, eachAmount: cut.lengthMm / 1000, massG }], scale);
          expect(back?.value).toBeCloseTo(gPerM, 6);
        },
      ),
    );
  });
  const typed = { pieces: 12, lengthCm: 30, widthCm: 20, massG: 8.6 };
  test.each([
    ['pieces of a length, in metres', 'length', typed, { pieces: 12, eachAmount: 0.3, massG: 8.6 }],
    ['pieces of an area, in square metres', 'area', typed, { pieces: 12, eachAmount: 0.06, massG: 8.6 }],
    ['pinches, one by one', 'hand', typed, { pieces: 12, eachAmount: 1, massG: 8.6 }],
    ['no mass yet', 'length', { ...typed, massG: null }, null],
    ['no width yet', 'area', { ...typed, widthCm: null }, null],
  ] as const)('as typed: %s', (_name, measuring, weighing, expected) => {
    expect(weighedPieces(weighing, measuring)).toEqual(expected);
  });
  test.each([
    ['2 mm on the length', 'length', 2 / 300],
    ['on the shorter side of a piece', 'area', 2 / 200],
    ['nothing is cut of a pinch', 'hand', 0],
  ] as const)('how far cutting strays: %s', (_name, measuring, expected) => {
    expect(cutFraction([typed], measuring)).toBeCloseTo(expected, 12);
  });
  test('a sheet’s grams, unknown while anything is', () => {
    expect(sheetMassG({ arealGPerM2: 180, sheetLengthMm: 500, sheetWidthMm: 400 })).toBeCloseTo(36, 12);
    expect(sheetMassG({ arealGPerM2: null, sheetLengthMm: 500, sheetWidthMm: 400 })).toBeNull();
  });
});

describe('the ledger', () => {
  test('the number on hand is always the sum, whatever came, went and was counted', () => {
    const event = fc.oneof(
      fc.record({
        kind: fc.constant('move' as const),
        reason: fc.constantFrom('received', 'packed', 'sample', 'spoiled', 'returned'),
        amount: fc.integer({ min: 1, max: 900_000 }).map((n) => n / 1000),
      }),
      fc.record({
        kind: fc.constant('count' as const),
        amount: fc.integer({ min: 0, max: 900_000 }).map((n) => n / 1000),
      }),
    );
    fc.assert(
      fc.property(fc.array(event, { maxLength: 30 }), (events) => {
        const movements: number[] = [];
        const sum = () => movements.reduce((all, movement) => all + movement, 0);
        let exactMilli = 0;
        for (const ledgerEvent of events) {
          if (ledgerEvent.kind === 'count') {
            const difference = countDifferenceMilli(
              movements.length === 0 ? null : fromMilli(sum()),
              ledgerEvent.amount,
            );
            if (difference !== null) movements.push(difference);
            exactMilli = Math.round(ledgerEvent.amount * 1000);
          } else {
            movements.push(movementMilli(ledgerEvent));
            exactMilli +=
              (ledgerEvent.reason === 'received' || ledgerEvent.reason === 'returned' ? 1 : -1) *
              Math.round(ledgerEvent.amount * 1000);
          }
          expect(sum()).toBe(exactMilli);
        }
      }),
    );
  });
  test('a first count of nought is written, a count that finds the same is not', () => {
    expect(countDifferenceMilli(null, 0)).toBe(0);
    expect(countDifferenceMilli(12.3, 12.3)).toBeNull();
    expect(toMilli(0.1 + 0.2)).toBe(300);
  });
  test('how full a drawer is against what runs will take', () => {
    expect(drawerOf(30, 120, 12)).toEqual({ fillFraction: 0.25, promisedFraction: 0.1, free: 18, short: 0 });
    expect(drawerOf(30, 40, 60)).toEqual({ fillFraction: 0.5, promisedFraction: 1, free: 0, short: 30 });
    expect(drawerOf(0, 0, 0)).toEqual({ fillFraction: 0, promisedFraction: 0, free: 0, short: 0 });
    expect(drawerOf(null, 0, 12)).toBeNull();
  });
});

describe('findings', () => {
  const bead = { ...BLANK_FINDING, name: 'Bead' };
  test.each([
    ['a plain one', {}, []],
    [
      'wider inside than out',
      { measure: { ...blankMeasure('count'), outerMm: { length: 8, width: 8, height: 8 }, innerMm: 9 } },
      ['inner_over_outer /measure/innerMm'],
    ],
    [
      'the widest narrower than the narrowest',
      { measure: { ...blankMeasure('count'), innerMm: 26, innerHighMm: 23 } },
      ['inner_range_reversed /measure/innerHighMm'],
    ],
    [
      'only the widest',
      { measure: { ...blankMeasure('count'), innerHighMm: 23 } },
      ['inner_range_reversed /measure/innerHighMm'],
    ],
    ['a post', { measure: { ...blankMeasure('count'), postMm: 11 } }, []],
    [
      'a post of nothing',
      { measure: { ...blankMeasure('count'), postMm: 0 } },
      ['number_out_of_range /measure/postMm'],
    ],
    [
      'a pack of nothing',
      { measure: { ...blankMeasure('count'), piecesPerPack: 0 } },
      ['number_out_of_range /measure/piecesPerPack'],
    ],
    [
      'wire of 0 mm',
      { measure: { ...blankMeasure('length'), diameterMm: 0 } },
      ['number_out_of_range /measure/diameterMm'],
    ],
  ])('%s', (_name, change, expected) => {
    expect(places(checkFinding({ ...bead, ...change }))).toEqual(expected);
  });
  test.each([
    ['ten beads', { ...blankMeasure('count'), massG: 0.6, piecesPerPack: 10 }, 10, 6],
    ['a reel', { ...blankMeasure('length'), linearGPerM: 8.9, metresPerPack: 25 }, 25, 222.5],
    [
      'a sheet',
      { ...blankMeasure('area'), arealGPerM2: 260, sheetLengthMm: 300, sheetWidthMm: 450 },
      1350,
      35.1,
    ],
    ['a bottle', blankMeasure('volume'), 50, null],
  ] as const)('a put-up and what it weighs: %s', (_name, measured, amount, massG) => {
    expect(putUpAmount(measured)).toBe(amount);
    const found = findingMassG(measured, amount);
    if (massG === null) expect(found).toBeNull();
    else expect(found).toBeCloseTo(massG, 9);
  });
});

describe('needles, tools, suppliers', () => {
  test.each([
    [
      'gauge, profile and mark',
      { gauge: 38, profile: 'star', mark: { word: 'sea', colour: '#3f8288' } },
      '38 star, sea',
    ],
    ['a word alone', { sizeWord: 'large' }, 'large'],
    ['a mark alone', { mark: { word: 'plum', colour: '#7a3f72' } }, 'plum'],
  ] as const)('a needle is called by %s', (_name, more, expected) => {
    expect(needleName({ ...BLANK_NEEDLE, ...more })).toBe(expected);
    expect(checkNeedle({ ...BLANK_NEEDLE, ...more })).toEqual([]);
  });
  test.each([
    ['nothing to ask for it by', {}, ['needle_nameless /gauge']],
    ['gauge 50', { gauge: 50 }, ['number_out_of_range /gauge']],
    ['gauge 37½', { gauge: 37.5 }, ['not_whole /gauge']],
    ['a reach of 0', { gauge: 38, reachMm: 0 }, ['number_out_of_range /reachMm']],
  ])('a needle may not be: %s', (_name, more, expected) => {
    expect(places(checkNeedle({ ...BLANK_NEEDLE, ...more }))).toEqual(expected);
  });
  test('a holder for none', () => {
    expect(places(checkTool({ ...BLANK_TOOL, name: 'Holder', sort: 'holder', needles: 0 }))).toEqual([
      'number_out_of_range /needles',
    ]);
  });
  test('one pack at two prices', () => {
    const offer = { itemId: 'a', packAmount: 100, priceMinor: 540, reference: '' };
    const supplier = {
      ...BLANK_SUPPLIER,
      name: 'Two Piers',
      offers: [offer, { ...offer, packAmount: 500 }, { ...offer, priceMinor: 1 }],
    };
    expect(places(checkSupplier(supplier))).toEqual(['pack_twice /offers/2/packAmount']);
    expect(pricePer100Minor({ ...offer, packAmount: 500, priceMinor: 2250 })).toBe(450);
  });
});

test('the handbook lists every property of everything on the shelf, and every default', () => {
  const handbook = readFileSync(new URL('../../../docs/shelf.md', import.meta.url), 'utf8');
  const schemas = { FibreInput, FindingInput, NeedleInput, ToolInput, SupplierInput };
  for (const [name, schema] of Object.entries(schemas)) {
    for (const property of Object.keys(schema.properties))
      expect([name, handbook]).toEqual([name, expect.stringContaining(`\`${property}\``)]);
  }
  for (const [preparation, defaults] of Object.entries(PREPARATION_DEFAULTS)) {
    const row = handbook.split('\n').find((line) => line.startsWith(`| \`${preparation}\``));
    const cells = row?.split('|').map((cell) => cell.trim()) ?? [];
    const { feltsAlone: felts, fineness, stapleMm, loftGPerCm3, smallestPartMm, hidingGPerM2 } = defaults;
    expect(cells.slice(2, -1)).toEqual(
      [felts ? 'yes' : 'no', fineness, stapleMm ?? '–', loftGPerCm3, smallestPartMm, hidingGPerM2].map(
        String,
      ),
    );
  }
});
