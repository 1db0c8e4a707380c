import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  blankSeat,
  chanceEnough,
  chanceNobodyShort,
  costOfTakings,
  estimatePattern,
  extrasForChance,
  extrasOfRun,
  fibreNeeds,
  NEED_SIGMA,
  normalCdf,
  packGroups,
  planGroups,
  portionsOfRun,
  RUN_DEFAULTS,
  sureness,
  toPackOf,
  usualBags,
  type FibreNeed,
  type SeatNeed,
} from '../src/index.ts';
import { fibre, part, pattern, shapes, shelf } from './support/make.ts';
import { gaussian } from './support/random.ts';

const need = (more: Partial<SeatNeed> = {}): SeatNeed => ({
  likelyG: 10,
  packedG: 12,
  sigma: 0.18,
  count: 11,
  ...more,
});

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

describe('the chance that nobody is short', () => {
  test('of one seat, it is one log-normal of both errors', () => {
    for (const sharedSigma of [0, 0.1, 0.25]) {
      const one = need({ count: 1, packedG: 13 });
      const z = Math.log(1.3) / Math.hypot(one.sigma, sharedSigma);
      expect(chanceEnough({ needs: [one], sharedSigma })).toBeCloseTo(normalCdf(z), 9);
    }
  });
  test('without a shared error, seats go by themselves', () => {
    const alone = chanceEnough({ needs: [need({ count: 1 })], sharedSigma: 0 });
    expect(chanceEnough({ needs: [need({ count: 11 })], sharedSigma: 0 })).toBeCloseTo(alone ** 11, 9);
  });
  test('within 1 % of classes that are simulated', () => {
    const fibres: FibreNeed[] = [
      { fibreId: 'core', sharedSigma: 0.2, needs: [need({ packedG: 15, count: 9 }), need({ packedG: 16, sigma: 0.28, count: 2 })] },
      { fibreId: 'coat', sharedSigma: 0.12, needs: [need({ likelyG: 2, packedG: 3.1, count: 11 })] },
    ];
    const draw = gaussian(11);
    const classes = 40_000;
    let enough = 0;
    for (let one = 0; one < classes; one++) {
      const isEnough = fibres.every(({ needs, sharedSigma }) => {
        const offBy = sharedSigma * draw();
        let all = true;
        for (const { likelyG, packedG, sigma, count } of needs) {
          for (let seat = 0; seat < count; seat++) {
            if (likelyG * Math.exp(offBy + sigma * draw()) > packedG) all = false;
          }
        }
        return all;
      });
      if (isEnough) enough++;
    }
    expect(Math.abs(enough / classes - chanceNobodyShort(fibres))).toBeLessThan(0.01);
  });
  test('more in the packs is never less sure; more seats never surer', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 40, noNaN: true }), fc.double({ min: 0, max: 10, noNaN: true }), fc.integer({ min: 1, max: 60 }), (packedG, more, count) => {
        const chance = (one: Partial<SeatNeed>) => chanceEnough({ needs: [need({ packedG, count, ...one })], sharedSigma: 0.2 });
        expect(chance({ packedG: packedG + more })).toBeGreaterThanOrEqual(chance({}) - 1e-12);
        expect(chance({ count: count + 1 })).toBeLessThanOrEqual(chance({}) + 1e-12);
      }),
      { numRuns: 50 },
    );
  });
}); // prettier-ignore

describe('how much more every pack needs', () => {
  const one: FibreNeed = { fibreId: 'core', sharedSigma: 0.2, needs: [need({ count: 9 }), need({ sigma: 0.28, count: 2 })] };
  const at = (extra: (sigma: number) => number) =>
    chanceEnough({ ...one, needs: one.needs.map((own) => ({ ...own, packedG: own.likelyG * (1 + extra(own.sigma)) })) });
  test('is the smallest quantile that does, and who strays more gets more', () => {
    for (const chance of [0.5, 0.95, 0.98]) {
      const extra = extrasForChance(one, chance);
      if (extra === null) throw new Error('not to be had');
      expect(at(extra)).toBeGreaterThanOrEqual(chance);
      expect(at((sigma) => (1 + extra(sigma)) * Math.exp(-0.001 * Math.hypot(sigma, 0.2)) - 1)).toBeLessThan(chance);
      expect(extra(0.28)).toBeGreaterThan(extra(0.18));
    }
  });
  test('says so where no pack would be enough', () => {
    expect(extrasForChance({ sharedSigma: 2, needs: [need({ count: 200 })] }, 0.99)).toBeNull();
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
  test('every fibre bears the same share, least sure first', () => {
    const { fibres } = sureOf(0.95);
    for (const { chance } of fibres) expect(chance).toBeGreaterThanOrEqual(0.95 ** (1 / 3) - 1e-9);
    expect(fibres.map(({ chance }) => chance)).toEqual([...fibres.map(({ chance }) => chance)].sort((a, b) => a - b));
  });
  test('those who stray more are packed apart, and get more; the extra of each portion is told with it', () => {
    const { groups } = toPack(0.95);
    expect(groups.map(({ skill, packs }) => [skill, packs])).toEqual([['some', 11], ['first-timer', 1]]);
    const extras = extrasOfRun(toPack(0.95), { ...terms, wantedChance: 0.95 }, 0.95);
    const plan = planOf(0.95);
    const core = groups.map(({ key }) => plan.groups.find((own) => own.key === key)?.plan.fibres.find(({ fibreId }) => fibreId === 'core'));
    expect(core.map((portion) => portion?.extraFraction)).toEqual([extras.get('core')?.('some'), extras.get('core')?.('first-timer')]);
    expect(core[1]?.exactG).toBeGreaterThan(core[0]?.exactG ?? Infinity);
    expect(toPack(null).groups).toHaveLength(1);
  });
  test('its cost, with what has no price counted apart', () => {
    expect(costOfTakings(new Map([['core', 150], ['coat', 20]]), wool.fibres)).toEqual({ known: 390, unknownCount: 1 });
  });
}); // prettier-ignore

describe('what a class needs', () => {
  const build = pattern([part('body', shapes.ball(60), { coat: 'coat' }), part('odd', { kind: 'ball', diameter: null }, { core: 'odd' })]);
  const wool = shelf(fibre('core'), fibre('coat'), fibre('odd'));
  const roster = [{ ...blankSeat(2), skill: 'first-timer' as const }];
  const groups = packGroups(new Map([['r', build]]), { ...RUN_DEFAULTS, revisionId: 'r', seats: 3, roster, recipes: [], swapIds: [] });
  const estimates = new Map(groups.map(({ key, build: own }) => [key, estimatePattern(own, wool)]));
  const toPack = groups.map(({ key, packs }) => ({ key, packs, uses: usualBags(estimates.get(key) ?? estimatePattern(build, wool)) }));
  const plan = planGroups(toPack, { scaleStepG: 0.1, extraFraction: 0.1 }, () => ({ onHandG: null, promisedG: 0 }));
  const needs = fibreNeeds(groups, estimates, plan, { skill: 'some', roster });
  test('each fibre by skill, spares left out; what is unknown is told and not reckoned with', () => {
    expect(needs.unknown).toEqual(['odd']);
    expect(needs.fibres.map(({ fibreId }) => fibreId).sort()).toEqual(['coat', 'core']);
    for (const { needs: own, sharedSigma } of needs.fibres) {
      expect(own.map(({ sigma, count }) => [sigma, count])).toEqual([[NEED_SIGMA.some, 2], [NEED_SIGMA['first-timer'], 1]]);
      expect(sharedSigma).toBeGreaterThan(0);
      for (const { packedG, likelyG } of own) expect(packedG).toBeGreaterThanOrEqual(likelyG * 1.1 - 1e-9);
    }
  });
}); // prettier-ignore
