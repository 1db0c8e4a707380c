import { describe, expect, test } from '@jest/globals';
import type { PLAIN_ACTS } from '../../src/pattern/index.ts';
import { remarksOf } from '../../src/review/index.ts';
import { fibre, part, pattern, shapes, shelf } from '../support/make.ts';
import { step } from '../support/writing.ts';

const WOOL = shelf(fibre('core'));

/** How many legs the words say there are, where that is not so; four there are. */
function saidOf(act: (typeof PLAIN_ACTS)[number], text: string): number[] {
  const figure = pattern([part('Body', shapes.ball(60)), part('Leg', shapes.limb(40, 12), { count: 4 })], {
    steps: [step('it', act, ['Body', 'Leg'], { text })],
  });
  return remarksOf(figure, WOOL).flatMap((remark) =>
    remark.code === 'count_in_words' ? [remark.inWords] : [],
  );
}

describe('a number in the words of a step', () => {
  test.each([
    ['as many as there are', 'make', 'Roll four legs.', []],
    ['in digits', 'make', 'Roll 4 legs.', []],
    ['fewer, where all are made', 'make', 'Roll three small legs.', [3]],
    ['more, where all are made', 'make', 'Roll 6 legs.', [6]],
    ['fewer, where some may be meant', 'join', 'Join two legs first.', []],
    ['more than there are, whatever is done', 'join', 'Join six legs.', [6]],
    ['a length before the name', 'make', 'Roll 12 mm legs, each alike.', []],
    ['a length with a point', 'make', 'Roll 0.5 cm legs.', []],
    ['grams before the name', 'make', 'Pull off 20 g body wool.', []],
    ['another step', 'join', 'As in step 6 legs come last.', []],
    ['a gauge', 'felt', 'Take a 38 star leg by leg.', []],
    ['sizes', 'make', 'Roll 40 × 12 legs.', []],
    ['part of a number', 'make', 'Roll 1/2 legs thick.', []],
  ] as const)('%s', (_name, act, text, found) => {
    expect(saidOf(act, text)).toEqual(found);
  });
});
