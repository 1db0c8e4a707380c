import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  BLANK_BLEND,
  type BlendPart,
  type Candidate,
  colourDifference,
  colourOf,
  computeBlends,
  lightness,
  mixColours,
  nearestColours,
  reflectanceOf,
  type StoredBlend,
} from '../../../src/shelf/index.ts';
import { fibre, wools } from '../../support/make.ts';
import { uniform } from '../../support/random.ts';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
/** Colours that wool has: neither blacker nor whiter nor purer than a dye bath makes. */
const woolColour = fc
  .tuple(...[1, 2, 3].map(() => fc.integer({ min: 24, max: 240 })))
  .map((channels) => `#${channels.map((c) => c.toString(16).padStart(2, '0')).join('')}`);

const parts = (...pairs: [string, number][]): BlendPart[] =>
  pairs.map(([itemId, pair]) => ({ itemId, parts: pair }));
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
