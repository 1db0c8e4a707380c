import { describe, expect, test } from '@jest/globals';
import { estimatePattern } from '../../../src/engine/index.ts';
import { guidePieces } from '../../../src/figure/index.ts';
import { type Pattern, straightOut, UPRIGHT } from '../../../src/pattern/index.ts';
import { cardLines } from '../../../src/words/index.ts';
import { WOOL } from '../../support/engine.ts';
import { mm, part, pattern, shapes } from '../../support/make.ts';
import { extentOf } from '../../support/outlines.ts';
import { placement } from '../../support/places.ts';
import { joined } from '../../support/writing.ts';

const cardOf = (build: Pattern) =>
  guidePieces([{ build, whole: build, estimate: estimatePattern(build, WOOL), findings: WOOL.findings }])
    .cards[0]?.card ?? null;
const body = part('body', shapes.ball(60));
/** A ball 40 on a ball 60, sunk 5, leant so far forward; two limbs at its sides. */
const figure = (leanUpDeg = 0, more: Partial<Pattern> = {}) =>
  pattern([body, part('head', shapes.ball(40)), part('arm', shapes.limb(30, 8), { count: 2 })], {
    joins: [
      joined('head', 'body', { looseEnd: null, sink: mm(5), placement: placement('each', [{ ...straightOut(180, 1), leanUpDeg }]) }),
      joined('arm', 'body', { looseEnd: null, sink: mm(3), placement: placement('mirror', [straightOut(90, 0.5)]) }),
    ],
    ...more,
  }); // prettier-ignore

describe('the place card', () => {
  test('is as high and as wide as the figure: 95 over all, 60 + 2 × 27 across', () => {
    const card = cardOf(figure());
    expect(card?.size.heightMm).toBeCloseTo(95, 6);
    expect(card?.size.widthMm).toBeCloseTo(114, 6);
    const front = extentOf(card?.first.lines.flatMap(({ points }) => points) ?? []);
    expect(front.down).toBeCloseTo(95, 0);
    expect(front.across).toBeCloseTo(114, 0);
    expect(front.bottom).toBeCloseTo(0, 1);
  });
  test('where two balls meet: as high as the chord both have', () => {
    const head = cardOf(figure())?.places.find(({ of }) => of.kind === 'part' && of.partId === 'head');
    // Balls of 30 and 20 whose middles are 45 apart: (45² + 30² − 20²) ÷ (2 × 45) above the middle of the body.
    expect(head?.heightMm).toBeCloseTo(30 + (45 ** 2 + 30 ** 2 - 20 ** 2) / 90, 1);
  });
  test('a pair stands in one line, with what is between them', () => {
    const arms = cardOf(figure())?.places.filter(({ of }) => of.kind === 'part' && of.partId === 'arm') ?? [];
    expect(arms).toHaveLength(1);
    // A limb of radius 4 leaves the ball of 30 at √(30² − 4²) from its middle.
    expect(arms[0]?.apartMm).toBeCloseTo(2 * Math.sqrt(30 ** 2 - 4 ** 2), 0);
    expect(arms[0]?.lean?.fromUprightDeg).toBeCloseTo(90, 6);
  });
  test('a lean is told from upright, and to where', () => {
    const card = cardOf(figure(30));
    const head = card?.places.find(({ of }) => of.kind === 'part' && of.partId === 'head');
    expect(head?.lean?.fromUprightDeg).toBeCloseTo(30, 6);
    const words = card ? cardLines(card, pattern([])) : [];
    expect(words.find((line) => line.startsWith('2 head'))).toContain('leans 30° toward the front');
  });
  test('what is to stay in proportion is told with what it comes to', () => {
    const build = figure(0, {
      proportions: [
        {
          id: 'p',
          a: { of: 'part', partId: 'head', size: 'diameter' },
          b: { of: 'part', partId: 'body', size: 'diameter' },
          ratio: 0.67,
          toleranceFraction: 0.05,
        },
      ],
    });
    const card = cardOf(build);
    const words = card ? cardLines(card, build) : [];
    expect(words.at(-1)).toBe('head diameter : body diameter is 0.67, as wanted (0.67 ± 5 %).');
  });
  test('what lies is seen from above', () => {
    expect(cardOf(figure(0, { stance: { ...UPRIGHT, rests: 'lies' } }))?.first.from).toBe('above');
    expect(cardOf(figure())?.first.from).toBe('front');
  });
  test('one piece alone has none', () => {
    expect(cardOf(pattern([body]))).toBeNull();
  });
});
