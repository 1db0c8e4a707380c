import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  BLANK_BLEND,
  type BlendPart,
  type Candidate,
  checkBlend,
  colourDifference,
  colourOf,
  computeBlends,
  expandBlend,
  lightness,
  mixColours,
  nearestColours,
  notFeltingFraction,
  planBlendLot,
  reflectanceOf,
  type StoredBlend,
  takeFromLots,
} from '../../src/shelf/index.ts';
import { fibre, wools } from '../support/make.ts';
import { uniform } from '../support/random.ts';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
/** Colours that wool has: neither blacker nor whiter nor purer than a dye bath makes. */
const woolColour = fc
  .tuple(...[1, 2, 3].map(() => fc.integer({ min: 24, max: 240 })))
  .map((channels) => `#${channels.map((c) => c.toString(16).padStart(2, '0')).join('')}`);

const parts = (...pairs: [string, number][]): BlendPart[] =>
  pairs.map(([itemId, pair]) => ({ itemId, parts: pair }));
const lookup = (blends: Record<string, BlendPart[]>) => (id: string) => blends[id];
const fractionsOf = (given: BlendPart[], blends: Record<string, BlendPart[]> = {}) => {
  const expanded = expandBlend(given, lookup(blends));
  if (!expanded.ok) throw new Error('not a blend');
  return expanded.fractions;
};

describe('a blend down to its fibres', () => {
  test('parts are fractions', () => {
    expect(Object.fromEntries(fractionsOf(parts(['a', 3], ['b', 1])))).toEqual({ a: 0.75, b: 0.25 });
  });
  test('a blend in a blend is taken apart, and a fibre in both is put together', () => {
    const fractions = fractionsOf(parts(['mix', 2], ['a', 2]), { mix: parts(['a', 1], ['b', 3]) });
    expect(Object.fromEntries(fractions)).toEqual({ a: 0.625, b: 0.375 });
  });
  test('fractions add up to 1, whatever is in what', () => {
    const amounts = fc.array(fc.double({ min: 0.01, max: 100, noNaN: true }), { minLength: 3, maxLength: 3 });
    fc.assert(
      fc.property(
        amounts,
        amounts,
        amounts,
        ([a1 = 1, a2 = 1, a3 = 1], [b1 = 1, b2 = 1, b3 = 1], [c1 = 1, c2 = 1, c3 = 1]) => {
          const blends = {
            low: parts(['f1', a1], ['f2', a2], ['f3', a3]),
            mid: parts(['low', b1], ['f2', b2], ['f4', b3]),
          };
          const fractions = fractionsOf(parts(['mid', c1], ['low', c2], ['f5', c3]), blends);
          expect([...fractions.values()].reduce((sum, value) => sum + value, 0)).toBeCloseTo(1, 12);
        },
      ),
    );
  });
  test.each([
    ['itself', { a: parts(['a', 1]) }, 'a', ['a', 'a']],
    [
      'round three',
      { a: parts(['b', 1], ['x', 1]), b: parts(['c', 1]), c: parts(['a', 2]) },
      'a',
      ['a', 'b', 'c', 'a'],
    ],
  ])('a circle is found and named: %s', (_name, blends, id, circle) => {
    expect(
      expandBlend(
        (blends as Record<string, BlendPart[]>)[id] ?? [],
        lookup(blends as Record<string, BlendPart[]>),
        [id],
      ),
    ).toEqual({ ok: false, circle });
  });
  test('forty blends, each in two of the next, are taken apart once each and not a million times', () => {
    const blends: Record<string, BlendPart[]> = { a0: parts(['f', 1]), b0: parts(['g', 1]) };
    for (let i = 1; i <= 40; i++) {
      blends[`a${i}`] = parts([`a${i - 1}`, 1], [`b${i - 1}`, 3]);
      blends[`b${i}`] = parts([`a${i - 1}`, 1], [`b${i - 1}`, 1]);
    }
    let asked = 0;
    const counting = (id: string) => {
      asked++;
      return blends[id];
    };
    const expanded = expandBlend(blends['a40'] ?? [], counting);
    if (!expanded.ok) throw new Error('not a blend');
    expect(asked).toBeLessThan(200);
    // Each step takes (a, b) to ((a + 3b)/4, (a + b)/2): the share of f closes in on 2/5 from either side.
    expect(expanded.fractions.get('f')).toBeCloseTo(0.4, 9);
  });
  test('no parts, or only parts of nought, are no blend', () => {
    expect(expandBlend([], () => undefined)).toEqual({ ok: false, circle: null });
    expect(expandBlend(parts(['a', 0]), () => undefined)).toEqual({ ok: false, circle: null });
  });
});

describe('what a blend may not be', () => {
  const names = new Map([
    ['a', 'Moss'],
    ['b', 'Kelp'],
    ['tide', 'Tide'],
  ]);
  const codes = (given: BlendPart[], id: string | null = null, blends: Record<string, BlendPart[]> = {}) =>
    checkBlend({ ...BLANK_BLEND, name: 'Tide', parts: given }, id, lookup(blends), (itemId) =>
      names.get(itemId),
    ).map(({ code, pointer }) => `${code} ${pointer}`);
  test.each([
    ['two fibres', parts(['a', 1], ['b', 2]), []],
    ['nothing', [], ['blend_empty /parts']],
    ['parts of nought', parts(['a', 0], ['b', 1]), ['number_out_of_range /parts/0/parts']],
    ['the same fibre twice', parts(['a', 1], ['a', 2]), ['part_twice /parts/1/itemId']],
    ['a fibre that is gone', parts(['gone', 1]), ['fibre_not_found /parts/0/itemId']],
  ])('%s', (_name, given, expected) => expect(codes(given)).toEqual(expected));
  test('a circle says its names', () => {
    const problems = checkBlend(
      { ...BLANK_BLEND, name: 'Tide', parts: parts(['b', 1]) },
      'tide',
      lookup({ b: parts(['tide', 1]) }),
      (id) => names.get(id),
    );
    expect(problems).toEqual([
      { code: 'blend_circular', pointer: '/parts', names: ['Tide', 'Kelp', 'Tide'] },
    ]);
  });
  test('how much of it does not felt alone', () => {
    const fibres = wools(
      fibre('wool'),
      fibre('bamboo', { feltsAlone: false }),
      fibre('sheet', { preparation: 'felt' }),
    );
    expect(
      notFeltingFraction(
        new Map([
          ['wool', 0.6],
          ['bamboo', 0.3],
          ['sheet', 0.1],
        ]),
        fibres,
      ),
    ).toBeCloseTo(0.4, 12);
  });
});

describe('reflectance from a colour', () => {
  test('gives that colour back, within what an eye can tell', () => {
    fc.assert(
      fc.property(hex, (colour) => {
        const back = colourOf(reflectanceOf(colour));
        const isClipped = [1, 3, 5].some(
          (at) =>
            ['00', 'ff'].includes(colour.slice(at, at + 2)) ||
            Number.parseInt(colour.slice(at, at + 2), 16) < 12,
        );
        expect(colourDifference(colour, back)).toBeLessThan(isClipped ? 9 : 4);
      }),
    );
  });
  test('is between 0 and 1 at every wavelength, and smooth for wool', () => {
    fc.assert(
      fc.property(woolColour, (colour) => {
        const spectrum = reflectanceOf(colour);
        spectrum.forEach((value, i) => {
          expect(value).toBeGreaterThan(0);
          expect(value).toBeLessThan(1);
          if (i > 0) expect(Math.abs(value - (spectrum[i - 1] ?? 0))).toBeLessThan(0.35);
        });
        expect(colourDifference(colour, colourOf(spectrum))).toBeLessThan(0.8);
      }),
    );
  });
  test('white under D65 is white: the tables of the eye and the light agree with sRGB', () => {
    expect(colourOf(new Float64Array(36).fill(1))).toBe('#ffffff');
    expect(colourOf(new Float64Array(36).fill(0.5))).toBe('#bcbcbc');
  });
});

describe('colour of a blend', () => {
  test('of one fibre is that fibre', () => {
    fc.assert(
      fc.property(woolColour, (colour) =>
        expect(colourDifference(mixColours([{ colour, fraction: 1 }]), colour)).toBeLessThan(0.8),
      ),
    );
  });
  test('of one colour with itself stays', () => {
    fc.assert(
      fc.property(woolColour, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (colour, fraction) => {
        const mixed = mixColours([
          { colour, fraction },
          { colour, fraction: 1 - fraction },
        ]);
        expect(colourDifference(mixed, colour)).toBeLessThan(0.8);
      }),
    );
  });
  test('does not depend on the order', () => {
    fc.assert(
      fc.property(woolColour, woolColour, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (a, b, x) => {
        const given = { colour: a, fraction: x };
        const two = { colour: b, fraction: 1 - x };
        expect(mixColours([given, two])).toBe(mixColours([two, given]));
      }),
    );
  });
  test('dark fibre outweighs pale: darker than an average of the two would be', () => {
    const mixed = mixColours([
      { colour: '#1d1c1e', fraction: 0.1 },
      { colour: '#f6f4ee', fraction: 0.9 },
    ]);
    expect(lightness(mixed)).toBeLessThan(75);
    expect(lightness(mixed)).toBeGreaterThan(55);
  });
  test('against a hand calculation of Stearns and Noechel at a single wavelength', () => {
    // Greys have the same reflectance at every wavelength, so one band decides. Linear 0.6 and 0.05, half and half.
    const f = (R: number) => (1 - R) / (0.15 * (R - 0.01) + 0.01);
    const mean = (f(0.6) + f(0.05)) / 2;
    let [low, high] = [0, 1];
    for (let i = 0; i < 60; i++) {
      const R = (low + high) / 2;
      if (f(R) > mean) low = R;
      else high = R;
    }
    const encode = (v: number) => Math.round(255 * (1.055 * v ** (1 / 2.4) - 0.055));
    const grey = (v: number) => `#${encode(v).toString(16).padStart(2, '0').repeat(3)}`;
    const mixed = mixColours([
      { colour: grey(0.6), fraction: 0.5 },
      { colour: grey(0.05), fraction: 0.5 },
    ]);
    expect(colourDifference(mixed, grey(low))).toBeLessThan(0.6);
  });
});

test('a blend stands beside fibres: the shortest staple, the mean price, every flag', () => {
  const fibres = wools(
    fibre('a', { colour: '#5f2f58', stapleMm: 80, pricePer100gMinor: 600, flags: ['lanolin'] }),
    fibre('b', {
      colour: '#8fb4b8',
      stapleMm: 60,
      pricePer100gMinor: 400,
      flags: ['plant'],
      feltsAlone: false,
    }),
  );
  const stored: StoredBlend = {
    ...BLANK_BLEND,
    id: 'mix',
    version: 1,
    name: 'Mix',
    parts: parts(['a', 3], ['b', 1]),
    lots: [],
    onHandG: null,
    peakG: 0,
  };
  const [blend] = computeBlends([stored], fibres);
  expect(blend?.asFibre).toMatchObject({
    name: 'Mix',
    stapleMm: 60,
    pricePer100gMinor: 550,
    feltsAlone: true,
    flags: ['lanolin', 'plant'],
    hidingGPerM2: null,
  });
  const [broken] = computeBlends([{ ...stored, parts: parts(['a', 1], ['gone', 1]) }], fibres);
  expect(broken?.asFibre).toBeNull();
});

describe('a lot of a blend', () => {
  test('every weighing is rounded up to the scale, and the share held back is on top', () => {
    const plan = planBlendLot(
      new Map([
        ['a', 0.625],
        ['b', 0.25],
        ['c', 0.125],
      ]),
      40,
      0.2,
      1,
    );
    expect(plan.lotG).toBeCloseTo(50, 9);
    expect(plan.heldBackG).toBeCloseTo(10, 9);
    expect(plan.components.map(({ weighedG }) => weighedG)).toEqual([32, 13, 7]);
    expect(plan.totalG).toBe(52);
  });
  test.each([
    ['1 g of 80 : 10 : 10 on a scale of 0.1 g', [0.8, 0.1, 0.1], 1, 0, 0.1, [0.8, 0.1, 0.1], false],
    ['with a share held back it is raised', [0.8, 0.1, 0.1], 1, 0.15, 0.1, [1.5, 0.2, 0.2], true],
    ['a large lot stays as it is', [0.8, 0.1, 0.1], 40, 0.15, 0.1, [37.7, 4.8, 4.8], false],
    ['a fine scale too', [0.8, 0.1, 0.1], 1, 0.15, 0.01, [0.95, 0.12, 0.12], false],
    ['one fibre alone has nothing to keep', [1], 0.34, 0, 0.1, [0.4], false],
  ])('keeps its recipe: %s', (_name, shares, massG, held, step, weighed, isRaised) => {
    const plan = planBlendLot(new Map(shares.map((share, at) => [`f${at}`, share])), massG, held, step);
    expect(plan.components.map(({ weighedG }) => weighedG)).toEqual(weighed);
    expect(plan.isRaised).toBe(isRaised);
  });
  test('within two points, and no smaller lot in whole steps would', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 2, maxLength: 6 }),
        fc.integer({ min: 1, max: 400 }),
        (weights, tenths) => {
          const sum = weights.reduce((all, weight) => all + weight, 0);
          const shares = weights.map((weight) => weight / sum);
          const off = (lotG: number) => {
            const steps = shares.map((share) => Math.ceil((lotG * share) / 0.1 - 1e-9));
            const all = steps.reduce((total, step) => total + step, 0);
            return Math.max(...steps.map((step, at) => Math.abs(step / all - (shares[at] ?? 0))));
          };
          const plan = planBlendLot(
            new Map(shares.map((share, at) => [`f${at}`, share])),
            tenths / 10,
            0,
            0.1,
          );
          for (const { weighedG, fraction } of plan.components)
            expect(Math.abs(weighedG / plan.totalG - fraction)).toBeLessThanOrEqual(0.02 + 1e-9);
          for (let steps = tenths; steps < Math.round(plan.lotG / 0.1); steps++)
            expect(off(steps * 0.1)).toBeGreaterThan(0.02);
        },
      ),
    );
  });
  test('is never short and never over by more than a step each', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.01, max: 1, noNaN: true }), { minLength: 1, maxLength: 8 }),
        fc.double({ min: 0.1, max: 500, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.constantFrom(0.01, 0.1, 0.5, 1, 5),
        (weights, massG, held, step) => {
          const sum = weights.reduce((all, weight) => all + weight, 0);
          const plan = planBlendLot(new Map(weights.map((w, i) => [`f${i}`, w / sum])), massG, held, step);
          for (const { exactG, weighedG } of plan.components) {
            expect(weighedG).toBeGreaterThanOrEqual(exactG - 1e-6);
            expect(weighedG).toBeLessThan(exactG + step + 1e-6);
          }
          expect(plan.wantedG * (1 - held)).toBeCloseTo(massG, 9);
          expect(plan.lotG).toBeGreaterThanOrEqual(plan.wantedG - 1e-9);
          expect(plan.heldBackG).toBeCloseTo(plan.lotG - massG, 9);
        },
      ),
    );
  });
});

describe('what to take from which lot', () => {
  const lots = [
    { id: 'old', onHandG: 6 },
    { id: 'bare', onHandG: null },
    { id: 'new', onHandG: 12 },
  ];
  test.each([
    ['the oldest alone', 5, [{ lotId: 'old', massG: 5 }]],
    [
      'the oldest emptied, then the next',
      9.5,
      [
        { lotId: 'old', massG: 6 },
        { lotId: 'new', massG: 3.5 },
      ],
    ],
    [
      'all there is',
      18,
      [
        { lotId: 'old', massG: 6 },
        { lotId: 'new', massG: 12 },
      ],
    ],
    ['more than there is', 18.1, null],
  ])('%s', (_name, massG, expected) => expect(takeFromLots(lots, massG)).toEqual(expected));
});

describe('nearest by colour', () => {
  const random = uniform(7);
  const channel = () =>
    Math.floor(30 + random() * 200)
      .toString(16)
      .padStart(2, '0');
  const fibres = (count: number): Candidate[] =>
    Array.from({ length: count }, (_, i) => ({
      id: `f${i}`,
      colour: `#${channel()}${channel()}${channel()}`,
    }));

  /** Every pair and trio in every ratio, by the plain way of mixing. */
  function bruteForce(wanted: string, candidates: readonly Candidate[]): number {
    let best = Infinity;
    const n = candidates.length;
    const mix = (indices: number[], given: number[]) =>
      mixColours(
        indices.map((index, k) => ({
          colour: candidates[index]?.colour ?? '',
          fraction: (given[k] ?? 0) / 8,
        })),
      );
    const look = (indices: number[], given: number[]) => {
      best = Math.min(best, colourDifference(wanted, mix(indices, given)));
    };
    for (let i = 0; i < n; i++)
      for (let j = i + 1; j < n; j++) {
        for (let p = 1; p < 8; p++) look([i, j], [p, 8 - p]);
        for (let k = j + 1; k < n; k++)
          for (let p = 1; p < 7; p++) for (let q = 1; p + q < 8; q++) look([i, j, k], [p, q, 8 - p - q]);
      }
    return best;
  }

  test.each(['#6b7d36', '#8a4526', '#2f5d73', '#c9b08d'])('finds what brute force finds: %s', (wanted) => {
    const candidates = fibres(11);
    const found = nearestColours(wanted, candidates);
    // A trio that is hardly better than a pair is left out, by a third of a ΔE at most.
    expect(found.blends[0]?.deltaE).toBeLessThan(bruteForce(wanted, candidates) + 0.3 + 1e-9);
    expect(found.judged).toBe(found.possible);
  });
  test('on a shelf too large to mix whole, the quick pass loses next to nothing', () => {
    const candidates = fibres(28);
    const whole = nearestColours('#6d6488', candidates, { closely: 10_000 });
    const quick = nearestColours('#6d6488', candidates, { closely: 150 });
    expect(quick.judged).toBe(150);
    expect(whole.judged).toBe((28 * 27) / 2 + (28 * 27 * 26) / 6);
    expect(quick.blends[0]?.deltaE).toBeLessThan((whole.blends[0]?.deltaE ?? 0) + 0.5);
  });
  test('single fibres by CIEDE2000, nearest first, and the very colour is 0', () => {
    const candidates = fibres(20);
    const wanted = candidates[4]?.colour ?? '';
    const { singles } = nearestColours(wanted, candidates);
    expect(singles[0]).toMatchObject({ parts: [{ id: 'f4', parts: 1 }], deltaE: 0 });
    const distances = singles.map(({ deltaE }) => deltaE);
    expect(distances).toEqual([...distances].sort((a, b) => a - b));
  });
  test('tells how far it is, to the end; nothing to choose from is no fault', () => {
    const heard: number[] = [];
    nearestColours('#6b7d36', fibres(9), { onProgress: (fraction) => heard.push(fraction) });
    expect(heard.at(-1)).toBe(1);
    expect(nearestColours('#6b7d36', [])).toMatchObject({ singles: [], blends: [] });
  });
});
