import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  DENSEST_FELT_G_PER_CM3,
  estimatePart,
  estimatePattern,
  forMakes,
  warningsOf,
} from '../../src/engine/index.ts';
import { checkPattern, duplicatePart, type Part } from '../../src/pattern/index.ts';
import { warningWords } from '../../src/words/index.ts';
import { WOOL, known, usesOf, gramsOf } from '../support/engine.ts';
import { fibre, mm, part, pattern, shapes, shelf, use } from '../support/make.ts';
import { gaussian } from '../support/random.ts';

describe('what is worth looking at', () => {
  test.each([
    ['a coat thicker than the part', part('p', shapes.flat(20, 10, 1), { coat: 'dark' }), 'all_coat'],
    [
      'beads that fill it',
      part('p', shapes.ball(12), {
        uses: [use('core', 'c', 'core'), use('insert', 'i', null, { findingId: 'bead', count: 3 })],
      }),
      'inserts_overfull',
    ],
    ['a tenth of a millimetre', part('p', shapes.ball(0.1)), 'part_tiny'],
    ['a coarse fibre on a small part', part('p', shapes.ball(6)), 'fibre_coarse'],
  ] as const)('%s: a number, and a word about it', (_name, given, code) => {
    const estimate = estimatePattern(pattern([given]), WOOL);
    const warning = warningsOf(estimate, WOOL.fibres, pattern([given])).find(
      (engineWarning) => engineWarning.code === code,
    );
    if (!warning) throw new Error(`no ${code}`);
    expect(warningWords(warning, () => 'Chalk')).toMatch(/^[A-Z0-9].*\.$/);
    expect(Number.isFinite(estimate.total.likelyG)).toBe(true);
  });
  test('two metres across is a number too, and over that is refused', () => {
    expect(gramsOf(part('p', shapes.ball(2000)), 0)).toBeGreaterThan(600_000);
    expect(checkPattern(pattern([part('p', shapes.ball(2001))]))).toMatchObject([{ code: 'size_too_large' }]);
  });
  test('felt that nothing could be: unknown', () => {
    const heavy = shelf(fibre('core', { densityFactor: (DENSEST_FELT_G_PER_CM3 / 0.15) * 1.01 }));
    expect(usesOf(part('p', shapes.ball(60)), heavy)[0]).toMatchObject({
      kind: 'unknown',
      reason: 'density_impossible',
    });
  });
});

describe('samples teach', () => {
  test('one that was weighed bare moves the felted density toward what it was, and makes it surer', () => {
    const sample = { rolled: null, felted: null, massG: 1.3 * 0.15 * (Math.PI / 6) * 27, sizeFraction: 1 };
    const taught = part('p', shapes.ball(30), { sample });
    const [before, after] = [gramsOf(part('p', shapes.ball(30)), 0), gramsOf(taught, 0)];
    // Log-normal update: prior variance 0.15² + 0.12², one sample of 0.10².
    const [prior, sampled] = [0.15 ** 2 + 0.12 ** 2, 0.1 ** 2];
    expect(after / before).toBeCloseTo(1.3 ** (prior / (prior + sampled)), 9);
    const { commonSigma = 0, sharedSigma } = known(usesOf(taught)[0]).term;
    expect(Math.hypot(commonSigma, sharedSigma)).toBeCloseTo(Math.sqrt(1 / (1 / prior + 1 / sampled)), 9);
  });
  test('sizes before and after move the roll-up, not the grams; other fibres learn nothing', () => {
    const sample = { rolled: mm(70), felted: mm(60), massG: null, sizeFraction: 1 };
    const [plain, taught] = [part('p', shapes.ball(60)), part('p', shapes.ball(60), { sample })];
    const width = (part: Part) => {
      const { rollUp } = estimatePart(part, WOOL);
      return rollUp?.kind === 'rolled' ? rollUp.solid.widthMm : NaN;
    };
    expect(width(taught)).toBeLessThan(width(plain));
    expect(width(taught)).toBeGreaterThan(70);
    expect(gramsOf(taught, 0)).toBe(gramsOf(plain, 0));
    const both = estimatePattern(pattern([taught, part('q', shapes.ball(60), { core: 'tops' })]), WOOL)
      .parts[1]?.rollUp;
    expect(both?.kind === 'rolled' && both.solid.widthMm).toBeCloseTo(
      width(part('q', shapes.ball(60), { core: 'tops' })),
      9,
    );
  });
});

describe('properties of a whole figure', () => {
  const anyPart = fc
    .record({
      diameter: fc.integer({ min: 12, max: 80 }),
      count: fc.integer({ min: 1, max: 6 }),
      coat: fc.constantFrom<(string | undefined)[]>(undefined, 'coat', 'dark', 'tops'),
      isLimb: fc.boolean(),
    })
    .map(({ diameter, count, coat, isLimb }) => ({
      count,
      shape: isLimb ? shapes.limb(diameter * 2, diameter) : shapes.ball(diameter),
      ...(coat !== undefined && { coat }),
    }));
  type Row = NonNullable<Parameters<typeof part>[2]> & { shape: Part['shape'] };
  const figureOf = (made: readonly Row[]) => made.map((row, index) => part(`p${index}`, row.shape, row));
  const rows = fc.array(anyPart, { minLength: 1, maxLength: 6 });

  test('totals do not depend on order', () => {
    fc.assert(
      fc.property(rows, (made) => {
        const parts = figureOf(made);
        const there = estimatePattern(pattern(parts), WOOL);
        const back = estimatePattern(pattern([...parts].reverse()), WOOL);
        expect(back.total.likelyG).toBeCloseTo(there.total.likelyG, 9);
        expect(back.total.highG).toBeCloseTo(there.total.highG, 9);
      }),
    );
  });
  test('two parts of one each weigh what one part of two does, with the same range', () => {
    fc.assert(
      fc.property(rows, (made) => {
        const parts = figureOf(made);
        const split = parts.flatMap((part) =>
          Array.from(
            { length: part.count as number },
            (_, i) => ({ ...duplicatePart([part], part.id, `${part.id}x${i}`)[1], count: 1 }) as Part,
          ),
        );
        const [once, often] = [estimatePattern(pattern(parts), WOOL), estimatePattern(pattern(split), WOOL)];
        expect(often.total.likelyG).toBeCloseTo(once.total.likelyG, 9);
        expect(often.total.highG).toBeCloseTo(once.total.highG, 6);
      }),
    );
  });
  test('fibres, uses and parts with joins each add up to the whole; doubts to one', () => {
    fc.assert(
      fc.property(rows, (made) => {
        const estimate = estimatePattern(pattern(figureOf(made)), WOOL);
        for (const lines of [estimate.fibres, estimate.roles, estimate.parts]) {
          expect(lines.reduce((sum, { total }) => sum + total.likelyG, 0)).toBeCloseTo(
            estimate.total.likelyG,
            9,
          );
        }
        expect(estimate.doubts.reduce((sum, { fraction }) => sum + fraction, 0)).toBeCloseTo(1, 9);
      }),
    );
  });
  test('coat grows with contrast: over a paler core a dark coat is never less', () => {
    const grey = fc.integer({ min: 40, max: 250 });
    fc.assert(
      fc.property(grey, grey, (a, b) => {
        const coatG = (level: number) => {
          const colour = `#${level.toString(16).padStart(2, '0').repeat(3)}`;
          return gramsOf(
            part('p', shapes.ball(60), { coat: 'dark' }),
            1,
            shelf(fibre('core', { colour }), fibre('dark', { colour: '#1d1c1e' })),
          );
        };
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        expect(coatG(high)).toBeGreaterThanOrEqual(coatG(low) - 1e-9);
      }),
    );
  });
  test('so many makes take so many times as much, and are no surer of a fibre than one is', () => {
    fc.assert(
      fc.property(rows, fc.integer({ min: 2, max: 40 }), (made, makes) => {
        const patternEstimate = estimatePattern(pattern(figureOf(made)), WOOL);
        const many = forMakes(patternEstimate, makes);
        expect(many.total.likelyG).toBeCloseTo(patternEstimate.total.likelyG * makes, 6);
        const spread = ({ total }: typeof patternEstimate) => total.highG / total.likelyG;
        expect(spread(many)).toBeLessThanOrEqual(spread(patternEstimate) + 1e-9);
      }),
      { numRuns: 40 },
    );
  });
});

test('the largest doubt is found by simulation too', () => {
  const figure = pattern([
    part('a', shapes.ball(60), { count: 2 }),
    part('b', shapes.ball(30), { core: 'tops', count: 5 }),
  ]);
  const estimate = estimatePattern(figure, WOOL);
  const normal = gaussian(11);
  const terms = estimate.uses.map((use) => known(use).term);
  // Each cause is drawn alone, the others held still: its variance is its share.
  const varianceOf = (shared: string | null) => {
    const draws = Array.from({ length: 20_000 }, () => {
      const error = normal();
      return terms.reduce((sum, term) => {
        const common = term.group === shared ? error * term.sharedSigma * term.pieceG * term.count : 0;
        const value =
          shared === null
            ? Array.from({ length: term.count }, () => normal() * term.ownSigma * term.pieceG).reduce(
                (x, y) => x + y,
                0,
              )
            : 0;
        return sum + common + value;
      }, 0);
    });
    const mean = draws.reduce((x, y) => x + y, 0) / draws.length;
    return draws.reduce((sum, draw) => sum + (draw - mean) ** 2, 0) / draws.length;
  };
  const [core, tops, pieces] = [varianceOf('core'), varianceOf('tops'), varianceOf(null)];
  const common =
    terms.reduce((sum, term) => sum + (term.commonSigma ?? 0) * term.pieceG * term.count, 0) ** 2;
  const all = core + tops + pieces + common;
  const fraction = (group: string, cause: string) =>
    estimate.doubts.find((term) => term.group === group && term.cause === cause)?.fraction ?? 0;
  expect(fraction('core', 'density')).toBeCloseTo(core / all, 1);
  expect(fraction('tops', 'density')).toBeCloseTo(tops / all, 1);
  expect(fraction('core', 'piece') + fraction('tops', 'piece')).toBeCloseTo(pieces / all, 1);
  expect(fraction('', 'common')).toBeCloseTo(common / all, 1);
});
