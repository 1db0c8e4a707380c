import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePart, estimatePattern, handsMeasures } from '../../src/engine/index.ts';
import {
  type Amount,
  blankJoin,
  checkPattern,
  countRange,
  type Part,
  type Pattern,
  upgradePattern,
  withoutPart,
} from '../../src/pattern/index.ts';
import { unknownWords } from '../../src/words/index.ts';
import { WOOL, known, usesOf, gramsOf, stated } from '../support/engine.ts';
import { mm, part, pattern, shapes, use } from '../support/make.ts';

describe('amounts as they are stated', () => {
  test.each<[string, Amount, string, number]>([
    ['grams', { form: 'grams', massG: 3, highG: null, isWeighed: false }, 'core', 3],
    ['a range: its middle', { form: 'grams', massG: 2, highG: 8, isWeighed: false }, 'core', 4],
    ['tops split in 4', { form: 'tops', length: mm(250), highLength: null, ways: 4 }, 'tops', 1.5],
    [
      'inches of tops',
      { form: 'tops', length: { value: 10, unit: 'in' }, highLength: null, ways: 1 },
      'tops',
      0.254 * 24,
    ],
    [
      'a strip by its loft',
      { form: 'strip', length: mm(200), width: mm(100), depth: mm(20), highLength: null, highWidth: null },
      'core',
      400 * 0.011,
    ],
    ['a piece by its g/m²', { form: 'sheet', length: mm(200), width: mm(100) }, 'core', 6.8],
    ['pinches of mine', { form: 'hand', measure: 'pinch', count: 3 }, 'core', 0.3],
    ['an equal part', { form: 'equal-part', lotG: 10, parts: 4 }, 'core', 2.5],
    ['turns of yarn on a girth', { form: 'turns', turns: 5, girth: mm(60) }, 'yarn', 0.6],
    [
      'turns round the part itself',
      { form: 'turns', turns: 5, girth: null },
      'yarn',
      (5 * Math.PI * 60 * 2) / 1000,
    ],
    ['tufts', { form: 'tufts', count: 6, ways: 3 }, 'tops', (6 * 75 * 24) / 3000],
    ['locks', { form: 'locks', grades: [{ name: '', count: 7, eachG: 0.2 }] }, 'core', 1.4],
    ['at most, and less is needed', { form: 'at-most', massG: 99 }, 'core', (Math.PI / 6) * 216 * 0.15],
    ['at most, and more would be needed', { form: 'at-most', massG: 5 }, 'core', 5],
    ['until it covers: calculated', { form: 'until', what: 'cover' }, 'core', (Math.PI / 6) * 216 * 0.15],
  ])('%s', (_name, amount, fibreId, massG) => {
    expect(gramsOf(stated(amount, fibreId), 0)).toBeCloseTo(massG, 9);
  });
  test.each<[string, Amount, string, string]>([
    [
      'grams not said',
      { form: 'grams', massG: null, highG: null, isWeighed: true },
      'core',
      'amount_incomplete',
    ],
    [
      'a strip without its depth',
      { form: 'strip', length: mm(200), width: mm(100), depth: null, highLength: null, highWidth: null },
      'core',
      'amount_incomplete',
    ],
    [
      'tops nobody has weighed',
      { form: 'tops', length: mm(250), highLength: null, ways: 1 },
      'bare',
      'linear_unknown',
    ],
    ['a sheet nobody has weighed', { form: 'sheet', length: mm(20), width: mm(10) }, 'coat', 'areal_unknown'],
    ['wisps nobody has weighed', { form: 'hand', measure: 'wisp', count: 3 }, 'core', 'hand_unweighed'],
    ['tufts of what has no staple', { form: 'tufts', count: 3, ways: 1 }, 'yarn', 'staple_unknown'],
    ['a share of nothing', { form: 'shared', sharedId: null }, 'core', 'amount_incomplete'],
    ['a share of a weight that is gone', { form: 'shared', sharedId: 'gone' }, 'core', 'shared_unknown'],
    ['a part of what is gone', { form: 'relative', fraction: 0.5, ofUseId: 'gone' }, 'core', 'other_unknown'],
    ['half of itself', { form: 'relative', fraction: 0.5, ofUseId: 'c' }, 'core', 'other_circular'],
    [
      'of a fibre off the shelf',
      { form: 'grams', massG: 3, highG: null, isWeighed: true },
      'gone',
      'fibre_not_found',
    ],
  ])('unknown, never a number: %s', (_name, amount, fibreId, reason) => {
    const [given] = usesOf(stated(amount, fibreId));
    expect(given).toMatchObject({ kind: 'unknown', reason });
    expect(estimatePart(stated(amount, fibreId), WOOL).total).toMatchObject({ likelyG: 0, unknownCount: 1 });
    if (given?.kind === 'unknown') expect(unknownWords(given.reason)).toMatch(/^[a-z]/);
  });

  const sharing = (massG: number | null, third: Amount | null = null): Pattern =>
    pattern(
      [
        part('a', shapes.ball(40), {
          count: 2,
          uses: [use('core', 'a', 'core', { amount: { form: 'shared', sharedId: 's' } })],
        }),
        part('b', shapes.ball(20), {
          uses: [use('core', 'b', 'core', { amount: { form: 'shared', sharedId: 's' } })],
        }),
        ...(third
          ? [part('c', shapes.ball(30), { uses: [use('core', 'c', 'core', { amount: third })] })]
          : []),
      ],
      { shared: [{ id: 's', name: 'one weight', massG, highG: null, isWeighed: true }] },
    );
  test('one weight is shared by what the shapes come to, all of it', () => {
    const estimate = estimatePattern(sharing(20), WOOL);
    const [a, b] = [known(estimate.uses[0]), known(estimate.uses[1])];
    expect(2 * a.pieceG + b.pieceG).toBeCloseTo(20, 9);
    expect(a.pieceG / b.pieceG).toBeCloseTo(8, 9);
    expect(estimate.shared[0]?.calculatedG).toBeCloseTo((Math.PI / 6) * (2 * 64 + 8) * 0.15, 9);
  });
  test('all that share a weight are off together, by as much as it is', () => {
    const { total } = estimatePattern(sharing(20), WOOL);
    expect(Math.log(total.highG / total.likelyG) / 1.2815515655).toBeCloseTo(0.02, 6);
  });
  test('what is left of it: the others take what they come to', () => {
    const estimate = estimatePattern(sharing(20, { form: 'rest', sharedId: 's' }), WOOL);
    const taken = (Math.PI / 6) * (2 * 64 + 8) * 0.15;
    expect(known(estimate.uses[2]).pieceG).toBeCloseTo(20 - taken, 9);
    expect(estimate.total.likelyG).toBeCloseTo(20, 9);
  });
  test.each([
    ['a weight nobody has said', null, null, 0, 'shared_unknown'],
    ['nothing is left', 5, { form: 'rest', sharedId: 's' }, 2, 'shared_overdrawn'],
  ] as const)('unknown: %s', (_name, massG, third, at, reason) => {
    expect(estimatePattern(sharing(massG, third), WOOL).uses[at]).toMatchObject({ kind: 'unknown', reason });
  });
  test('half of the nose follows the nose', () => {
    const nose = part('nose', shapes.ball(12), {
      uses: [
        use('core', 'n', 'core', { amount: { form: 'grams', massG: 0.8, highG: null, isWeighed: true } }),
      ],
    });
    const other = part('other', shapes.byCount(), {
      uses: [use('core', 'o', 'coat', { amount: { form: 'relative', fraction: 0.5, ofUseId: 'n' } })],
    });
    expect(known(estimatePattern(pattern([other, nose]), WOOL).uses[0]).pieceG).toBeCloseTo(0.4, 9);
  });
  test.each([
    ['near what the shape comes to', 17, false],
    ['far over it', 34, true],
    ['far under it', 9, true],
  ])('stated is compared: %s', (_name, massG, isOff) => {
    const ownKnown = known(usesOf(stated({ form: 'grams', massG, highG: null, isWeighed: true }))[0]);
    expect(ownKnown.comparison?.calculatedG).toBeCloseTo((Math.PI / 6) * 216 * 0.15, 6);
    expect(ownKnown.comparison?.isOff).toBe(isOff);
  });
  test('a stated coat takes its own room, and the core what is left', () => {
    const ownPart = part('p', shapes.ball(60), {
      uses: [
        use('core', 'c', 'core'),
        use('coat', 'a', 'coat', { amount: { form: 'grams', massG: 5, highG: null, isWeighed: true } }),
      ],
    });
    expect(gramsOf(ownPart, 0) + 5).toBeCloseTo((Math.PI / 6) * 216 * 0.15, 9);
  });
  test('only if needed is in no total, and takes no room', () => {
    const more = use('coat', 'a', 'coat', { isIfNeeded: true });
    const bare = estimatePart(part('p', shapes.ball(60)), WOOL);
    const estimate = estimatePattern(
      pattern([part('p', shapes.ball(60), { uses: [use('core', 'c', 'core'), more] })]),
      WOOL,
    );
    expect(estimate.total.likelyG).toBeCloseTo(bare.total.likelyG, 9);
    expect(estimate.ifNeeded).toMatchObject([{ fibreId: 'coat' }]);
    expect(estimate.fibres.map(({ fibreId }) => fibreId)).toEqual(['core']);
  });
});

describe('counts', () => {
  test('a range costs its middle, packs its high end, and widens what it is off', () => {
    const ownPart = part('p', shapes.ball(20), { count: { low: 24, high: 32 } });
    const knownUse = known(usesOf(ownPart)[0]);
    expect(knownUse.all.likelyG).toBeCloseTo(28 * knownUse.pieceG, 9);
    expect(knownUse.packG).toBeCloseTo(32 * knownUse.pieceG, 9);
    const sure = known(usesOf({ ...ownPart, count: 28 })[0]);
    expect(knownUse.all.highG).toBeGreaterThan(sure.all.highG);
  });
  test('nobody has said how many: unknown', () => {
    expect(usesOf(part('p', shapes.ball(20), { count: null }))[0]).toMatchObject({
      kind: 'unknown',
      reason: 'count_missing',
    });
    expect(countRange(null)).toBeNull();
  });
});

test('a part taken out is out of everything that named it', () => {
  const figure = pattern(
    [
      part('a', shapes.ball(20)),
      part('b', shapes.patch(9, 9, 'a')),
      part('c', shapes.ball(9), {
        derived: [{ from: 'part', size: 'diameter', partId: 'a', ofSize: 'diameter', ratio: 1 }],
      }),
    ],
    {
      joins: [blankJoin('j', 'b', 'a')],
      findings: [{ id: 'f', findingId: 'bead', partId: 'a', count: 2, placement: null }],
    },
  );
  const without = withoutPart(figure, 'a');
  expect(checkPattern(without)).toEqual([]);
  expect(without.joins).toEqual([]);
  expect(JSON.stringify(without)).not.toContain('"a"');
});
describe('unknown by its shape', () => {
  test.each<[string, Part, string]>([
    ['an outline nobody has drawn', part('p', shapes.outline('', 30, 4)), 'outline_missing'],
    ['a weight nobody has given', part('p', { kind: 'by-grams', massG: null }), 'weight_missing'],
    ['counted pieces of which nobody says how much', part('p', shapes.byCount()), 'amount_missing'],
    [
      'a patch without its width',
      part('p', { ...shapes.patch(20, 10), width: null } as Part['shape']),
      'sizes_missing',
    ],
    [
      'a fringe without its drop',
      part('p', { ...shapes.fringe(20, 10), drop: null } as Part['shape']),
      'sizes_missing',
    ],
    [
      'wool added by hand without an amount',
      part('p', shapes.ball(20), { uses: [use('added', 'w', 'core')] }),
      'amount_missing',
    ],
    [
      'a line without its length',
      part('p', shapes.ball(20), { uses: [use('line', 'l', 'core')] }),
      'sizes_missing',
    ],
    [
      'a dot without its size',
      part('p', shapes.ball(20), { uses: [use('dot', 'd', 'core')] }),
      'sizes_missing',
    ],
    [
      'hair without its drop',
      part('p', shapes.ball(20), { uses: [use('hair', 'h', 'core', { line: mm(9) })] }),
      'sizes_missing',
    ],
    [
      'a coat over a patch without its length',
      part('p', shapes.ball(20), {
        uses: [use('coat', 'a', 'dark', { cover: { kind: 'patch', length: null, width: mm(9) } })],
      }),
      'sizes_missing',
    ],
  ])('%s', (_name, given, reason) => {
    const [first] = usesOf(given);
    expect(first).toMatchObject({ kind: 'unknown', reason });
    const { total } = estimatePattern(pattern([given]), WOOL);
    expect(total.unknownCount).toBeGreaterThan(0);
    expect(Object.values(total).every(Number.isFinite)).toBe(true);
  });
  test('an unknown layer makes the core unknown too: it is what the layers leave', () => {
    const uses = usesOf(
      part('p', shapes.ball(40), { uses: [use('core', 'c', 'core'), use('patch', 'a', 'dark')] }),
    );
    expect(uses.map(({ kind }) => kind)).toEqual(['unknown', 'unknown']);
  });
  test('but a wisp of which nobody knows how much does not', () => {
    const wisp = use('added', 'w', 'dark', { amount: { form: 'hand', measure: 'wisp', count: 1 } });
    const uses = usesOf(part('p', shapes.ball(40), { uses: [use('core', 'c', 'core'), wisp] }));
    expect(uses.map(({ kind }) => kind)).toEqual(['known', 'unknown']);
  });
});

test('a document of the first format weighs what it weighed', () => {
  const first = {
    format: 'lanakit-pattern' as const,
    formatVersion: 1 as const,
    title: 'Ball',
    finishedHeight: null,
    level: 'first-timer' as const,
    lengthUnit: 'mm' as const,
    steps: [],
    parts: [
      {
        id: 'p',
        name: 'p',
        shape: shapes.ball(60),
        count: 2,
        firmness: 'firm' as const,
        core: { fibreId: 'core' },
        coat: { fibreId: 'coat' },
      },
    ],
  };
  const upgraded = upgradePattern(first);
  expect(checkPattern(upgraded)).toEqual([]);
  expect(upgradePattern(upgraded)).toBe(upgraded);
  expect(estimatePattern(upgraded, WOOL).total.likelyG).toBeCloseTo(2 * (Math.PI / 6) * 216 * 0.15, 9);
});
describe('hands', () => {
  const { calibration } = estimatePattern(pattern([]), WOOL);
  const ways = (massG: number, fibreId: string, rollMm: number | null = null) => {
    const wool = WOOL.fibres.get(fibreId);
    return wool ? handsMeasures(massG, wool, calibration, rollMm) : [];
  };
  test.each([
    ['tops: a length, to 5 mm', 2.4, 'tops', null, { kind: 'length' }],
    [
      'a strip of batt as wide as the roll is long',
      5.1,
      'core',
      100,
      { kind: 'strip', widthMm: 100, lengthMm: 150 },
    ],
    ['not rolled: a square', 3.4, 'core', null, { kind: 'square', sideMm: 100 }],
    ['a pinch of mine', 0.21, 'dark', null, { kind: 'hand', measure: 'pinch', count: 2 }],
    ['too little for the scale: halved by eye', 0.12, 'dark', null, { kind: 'halvings', times: 3 }],
  ])('%s', (_name, massG, fibreId, rollMm, expected) => {
    expect(ways(massG, fibreId, rollMm)).toEqual(expect.arrayContaining([expect.objectContaining(expected)]));
  });
  test('what is halved so often comes to what was wanted, and starts where a scale reads within a tenth', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.49, noNaN: true }), (massG) => {
        const halved = ways(massG, 'dark').find((way) => way.kind === 'halvings');
        if (halved?.kind !== 'halvings') throw new Error('halved');
        expect(halved.startG / 2 ** halved.times).toBeCloseTo(massG, 9);
        expect(halved.startG).toBeGreaterThanOrEqual(0.5 - 1e-9);
        expect(halved.errorFraction).toBeCloseTo(0.1 * Math.sqrt(halved.times), 9);
      }),
    );
  });
  test('rounding is said as what it does to the grams', () => {
    const strip = ways(5, 'core', 93).find((way) => way.kind === 'strip');
    if (strip?.kind !== 'strip') throw new Error('a strip');
    const gramsOfStrip = (strip.lengthMm * strip.widthMm * 340) / 1e6;
    expect(strip.roundingFraction).toBeCloseTo(gramsOfStrip / 5 - 1, 9);
  });
});
