import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { pricedQuote, quoteOf } from '../../src/commissions/index.ts';
import { estimatePattern, type Wool } from '../../src/engine/index.ts';
import { seededRandom, normalFrom } from '../../src/base/index.ts';
import type { Pattern } from '../../src/pattern/index.ts';
import { bird, coastWool } from '../support/coast.ts';

/** A studio whose own minutes have been so many times those of its patterns. */
const withPace = (wool: Wool, ln: number, sigma: number, samples: number): Wool => ({
  ...wool,
  learnt: {
    maker: { ln: 0, sigma: 0.15, samples: 0 },
    felted: [],
    hiding: [],
    hair: [],
    packed: [],
    hands: [],
    skills: [],
    acts: [],
    pace: { ln, sigma, samples },
  },
});

/** A bird that is timed throughout. */
const timed = { ...bird, steps: bird.steps.map((step) => ({ ...step, minutes: step.minutes ?? 25 })) };

describe('what a figure that was asked for takes', () => {
  test('grams, eyes and money of three are three times those of one, each by its own price', () => {
    const { fibres, things, likelyG, lowG, highG, material } = quoteOf(timed, 3, coastWool);
    const make = estimatePattern(timed, coastWool);
    expect(likelyG).toBeCloseTo(make.total.likelyG * 3, 9);
    expect([lowG, highG]).toEqual([make.total.lowG * 3, make.total.highG * 3]);
    let minor = 0;
    for (const { fibreId, total } of make.fibres) {
      const price = coastWool.fibres.get(fibreId)?.pricePer100gMinor ?? NaN;
      expect(fibres.find((line) => line.fibreId === fibreId)?.costMinor).toBeCloseTo((price / 100) * total.likelyG * 3, 9);
      minor += (price / 100) * total.likelyG * 3;
    }
    const priced = things.filter(({ costMinor }) => costMinor !== null);
    expect(material.minor).toBeCloseTo(minor + priced.reduce((sum, { costMinor }) => sum + (costMinor ?? 0), 0), 9);
    // Two eyes, and the most of nine to twelve beads.
    expect(things.map(({ findingId, amount }) => [findingId, amount])).toEqual(
      expect.arrayContaining([['eye', 6], ['bead', 36]]),
    );
  }); // prettier-ignore

  test('what has no price, or no amount, is counted and never nought', () => {
    const wool: Wool = { ...coastWool, findings: new Map() };
    const { material, things } = quoteOf(timed, 1, wool);
    expect(things.map(({ costMinor }) => costMinor)).toEqual(things.map(() => null));
    expect(material.unknownCount).toBe(things.length);
  });

  test('wool of which no fibre is chosen has no line, and keeps a price from being told all the same', () => {
    const [body, ...others] = timed.parts;
    if (!body) throw new Error('a bird has a body');
    const [first, ...rest] = body.uses;
    if (first?.role !== 'core') throw new Error('a body has wool');
    const open: Pattern = {
      ...timed,
      parts: [{ ...body, uses: [{ ...first, fibreId: null }, ...rest] }, ...others],
    };
    const priced: Wool = {
      ...coastWool,
      findings: new Map(
        [...coastWool.findings].map(([id, finding]) => [id, { ...finding, priceMinor: 100 }]),
      ),
    };
    const prices = { agreedMinor: 5000, hourlyMinor: 2000 };
    expect(pricedQuote(quoteOf(timed, 1, priced), prices).priceMinor).not.toBeNull();
    const quote = quoteOf(open, 1, priced);
    expect([quote.unknownUses, quote.material.unknownCount]).toEqual([1, 1]);
    expect(quote.fibres.every(({ unknownCount }) => unknownCount === 0)).toBe(true);
    expect(pricedQuote(quote, prices)).toMatchObject({ priceMinor: null, hourMinor: null });
  });

  test('minutes at the maker’s pace: eight of ten makers drawn by it fall into the range', () => {
    const [ln, sigma] = [0.25, 0.12];
    const { minutes } = quoteOf(timed, 2, withPace(coastWool, ln, sigma, 4));
    const { minutes: atAuthors } = quoteOf(timed, 2, withPace(coastWool, 0, sigma, 4));
    expect(minutes.likely / atAuthors.likely).toBeCloseTo(Math.exp(ln), 9);
    expect(minutes.paceSamples).toBe(4);
    const random = seededRandom(7);
    const draws = Array.from({ length: 4000 }, () => minutes.likely * Math.exp(sigma * normalFrom(random)));
    const inside = draws.filter((worked) => worked >= minutes.low && worked <= minutes.high).length;
    expect(inside / draws.length).toBeGreaterThan(0.78);
    expect(inside / draws.length).toBeLessThan(0.82);
  });

  test('a step nobody timed leaves it at least, and no price is told', () => {
    const quote = quoteOf(bird, 1, coastWool);
    expect(quote.minutes.unknownCount).toBe(1);
    expect(pricedQuote(quote, { agreedMinor: 5000, hourlyMinor: 2000 })).toMatchObject({
      priceMinor: null,
      hourMinor: null,
    });
  });
});

describe('money', () => {
  const quote = {
    material: { minor: 640.4, unknownCount: 0 },
    minutes: { low: 150, likely: 200, high: 260, unknownCount: 0, paceSamples: 0 },
  };
  test('3 h 20 at 18.00 and 6.40 of material are 67 in whole units; 90.00 agreed earn 25.08 an hour', () => {
    const priced = pricedQuote(quote, { agreedMinor: 9000, hourlyMinor: 1800 });
    expect(priced).toMatchObject({ priceMinor: 6700, priceLowMinor: 5200, priceHighMinor: 8500 });
    expect(priced.hourMinor).toBeCloseTo(2507.88, 2);
    expect(priced.hourLowMinor).toBeCloseTo(((9000 - 640.4) / 260) * 60, 9);
  });
  test('agreed below the material, an hour earns less than nothing, and says so', () => {
    expect(pricedQuote(quote, { agreedMinor: 500, hourlyMinor: null }).hourMinor).toBeLessThan(0);
  });
  test('at the price that is told an hour earns no less than its rate, and hardly more', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 50_000, noNaN: true }),
        fc.double({ min: 5, max: 6000, noNaN: true }),
        fc.integer({ min: 100, max: 20_000 }),
        (minor, likely, hourlyMinor) => {
          const given = {
            material: { minor, unknownCount: 0 },
            minutes: { ...quote.minutes, low: likely, likely, high: likely },
          };
          const { priceMinor } = pricedQuote(given, { agreedMinor: null, hourlyMinor });
          const { hourMinor } = pricedQuote(given, { agreedMinor: priceMinor, hourlyMinor });
          expect(hourMinor).toBeGreaterThanOrEqual(hourlyMinor - 1e-6);
          // Rounded up by less than a whole unit.
          expect((hourMinor ?? 0) - hourlyMinor).toBeLessThanOrEqual((100 * 60) / likely + 1e-6);
        },
      ),
    );
  });
});
