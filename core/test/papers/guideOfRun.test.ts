import { describe, expect, test } from '@jest/globals';
import { guideOf, guideOfPattern, guideOfRun } from '../../src/papers/index.ts';
import { NO_CHOICES } from '../../src/pattern/index.ts';
import { blankSeat, type RunInput, type Seat } from '../../src/run/index.ts';
import { bird, classOf, coastDesigns, coastWool, duo, kitsOf } from '../support/coast.ts';

const seat = (number: number, more: Partial<Seat> = {}): Seat => ({ ...blankSeat(number), ...more });
const asked = (input: RunInput, pack: number | null = null) => guideOfRun(coastDesigns, input, pack);
const wordsOn = (input: RunInput, pack: number | null = null): string[] => {
  const request = asked(input, pack);
  if (!request) throw new Error('no such pack');
  return guideOf(request, coastWool, 'a4').pages.flatMap(({ items }) =>
    items.flatMap((item) => (item.kind === 'text' ? [item.text] : [])),
  );
};
/** How often a piece of this part is drawn. */
const drawings = (words: readonly string[], part: string): number =>
  words.filter((text) => new RegExp(`^\\d+ ${part}\\b`).test(text)).length;
const body = bird.parts[0]?.name ?? '';

describe('the guide of a class', () => {
  test('whoever makes it as it is written: each piece once, and nobody’s name on it', () => {
    const words = wordsOn(classOf({ seats: 5 }));
    expect(drawings(words, body)).toBe(1);
    expect(words.join(' ')).not.toContain('for Seat');
  });
  test('another size is drawn beside it, with whose it is', () => {
    const input = classOf({ seats: 3, roster: [seat(2, { name: 'Jun', sizeFraction: 0.5 })] });
    const words = wordsOn(input);
    expect(drawings(words, body)).toBe(2);
    expect(words.join(' ')).toContain('for Jun');
    expect(asked(input)?.builds).toHaveLength(2);
  });
  test('a left hand makes the same pieces', () => {
    const input = classOf({ seats: 2, roster: [seat(1, { name: 'Ada', isLeftHanded: true })] });
    expect(drawings(wordsOn(input), body)).toBe(1);
  });
  test('one seat alone: its own size, and its name in the title', () => {
    const input = classOf({ seats: 3, roster: [seat(2, { name: 'Jun', sizeFraction: 0.5 })] });
    const request = asked(input, 2);
    expect(request?.builds).toHaveLength(1);
    expect(request?.title).toContain('for Jun');
    expect(drawings(wordsOn(input, 2), body)).toBe(1);
  });
  test.each([0, 4, 1.5, NaN])('seat %d there is none', (pack) => {
    expect(asked(classOf({ seats: 3 }), pack)).toBeNull();
  });
});

describe('the guide of boxes', () => {
  const input = kitsOf([duo()]);
  test('of several designs each piece says of which it is', () => {
    const words = wordsOn(input).join(' ');
    const titles = new Set(asked(input)?.builds.map(({ build }) => build.title));
    expect(titles.size).toBeGreaterThan(1);
    for (const title of titles) expect(words).toContain(title);
  });
  test('one box has the pieces of all its designs', () => {
    expect(asked(input, 1)?.builds).toHaveLength(duo().designs.length);
  });
});

describe('the guide of a pattern', () => {
  test.each([1, 0.5])('at %d it has the parts of the seat that makes it in that size', (sizeFraction) => {
    const seated = asked(classOf({ seats: 1, roster: [seat(1, { sizeFraction })] }), 1)?.builds[0]?.build;
    const alone = guideOfPattern(bird, NO_CHOICES, sizeFraction);
    expect(alone.builds.map(({ build }) => build.parts)).toEqual([seated?.parts]);
  });
});
