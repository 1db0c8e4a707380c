import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { normalCdf } from '../../src/base/index.ts';
import { estimatePattern } from '../../src/engine/index.ts';
import {
  blankSeat,
  chanceEachAlone,
  classNeeds,
  costOfWithdrawals,
  extrasForChance,
  extrasOfRun,
  NEED_SIGMA,
  onlyFibre,
  packedWith,
  packGroups,
  planGroups,
  portionsOfRun,
  RUN_DEFAULTS,
  sureness,
  toPackOf,
  usualBags,
} from '../../src/run/index.ts';
import { classOf, drawnShare } from '../support/classes.ts';
import { fibre, part, pattern, shapes, shelf } from '../support/make.ts';

test('the normal distribution function, against its own integral', () => {
  for (const z of [-8, -3.1, -1, -0.2, 0, 0.7, 1.2815515655446004, 2.5, 6]) {
    const steps = 20_000;
    const h = (z + 12) / steps;
    let sum = 0;
    for (let step = 0; step <= steps; step++) {
      const x = -12 + step * h;
      sum += (step === 0 || step === steps ? 1 : step % 2 === 1 ? 4 : 2) * Math.exp((-x * x) / 2);
    }
    expect(normalCdf(z)).toBeCloseTo((sum * h) / 3 / Math.sqrt(2 * Math.PI), 10);
  }
});

describe('the chance that nobody is short, each with their own pack', () => {
  test('of one seat and one fibre, it is one log-normal of all errors, past what wool gives', () => {
    for (const sharedSigma of [0, 0.1, 0.25]) {
      const classNeeds = classOf([[0.1, sharedSigma]], [{ count: 1, sigma: 0.18, extra: 0.3 }]);
      const z = Math.log(1.3 * 1.1) / Math.hypot(0.18, 0.1, sharedSigma);
      expect(chanceEachAlone(classNeeds)).toBeCloseTo(normalCdf(z), 2);
    }
  });
  test('without an error of the estimate, seats go by themselves', () => {
    const of = (count: number) => chanceEachAlone(classOf([[0, 0]], [{ count, sigma: 0.18, extra: 0.2 }]));
    expect(of(11)).toBeCloseTo(of(1) ** 11, 9);
  });
  test.each([
    ['twelve of some practice, one fibre', [[0.15, 0.12]], [{ count: 12, sigma: 0.12, extra: 0.3 }]],
    ['eleven, six fibres, two for the first time', Array.from({ length: 6 }, () => [0.15, 0.12]), [{ count: 9, sigma: 0.12, extra: 0.35 }, { count: 2, sigma: 0.18, extra: 0.45 }]],
    ['coats beside cores, a weighed make', [[0.05, 0.12], [0.05, 0.04], [0, 0.25], [0, 0.25]], [{ count: 8, sigma: 0.12, extra: 0.3 }]],
    ['one box by post', [[0.15, 0.12], [0.15, 0.12], [0, 0.25]], [{ count: 1, sigma: 0.18, extra: 0.4 }]],
    ['twelve fibres, sixty seats', Array.from({ length: 12 }, (_, at) => [at % 3 === 0 ? 0 : 0.15, 0.15]), [{ count: 60, sigma: 0.12, extra: 0.6 }]],
  ] as const)('within 1 %% of classes that are drawn: %s', (_name, fibres, seats) => {
    const needs = classOf(fibres as never, seats);
    const drawn = drawnShare(needs, [], 30_000, 11).enough;
    expect(Math.abs(chanceEachAlone(needs) - drawn)).toBeLessThan(0.01);
  });
  test('one hand wants more of all its fibres, so that many colours are hardly less sure than one', () => {
    const of = (fibres: number) =>
      chanceEachAlone(classOf(Array.from({ length: fibres }, () => [0.15, 0] as const), [{ count: 11, sigma: 0.12, extra: 0.3 }]));
    expect(of(6)).toBeGreaterThan(of(1) ** 2);
  });
  test('more in the packs is never less sure; more seats never surer', () => {
    const double = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(double(0, 1), double(0, 0.5), fc.integer({ min: 1, max: 40 }), (extra, more, count) => {
        const chance = (given: { extra: number; count: number }) =>
          chanceEachAlone(classOf([[0.15, 0.12], [0, 0.2]], [{ sigma: 0.12, ...given }]));
        expect(chance({ extra: extra + more, count })).toBeGreaterThanOrEqual(chance({ extra, count }) - 1e-12);
        expect(chance({ extra, count: count + 1 })).toBeLessThanOrEqual(chance({ extra, count }) + 1e-12);
      }),
      { numRuns: 25 },
    );
  });
  test('twelve of some practice with a well-known make come to about a fifth over; three times the wool never', () => {
    const known = classOf([[0.02, 0.03]], [{ count: 12, sigma: 0.12, extra: 0 }]);
    const extra = extrasForChance(known, 0.95);
    const [fibre_] = known.fibres;
    if (!extra || !fibre_) throw new Error('not to be had');
    expect(extra(fibre_, 0.12)).toBeGreaterThan(0.15);
    expect(extra(fibre_, 0.12)).toBeLessThan(0.3);
    const unknown = classOf(Array.from({ length: 4 }, () => [0.15, 0.12] as const), [{ count: 9, sigma: 0.18, extra: 0 }]);
    const most = extrasForChance(unknown, 0.95);
    expect(most?.({ fibreId: 'f0', commonSigma: 0.15, sharedSigma: 0.12 }, 0.18)).toBeLessThan(1);
  });
}); // prettier-ignore

describe('how much more every pack needs', () => {
  const needs = classOf([[0.15, 0.12], [0, 0.2]], [{ count: 9, sigma: 0.12, extra: 0 }, { count: 2, sigma: 0.18, extra: 0 }]);
  test('is the smallest quantile that does; who strays more gets more', () => {
    for (const chance of [0.5, 0.95, 0.98]) {
      const extra = extrasForChance(needs, chance);
      if (extra === null) throw new Error('not to be had');
      expect(chanceEachAlone(packedWith(needs, extra))).toBeGreaterThanOrEqual(chance);
      const less = packedWith(needs, (need, sigma) => (1 + extra(need, sigma)) * Math.exp(-0.005 * Math.hypot(sigma, need.commonSigma, need.sharedSigma)) - 1);
      expect(chanceEachAlone(less)).toBeLessThan(chance);
      const [first] = needs.fibres;
      if (first) expect(extra(first, 0.18)).toBeGreaterThan(extra(first, 0.12));
    }
  });
  test('says so where no pack would be enough', () => {
    expect(extrasForChance(classOf([[0, 2]], [{ count: 200, sigma: 0.18, extra: 0 }]), 0.99)).toBeNull();
  });
  test('is never less than is likely', () => {
    const sure = extrasForChance(classOf([[0, 0.01]], [{ count: 1, sigma: 0.02, extra: 0 }]), 0.6);
    expect(sure?.({ fibreId: 'f0', commonSigma: 0, sharedSigma: 0.01 }, 0.02)).toBe(0);
  });
}); // prettier-ignore

describe('how sure a class is', () => {
  const build = pattern([part('body', shapes.ball(60), { coat: 'coat' }), part('dot', shapes.ball(8), { core: 'dark' })]);
  const wool = shelf(fibre('core', { pricePer100gMinor: 260 }), fibre('coat', { pricePer100gMinor: null }), fibre('dark'));
  const roster = [{ ...blankSeat(2), skill: 'first-timer' as const }];
  const terms = { ...RUN_DEFAULTS, name: 'c', date: '2026-12-05', revisionId: 'r', seats: 11, roster, scaleStepG: 0.01, swapIds: [], recipes: [], ownBags: [] };
  const toPack = (wantedChance: number | null) => toPackOf(new Map([['r', build]]), { ...terms, wantedChance }, wool);
  const planOf = (wantedChance: number | null) =>
    portionsOfRun(toPack(wantedChance), { ...terms, wantedChance }, () => ({ onHandG: 500, promisedG: 0 }));
  const sureOf = (wantedChance: number | null) => sureness(toPack(wantedChance), planOf(wantedChance), { ...terms, wantedChance });
  test('a plain tenth more is not sure; packed for a chance, it is as sure as that, and no surer than rounding makes it', () => {
    expect(sureOf(null).chance).toBeLessThan(0.5);
    for (const chance of [0.9, 0.95]) {
      expect(sureOf(chance).chance).toBeGreaterThanOrEqual(chance);
      expect(sureOf(chance).chance).toBeLessThan(chance + 0.02);
    }
  });
  test('each fibre is surer than all together, least sure first', () => {
    const { fibres, chance: all } = sureOf(0.95);
    for (const { chance } of fibres) expect(chance).toBeGreaterThanOrEqual(all - 1e-9);
    expect(fibres.map(({ chance }) => chance)).toEqual(fibres.map(({ chance }) => chance).sort((a, b) => a - b));
  });
  test('those who stray more are packed apart, and get more; the extra of each portion is told with it', () => {
    const { groups } = toPack(0.95);
    expect(groups.map(({ skill, packs }) => [skill, packs])).toEqual([['some', 11], ['first-timer', 1]]);
    const extras = extrasOfRun(toPack(0.95), { ...terms, wantedChance: 0.95 }, 0.95);
    const plan = planOf(0.95);
    const core = groups.map(({ key }) => plan.groups.find((group) => group.key === key)?.plan.fibres.find(({ fibreId }) => fibreId === 'core'));
    expect(core.map((portion) => portion?.extraFraction)).toEqual([extras.get('core')?.('some'), extras.get('core')?.('first-timer')]);
    expect(core[1]?.exactG).toBeGreaterThan(core[0]?.exactG ?? Infinity);
    expect(toPack(null).groups).toHaveLength(1);
  });
  test('its cost, with what has no price counted apart', () => {
    expect(costOfWithdrawals(new Map([['core', 150], ['coat', 20]]), wool.fibres)).toEqual({ known: 390, unknownCount: 1 });
  });
}); // prettier-ignore

describe('what a class needs', () => {
  const build = pattern([part('body', shapes.ball(60), { coat: 'coat' }), part('odd', { kind: 'ball', diameter: null }, { core: 'odd' })]);
  const wool = shelf(fibre('core'), fibre('coat'), fibre('odd'));
  const roster = [{ ...blankSeat(2), skill: 'first-timer' as const }];
  const groups = packGroups(new Map([['r', build]]), { ...RUN_DEFAULTS, revisionId: 'r', seats: 3, roster, recipes: [], swapIds: [] });
  const estimates = new Map(groups.map(({ key, build: group }) => [key, estimatePattern(group, wool)]));
  const toPack = groups.map(({ key, packs }) => ({ key, packs, uses: usualBags(estimates.get(key) ?? estimatePattern(build, wool)) }));
  const plan = planGroups(toPack, { scaleStepG: 0.1, extraFraction: 0.1 }, () => ({ onHandG: null, promisedG: 0 }));
  const { needs, unknown } = classNeeds(groups, estimates, plan, { skill: 'some', roster, toleranceFraction: 0.1 });
  test('each fibre by skill, spares left out; what is unknown is told and not reckoned with', () => {
    expect(unknown).toEqual(['odd']);
    expect(needs.fibres.map(({ fibreId }) => fibreId).sort()).toEqual(['coat', 'core']);
    expect(needs.makers.map(({ sigma, count }) => [sigma, count])).toEqual([[NEED_SIGMA.some, 2], [NEED_SIGMA['first-timer'], 1]]);
    for (const { takes } of needs.makers) {
      expect(takes).toHaveLength(2);
      for (const { packedG, likelyG } of takes) expect(packedG).toBeGreaterThanOrEqual(likelyG * 1.1 - 1e-9);
    }
  });
  test('a core has the maker’s common error and its fibre’s; a coat its hiding alone', () => {
    const of = (id: string) => needs.fibres.find(({ fibreId }) => fibreId === id);
    expect(of('core')).toMatchObject({ commonSigma: expect.closeTo(0.15, 9), sharedSigma: expect.closeTo(0.12, 9) });
    expect(of('coat')).toMatchObject({ commonSigma: 0, sharedSigma: expect.closeTo(0.25, 9) });
    expect(onlyFibre(needs, 1).fibres).toEqual([needs.fibres[1]]);
  });
}); // prettier-ignore
