import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  type HereToMake,
  makesFromHere,
  type OneMake,
  usedOfHeap,
  withMore,
} from '../../src/buying/index.ts';
import { BLANK_FINDING, type Finding } from '../../src/shelf/index.ts';

const here = (more: Partial<HereToMake> = {}): HereToMake => ({
  freeG: new Map(),
  recipes: new Map(),
  findings: new Map(),
  ...more,
});
const make = (more: Partial<OneMake> = {}): OneMake => ({
  fibres: [],
  findings: [],
  unknownCount: 0,
  ...more,
});
const finding = (id: string, onHand: number | null, more: Partial<Finding> = {}): Finding => ({
  ...BLANK_FINDING,
  id,
  version: 1,
  name: id,
  onHand,
  peak: 0,
  ...more,
});

describe('how many makes the shelf allows', () => {
  const wool = make({ fibres: [{ itemId: 'a', massG: 12.5 }, { itemId: 'b', massG: 2 }] }); // prettier-ignore
  test.each<[string, OneMake, HereToMake, number, string[], string[]]>([
    ['what there is least of limits', wool, here({ freeG: new Map([['a', 100], ['b', 9]]) }), 4, ['b'], []],
    ['both at once', wool, here({ freeG: new Map([['a', 50], ['b', 8]]) }), 4, ['a', 'b'], []],
    ['none of it there', wool, here({ freeG: new Map([['a', 0], ['b', 9]]) }), 0, ['a'], []],
    ['never counted is not nought', wool, here({ freeG: new Map([['a', 100], ['b', null]]) }), 8, ['a'], ['b']],
    [
      'a blend as it lies there, and what can be blended',
      make({ fibres: [{ itemId: 'moss', massG: 10 }] }),
      here({ freeG: new Map([['moss', 15], ['a', 20], ['b', 100]]), recipes: new Map([['moss', new Map([['a', 0.8], ['b', 0.2]])]]) }),
      4,
      ['a'],
      [],
    ],
    [
      'eyes by the piece',
      make({ findings: [{ itemId: 'eye', amount: 2, pieces: [] }] }),
      here({ findings: new Map([['eye', finding('eye', 7)]]) }),
      3,
      ['eye'],
      [],
    ],
    ['nothing known of it', make({ unknownCount: 2 }), here(), 0, [], []],
  ])('%s', (_name, given, shelf, makes, limits, uncounted) => {
    expect(makesFromHere(given, shelf)).toMatchObject({ makes, limits, uncounted });
  }); // prettier-ignore

  test('pieces as they can be cut, not by their metres', () => {
    const measure = {
      by: 'length',
      sort: 'stem',
      diameterMm: null,
      linearGPerM: null,
      metresPerPack: 0.3,
    } as const;
    const piece = {
      cutId: 'c',
      name: '',
      cut: { kind: 'length', lengthMm: 160 },
      sizes: [],
      count: 1,
    } as never;
    const given = make({ findings: [{ itemId: 'stem', amount: 0.16, pieces: [piece] }] });
    // 3 m are ten stems: one piece of 160 from each, not eighteen.
    const shelf = here({ findings: new Map([['stem', finding('stem', 3, { measure })]]) });
    expect(makesFromHere(given, shelf).makes).toBe(10);
    expect(makesFromHere(given, withMore(shelf, 'stem', 0.3)).makes).toBe(11);
  });

  test('one more pack of what limits brings so many more', () => {
    const shelf = here({ freeG: new Map([['a', 100], ['b', 9]]) }); // prettier-ignore
    expect(makesFromHere(wool, withMore(shelf, 'b', 25)).makes).toBe(8);
  });

  test('a heap of leftovers: how much of it a figure would use up', () => {
    const shelf = here({ freeG: new Map([['a', 100], ['b', 9]]) }); // prettier-ignore
    expect(usedOfHeap(wool, shelf, new Set(['b']))).toEqual({ makes: 4, usedG: 8, fraction: 8 / 9 });
  });
});

test('so many can be made, and one more cannot: made one after another', () => {
  const grams = fc.integer({ min: 1, max: 40 });
  fc.assert(
    fc.property(
      fc.array(grams, { minLength: 1, maxLength: 4 }),
      fc.array(fc.integer({ min: 0, max: 300 }), { minLength: 4, maxLength: 4 }),
      (perMake, free) => {
        const given = make({ fibres: perMake.map((massG, at) => ({ itemId: `f${at}`, massG })) });
        const shelf = here({ freeG: new Map(free.map((massG, at) => [`f${at}`, massG])) });
        const left = [...free];
        let made = 0;
        while (perMake.every((massG, at) => (left[at] ?? 0) >= massG)) {
          perMake.forEach((massG, at) => (left[at] = (left[at] ?? 0) - massG));
          made += 1;
        }
        const found = makesFromHere(given, shelf);
        expect(found.makes).toBe(made);
        expect(found.limits).toEqual(
          perMake.flatMap((massG, at) => ((left[at] ?? 0) < massG ? [`f${at}`] : [])),
        );
      },
    ),
  );
});
