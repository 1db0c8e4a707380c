import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Length } from '../../src/base/index.ts';
import { estimatePattern } from '../../src/engine/index.ts';
import {
  type Amount,
  BLANK_STEP,
  blankCut,
  blankJoin,
  blankLooseEnd,
  type Pattern,
  type Step,
} from '../../src/pattern/index.ts';
import {
  bagOfPattern,
  beforeYouCut,
  cutsToMake,
  piecesToMake,
  stillInBag,
  woolOfSteps,
} from '../../src/reading/index.ts';
import {
  cutLines,
  fibreNamesOf,
  keepsWords,
  keptWords,
  pieceLines,
  statedWords,
  stillWords,
} from '../../src/words/index.ts';
import { fibre, mm, part, pattern, shapes, shelf, use } from '../support/make.ts';

const inch = (value: number): Length => ({ value, unit: 'in' });
const step = (id: string, more: Partial<Step> = {}): Step => ({ ...BLANK_STEP, id, text: id, ...more });
const grams = (massG: number, highG: number | null = null): Amount => ({
  form: 'grams',
  massG,
  highG,
  isWeighed: false,
});
const weighed = (massG: number): Amount => ({ form: 'grams', massG, highG: null, isWeighed: true });

const batt = fibre('core', { name: 'Straw', arealGPerM2: 300 });
const slate = fibre('slate', { name: 'Slate', preparation: 'tops', linearGPerM: 20, stapleMm: 80 });
const wool = shelf(batt, slate, fibre('moss', { name: 'Moss' }));

/** A stag on wire: nothing of it is in the demo. */
const stag: Pattern = pattern(
  [
    part('body', shapes.ellipsoid(120, 60, 55), { coat: 'slate', exactness: [{ size: 'length', is: 'exact' }] }),
    part('leg', shapes.sleeve(90, 14, 1.5), { count: 4, firmness: 'solid' }),
    part('ear', shapes.flat(30, 18, 3), { count: 2, thinLayers: 3, margin: mm(6) }),
  ],
  {
    joins: [
      { ...blankJoin('ear-body', 'ear', 'body'), looseEnd: { ...blankLooseEnd('ear'), length: mm(10) }, sink: mm(4), cover: { fibreId: 'slate', band: mm(9), words: '', wordsSizeFraction: 1, isIfNeeded: false } },
    ],
    cuts: [{ ...blankCut('front', 'wire'), name: 'leg wire', count: 2, endCurls: 0, segments: [{ name: '', partId: 'leg', length: mm(230), strands: 1, isTwisted: false }] } as Pattern['cuts'][number]],
    steps: [
      step('roll', { partIds: ['body'], stage: 'core' }),
      step('wire', { partIds: ['leg'], stage: 'skeleton' }),
      step('ears', { partIds: ['ear'], stage: 'core' }),
      step('set', { partIds: ['ear', 'body'], act: { kind: 'join' }, stage: 'join' }),
      step('coat', { partIds: ['body'], stage: 'coat', act: { kind: 'wrap' } }),
    ],
  },
); // prettier-ignore

const piecesOf = (pattern: Pattern, shelf_ = wool) =>
  piecesToMake(pattern, pattern, estimatePattern(pattern, shelf_), shelf_);
const linesOf = (pattern: Pattern, id: string, shelf_ = wool) => {
  const piece = piecesOf(pattern, shelf_).find((candidate) => candidate.part.id === id);
  if (!piece) throw new Error('a piece of the pattern');
  return pieceLines(piece, pattern, shelf_).map((line) => (line.kind === 'wool' ? `${line.label}: ${line.fibre} ${line.grams}` : `${line.label}: ${line.text}`));
}; // prettier-ignore

describe('a piece', () => {
  test('is told from the table to the figure', () => {
    const [body, leg, ear] = ['body', 'leg', 'ear'].map((id) => linesOf(stag, id));
    expect(body?.map((line) => line.split(':')[0])).toEqual(['core', 'Roll to', 'Felt to', 'coat', 'With its coat', 'Finished']);
    expect(body?.at(-1)).toBe('Finished: ellipsoid, length exactly 120 mm, width about 60 mm, depth about 55 mm');
    expect(leg).toContain('Through it: 2 × leg wire 23 cm');
    expect(leg?.some((line) => line.endsWith('solid: under a thumb it does not dent'))).toBe(true);
    expect(ear?.find((line) => line.startsWith('Lay out'))).toMatch(/ in 3 thin layers; fold in 6 mm all round$/);
    expect(ear).toContain('Leave loose: 10 mm at one end');
    expect(ear).toContain('Set on: onto body: needled, 8.7 mm across, sunk 4 mm, covered 9 mm wide each side');
    expect(ear?.filter((line) => line.startsWith('join cover: Slate ≈'))).toHaveLength(1);
  });
  test('that two joins hold leaves an end loose for each', () => {
    const end = (id: string, ontoId: string, value: number) => ({ ...blankJoin(id, 'leg', ontoId), looseEnd: { ...blankLooseEnd('leg'), length: mm(value) } });
    const given = { ...stag, joins: [end('top', 'body', 10), end('foot', 'ear', 14)] };
    expect(linesOf(given, 'leg')).toContain('Leave loose: 10 mm at one end, 14 mm at one end');
  });
  test('knows the step that begins it; one that no step names says nothing', () => {
    expect(piecesOf(stag).map(({ beginsAt }) => beginsAt)).toEqual([1, 2, 3]);
    expect(piecesOf({ ...stag, steps: [] }).map(({ beginsAt }) => beginsAt)).toEqual([null, null, null]);
  });
  test('of a build keeps its number of the whole pattern', () => {
    const build = { ...stag, parts: stag.parts.slice(1) };
    const pieces = piecesToMake(build, stag, estimatePattern(build, wool), wool);
    expect(pieces.map(({ number }) => number)).toEqual([2, 3]);
  });
  test('its likely grams times its number are those of the whole pattern', () => {
    const estimate = estimatePattern(stag, wool);
    const all = piecesOf(stag).flatMap(({ layers, part: piece }) => layers.map(({ pieceG }) => (pieceG?.likelyG ?? NaN) * Number(piece.count)));
    const covers = estimate.joins.reduce((sum, { cover }) => sum + (cover?.kind === 'known' ? cover.all.likelyG : 0), 0);
    expect(all.reduce((sum, massG) => sum + massG, covers)).toBeCloseTo(estimate.total.likelyG, 9);
  });
  test.each<[name: string, amount: Amount, words: string]>([
    ['a range is its author’s', grams(15, 20), '15–20 g'],
    ['weighed is weighed', weighed(17.3), '17.3 g'],
    ['stated strays a little', grams(10), '≈ 10.0 g (8.8–11.4)'],
    ['unknown is told with its reason', { form: 'tops', length: null, highLength: null, ways: 1 }, 'amount unknown'],
  ])('%s', (_name, amount, words) => {
    const ownPattern = pattern([part('body', shapes.ball(60), { uses: [use('core', 'c', 'slate', { amount })] })]);
    expect(linesOf(ownPattern, 'body')[0]).toContain(words);
  });
  test('in both units, and in inches with small fractions', () => {
    const both = { ...stag, showsBothUnits: true };
    expect(linesOf(both, 'ear').at(-3)).toContain('sunk 4 mm (5⁄32 in)');
    expect(linesOf(both, 'leg')).toContain('Through it: 2 × leg wire 23 cm (9 1⁄16 in)');
    const inches = pattern([part('rod', { kind: 'limb', length: inch(0.875), diameter: null }, { derived: [{ from: 'part', size: 'diameter', partId: 'b', ofSize: 'diameter', ratio: 0.25 }] }), part('b', { kind: 'ball', diameter: inch(0.8) })], { lengthUnit: 'in' });
    expect(linesOf(pattern([part('mane', shapes.fringe(60, 40))]), 'mane').some((line) => line.startsWith('Felt to'))).toBe(false);
    expect(linesOf(inches, 'rod').at(-1)).toBe('Finished: limb, length about ⅞ in, diameter about 3⁄16 in');
  });
}); // prettier-ignore

describe('what hands do', () => {
  const stated: readonly [name: string, amount: Amount | null, words: string][] = [
    ['nobody says', null, ''],
    ['grams stand beside it', grams(3), ''],
    ['a strip', { form: 'strip', length: mm(200), width: mm(50), depth: null, highLength: null, highWidth: null }, 'a strip of batt 200 mm × 50 mm'],
    ['from – to', { form: 'strip', length: mm(200), width: mm(50), depth: mm(20), highLength: mm(240), highWidth: null }, 'a strip of batt 200–240 mm × 50 mm, 20 mm high'],
    ['tops, split', { form: 'tops', length: mm(50), highLength: null, ways: 2 }, '50 mm of it, split lengthwise in 2'],
    ['a pinch', { form: 'hand', measure: 'pinch', count: 2 }, '2 pinches'],
    ['one of eight', { form: 'equal-part', lotG: 12, parts: 8 }, 'one of 8 equal parts of 12.0 g'],
    ['a share', { form: 'shared', sharedId: 'w' }, 'its share of “brown”, 20–25 g in all'],
    ['what is left', { form: 'rest', sharedId: 'none' }, 'what is left of a weight that is not said'],
    ['half of the nose', { form: 'relative', fraction: 0.5, ofUseId: 'body-core' }, 'half of body'],
    ['at most', { form: 'at-most', massG: 2 }, 'at most 2.0 g'],
    ['locks by grade', { form: 'locks', grades: [{ name: 'long alike', count: 2, eachG: 1 }, { name: 'thick', count: 1, eachG: 2 }, { name: 'short', count: 2, eachG: 1 }] }, '2 long alike, 1 thick and 2 short'],
    ['until it covers', { form: 'until', what: 'cover' }, 'until nothing shows through'],
    ['how many is not said', { form: 'tufts', count: null, ways: 1 }, 'how much is not said'],
  ]; // prettier-ignore
  test.each(stated)('%s', (_name, amount, words) => {
    const shared = [{ id: 'w', name: 'brown', massG: 20, highG: 25, isWeighed: false }];
    expect(statedWords(amount, { ...stag, shared })).toBe(words);
  });
  test('a measure that is far off is not offered: it is weighed', () => {
    // 0.77 of a staple’s grams: taking the staple is a third too much.
    const withGrams = (massG: number) =>
      pattern([
        part('body', shapes.ball(30), { uses: [use('core', 'c', 'slate', { amount: grams(massG) })] }),
      ]);
    expect(piecesOf(withGrams(1.6))[0]?.layers[0]?.hands?.kind).toBe('length');
    expect(piecesOf(withGrams(1.2))[0]?.layers[0]?.hands).toBeNull();
  });
});

test('of two fibres with one name each says how it is prepared', () => {
  const ownShelf = shelf(fibre('a', { name: 'Chalk', preparation: 'tops' }), fibre('b', { name: 'chalk ', preparation: 'batt' }), fibre('c', { name: 'Moss' }));
  expect(['a', 'b', 'c', 'gone'].map(fibreNamesOf(ownShelf))).toEqual(['Chalk tops', 'chalk  batt', 'Moss', 'not chosen yet']);
}); // prettier-ignore

describe('before you cut', () => {
  test('wires, then wool that is torn to a size, by the step that needs it', () => {
    const lines = cutLines(beforeYouCut(piecesOf(stag), cutsToMake(stag, estimatePattern(stag, wool))), stag, wool);
    expect(lines[0]).toEqual({ what: 'leg wire', from: 'not chosen yet', fibreId: null, size: '23 cm', count: '2', atStep: 2 });
    expect(lines.slice(1).map(({ what, count, atStep }) => [what, count, atStep])).toEqual([
      ['body, core', '1', 1],
      ['body, coat', '1', 5],
      ['leg, core', '4', 2],
    ]);
    for (const { size } of lines.slice(1)) expect(size).toMatch(/cm/);
  });
  test('what is only if needed is not cut, nor what is a share of a weight', () => {
    const ownPattern = pattern([part('body', shapes.ball(60), { uses: [use('core', 'c', 'core', { amount: { form: 'shared', sharedId: 'w' } }), use('coat', 'd', 'core', { isIfNeeded: true })] })], { shared: [{ id: 'w', name: '', massG: 20, highG: null, isWeighed: true }] });
    expect(beforeYouCut(piecesOf(ownPattern), []).wool).toEqual([]);
  });
}); // prettier-ignore

describe('wool at its steps', () => {
  const at = (pattern: Pattern) => woolOfSteps(pattern, estimatePattern(pattern, wool).uses);
  const name = (id: string) => wool.fibres.get(id)?.name ?? id;
  const twice = (first: number, later: number, amount: (massG: number) => Amount = grams) =>
    pattern([part('a', shapes.ball(50), { uses: [use('core', 'a-core', 'moss', { amount: amount(first) })] }), part('b', shapes.ball(20), { uses: [use('core', 'b-core', 'moss', { amount: amount(later) })] })], {
      steps: [step('one', { partIds: ['a'] }), step('look', { partIds: [] }), step('two', { partIds: ['b'] })],
      shared: [{ id: 'w', name: '', massG: 10, highG: null, isWeighed: true }],
    });
  test('every use is taken up once, at one step', () => {
    const taken = [...at(stag).values()].flatMap(({ takes }) => takes.map(({ useId }) => useId));
    expect(taken.sort()).toEqual(estimatePattern(stag, wool).uses.map(({ useId }) => useId).sort());
  });
  test.each([
    ['a little of much is kept back', twice(9, 1), 1],
    ['as much again is not', twice(5, 5), 0],
    ['nor more than before', twice(1, 9), 0],
    ['of one weight it always is', twice(5, 5, () => ({ form: 'shared', sharedId: 'w' })), 1],
  ])('%s', (_name, given, keeps) => {
    expect(at(given).get(1)?.keeps).toHaveLength(keeps);
    expect(at(given).get(3)?.kept).toHaveLength(keeps);
  });
  test('in words, at the step that keeps it and at the one that uses it', () => {
    const woolAt = at(twice(9, 1));
    const NOTHING = { takes: [], keeps: [], kept: [] };
    expect(keepsWords(woolAt.get(1) ?? NOTHING, name)).toEqual(['Keep about 1.0 g Moss back for step 3.']);
    expect(keptWords(woolAt.get(3) ?? NOTHING, name)).toEqual(['Moss: what you kept back in step 1.']);
    expect(woolAt.get(2)).toBeUndefined();
    expect(keepsWords(at(twice(1, 0.01)).get(1) ?? NOTHING, name)).toEqual(['Keep a wisp of Moss back for step 3.']);
  });
}); // prettier-ignore

describe('what should still be in the bag', () => {
  const estimate = estimatePattern(stag, wool);
  const bag = bagOfPattern(estimate);
  test('goes down step by step by what is taken up, to nothing', () => {
    const left = stag.steps.map((_, at) => stillInBag(bag, stag, estimate.uses, { afterStep: at + 1 }).reduce((sum, { mostG }) => sum + mostG, 0));
    expect(left).toEqual([...left].sort((a, b) => b - a));
    expect(left.at(-1)).toBe(0);
    const first = estimate.parts[0]?.uses[0];
    expect(left[0]).toBeCloseTo(estimate.total.likelyG - (first?.kind === 'known' ? first.all.likelyG : NaN), 9);
  });
  test('of a pack it is what was packed over the likely; of two makes twice is taken', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 5, noNaN: true }), fc.integer({ min: 1, max: 4 }), (overG, copies) => {
        const packed = bag.map((inBag) => ({ ...inBag, leastG: inBag.leastG * copies + overG, mostG: inBag.mostG * copies + overG }));
        for (const { leastG, mostG } of stillInBag(packed, stag, estimate.uses, { afterStep: 5, copies })) {
          expect(leastG).toBeCloseTo(overG, 9);
          expect(mostG).toBeCloseTo(overG, 9);
        }
      }),
    );
  });
  test('what is unknown lies there by name, before any step takes it up and after', () => {
    const ownPattern = pattern([part('body', shapes.ball(40)), part('tag', shapes.byGrams(1), { shape: { kind: 'by-grams', massG: null }, core: 'moss' })], { steps: [step('a', { partIds: ['body'] }), step('b', { partIds: ['tag'] })] });
    const own_ = estimatePattern(ownPattern, wool);
    for (const afterStep of [1, 2])
      expect(stillInBag(bagOfPattern(own_), ownPattern, own_.uses, { afterStep }).filter(({ isUnknown }) => isUnknown).map(({ fibreId }) => fibreId)).toEqual(['moss']);
  });
  test('what is only if needed stays; what is unknown is told as that', () => {
    const ownPattern = pattern([part('body', shapes.ball(40), { uses: [use('core', 'c', 'core'), use('added', 'more', 'core', { amount: grams(2), isIfNeeded: true }), use('added', 'x', 'slate')] })], { steps: [step('all', { partIds: ['body'] })] });
    const own_ = estimatePattern(ownPattern, wool);
    const still = stillInBag(bagOfPattern(own_), ownPattern, own_.uses, { afterStep: 1 });
    expect(still).toMatchObject([{ fibreId: 'core', mostG: expect.closeTo(2, 9), ifNeededG: 2, isUnknown: false }, { fibreId: 'slate', isUnknown: true }]);
    expect(stillWords(still, [], { fibreName: (id) => id, findingName: (id) => id })).toBe('about 2.0 g core (only if needed) and some slate, how much is not known');
  });
}); // prettier-ignore

test('what was cut off elsewhere takes no wool of its own, and is not told as nought', () => {
  const amount = { form: 'trimmings' as const, ofUseId: 'hair-core' };
  const figure = pattern([
    part('hair', shapes.fringe(60, 14), { core: 'core' }),
    part('cloud', shapes.ball(30), {
      uses: [use('core', 'c', 'core'), use('added', 'tips', 'core', { amount })],
    }),
  ]);
  const pieces = piecesToMake(figure, figure, estimatePattern(figure, wool), wool);
  const lines = pieces.flatMap((piece) => pieceLines(piece, figure, wool));
  const grams = lines.flatMap((line) => (line.kind === 'wool' ? [line.grams] : []));
  expect(grams).toContain('none of its own');
  expect(grams.join(' ')).not.toContain('0.00');
});
