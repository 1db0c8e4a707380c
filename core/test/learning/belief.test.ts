import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { normalFrom, seededRandom } from '../../src/base/index.ts';
import {
  type Belief,
  believe,
  believedOf,
  covarianceOf,
  type Factor,
  factorKey,
  type FactorShare,
  handsLearnt,
  learntFrom,
  learntOfFibres,
  type Observation,
  priorSigma,
  surpriseAmong,
  surpriseOf,
  weighedLess,
  withOneMore,
  withoutOne,
} from '../../src/learning/index.ts';

const MAKER: Factor = { kind: 'maker', who: '' };
const felted = (fibreId: string): Factor => ({ kind: 'felted', fibreId, firmness: 'firm' });
const whole = (...factors: Factor[]): FactorShare[] => factors.map((factor) => ({ factor, share: 1 }));
const sample = (fibreId: string, ln: number, id = `${fibreId} ${ln}`): Observation => ({
  id,
  ln,
  sigma: 0.1,
  of: whole(MAKER, felted(fibreId)),
});

describe('what is believed', () => {
  test('three samples of one fibre, each 12 % heavy: 1.1095, σ 0.0553 (from 0.1921); one never sampled 1.0654, σ 0.1559', () => {
    const heavy = Math.log(1.12);
    const belief = believe([sample('a', heavy, '1'), sample('a', heavy, '2'), sample('a', heavy, '3')]);
    const sampled = believedOf(belief, whole(MAKER, felted('a')));
    const never = believedOf(belief, whole(MAKER, felted('b')));
    expect(Math.exp(sampled.ln)).toBeCloseTo(1.1095, 4);
    expect(sampled.sigma).toBeCloseTo(0.0553, 4);
    expect(Math.exp(never.ln)).toBeCloseTo(1.0654, 4);
    expect(never.sigma).toBeCloseTo(0.1559, 4);
    expect(believedOf(believe([]), whole(MAKER, felted('a'))).sigma).toBeCloseTo(0.1921, 4);
  });
  test('what a tester made tells of the fibre, and next to nothing of the studio’s own hands', () => {
    const byTester: Observation = {
      ...sample('a', 0.3),
      of: whole({ kind: 'maker', who: 'Ada' }, felted('a')),
    };
    const belief = believe([byTester]);
    expect(believedOf(belief, whole(MAKER)).ln).toBe(0);
    const ours = believedOf(believe([sample('a', 0.3)]), whole(MAKER, felted('a'))).ln;
    const others = believedOf(belief, whole(MAKER, felted('a'))).ln;
    expect(others).toBeGreaterThan(0);
    expect(others).toBeLessThan(ours);
  });
  test('one that counts half tells as much as one whose variance is twice as large', () => {
    const half = weighedLess(sample('a', 0.2), 0.5);
    expect(half.sigma ** 2).toBeCloseTo(2 * 0.1 ** 2, 12);
  });
  test('two shares of one factor in an observation are one share', () => {
    const twice: Observation = {
      id: 'x',
      ln: 0.2,
      sigma: 0.1,
      of: [
        { factor: MAKER, share: 0.4 },
        { factor: MAKER, share: 0.6 },
      ],
    };
    expect(believedOf(believe([twice]), whole(MAKER)).ln).toBeCloseTo(
      believedOf(believe([{ ...twice, of: whole(MAKER) }]), whole(MAKER)).ln,
      12,
    );
  });
});

const FACTORS: readonly Factor[] = [
  MAKER,
  felted('a'),
  felted('b'),
  { kind: 'hiding', fibreId: 'a' },
  { kind: 'packed', packing: 'tight' },
];
const observations = fc.array(
  fc.record({
    ln: fc.double({ min: -0.6, max: 0.6, noNaN: true }),
    sigma: fc.double({ min: 0.03, max: 0.4, noNaN: true }),
    shares: fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 5, maxLength: 5 }),
  }),
  { minLength: 1, maxLength: 12 },
);
const built = (all: readonly { ln: number; sigma: number; shares: readonly number[] }[]): Observation[] =>
  all.map(({ ln, sigma, shares }, at) => ({
    id: String(at),
    ln,
    sigma,
    of: FACTORS.map((factor, place) => ({ factor, share: shares[place] ?? 0 })),
  }));

describe('one more', () => {
  test('one after another is the same as all together, in any order', () => {
    fc.assert(
      fc.property(observations, (all) => {
        const list = built(all);
        const together = believe(list);
        const inTurn = list.toReversed().reduce(withOneMore, believe([]));
        for (const factor of FACTORS) {
          const [first, other] = [believedOf(together, whole(factor)), believedOf(inTurn, whole(factor))];
          expect(first.ln).toBeCloseTo(other.ln, 8);
          expect(first.sigma).toBeCloseTo(other.sigma, 8);
        }
        expect(covarianceOf(together, MAKER, felted('a'))).toBeCloseTo(
          covarianceOf(inTurn, MAKER, felted('a')),
          8,
        );
      }),
    );
  });
  test('taken out again it is as if it had never been there', () => {
    fc.assert(
      fc.property(observations, (all) => {
        const list = built(all);
        const [first, ...others] = list;
        if (!first) return;
        const [without, never] = [withoutOne(believe(list), first), believe(others)];
        for (const factor of FACTORS) {
          expect(believedOf(without, whole(factor)).ln).toBeCloseTo(believedOf(never, whole(factor)).ln, 6);
          expect(believedOf(without, whole(factor)).sigma).toBeCloseTo(
            believedOf(never, whole(factor)).sigma,
            6,
          );
        }
      }),
    );
  });
  test('never makes anything less sure', () => {
    fc.assert(
      fc.property(observations, (all) => {
        const list = built(all);
        const [less, more] = [believe(list.slice(1)), believe(list)];
        for (const factor of FACTORS)
          expect(believedOf(more, whole(factor)).sigma).toBeLessThanOrEqual(
            believedOf(less, whole(factor)).sigma + 1e-9,
          );
      }),
    );
  });
  test('how odd one among others is, is how odd it is to the others without it', () => {
    fc.assert(
      fc.property(observations, (all) => {
        const list = built(all);
        const [first, ...others] = list;
        if (!first) return;
        const [among, without] = [surpriseAmong(believe(list), first), surpriseOf(believe(others), first)];
        expect(among.z).toBeCloseTo(without.z, 5);
        expect(among.expectedLn).toBeCloseTo(without.expectedLn, 5);
      }),
    );
  });
});

/** Random-walk Metropolis over all factors: knows the model only by its density. Seeded. */
function sampled(list: readonly Observation[], draws: number): Map<string, number[]> {
  const random = seededRandom(11);
  const keys = [
    ...new Map(list.flatMap(({ of }) => of.map(({ factor }) => [factorKey(factor), factor] as const))),
  ];
  const state = new Map(keys.map(([key]) => [key, 0]));
  const logDensity = () => {
    let sum = 0;
    for (const [key, factor] of keys) sum -= ((state.get(key) ?? 0) / priorSigma(factor)) ** 2 / 2;
    for (const { ln, sigma, of } of list) {
      const mean = of.reduce(
        (total, { factor, share }) => total + share * (state.get(factorKey(factor)) ?? 0),
        0,
      );
      sum -= ((ln - mean) / sigma) ** 2 / 2;
    }
    return sum;
  };
  const kept = new Map(keys.map(([key]) => [key, [] as number[]]));
  let density = logDensity();
  for (let draw = -draws / 10; draw < draws; draw++) {
    for (const [key] of keys) {
      const before = state.get(key) ?? 0;
      state.set(key, before + 0.12 * normalFrom(random));
      const proposed = logDensity();
      if (Math.log(random()) < proposed - density) density = proposed;
      else state.set(key, before);
      if (draw >= 0) kept.get(key)?.push(state.get(key) ?? 0);
    }
  }
  return kept;
}

const meanOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const sigmaOf = (values: readonly number[]) => {
  const mean = meanOf(values);
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length);
};

describe('judged by a sampler', () => {
  const MIXED: Observation = {
    id: 'bag',
    ln: -0.12,
    sigma: 0.08,
    of: [
      { factor: MAKER, share: 0.7 },
      { factor: felted('a'), share: 0.7 },
      { factor: { kind: 'hiding', fibreId: 'a' }, share: 0.3 },
    ],
  };
  const list = [sample('a', 0.12), sample('a', 0.2), sample('b', -0.1), MIXED];
  const draws = sampled(list, 60_000);
  const belief: Belief = believe(list);
  test.each(belief.factors.map((factor) => [factorKey(factor), factor] as const))('%s', (key, factor) => {
    const { ln, sigma } = believedOf(belief, whole(factor));
    const values = draws.get(key) ?? [];
    expect(Math.abs(meanOf(values) - ln)).toBeLessThan(0.01);
    expect(Math.abs(sigmaOf(values) / sigma - 1)).toBeLessThan(0.05);
  });
  test('what a fibre does in all, its maker’s hands in it', () => {
    const [maker, fibre] = [draws.get('maker ') ?? [], draws.get('felted a firm') ?? []];
    const sums = maker.map((value, at) => value + (fibre[at] ?? 0));
    const row = learntFrom(belief, []).felted.find(({ fibreId }) => fibreId === 'a');
    const makerSigma = learntFrom(belief, []).maker.sigma;
    expect(Math.abs(meanOf(sums) - (row?.ln ?? 0))).toBeLessThan(0.01);
    const together = Math.hypot((row?.makerSlope ?? 0) * makerSigma, row?.sigma ?? 0);
    expect(Math.abs(sigmaOf(sums) / together - 1)).toBeLessThan(0.05);
  });
});

describe('what fingers take', () => {
  const measured = [
    { name: 'pinch', massG: 0.3, lowG: 0.2, highG: 0.45, weighedAt: '2026-01-01T00:00:00Z' } as const,
  ];
  test('four pinches of 0.4 g each move what was measured at 0.3', () => {
    const [pinch] = handsLearnt([{ id: 'x', name: 'pinch', count: 4, massG: 1.6 }], measured);
    expect(pinch?.massG).toBeGreaterThan(0.3);
    expect(pinch?.massG).toBeLessThan(0.4);
    expect(pinch?.samples).toBe(1);
  });
  test('one never measured is what it weighed', () => {
    expect(handsLearnt([{ id: 'x', name: 'tuft', count: 2, massG: 3 }], measured)[0]?.massG).toBeCloseTo(
      1.5,
      12,
    );
  });
});

test('a learner’s phone is told only of the fibres in its pack', () => {
  const learnt = learntFrom(believe([sample('a', 0.1), sample('b', 0.1)]), []);
  expect(learntOfFibres(learnt, new Set(['b'])).felted.map(({ fibreId }) => fibreId)).toEqual(['b']);
});
