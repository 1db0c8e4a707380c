import { beforeEach, describe, expect, test } from '@jest/globals';
import { CARD_TERMS } from '@lanakit/core/papers';
import { keepCardTerms, lastCardTerms } from '../../src/runs/cardTerms.ts';

const kept = new Map<string, string>();
let isFull = false;
beforeEach(() => {
  kept.clear();
  isFull = false;
  Object.defineProperty(globalThis, 'localStorage', {
    configurable: true,
    value: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => {
        if (isFull) throw new Error('full');
        kept.set(key, value);
      },
    },
  });
});

describe('how cards were printed last', () => {
  const large = {
    ...CARD_TERMS.kits,
    boxWidthMm: 150,
    boxHeightMm: 200,
    page: 'letter' as const,
    hasMarks: false,
  };
  test('is the usual way at first', () => {
    expect(lastCardTerms('run', CARD_TERMS.kits)).toEqual(CARD_TERMS.kits);
  });
  test('is kept for its run, and of the box for the next run too', () => {
    keepCardTerms('run', large);
    expect(lastCardTerms('run', CARD_TERMS.kits)).toEqual(large);
    expect(lastCardTerms('another', CARD_TERMS.class)).toEqual({
      ...CARD_TERMS.class,
      boxWidthMm: 150,
      boxHeightMm: 200,
      page: 'letter',
    });
  });
  test.each(['{', 'null', '{"cards":["no such card","needles"]}'])('%s kept is no trouble', (text) => {
    kept.set('lanakit-cards run', text);
    const { cards } = lastCardTerms('run', CARD_TERMS.kits);
    expect(cards.every((name) => CARD_TERMS.kits.cards.includes(name))).toBe(true);
    expect(cards.length).toBeGreaterThan(0);
  });
  test('a full browser keeps nothing and says nothing', () => {
    isFull = true;
    keepCardTerms('run', large);
    expect(lastCardTerms('run', CARD_TERMS.kits)).toEqual(CARD_TERMS.kits);
  });
});
