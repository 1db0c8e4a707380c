import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Length } from '../../src/base/index.ts';
import { estimatePattern, type Wool } from '../../src/engine/index.ts';
import { type Amount, blankCut, type Cut, CUT_KINDS, type Pattern } from '../../src/pattern/index.ts';
import { resizePattern } from '../../src/resize/index.ts';
import { fibre, mm, part, pattern, shapes, shelf, use } from '../support/make.ts';

const WOOL: Wool = {
  ...shelf(fibre('core', { linearGPerM: 20, arealGPerM2: 300, loftGPerCm3: 0.02 })),
  handMeasures: [{ name: 'pinch', massG: 0.1, lowG: 0.08, highG: 0.125, weighedAt: '2026-01-01' }],
};
const PER_GIRTH = 1;
const PER_SURFACE = 2;
const PER_VOLUME = 3;
const STAYS = 0;

/** One part with a core of a stated amount, and so much of it said for its other role. */
const stated = (role: 'core' | 'patch' | 'line', amount: Amount, more: Partial<Pattern> = {}): Pattern =>
  pattern([part('p', shapes.limb(60, 20), { uses: [use(role, 'u', 'core', { amount })] })], more);

const gramsOf = (figure: Pattern): number => {
  const [given] = estimatePattern(figure, WOOL).uses;
  if (given?.kind !== 'known') throw new Error('a use that is stated is known');
  return given.pieceG;
};

describe('stated wool of a figure k times as large', () => {
  const grams: Amount = { form: 'grams', massG: 4, highG: null, isWeighed: true };
  const strip: Amount = { form: 'strip', length: mm(100), width: mm(40), depth: mm(10), highLength: null, highWidth: null };
  test.each<[string, 'core' | 'patch' | 'line', Amount, number]>([
    ['grams of a core', 'core', grams, PER_VOLUME],
    ['grams of a patch', 'patch', grams, PER_SURFACE],
    ['grams of a line', 'line', grams, PER_GIRTH],
    ['a range of grams', 'core', { ...grams, highG: 6 }, PER_VOLUME],
    ['no more than so many grams', 'core', { form: 'at-most', massG: 4 }, PER_VOLUME],
    ['one of equal parts of a lot', 'core', { form: 'equal-part', lotG: 12, parts: 3 }, PER_VOLUME],
    ['tops pulled off', 'core', { form: 'tops', length: mm(120), highLength: null, ways: 1 }, PER_VOLUME],
    ['tops split lengthwise', 'line', { form: 'tops', length: mm(120), highLength: null, ways: 4 }, PER_GIRTH],
    ['a strip torn as deep as before', 'core', strip, PER_VOLUME],
    ['a strip for a patch', 'patch', strip, PER_SURFACE],
    ['a piece of sheet', 'core', { form: 'sheet', length: mm(80), width: mm(50) }, PER_VOLUME],
    ['as many pinches', 'core', { form: 'hand', measure: 'pinch', count: 3 }, STAYS],
    ['as many tufts', 'core', { form: 'tufts', count: 5, ways: 1 }, STAYS],
    ['as many locks', 'core', { form: 'locks', grades: [{ name: '', count: 5, eachG: 0.4 }] }, STAYS],
  ])('%s', (_name, role, amount, power) => {
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 3, noNaN: true }), (k) => {
        const figure = stated(role, amount);
        const ratio = gramsOf(resizePattern(figure, k)) / gramsOf(figure);
        expect(ratio / k ** power).toBeCloseTo(1, 8);
      }),
      { numRuns: 25 },
    );
  });
  test.each([
    ['pulled off as it is while it is longer than the staple', 120, 0.9, 80, 1, 120 * 0.9 ** 3],
    ['split in more where it would be shorter', 120, 0.5, 80, 6, 120 * 0.5 ** 3 * 6],
    ['of a staple nobody knows, as of what tops usually are', 120, 0.5, null, 5, 120 * 0.5 ** 3 * 5],
    ['one that was shorter from the first stays at that', 60, 0.5, 80, 8, 60],
  ])('a length of tops is %s', (_name, lengthMm, k, stapleMm, ways, then) => {
    const figure = stated('core', { form: 'tops', length: mm(lengthMm), highLength: null, ways: 1 });
    const [use] = resizePattern(figure, k, new Map(), () => stapleMm).parts[0]?.uses ?? [];
    expect(use).toMatchObject({ amount: { form: 'tops', ways } });
    const length = use && 'amount' in use && use.amount?.form === 'tops' ? use.amount.length?.value : null;
    expect(length).toBeCloseTo(then, 9);
  });
  test('a flat piece that holds its thickness does so, and its wool grows with its face', () => {
    const badge = part('p', shapes.flat(40, 20, 4), { core: 'core', holdsThickness: true });
    const figure = pattern([badge]);
    expect(resizePattern(figure, 1.5).parts[0]?.shape).toMatchObject({ length: mm(60), width: mm(30), thickness: mm(4) });
    expect(gramsOf(resizePattern(figure, 1.5)) / gramsOf(figure)).toBeCloseTo(1.5 ** 2, 9);
  });
  test('the author’s words say for which size they were written', () => {
    const figure = stated('core', grams);
    const words = (pattern: Pattern) => pattern.parts[0]?.uses[0];
    expect(words(resizePattern(figure, 2))).toMatchObject({ wordsSizeFraction: 0.5 });
    expect(words(resizePattern(resizePattern(figure, 2), 0.5))).toMatchObject({ wordsSizeFraction: 1 });
  });
  test('turns of yarn go round a girth that grows, as often as before', () => {
    const turns = { form: 'turns', turns: 7, girth: mm(40) } as const;
    const [resized] = resizePattern(stated('core', turns), 1.5).parts[0]?.uses ?? [];
    expect(resized).toMatchObject({ amount: { turns: 7, girth: mm(60) } });
  });
  test.each([
    ['cores', 'core', PER_VOLUME],
    ['patches', 'patch', PER_SURFACE],
  ] as const)('a weight that %s share grows as they do', (_name, role, power) => {
    const figure = stated(role, { form: 'shared', sharedId: 's' }, { shared: [{ id: 's', name: 's', massG: 9, highG: null, isWeighed: true }] });
    expect(resizePattern(figure, 2).shared).toEqual([{ id: 's', name: 's', massG: 9 * 2 ** power, highG: null, isWeighed: true }]);
  });
  test('a weight nobody takes from, or has said, is not made up', () => {
    const shared = [{ id: 's', name: 's', massG: null, highG: null, isWeighed: false }];
    expect(resizePattern(pattern([], { shared }), 2).shared).toEqual(shared);
  });
  test('what is not said stays unsaid', () => {
    const unsaid: Amount[] = [
      { form: 'grams', massG: null, highG: null, isWeighed: false },
      { form: 'strip', length: null, width: null, depth: null, highLength: null, highWidth: null },
      { form: 'equal-part', lotG: null, parts: 2 },
      { form: 'turns', turns: null, girth: null },
    ];
    for (const amount of unsaid) {
      const [use] = resizePattern(stated('core', amount), 3).parts[0]?.uses ?? [];
      expect(use).toMatchObject({ amount });
    }
  });
}); // prettier-ignore

/** Every length of a thing, by its name. */
const lengthsOf = (value: object): Record<string, number> =>
  Object.fromEntries(
    Object.entries(value).flatMap(([key, given]: [string, unknown]) =>
      typeof given === 'object' && given !== null && 'unit' in given ? [[key, (given as Length).value]] : [],
    ),
  );

/** A cut of which every length is said: 10 mm each. */
const withSizes = (kind: Cut['kind'], more: Partial<Cut> = {}): Cut => {
  const blank = { ...blankCut('c', kind), ...more } as Cut;
  return Object.fromEntries(
    Object.entries(blank).map(([key, given]: [string, unknown]) => [
      key,
      given === null && key !== 'findingId' ? mm(10) : given,
    ]),
  ) as Cut;
};

describe('what is cut for a figure twice as large', () => {
  test.each<[Cut['kind'], Partial<Cut>, readonly string[]]>([
    ['covering', {}, ['over']],
    ['cord', {}, []],
    ['cord', { isScaled: true }, ['drop']],
    ['binding', {}, ['girth', 'seam']],
    ['whisker', {}, ['span']],
    ['rolled-strip', {}, ['length', 'diameter']],
    ['tube-panel', {}, ['height', 'diameter']],
  ])('%s %j: only what runs along the figure grows', (kind, more, grows) => {
    const cut = withSizes(kind, more);
    const [resized] = resizePattern(pattern([], { cuts: [cut] }), 2).cuts;
    const wanted = Object.entries(lengthsOf(cut)).map(([key, value]) => [key, grows.includes(key) ? value * 2 : value]);
    expect(lengthsOf(resized ?? {})).toEqual(Object.fromEntries(wanted));
  });
  test('every kind keeps its counts, its name and what it is cut from', () => {
    for (const kind of CUT_KINDS) {
      const cut = { ...withSizes(kind), name: 'a thing', findingId: 'wire', count: 3 };
      const [resized] = resizePattern(pattern([], { cuts: [cut] }), 0.5).cuts;
      expect(resized).toMatchObject({ kind, name: 'a thing', findingId: 'wire', count: 3 });
    }
  });
}); // prettier-ignore

test('a bought thing is swapped wherever it is: on a part, inside one, not in what is cut', () => {
  const figure = pattern(
    [part('p', shapes.ball(30), { uses: [use('core', 'c', 'core'), { id: 'i', role: 'insert', findingId: 'ball-20', count: 1, space: 'whole' }] })],
    { findings: [{ id: 'e', findingId: 'eye-6', partId: 'p', count: 2 , placement: null}] },
  );
  const swaps = new Map([['ball-20', 'ball-10'], ['eye-6', 'eye-3']]);
  const half = resizePattern(figure, 0.5, swaps);
  expect(half.parts[0]?.uses[1]).toMatchObject({ findingId: 'ball-10', count: 1 });
  expect(half.findings).toMatchObject([{ findingId: 'eye-3', count: 2 }]);
}); // prettier-ignore
