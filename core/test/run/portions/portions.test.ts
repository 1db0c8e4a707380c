import { seededRandom } from '../../../src/base/index.ts';
import { describe, expect, test } from '@jest/globals';
import { HALVING_ERROR_FRACTION } from '../../../src/base/index.ts';
import fc from 'fast-check';
import { estimatePattern } from '../../../src/engine/index.ts';
import { blankJoin } from '../../../src/pattern/index.ts';
import {
  apportion,
  bestGroups,
  groupErrorFraction,
  HAND_ERROR_FRACTION,
  type PackingTerms,
  PARTED_ERROR_FRACTION,
  partingErrorFraction,
  partingOf,
  planPortions,
  shortOfPlan,
  withdrawalsOfPlan,
  uncountedOfPlan,
  weighPortions,
} from '../../../src/run/index.ts';
import { fibre, part, pattern, shapes, shelf, use } from '../../support/make.ts';

describe('sharing whole steps', () => {
  test.each([
    ['equal weights, one left over, to the first', 4, [1, 1, 1], [2, 1, 1]],
    ['largest remainder first', 10, [0.2, 5.5, 4.3], [0, 6, 4]],
    ['no weights', 3, [0, 0], [3, 0]],
    ['nothing to share', 0, [1, 2], [0, 0]],
  ])('%s', (_name, steps, weights, shares) => {
    expect(apportion(steps, weights)).toEqual(shares);
  });
  test('adds up exactly and is never a whole step off', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 5000 }),
        fc.array(fc.double({ min: 0.001, max: 100, noNaN: true }), { minLength: 1, maxLength: 60 }),
        (steps, weights) => {
          const shares = apportion(steps, weights);
          const total = weights.reduce((a, b) => a + b, 0);
          expect(shares.reduce((a, b) => a + b, 0)).toBe(steps);
          shares.forEach((share, i) =>
            expect(Math.abs(share - (steps * (weights[i] ?? 0)) / total)).toBeLessThan(1),
          );
        },
      ),
    );
  });
});

describe('weighing portions', () => {
  test.each([
    [
      'large: each alone, rounded up',
      17.83,
      13,
      0.1,
      { kind: 'single', stepsPerPack: 179, classSteps: 2327 },
    ],
    ['already whole: not a step more', 0.6, 13, 0.1, { kind: 'single', stepsPerPack: 6, classSteps: 78 }],
    ['just weighable: r / 2e', 0.5, 4, 0.1, { kind: 'single', stepsPerPack: 5, classSteps: 20 }],
    ['one pack: alone, whatever it weighs', 0.03, 1, 0.1, { kind: 'single', stepsPerPack: 1, classSteps: 1 }],
  ])('%s', (_name, packG, packs, step, expected) => {
    expect(weighPortions(packG, packs, step)).toEqual(expected);
  });

  test.each([
    ['small: fewest that stay within a fifth', 0.12, 13, 0.1, [6, 4, 3], 17],
    ['tiny: all packs together', 0.01, 13, 0.1, [13], 2],
    ['a gram scale: fewest, not finest', 3, 10, 1, [8, 2], 30],
    ['two packs', 0.2, 2, 0.1, [2], 4],
  ])('%s', (_name, packG, packs, step, sizes, classSteps) => {
    const weighing = weighPortions(packG, packs, step);
    if (weighing.kind === 'single') throw new Error('together');
    expect(weighing.groups.map((group) => group.packs)).toEqual(sizes);
    expect(weighing).toMatchObject({ classSteps, packs });
  });

  test('everybody gets enough, nobody is forgotten, and the error is told', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 60, noNaN: true }),
        fc.integer({ min: 1, max: 250 }),
        fc.constantFrom(0.01, 0.1, 0.5, 1, 5),
        (packG, packs, step) => {
          const weighing = weighPortions(packG, packs, step);
          if (weighing.kind === 'single') {
            expect(weighing.stepsPerPack * step).toBeGreaterThanOrEqual(packG - 1e-6);
            expect((weighing.stepsPerPack - 1) * step).toBeLessThan(packG);
            expect(weighing.classSteps).toBe(weighing.stepsPerPack * packs);
            return;
          }
          const { groups } = weighing;
          expect(groups.reduce((sum, group) => sum + group.packs, 0)).toBe(packs);
          expect(groups.reduce((sum, group) => sum + group.steps, 0)).toBe(weighing.classSteps);
          for (const group of groups) {
            expect(group.packs).toBeGreaterThan(1);
            expect(group.steps * step).toBeGreaterThanOrEqual(group.packs * packG - 1e-6);
            expect(group.errorFraction).toBeLessThanOrEqual(weighing.errorFraction);
          }
          expect(weighing.isByHand).toBe(weighing.errorFraction > HAND_ERROR_FRACTION);
        },
      ),
    );
  });
});

describe('parting a weighed lot', () => {
  test.each([
    ['in two', 2, { halvings: 1, into: [] }, 0.1],
    ['in eight: halved three times', 8, { halvings: 3, into: [] }, 0.1 * Math.sqrt(3)],
    ['in six: halved, then in three', 6, { halvings: 1, into: [3] }, 0.1 * Math.sqrt(3)],
    ['in nine: in three, twice', 9, { halvings: 0, into: [3, 3] }, 0.2],
    ['in seven', 7, { halvings: 0, into: [7] }, 0.1 * Math.sqrt(6)],
  ])('%s', (_name, parts, parting, error) => {
    expect(partingOf(parts)).toEqual(parting);
    expect(partingErrorFraction(partingOf(parts))).toBeCloseTo(error, 12);
  });
  test('halving by eye, simulated: the error in one part is the one that is told', () => {
    const random = seededRandom(7);
    const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    let squares = 0;
    const tries = 60_000;
    for (let tried = 0; tried < tries; tried++) {
      // Three halvings, the half that is kept off by a tenth each time.
      const part = [0, 1, 2].reduce((mass) => (mass / 2) * (1 + HALVING_ERROR_FRACTION * gauss()), 8);
      squares += (part - 1) ** 2;
    }
    expect(Math.sqrt(squares / tries)).toBeCloseTo(partingErrorFraction(partingOf(8)), 2);
  });

  /** All ways to part so many packs into groups of two and more. */
  function* partitions(packs: number, most = packs): Generator<number[]> {
    if (packs === 0) yield [];
    for (let size = Math.min(packs, most); size >= 2; size--) {
      for (const rest of partitions(packs - size, size)) yield [size, ...rest];
    }
  }
  test('the groups are the fewest within a fifth, else of the least error: judged by trying them all', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 17 }),
        fc.double({ min: 0.002, max: 0.5, noNaN: true }),
        (packs, packG) => {
          const groups = bestGroups(packs, packG, 0.1);
          const worstOf = (sizes: readonly number[]) =>
            Math.max(...sizes.map((size) => groupErrorFraction(size, packG, 0.1)));
          const all = [...partitions(packs)];
          const least = Math.min(...all.map(worstOf));
          const limit = Math.max(PARTED_ERROR_FRACTION, least) + 1e-9;
          const fewest = Math.min(
            ...all.filter((sizes) => worstOf(sizes) <= limit).map((sizes) => sizes.length),
          );
          expect(worstOf(groups.map((group) => group.packs))).toBeLessThanOrEqual(limit);
          expect(groups).toHaveLength(fewest);
        },
      ),
      { numRuns: 150 },
    );
  });
});

describe('bags of a pack', () => {
  const fibres = shelf(fibre('core'), fibre('coat', { colour: '#1d1c1e' }));
  const figure = (joinsApart: boolean) =>
    pattern(
      [
        part('body', shapes.ball(60), {
          uses: [
            use('core', 'c', 'core'),
            use('coat', 'a', 'coat'),
            use('added', 'w', 'core', {
              isIfNeeded: true,
              amount: { form: 'grams', massG: 2, highG: null, isWeighed: true },
            }),
          ],
        }),
        part('leg', shapes.limb(40, 12), { count: { low: 2, high: 4 } }),
      ],
      {
        joinsApart,
        joins: [
          {
            ...blankJoin('j', 'leg', 'body'),
            looseEnd: null,
            cover: { fibreId: 'coat', band: null, words: '', wordsSizeFraction: 1, isIfNeeded: false },
          },
        ],
      },
    );
  const terms: PackingTerms = { seats: 4, sparePacks: 0, scaleStepG: 0.1, extraFraction: 0 };
  const planOf = (joinsApart: boolean, onHandG: number | null = 1000) =>
    planPortions(estimatePattern(figure(joinsApart), fibres), terms, () => ({ onHandG, promisedG: 0 }));
  test('what is only if needed is weighed apart; covers too, when they are to be', () => {
    const bags = (joinsApart: boolean) =>
      planOf(joinsApart).fibres.map(({ bag, fibreId }) => `${bag} ${fibreId}`);
    expect(bags(false)).toEqual(['figure core', 'figure coat', 'if-needed core']);
    expect(bags(true)).toEqual(['figure core', 'figure coat', 'joins coat', 'if-needed core']);
  });
  test('the high end of a count is packed, its middle is costed', () => {
    const estimate = estimatePattern(figure(false), fibres);
    const [core] = planOf(false).fibres;
    const legG = estimate.uses.find(({ owner }) => owner.id === 'leg');
    if (!core || legG?.kind !== 'known') throw new Error('both');
    expect(core.exactG - core.likelyG).toBeCloseTo(legG.pieceG, 9);
  });
  test('bags of one fibre draw on the shelf one after another', () => {
    const plan = planOf(false, 100);
    const [figureBag, , apart] = plan.fibres;
    expect(apart?.freeG).toBeCloseTo(100 - (figureBag?.classG ?? 0), 6);
    const withdrawals = withdrawalsOfPlan(plan);
    expect(withdrawals.get('core')).toBeCloseTo((figureBag?.classG ?? 0) + (apart?.classG ?? 0), 9);
    expect([...withdrawals.values()].reduce((a, b) => a + b, 0)).toBeCloseTo(plan.classG, 6);
  });
  test('short of one fibre is one line, and what was never counted another', () => {
    expect(shortOfPlan(planOf(true, 10)).map(({ fibreId }) => fibreId)).toEqual(['core']);
    expect(uncountedOfPlan(planOf(true, null))).toEqual(['core', 'coat']);
  });
});

describe('a class', () => {
  const fibres = shelf(
    fibre('core', { colour: '#e6e0d2' }),
    fibre('coat'),
    fibre('spot', { colour: '#1d1c1e' }),
  );
  const figure = pattern([
    part('body', shapes.egg(74, 56), { coat: 'coat' }),
    part('leaf', shapes.flat(38, 20, 3), { count: 2, core: 'coat' }),
    part('spot', shapes.ball(3), { core: 'spot' }),
  ]);
  const estimate = estimatePattern(figure, fibres);
  const terms: PackingTerms = { seats: 11, sparePacks: 2, scaleStepG: 0.1, extraFraction: 0.1 };
  const plenty = () => ({ onHandG: 1000, promisedG: 0 });
  const of = (plan: ReturnType<typeof planPortions>, id: string) => {
    const portion = plan.fibres.find(({ fibreId }) => fibreId === id);
    if (!portion) throw new Error(`no portion of ${id}`);
    return portion;
  };

  test('packs seats and spares alike, and the class is the sum of its packs', () => {
    const plan = planPortions(estimate, terms, plenty);
    expect(plan.packs).toBe(13);
    const byPack = plan.fibres.reduce((sum, { weighing, packG, classG }) => {
      if (weighing.kind === 'together') return sum + classG;
      return sum + Array.from({ length: 13 }, () => packG ?? 0).reduce((a, b) => a + b, 0);
    }, 0);
    expect(plan.classG).toBeCloseTo(byPack, 9);
  });
  test('the parts of a fibre add up to its weighed portion', () => {
    const coat = of(planPortions(estimate, terms, plenty), 'coat');
    expect(coat.lines.map(({ owner, role }) => `${owner.id} ${role}`)).toEqual(['body coat', 'leaf core']);
    expect(coat.lines.reduce((sum, line) => sum + (line.weighedG ?? 0), 0)).toBeCloseTo(coat.packG ?? 0, 9);
  });
  test('packs the extra over the likely amount', () => {
    const likely = estimate.fibres.find(({ fibreId }) => fibreId === 'core')?.total.likelyG ?? 0;
    expect(of(planPortions(estimate, terms, plenty), 'core').exactG).toBeCloseTo(likely * 1.1, 9);
  });
  test('a speck is weighed for all together', () => {
    expect(of(planPortions(estimate, terms, plenty), 'spot')).toMatchObject({
      packG: null,
      weighing: { kind: 'together' },
    });
  });
  test.each([
    ['enough', { onHandG: 1000, promisedG: 100 }, 900, 0],
    ['promised to runs before', { onHandG: 300, promisedG: 250 }, 50, 'classLess50'],
    ['more promised than there is', { onHandG: 100, promisedG: 250 }, 0, 'class'],
    ['never counted stays unknown', { onHandG: null, promisedG: 0 }, null, null],
  ] as const)('stock: %s', (_name, stock, freeG, short) => {
    const core = of(
      planPortions(estimate, terms, () => stock),
      'core',
    );
    const expected = short === 'class' ? core.classG : short === 'classLess50' ? core.classG - 50 : short;
    expect(core.freeG).toBe(freeG);
    if (expected === null) expect(core.shortG).toBeNull();
    else expect(core.shortG).toBeCloseTo(expected, 6);
  });
  test('one unknown part makes the plan “at least”, never less', () => {
    const holed = estimatePattern(
      { ...figure, parts: [...figure.parts, part('odd', { kind: 'ball', diameter: null })] },
      fibres,
    );
    const plan = planPortions(holed, terms, plenty);
    expect(plan.unknownCount).toBe(1);
    expect(of(plan, 'core').unknownCount).toBe(1);
    expect(plan.classG).toBe(planPortions(estimate, terms, plenty).classG);
  });
  test('the same packs in any split between seats and spares take the same wool', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), fc.integer({ min: 0, max: 50 }), (seats, sparePacks) => {
        const portionPlan = planPortions(estimate, { ...terms, seats, sparePacks }, plenty);
        const other = planPortions(estimate, { ...terms, seats: seats + sparePacks, sparePacks: 0 }, plenty);
        expect(portionPlan.classG).toBe(other.classG);
      }),
    );
  });
});
