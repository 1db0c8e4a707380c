import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  blankSeat,
  chanceEnough,
  chanceNobodyShort,
  costOfTakings,
  estimatePattern,
  extraForChance,
  fibreNeeds,
  NEED_SIGMA,
  normalCdf,
  packGroups,
  planGroups,
  sureness,
  WANTED_CHANCE,
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
  const fibres: FibreNeed[] = [{ fibreId: 'core', sharedSigma: 0.2, needs: [need()] }];
  const at = (extra: number) =>
    chanceNobodyShort(fibres.map((one) => ({ ...one, needs: one.needs.map((own) => ({ ...own, packedG: own.likelyG * (1 + extra) })) })));
  test('is the smallest thousandth that does', () => {
    for (const chance of [0.5, 0.95, 0.98]) {
      const extra = extraForChance(fibres, chance);
      if (extra === null) throw new Error('not to be had');
      expect(at(extra)).toBeGreaterThanOrEqual(chance);
      expect(at(extra - 0.001)).toBeLessThan(chance);
    }
  });
  test('says so where no pack would be enough; and nothing is needed for nothing', () => {
    expect(extraForChance([{ fibreId: 'core', sharedSigma: 2, needs: [need({ count: 200 })] }], 0.99)).toBeNull();
    expect(extraForChance([], 0.95)).toBe(0);
  });
}); // prettier-ignore

describe('how sure a class is', () => {
  const build = pattern([part('body', shapes.ball(60), { coat: 'coat' })]);
  const wool = shelf(fibre('core', { pricePer100gMinor: 260 }), fibre('coat', { pricePer100gMinor: null }));
  const run = { skill: 'some' as const, roster: [], scaleStepG: 0.1 };
  const groups = packGroups(build, { seats: 11, sparePacks: 0, roster: [] });
  const estimates = new Map(groups.map(({ key }) => [key, estimatePattern(build, wool)]));
  const planWith = (extraFraction: number) =>
    planGroups(groups.map(({ key, packs }) => ({ key, packs, estimate: estimatePattern(build, wool) })), { scaleStepG: 0.1, extraFraction }, () => ({ onHandG: null, promisedG: 0 }));
  test('packed with what it asks for, it is as sure as was wanted', () => {
    const now = sureness(groups, estimates, planWith(0.1), run);
    expect(now.chance).toBeLessThan(WANTED_CHANCE);
    const then = sureness(groups, estimates, planWith(now.extraFraction ?? 0), run);
    expect(then.chance).toBeGreaterThanOrEqual(WANTED_CHANCE);
    expect([...now.takings.values()].reduce((sum, massG) => sum + massG, 0)).toBeCloseTo(planWith(now.extraFraction ?? 0).classG, 6);
    expect(now.fibres.map(({ chance }) => chance)).toEqual([...now.fibres.map(({ chance }) => chance)].sort((a, b) => a - b));
  });
  test('its cost, with what has no price counted apart', () => {
    expect(costOfTakings(new Map([['core', 150], ['coat', 20]]), wool.fibres)).toEqual({ known: 390, unknownCount: 1 });
  });
}); // prettier-ignore

describe('what a class needs', () => {
  const build = pattern([part('body', shapes.ball(60), { coat: 'coat' }), part('odd', { kind: 'ball', diameter: null }, { core: 'odd' })]);
  const wool = shelf(fibre('core'), fibre('coat'), fibre('odd'));
  const roster = [{ ...blankSeat(2), skill: 'first-timer' as const }];
  const groups = packGroups(build, { seats: 3, sparePacks: 1, roster });
  const estimates = new Map(groups.map(({ key, build: own }) => [key, estimatePattern(own, wool)]));
  const toPack = groups.map(({ key, packs }) => ({ key, packs, estimate: estimates.get(key) ?? estimatePattern(build, wool) }));
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
