import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  BLANK_BLEND,
  type BlendPart,
  checkBlend,
  expandBlend,
  notFeltingFraction,
} from '../../../src/shelf/index.ts';
import { fibre, wools } from '../../support/make.ts';

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
