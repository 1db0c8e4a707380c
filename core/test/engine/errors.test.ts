import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  doubtsOf,
  estimatePattern,
  type MassTerm,
  onlyFibres,
  totalMass,
  type UseEstimate,
  warningsOf,
} from '../../src/engine/index.ts';
import { type Amount, blankPattern, type Part, type Pattern } from '../../src/pattern/index.ts';
import { seededRandom } from '../../src/base/index.ts';
import { fibre, mm, part, shapes, use } from '../support/make.ts';

const WOOL = onlyFibres(
  new Map([
    ['core', fibre('core', { linearGPerM: 20, stapleMm: 80, preparation: 'tops' })],
    ['other', fibre('other')],
    ['coat', fibre('coat', { colour: '#f4f1e8' })],
    ['batt', fibre('batt', { preparation: 'batt', loftGPerCm3: null })],
  ]),
);

const felted = (group: string, pieceG: number, count: number): MassTerm => ({
  group,
  cause: 'density',
  pieceG,
  count,
  commonSigma: 0.15,
  sharedSigma: 0.12,
  ownSigma: 0.1,
});

describe('the spread of a total', () => {
  test('eight pieces of 2 g and one of 10 g of one fibre, 1 g of another: 27 g (21.05–34.63)', () => {
    const { lowG, likelyG, highG } = totalMass([felted('a', 2, 8), felted('a', 10, 1), felted('b', 1, 1)]);
    expect(likelyG).toBe(27);
    expect(lowG).toBeCloseTo(21.05, 2);
    expect(highG).toBeCloseTo(34.63, 2);
  });
  test('does not fall to nothing with more colours: one maker felts them all', () => {
    const sigmaOf = (colours: number) => {
      const { lowG, highG } = totalMass(
        Array.from({ length: colours }, (_, at) => felted(`f${at}`, 16 / colours, 1)),
      );
      return Math.log(highG / lowG) / (2 * 1.2815515655446004);
    };
    expect(sigmaOf(8)).toBeGreaterThan(0.15);
    expect(sigmaOf(1)).toBeGreaterThan(sigmaOf(8));
  });
  test('is what comes out when the errors are drawn', () => {
    const terms = [felted('a', 2, 8), felted('a', 10, 1), felted('b', 4, 3)];
    const random = seededRandom(7);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const draws = Array.from({ length: 40_000 }, () => {
      const common = 0.15 * normal();
      const shared = new Map(
        [...new Set(terms.map(({ group }) => group))].map((group) => [group, 0.12 * normal()]),
      );
      return terms.reduce((sum, { group, pieceG, count }) => {
        let pieceErrors = 0;
        for (let piece = 0; piece < count; piece++) pieceErrors += 0.1 * normal() * pieceG;
        return sum + (common + (shared.get(group) ?? 0)) * pieceG * count + pieceErrors;
      }, 0);
    });
    const drawnSigmaG = Math.sqrt(draws.reduce((sum, draw) => sum + draw ** 2, 0) / draws.length);
    const { likelyG, highG } = totalMass(terms);
    expect((Math.log(highG / likelyG) / 1.2815515655446004) * likelyG).toBeCloseTo(drawnSigmaG, 0);
  });
  test('its doubts add up to one, what hands do to everything among them', () => {
    const doubts = doubtsOf([felted('a', 2, 8), felted('b', 5, 1)]);
    expect(doubts.reduce((sum, { fraction }) => sum + fraction, 0)).toBeCloseTo(1, 12);
    expect(doubts[0]).toMatchObject({ cause: 'common' });
  });
});

const figure = (parts: Part[], more: Partial<Pattern> = {}): Pattern => ({
  ...blankPattern('Stag'),
  parts,
  ...more,
});
const known = (given: UseEstimate | undefined) => {
  if (given?.kind !== 'known') throw new Error('known');
  return given;
};
const sampleOf = (massG: number, sizeFraction = 1) => ({ rolled: null, felted: null, massG, sizeFraction });

describe('what samples teach', () => {
  const BALL_CM3 = (Math.PI / 6) * 27;
  const heavy = (id: string, firmness: Part['firmness'] = 'firm') =>
    part(id, shapes.ball(30), { core: 'core', firmness, sample: sampleOf(1.12 * 0.15 * BALL_CM3) });
  test('three of one fibre, each 12 % heavy: its factor 1.1095, σ 0.0553; a fibre never sampled 1.0654, σ 0.1559', () => {
    const estimate = estimatePattern(
      figure([heavy('a'), heavy('b'), heavy('c'), part('d', shapes.ball(30), { core: 'other' })]),
      WOOL,
    );
    const [sampled, other] = [estimate.parts[0]?.uses[0], estimate.parts[3]?.uses[0]].map(known);
    const sigma = ({ term }: ReturnType<typeof known>) => Math.hypot(term.commonSigma ?? 0, term.sharedSigma);
    expect((sampled?.pieceG ?? 0) / (0.15 * BALL_CM3)).toBeCloseTo(1.1095, 4);
    expect((other?.pieceG ?? 0) / (0.15 * BALL_CM3)).toBeCloseTo(1.0654, 4);
    expect(sampled && sigma(sampled)).toBeCloseTo(0.0553, 4);
    expect(other && sigma(other)).toBeCloseTo(0.1559, 4);
  });
  test('a coated piece teaches too: its coat is taken off as it is calculated', () => {
    const coated = (massG: number | null) =>
      part('p', shapes.ball(60), {
        core: 'core',
        coat: 'coat',
        sample: massG === null ? null : sampleOf(massG),
      });
    const plain = estimatePattern(figure([coated(null)]), WOOL).parts[0];
    const [coreG, coatG] = [known(plain?.uses[0]).pieceG, known(plain?.uses[1]).pieceG];
    const taught = estimatePattern(figure([coated(coreG * 1.2 + coatG)]), WOOL).parts[0];
    const factor = known(taught?.uses[0]).pieceG / coreG;
    expect(factor).toBeGreaterThan(1.1);
    expect(factor).toBeLessThan(1.2);
    expect(
      estimatePattern(figure([coated(coreG + coatG)]), WOOL).parts[0]?.uses.map((use) => known(use).pieceG),
    ).toEqual([expect.closeTo(coreG, 9), expect.closeTo(coatG, 9)]);
  });
  test('a weighed sample stays what was weighed in another size, and teaches by its shape', () => {
    const half = part('p', shapes.ball(60), { core: 'core', sample: sampleOf(1.12 * 0.15 * BALL_CM3, 0.5) });
    const same = part('p', shapes.ball(30), { core: 'core', sample: sampleOf(1.12 * 0.15 * BALL_CM3) });
    const factor = (part: Part) =>
      (estimatePattern(figure([part]), WOOL).parts[0]?.pieceG ?? 0) / (part === half ? 8 : 1);
    expect(factor(half)).toBeCloseTo(factor(same), 9);
  });
  test('the weight of a whole make is shared out over what is calculated, and takes the common error to 0.05', () => {
    const parts = [
      part('a', shapes.ball(50), { core: 'core' }),
      part('b', shapes.limb(60, 12), { core: 'other', count: 4 }),
      part('c', shapes.byCount(), { uses: [use('core', 'c-core', 'core', { amount: grams(2) })] }),
    ];
    const plain = estimatePattern(figure(parts), WOOL);
    const calculatedG = plain.total.likelyG - 2;
    const taught = estimatePattern(figure(parts, { weighedMakeG: calculatedG * 1.3 + 2 }), WOOL);
    // Prior variance 0.15², what is left 0.05²: eight ninths of the way, in ln.
    expect((taught.total.likelyG - 2) / calculatedG).toBeCloseTo(1.3 ** (8 / 9), 6);
    expect(known(taught.parts[2]?.uses[0]).pieceG).toBe(2);
    expect(known(taught.parts[0]?.uses[0]).term.commonSigma).toBeCloseTo(0.05, 9);
    expect(taught.total.highG / taught.total.likelyG).toBeLessThan(plain.total.highG / plain.total.likelyG);
  });
});

const grams = (massG: number, highG: number | null = null): Amount => ({
  form: 'grams',
  massG,
  highG,
  isWeighed: false,
});
const tops = (low: number, high: number | null = null): Amount => ({
  form: 'tops',
  length: mm(low),
  highLength: high === null ? null : mm(high),
  ways: 1,
});

describe('ranges are the author’s', () => {
  const stated = (amount: Amount, alsoSaid: Amount[] = [], more: Partial<Part> = {}) =>
    figure([part('p', shapes.ball(60), { uses: [use('core', 'c', 'core', { amount, alsoSaid })], ...more })]);
  const useOf = (pattern: Pattern) => known(estimatePattern(pattern, WOOL).parts[0]?.uses[0]);
  test.each([
    ['grams', grams(15, 20), 15, 20],
    ['tops', tops(300, 600), 6, 12],
    [
      'a strip, both sides',
      {
        form: 'strip',
        length: mm(100),
        width: mm(50),
        depth: mm(20),
        highLength: mm(120),
        highWidth: mm(60),
      } as const,
      0.06 * 100,
      0.06 * 144,
    ],
  ])('%s: kept from – to, packed at the top', (_name, amount, lowG, highG) => {
    const wool = onlyFibres(new Map([['core', fibre('core', { linearGPerM: 20, loftGPerCm3: 0.06 })]]));
    const ownKnown = known(estimatePattern(stated(amount, [], { count: 3 }), wool).parts[0]?.uses[0]);
    expect(ownKnown.range?.lowG).toBeCloseTo(lowG, 9);
    expect(ownKnown.range?.highG).toBeCloseTo(highG, 9);
    expect(ownKnown.packG).toBeCloseTo(3 * highG, 9);
    expect(ownKnown.packMiddleG).toBeCloseTo(3 * Math.sqrt(lowG * highG), 9);
  });
  test('a weight that several share may be a range: each packs its share of the top', () => {
    const shared: Amount = { form: 'shared', sharedId: 's' };
    const patternEstimate = estimatePattern(
      figure(
        [1, 2].map((n) =>
          part(`p${n}`, shapes.ball(30), { uses: [use('core', `c${n}`, 'core', { amount: shared })] }),
        ),
        { shared: [{ id: 's', name: 's', massG: 8, highG: 18, isWeighed: false }] },
      ),
      WOOL,
    );
    expect(patternEstimate.total.likelyG).toBeCloseTo(12, 9);
    expect(patternEstimate.uses.reduce((sum, use) => sum + known(use).packG, 0)).toBeCloseTo(18, 9);
  });
  test.each([
    ['5–6 g over 30 cm of 20 g/m: alike', grams(5, 6), tops(300), false],
    ['15 g over 60 cm: it cannot be', grams(15), tops(600), true],
  ])('%s', (_name, amount, also, isOff) => {
    const pattern = stated(amount, [also]);
    expect(useOf(pattern).otherStatements).toMatchObject([{ at: 0, form: 'tops', isOff }]);
    const codes = warningsOf(estimatePattern(pattern, WOOL), WOOL.fibres, pattern).map(({ code }) => code);
    expect(codes.includes('statements_differ')).toBe(isOff);
  });
  test('5–6 g over 30 cm beside 15 g over 60 cm of the same tops is told, whatever the lot weighs', () => {
    const bare = onlyFibres(new Map([['core', fibre('core', { linearGPerM: null, preparation: 'tops' })]]));
    const two = figure([
      part('a', shapes.ball(60), {
        uses: [use('core', 'a1', 'core', { amount: grams(5, 6), alsoSaid: [tops(300)] })],
      }),
      part('b', shapes.ball(60), {
        uses: [use('core', 'b1', 'core', { amount: grams(15), alsoSaid: [tops(600)] })],
      }),
    ]);
    expect(warningsOf(estimatePattern(two, bare), bare.fibres, two)).toContainEqual(
      expect.objectContaining({ code: 'linear_differs', partId: 'b' }),
    );
  });
  test('through a loft or staple nobody measured it is estimated, σ 0.30, and not the author’s word', () => {
    const strip: Amount = {
      form: 'strip',
      length: mm(100),
      width: mm(50),
      depth: mm(20),
      highLength: null,
      highWidth: null,
    };
    const ownKnown = known(
      estimatePattern(
        figure([part('p', shapes.ball(60), { uses: [use('core', 'c', 'batt', { amount: strip })] })]),
        WOOL,
      ).parts[0]?.uses[0],
    );
    expect(ownKnown).toMatchObject({ source: 'estimated', term: { cause: 'unmeasured', allSigma: 0.3 } });
  });
  test('locks are counted and graded', () => {
    const locks: Amount = {
      form: 'locks',
      grades: [
        { name: 'long, alike', count: 2, eachG: 0.4 },
        { name: 'thick', count: 1, eachG: 0.6 },
        { name: 'short', count: 2, eachG: 0.15 },
      ],
    };
    expect(useOf(stated(locks)).pieceG).toBeCloseTo(1.7, 12);
  });
  test('dots may be a range or unknown in number, as parts are', () => {
    const dotted = (count: number | null | { low: number; high: number }) =>
      estimatePattern(
        figure([
          part('p', shapes.ball(60), {
            uses: [use('core', 'c', 'core'), use('dot', 'd', 'other', { diameter: mm(4), count })],
          }),
        ]),
        WOOL,
      ).parts[0]?.uses[1];
    const knownOne = known(dotted(1));
    const some = known(dotted({ low: 8, high: 12 }));
    expect(some.pieceG).toBeCloseTo(10 * knownOne.pieceG, 12);
    expect(some.packG).toBeCloseTo(12 * knownOne.pieceG, 12);
    expect(dotted(null)).toMatchObject({ kind: 'unknown', reason: 'count_missing' });
  });
});

describe('a plate', () => {
  test.each([
    ['square corners', 65, 18, 2, null, 65 * 18 * 2],
    ['half-round ends: a stadium', 65, 18, 2, 9, (47 * 18 + Math.PI * 81) * 2],
  ])('%s: its volume by its parts', (_name, length, width, thickness, corner, mm3) => {
    const patternEstimate = estimatePattern(
      figure([part('p', shapes.plate(length, width, thickness, corner), { core: 'core' })]),
      WOOL,
    );
    expect(patternEstimate.parts[0]?.solid?.volumeMm3).toBeCloseTo(mm3, 6);
    const { outline, faceMm2 = 0 } = patternEstimate.parts[0]?.solid ?? { outline: () => [] };
    const points = outline();
    const shoelace = points.reduce((sum, [x, y], at) => {
      const [x0, y0] = points.at(at - 1) ?? [0, 0];
      return sum + (x0 * y - x * y0) / 2;
    }, 0);
    expect(Math.abs(shoelace) / faceMm2).toBeCloseTo(1, 2);
  });
  test.each([
    ['a wall 65 × 18 × 2', shapes.plate(65, 18, 2), false],
    ['a taper running to a point', shapes.taper(40, 6, 0), false],
    ['a taper of 2 mm', shapes.taper(40, 6, 2), false],
    ['a ball of 2 mm', shapes.ball(2), true],
  ])('%s', (_name, shape, isTiny) => {
    const ownFigure = figure([part('p', shape, { core: 'core' })]);
    const codes = warningsOf(estimatePattern(ownFigure, WOOL), WOOL.fibres, ownFigure).map(
      ({ code }) => code,
    );
    expect(codes.includes('part_tiny')).toBe(isTiny);
  });
  test('1 in is as long as 25.4 mm is wide', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 320 }), (sixteenths) => {
        const inches = sixteenths / 16;
        const shape = {
          kind: 'limb',
          length: { value: inches, unit: 'in' },
          diameter: mm(Number((inches * 25.4).toPrecision(12))),
        } as const;
        const patternEstimate = estimatePattern(figure([part('p', shape, { core: 'core' })]), WOOL);
        expect(patternEstimate.total.unknownCount).toBe(0);
      }),
    );
  });
});
