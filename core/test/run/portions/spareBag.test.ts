import { seededRandom } from '../../../src/base/index.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { normalCdf, normalQuantile } from '../../../src/base/index.ts';
import {
  allowances,
  bagsForChance,
  chanceEachAlone,
  chanceWithBags,
  type ClassNeeds,
  commonGrams,
  extraForComing,
  extrasForChance,
  packedWith,
  simulateRun,
  type VariantGrams,
} from '../../../src/run/index.ts';
import { classOf, drawnShare } from '../../support/classes.ts';

test('the quantile is what the distribution function takes back', () => {
  for (const p of [1e-200, 1e-12, 1e-6, 0.02, 0.25, 0.5, 0.9, 0.98, 0.999999, 1 - 1e-12])
    expect(normalCdf(normalQuantile(p)) / p).toBeCloseTo(1, 7);
});

/** Packed so that only a share of learners come to the bag. */
const comingTo = (needs: ClassNeeds, toBag: number): ClassNeeds =>
  packedWith(needs, extraForComing(toBag, needs.toleranceFraction));

const many = (fibres: number, commonSigma: number, sharedSigma: number) =>
  Array.from({ length: fibres }, () => [commonSigma, sharedSigma] as const);

describe('packs and a bag for all', () => {
  test.each([
    ['eleven, one fibre, two of them for the first time', many(1, 0.15, 0.12), 9, 2, 0.25, 0.95],
    ['eleven, six fibres', many(6, 0.15, 0.12), 11, 0, 0.25, 0.95],
    ['eleven, six fibres, and the make was weighed', many(6, 0.05, 0.12), 9, 2, 0.25, 0.95],
    ['three', many(4, 0.15, 0.12), 3, 0, 0.25, 0.9],
    ['sixty, cores and coats', [...many(2, 0.15, 0.12), ...many(2, 0, 0.25)], 54, 6, 0.25, 0.95],
    ['few may come', many(3, 0.15, 0.12), 8, 4, 0.05, 0.95],
    ['all of it is common', many(3, 0.15, 0), 12, 0, 0.25, 0.95],
    ['nothing is', many(1, 0, 0), 8, 4, 0.25, 0.95],
  ])('integrated and drawn, the chance agrees within 1 %%: %s', (_name, fibres, some, first, toBag, chance) => {
    const bare = classOf(fibres, [{ count: some, sigma: 0.12, extra: 0 }, { count: first, sigma: 0.18, extra: 0 }]);
    const needs = comingTo(bare, toBag);
    const bagsG = bagsForChance(needs, chance);
    expect(chanceWithBags(needs, bagsG)).toBeCloseTo(chance, 2);
    const drawn = drawnShare(needs, bagsG, 16_000, 11);
    expect(Math.abs(drawn.enough - chance)).toBeLessThan(0.01);
    expect(drawn.came).toBeLessThan(toBag + 0.01);
    const tried = simulateRun(needs, bagsG, 16_000, seededRandom(5));
    expect(Math.abs((tried?.enough ?? 0) / 16_000 - drawn.enough)).toBeLessThan(0.012);
  });
  test('hands that want more of everything make it no less sure than is said', () => {
    const needs = comingTo(classOf(many(6, 0, 0), [{ count: 8, sigma: 0.18, extra: 0 }]), 0.25);
    const drawn = drawnShare(needs, bagsForChance(needs, 0.95), 16_000, 3).enough;
    expect(drawn).toBeGreaterThan(0.945);
    expect(drawn).toBeLessThan(0.98);
  });
  test('without a bag it is each pack alone', () => {
    const needs = classOf(many(2, 0.15, 0.12), [{ count: 9, sigma: 0.12, extra: 0.4 }]);
    expect(Math.abs(chanceWithBags(needs, [0, 0]) - chanceEachAlone(needs))).toBeLessThan(0.02);
  });
  test('a bag takes less than packing each for the same chance', () => {
    const bare = classOf(many(4, 0.15, 0.12), [{ count: 11, sigma: 0.12, extra: 0 }]);
    const inAll = ({ makers }: ClassNeeds) =>
      makers.reduce((sum, { count, takes }) => sum + count * takes.reduce((value, { packedG }) => value + packedG, 0), 0);
    const alone = extrasForChance(bare, 0.95);
    if (!alone) throw new Error('not to be had');
    const needs = comingTo(bare, 0.25);
    const bagG = bagsForChance(needs, 0.95).reduce((sum, massG) => sum + massG, 0);
    expect(inAll(needs) + bagG).toBeLessThan(inAll(packedWith(bare, alone)));
  });
  test('where packs are enough, nothing lies in the bag; a bigger bag is never less sure, and none is ever over one', () => {
    const plenty = classOf(many(1, 0.05, 0), [{ count: 8, sigma: 0.1, extra: 2 }]);
    expect(bagsForChance(plenty, 0.95)).toEqual([0]);
    const needs = comingTo(classOf(many(2, 0.15, 0.12), [{ count: 11, sigma: 0.12, extra: 0 }]), 0.25);
    const chances = [0, 5, 20, 60, 150, 5000].map((bagG) => chanceWithBags(needs, [bagG, bagG]));
    expect(chances).toEqual([...chances].sort((a, b) => a - b));
    expect(Math.max(...chances)).toBeLessThanOrEqual(1);
  });
  test('a try can be stopped, and is the same for the same seed', () => {
    const needs = classOf(many(2, 0.15, 0.12), [{ count: 5, sigma: 0.12, extra: 0.1 }]);
    expect(simulateRun(needs, [3, 3], 5000, seededRandom(1), (share) => share < 0.5)).toBeNull();
    expect(simulateRun(needs, [3, 3], 500, seededRandom(1))).toEqual(simulateRun(needs, [3, 3], 500, seededRandom(1)));
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
      ways.splice(0, ways.length, ...ways.flatMap(({ share, chosen }) => variants.map((variant, at) => ({ share: share * variant.share, chosen: [...chosen, at] }))));
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
