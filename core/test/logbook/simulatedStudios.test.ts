import { describe, expect, test } from '@jest/globals';
import { normalFrom, seededRandom } from '../../src/base/index.ts';
import { estimatePattern, type Wool } from '../../src/engine/index.ts';
import { foretold, learn, type LearningTerms, makingEvidence } from '../../src/logbook/index.ts';
import type { Pattern } from '../../src/pattern/index.ts';
import { fibre, part, pattern, shapes, shelf } from '../support/make.ts';
import { bag, making } from '../support/makings.ts';

const TERMS: LearningTerms = {
  leftOut: new Set(),
  meant: new Set(),
  halfLifeMonths: null,
  today: '2026-11-30',
};
const NO_HANDS = { samples: [], measured: [] };
const WOOL = shelf(fibre('core'), fibre('coat', { colour: '#f4f1e8' }));
/** Of the bag that a studio takes from, grams. */
const FULL_G = 500;

/** A studio whose truth is known: how dense it felts, and how thick its coats are. */
interface Studio {
  /** Of the core’s fibre and of the coat’s, the maker’s hands in both. */
  readonly density: number;
  readonly coatDensity: number;
  readonly coat: number;
  readonly random: () => number;
}

/** One stream for all: streams of neighbouring seeds begin alike. */
function studioOf(random: () => number): Studio {
  const normal = (sigma: number) => sigma * normalFrom(random);
  const maker = normal(0.15);
  const felted = () => Math.exp(maker + normal(0.12));
  return { random, density: felted(), coatDensity: felted(), coat: Math.exp(normal(0.25)) };
}

/** Diameters of the balls of a figure, mm. */
type Balls = readonly number[];

const coated = (balls: Balls): Pattern =>
  pattern(balls.map((mm, at) => part(`p${at}`, shapes.ball(mm), { core: 'core', coat: 'coat' })));
const bare = (balls: Balls): Pattern =>
  pattern(balls.map((mm, at) => part(`p${at}`, shapes.ball(mm), { core: 'core' })));

/** What its hands make of it: spheres by their formulas, not by the engine. 184 g/m² hides what is unlike by ΔE 30. */
function madeOf(studio: Studio, balls: Balls, arealGPerM2: number) {
  const { random, density, coatDensity, coat } = studio;
  let [coreG, coatG] = [0, 0];
  for (const mm of balls) {
    const [cm3, m2] = [(Math.PI / 6) * (mm / 10) ** 3, Math.PI * (mm / 1000) ** 2];
    const overG = arealGPerM2 * m2 * coat * Math.exp(0.1 * normalFrom(random));
    coatG += overG;
    // What is coated thicker has less beneath: the piece is as large as it is.
    coreG += (cm3 - overG / (0.15 * coatDensity)) * 0.15 * density * Math.exp(0.1 * normalFrom(random));
  }
  return { coreG, coatG };
}

/** g/m² as the engine lays it before anything is learnt. */
const AREAL = (() => {
  const coatUse = estimatePattern(coated([60]), WOOL).uses.find(({ role }) => role === 'coat');
  if (coatUse?.kind !== 'known') throw new Error('known');
  return coatUse.pieceG / (Math.PI * 0.06 ** 2);
})();

const someBalls = (random: () => number, least: number): Balls =>
  Array.from({ length: least + Math.floor(random() * 4) }, () => 30 + 25 * random());

function sampleOf(studio: Studio, id: string, isCoated: boolean) {
  const balls = someBalls(studio.random, 2);
  const build = isCoated ? coated(balls) : bare(balls);
  const { coreG, coatG } = madeOf(studio, balls, isCoated ? AREAL : 0);
  const lines = [bag('core', 'core', FULL_G, FULL_G - coreG)];
  if (isCoated) lines.push(bag('coat', 'coat', FULL_G, FULL_G - coatG));
  const sources = { build, wool: WOOL, lotInUse: () => null, stepG: 0.01 };
  return makingEvidence(making(id, { lines, date: `2026-10-0${id}` }), sources).evidence;
}

interface Outcome {
  readonly off: number;
  readonly isInside: boolean;
}

/** How an estimate of another figure comes out, against what this studio’s hands really make of it. */
function other(studio: Studio, wool: Wool, isCoated: boolean): Outcome {
  const balls = someBalls(studio.random, 4);
  const { total } = estimatePattern(isCoated ? coated(balls) : bare(balls), wool);
  const { coreG, coatG } = madeOf(studio, balls, isCoated ? AREAL : 0);
  const truthG = isCoated ? coreG + coatG : coreG;
  return {
    off: Math.abs(total.likelyG / truthG - 1),
    isInside: truthG >= total.lowG && truthG <= total.highG,
  };
}

const STUDIOS = 600;

function outcomes(samples: number, isCoated: boolean): Outcome[] {
  const random = seededRandom(20_261_130);
  return Array.from({ length: STUDIOS }, () => {
    const studio = studioOf(random);
    const evidence = Array.from({ length: samples }, (_each, at) =>
      sampleOf(studio, String(at + 1), isCoated),
    ).flat();
    const { learnt } = learn(evidence, TERMS, NO_HANDS);
    return other(studio, { ...WOOL, learnt }, isCoated);
  });
}

const shareOf = (all: readonly Outcome[], is: (each: Outcome) => boolean): number =>
  all.filter(is).length / all.length;

describe('studios whose truth is known', () => {
  test.each([
    ['bare', false],
    ['coated', true],
  ])(
    'after three samples, other %s figures are within 13 % nine times in ten, and in their ranges eight in ten',
    (_, isCoated) => {
      const all = outcomes(3, isCoated);
      expect(shareOf(all, ({ off }) => off <= 0.13)).toBeGreaterThanOrEqual(0.9);
      expect(Math.abs(shareOf(all, ({ isInside }) => isInside) - 0.8)).toBeLessThanOrEqual(0.05);
    },
  );
  test('before any, ranges hold what they say too; they are only wide', () => {
    const all = outcomes(0, false);
    expect(Math.abs(shareOf(all, ({ isInside }) => isInside) - 0.8)).toBeLessThanOrEqual(0.05);
    expect(shareOf(all, ({ off }) => off <= 0.13)).toBeLessThan(0.6);
  });
  test('what was foretold of each weighing from those before it is in its range eight times in ten', () => {
    const random = seededRandom(5);
    const told = Array.from({ length: STUDIOS / 3 }, () => {
      const studio = studioOf(random);
      return foretold([1, 2, 3, 4].flatMap((id) => sampleOf(studio, String(id), true)));
    }).flat();
    const inside = told.filter(({ isInside }) => isInside).length / told.length;
    expect(Math.abs(inside - 0.8)).toBeLessThanOrEqual(0.05);
  });
  test('a figure weighed once is within 10 % when it is made again, nine times in ten', () => {
    const random = seededRandom(9);
    const all = Array.from({ length: STUDIOS }, () => {
      const studio = studioOf(random);
      const balls = someBalls(studio.random, 6);
      const first = madeOf(studio, balls, 0);
      const build = bare(balls);
      const sources = { build, wool: WOOL, lotInUse: () => null, stepG: 0.01 };
      const page = making('1', { lines: [bag('core', 'core', FULL_G, FULL_G - first.coreG)] });
      const { learnt } = learn(makingEvidence(page, sources).evidence, TERMS, NO_HANDS);
      const again = madeOf(studio, balls, 0).coreG;
      // As the revision that is made of the page has it: with its weighed make.
      const { total } = estimatePattern({ ...build, weighedMakeG: first.coreG }, { ...WOOL, learnt });
      return {
        off: Math.abs(total.likelyG / again - 1),
        isInside: again >= total.lowG && again <= total.highG,
      };
    });
    expect(shareOf(all, ({ off }) => off <= 0.1)).toBeGreaterThanOrEqual(0.9);
  });
});
