import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  allowances,
  chanceEnough,
  chanceWithBag,
  commonGrams,
  extraForComing,
  NEED_SIGMA,
  normalCdf,
  normalQuantile,
  seededRandom,
  simulateRun,
  spareBagG,
  type FibreNeed,
  type VariantGrams,
} from '../src/index.ts';

const needOf = (count: number, sharedSigma: number, toBag: number, firstTimers = 0): FibreNeed => {
  const extra = extraForComing(toBag, sharedSigma);
  const of = (sigma: number, number: number) =>
    number > 0 ? [{ likelyG: 17, packedG: 17 * (1 + extra(sigma)), sigma, count: number }] : [];
  return {
    fibreId: 'core',
    sharedSigma,
    needs: [...of(NEED_SIGMA.some, count - firstTimers), ...of(NEED_SIGMA['first-timer'], firstTimers)],
  };
};

test('the quantile is what the distribution function takes back', () => {
  for (const p of [1e-6, 0.02, 0.25, 0.5, 0.9, 0.98, 0.999999])
    expect(normalCdf(normalQuantile(p))).toBeCloseTo(p, 9);
});

describe('packs and a bag for all', () => {
  test.each([
    ['eleven, two of them for the first time', 11, 0.25, 0.25, 2, 0.95],
    ['eleven, and the estimate is good', 11, 0.05, 0.25, 2, 0.95],
    ['three', 3, 0.2, 0.25, 0, 0.9],
    ['sixty', 60, 0.2, 0.25, 6, 0.95],
    ['few may come', 12, 0.15, 0.05, 4, 0.95],
    ['nothing is shared', 12, 0, 0.25, 4, 0.95],
  ])('integrated and simulated, the chance agrees within 1 %%: %s', (_name, count, shared, toBag, first, chance) => {
    const need = needOf(count, shared, toBag, first);
    const bagG = spareBagG(need, chance);
    expect(bagG).toBeGreaterThan(0);
    expect(chanceWithBag(need, bagG)).toBeCloseTo(chance, 2);
    const tried = simulateRun([{ ...need, bagG }], 16_000, seededRandom(11));
    if (!tried) throw new Error('it was not stopped');
    expect(Math.abs(tried.enough / tried.tries - chance)).toBeLessThan(0.01);
    expect(Math.abs(tried.cameFraction - toBag)).toBeLessThan(0.01);
  });
  test('without a bag it is each pack alone, and the integral of that is simulated too', () => {
    const need = needOf(9, 0.15, 0.02);
    expect(chanceWithBag(need, 0)).toBe(chanceEnough(need));
    const tried = simulateRun([{ ...need, bagG: 0 }], 20_000, seededRandom(5));
    expect(Math.abs((tried?.enough ?? 0) / 20_000 - chanceEnough(need))).toBeLessThan(0.01);
  });
  test('a bag takes less than packing each for the same chance', () => {
    const need = needOf(11, 0.2, 0.25);
    const inPacks = need.needs.reduce((sum, { packedG, count }) => sum + packedG * count, 0);
    const z = 3.1;
    const alone = need.needs.reduce((sum, { likelyG, sigma, count }) => sum + likelyG * count * Math.exp(z * Math.hypot(sigma, 0.2)), 0);
    const asSure = chanceEnough({ ...need, needs: need.needs.map((own) => ({ ...own, packedG: own.likelyG * Math.exp(z * Math.hypot(own.sigma, 0.2)) })) });
    expect(inPacks + spareBagG(need, asSure)).toBeLessThan(alone);
  });
  test('where packs are enough, nothing lies in the bag; a bigger bag is never less sure', () => {
    const plenty: FibreNeed = { fibreId: 'x', sharedSigma: 0.05, needs: [{ likelyG: 10, packedG: 30, sigma: 0.1, count: 8 }] };
    expect(spareBagG(plenty, 0.95)).toBe(0);
    const need = needOf(11, 0.2, 0.25);
    const chances = [0, 5, 20, 60, 150].map((bagG) => chanceWithBag(need, bagG));
    expect(chances).toEqual([...chances].sort((a, b) => a - b));
  });
  test('a try can be stopped, and is the same for the same seed', () => {
    const need = { ...needOf(5, 0.2, 0.25), bagG: 3 };
    expect(simulateRun([need], 5000, seededRandom(1), (share) => share < 0.5)).toBeNull();
    expect(simulateRun([need], 500, seededRandom(1))).toEqual(simulateRun([need], 500, seededRandom(1)));
  });
}); // prettier-ignore

describe('colours for those who have not chosen', () => {
  const grams = (...rows: readonly (readonly [string, number])[]) => new Map(rows.map(([fibreId, massG]) => [`figure|${fibreId}`, massG]));
  const variants: VariantGrams[] = [
    { share: 0.5, grams: grams(['core', 17], ['green', 2]) },
    { share: 0.3, grams: grams(['core', 16], ['rust', 3]) },
    { share: 0.2, grams: grams(['core', 17], ['green', 2], ['blush', 0.2]) },
  ];
  test('what all of them take goes into the pack', () => {
    expect(commonGrams(variants)).toEqual(new Map([['figure|core', 16]]));
  });
  test.each([
    ['nobody', 0, 0.95],
    ['one', 1, 0.95],
    ['four', 4, 0.9],
    ['six, nearly sure', 6, 0.99],
  ])('enough with the chance that is asked, judged by every way to choose: %s', (_name, undecided, chance) => {
    const found = allowances(variants, undecided, chance);
    const each = chance ** (1 / 4);
    const ways: { share: number; chosen: number[] }[] = [{ share: 1, chosen: [] }];
    for (let chooser = 0; chooser < undecided; chooser++)
      ways.splice(0, ways.length, ...ways.flatMap(({ share, chosen }) => variants.map((own, at) => ({ share: share * own.share, chosen: [...chosen, at] }))));
    const takes = (fibreId: string, chosen: readonly number[]) =>
      chosen.reduce((sum, at) => sum + (variants[at]?.grams.get(`figure|${fibreId}`) ?? 0) - (fibreId === 'core' ? 16 : 0), 0);
    expect([...found.keys()].sort()).toEqual(['blush', 'core', 'green', 'rust']);
    for (const [fibreId, massG] of found) {
      const within = (limit: number) => ways.reduce((sum, { share, chosen }) => sum + (takes(fibreId, chosen) <= limit + 1e-6 ? share : 0), 0);
      expect(within(massG)).toBeGreaterThanOrEqual(each - 1e-9);
      // A milligram less would not be enough, unless nothing is needed.
      if (massG > 0) expect(within(massG - 0.002)).toBeLessThan(each);
    }
  });
  test('it is never what everybody would take if all chose the same', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 30 }), (undecided) => {
        const all = allowances(variants, undecided, 0.95);
        expect(all.get('rust') ?? 0).toBeLessThanOrEqual(3 * undecided);
        expect(allowances(variants, undecided, 0.5).get('rust') ?? 0).toBeLessThanOrEqual(all.get('rust') ?? 0);
      }),
    );
  });
}); // prettier-ignore
