import { describe, expect, test } from '@jest/globals';
import { estimatePattern, type KnownUse } from '@lanakit/core/engine';
import { onlyOne } from '@lanakit/core/learning';
import type { Pattern } from '@lanakit/core/pattern';
import { BLANK_FINDING, blankMeasure, type Finding } from '@lanakit/core/shelf';
import fc from 'fast-check';
import { fibre, mm, part, pattern, shapes, shelf, use as layer } from '../../../core/test/support/make.ts';
import {
  type CameLine,
  cameOfRollUp,
  cameOfUse,
  fibreTotalCame,
  makeTotalCame,
} from '../../src/words/howItCame.ts';

const wool = shelf(
  fibre('chalk', { name: 'Chalk', colour: '#e6e0d2', densityFactor: 1.1 }),
  fibre('slate', { name: 'Slate', colour: '#2c3440' }),
  fibre('amber', { name: 'Amber', preparation: 'locks' }),
);
const coated = (diameterMm: number, count = 1): Pattern =>
  pattern([part('Body', shapes.ball(diameterMm), { core: 'chalk', coat: 'slate', count })]);

/** What is told of each use of the first part, as numbers a person could take a calculator to. */
function told(figure: Pattern) {
  const estimate = estimatePattern(figure, wool);
  const [first] = figure.parts;
  const [partEstimate] = estimate.parts;
  if (!first || !partEstimate) throw new Error('a figure of one part');
  return estimate.uses.flatMap((use) =>
    use.kind === 'known' ? [{ use: use, lines: cameOfUse(first, partEstimate, use, wool.fibres) }] : [],
  );
}
const lineOf = (lines: readonly CameLine[], what: string | RegExp): CameLine => {
  const found = lines.find((line) => (typeof what === 'string' ? line.what === what : what.test(line.what)));
  if (!found) throw new Error(`nothing is told of ${String(what)}`);
  return found;
};
const numberOf = (lines: readonly CameLine[], what: string | RegExp): number => {
  const number = /-?\d+(?:\.\d+)?/.exec(lineOf(lines, what).value)?.[0];
  return Number(number);
};
const ofRole = (figure: Pattern, role: KnownUse['role']) => {
  const found = told(figure).find((candidate) => candidate.use.role === role);
  if (!found) throw new Error(`no ${role}`);
  return found.lines;
};
/** Shown to so many figures, a product is right within what each was rounded by. */
const isAbout = (value: number, wanted: number) => Math.abs(value - wanted) <= Math.max(0.02 * wanted, 0.06);

describe('what is told of a number can be redone', () => {
  const sizes = fc.integer({ min: 25, max: 200 });
  test('a core: its volume, less what lies over it, times its density', () => {
    fc.assert(
      fc.property(sizes, (diameterMm) => {
        const lines = ofRole(coated(diameterMm), 'core');
        const volume = (Math.PI / 6) * (diameterMm / 10) ** 3;
        expect(isAbout(numberOf(lines, 'Finished volume'), volume)).toBe(true);
        const left = numberOf(lines, 'Finished volume') - numberOf(lines, 'Less the layers over it');
        expect(isAbout(numberOf(lines, 'Left for the core'), left)).toBe(true);
        const grams = numberOf(lines, 'Left for the core') * numberOf(lines, 'Density');
        expect(isAbout(numberOf(lines, /one piece$/), grams)).toBe(true);
      }),
    );
  });
  test('a coat: what it covers, times its grams for a square metre', () => {
    fc.assert(
      fc.property(sizes, (diameterMm) => {
        const lines = ofRole(coated(diameterMm), 'coat');
        const grams = (numberOf(lines, 'Covered') * numberOf(lines, 'Coat to hide it')) / 10_000;
        expect(isAbout(numberOf(lines, /one piece$/), grams)).toBe(true);
        expect(isAbout(numberOf(lines, 'Covered'), Math.PI * (diameterMm / 10) ** 2)).toBe(true);
      }),
    );
  });
  test('a total: the sum of what it is made of', () => {
    fc.assert(
      fc.property(sizes, fc.integer({ min: 1, max: 6 }), (diameterMm, count) => {
        const figure = { ...coated(diameterMm, count), joins: [] };
        const estimate = estimatePattern(figure, wool);
        for (const total of estimate.fibres) {
          const lines = fibreTotalCame(total, figure, estimate);
          const parts = lines.filter(({ isResult }) => !isResult);
          const sum = parts.reduce((grams, { value }) => grams + Number(value.replace(' g', '')), 0);
          expect(isAbout(numberOf(lines, 'One make'), sum)).toBe(true);
          if (count > 1) expect(parts[0]?.note).toMatch(new RegExp(`^${count} × `));
        }
      }),
    );
  });
  test('the doubts of a make are all of it', () => {
    fc.assert(
      fc.property(sizes, (diameterMm) => {
        const figure = coated(diameterMm);
        const [, ...doubts] = makeTotalCame(estimatePattern(figure, wool), wool.fibres, figure);
        const sum = doubts.reduce((percent, { value }) => percent + Number(value.replace(' %', '')), 0);
        expect(Math.abs(sum - 100)).toBeLessThanOrEqual(doubts.length);
      }),
    );
  });
});

describe('with what is assumed on the way', () => {
  test('a fibre’s own density, or ours', () => {
    expect(lineOf(ofRole(coated(60), 'core'), 'Density').note).toContain(
      'Our default × 1.1, this fibre’s own',
    );
    expect(lineOf(ofRole(coated(60), 'coat'), 'Density').note).toContain('Our default, not yet measured');
  });
  test('a ball inside is told, and is no wool', () => {
    const measure = { ...(blankMeasure('count') as Extract<Finding['measure'], { by: 'count' }>) };
    const ball: Finding = {
      ...BLANK_FINDING,
      id: 'ball',
      version: 1,
      name: 'ball',
      onHand: 1,
      peak: 1,
      measure: { ...measure, outerMm: { length: 20, width: 20, height: 20 } },
    };
    const inside = { id: 'i', role: 'insert', findingId: 'ball', count: 1, space: 'whole' } as const;
    const figure = pattern([part('Body', shapes.ball(60), { uses: [layer('core', 'c', 'chalk'), inside] })]);
    const withBall = { ...wool, findings: new Map([['ball', ball]]) };
    const [first] = figure.parts;
    const estimate = estimatePattern(figure, withBall);
    const [partEstimate, core] = [estimate.parts[0], estimate.uses[0]];
    if (!first || !partEstimate || core?.kind !== 'known') throw new Error('a core that is known');
    const lines = cameOfUse(first, partEstimate, core, wool.fibres);
    expect(isAbout(numberOf(lines, 'Less what lies inside'), (Math.PI / 6) * 8)).toBe(true);
    const left = numberOf(lines, 'Finished volume') - numberOf(lines, 'Less what lies inside');
    expect(isAbout(numberOf(lines, 'Left for the core'), left)).toBe(true);
  });
  test('what the author stated, beside what the shape comes to', () => {
    const stated = (massG: number) =>
      pattern([part('Body', shapes.ball(60), { uses: [layer('core', 'c', 'chalk', { words: 'a good handful', amount: { form: 'grams', massG, highG: null, isWeighed: true } })] })]); // prettier-ignore
    const near = ofRole(stated(17), 'core');
    expect(lineOf(near, 'As stated').note).toBe('a good handful');
    expect(lineOf(near, 'The shape comes to').note).toContain('within what the calculation may be off');
    expect(lineOf(ofRole(stated(90), 'core'), 'The shape comes to').note).toContain('further apart');
  });
  test('several pieces: all of them, with their range; one: its range alone', () => {
    expect(lineOf(ofRole(coated(60, 4), 'core'), 'All 4').note).toMatch(/ g; 8 times in 10/);
    expect(lineOf(ofRole(coated(60), 'core'), 'Likely range').value).toMatch(/^\d+\.\d+–\d+\.\d+ g$/);
  });
  test('what was learnt says so where it counts: by how much, from how many samples, and how sure it is now', () => {
    const learnt = {
      ...onlyOne({ kind: 'maker', who: '' }, Math.log(1.05)),
      felted: [
        {
          fibreId: 'chalk',
          firmness: 'firm' as const,
          ln: Math.log(1.12),
          sigma: 0.05,
          samples: 3,
          makerSlope: 0,
        },
      ],
      hiding: [{ fibreId: 'slate', ln: Math.log(0.9), sigma: 0.06, samples: 2 }],
    };
    const figure = coated(60);
    const estimate = estimatePattern(figure, { ...wool, learnt });
    const linesOf = (role: KnownUse['role']) => {
      const [first, partEstimate] = [figure.parts[0], estimate.parts[0]];
      const each = estimate.uses.find((candidate) => candidate.role === role);
      if (!first || !partEstimate || each?.kind !== 'known') throw new Error('known');
      return cameOfUse(first, partEstimate, each, wool.fibres);
    };
    expect(lineOf(linesOf('core'), 'Density').note).toContain(
      'Our default × 1.1, this fibre’s own, 12 % more from 3 samples, now ±7 %',
    );
    expect(lineOf(linesOf('coat'), 'Density').note).toContain(
      'Our default, 5 % more as your hands felted other wool',
    );
    expect(lineOf(linesOf('coat'), 'Coat to hide it').note).toContain('10 % less from 2 samples, now ±8 %');
    expect(lineOf(ofRole(figure, 'core'), 'Density').note).toContain('this fibre’s own');
  });
  test('a roll says how much felting takes, and a flat piece how deep it is laid', () => {
    const lines = (figure: Pattern) => {
      const [partEstimate] = estimatePattern(figure, wool).parts;
      const [first] = figure.parts;
      return first && partEstimate ? cameOfRollUp(first, partEstimate) : [];
    };
    expect(lines(coated(60)).at(-1)).toMatchObject({ what: 'Felting takes', isResult: true });
    const flat = pattern([part('Leaf', shapes.flat(60, 30, 4), { core: 'chalk' })]);
    expect(lines(flat).at(-1)).toMatchObject({ what: 'Laid out', isResult: true });
    expect(lines(pattern([part('Spot', shapes.byCount())]))).toEqual([]);
  });
  test('a patch hides, hair is trimmed', () => {
    const hairy = pattern([
      part('Mane', shapes.limb(60, 20), {
        uses: [
          layer('core', 'c', 'chalk'),
          layer('patch', 'p', 'slate', { length: mm(20), width: mm(10) }),
          layer('hair', 'h', 'amber', { line: mm(50), drop: mm(60), trimFraction: 0.2 }),
        ],
      }),
    ]);
    expect(lineOf(ofRole(hairy, 'patch'), 'Contrast with what is beneath').note).toBe('CIEDE2000');
    const lines = ofRole(hairy, 'hair');
    expect(numberOf(lines, 'Comes off') / numberOf(lines, /one piece$/)).toBeGreaterThan(0.1);
  });
});
