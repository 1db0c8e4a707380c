import { describe, expect, test } from '@jest/globals';
import { FIBRE_FLAGS, FINDING_FLAGS, PREPARATIONS, REASONS, STOCK_UNITS } from '@lanakit/core/shelf';
import {
  FIBRE_FLAG_WORDS,
  FINDING_CAUTIONS,
  FINDING_FLAG_WORDS,
  handsWords,
  PREPARATION_WORDS,
  REASON_WORDS,
  UNIT_WORDS,
} from '@lanakit/core/words';
import { fibreStrokes, TILE_PX } from '../../src/ui/look/fibreStrokes.ts';
import { inputOf } from '../../src/shelf/inputOf.ts';
import { showAmount, showSigned } from '../../src/words/shelfWords.ts';

describe('amounts in the unit a thing is stocked in', () => {
  test.each([
    [0.2, 'g', '0.20 g'],
    [18, 'g', '18.0 g'],
    [6.8, 'm', '6.80 m'],
    [18.42, 'm', '18.4 m'],
    [14, 'piece', '14 pcs'],
    [4050, 'cm2', '4050 cm²'],
    [160, 'ml', '160 ml'],
  ] as const)('%d %s', (amount, unit, words) => expect(showAmount(amount, unit)).toBe(words));
  test('in a ledger with their sign', () => {
    expect(showSigned(50, 'g')).toBe('+50.0 g');
    expect(showSigned(-3.5, 'g')).toBe('−3.5 g');
  });
});

test('a length of sliver is called sliver', () => {
  expect(
    handsWords(
      { kind: 'length', tops: { kind: 'pull', lengthMm: 212 }, roundingFraction: 0 },
      'mm',
      'carded',
    ),
  ).toBe('≈ 21 cm of sliver');
  expect(
    handsWords(
      { kind: 'length', tops: { kind: 'split', lengthMm: 55, ways: 1, trueG: 0.77 }, roundingFraction: 0 },
      'mm',
      'carded',
    ),
  ).toContain('of sliver, the staple');
});

test.each([
  ['preparations', PREPARATIONS, PREPARATION_WORDS],
  ['flags of fibres', FIBRE_FLAGS, FIBRE_FLAG_WORDS],
  ['flags of findings', FINDING_FLAGS, FINDING_FLAG_WORDS],
  ['reasons', REASONS, REASON_WORDS],
  ['units', STOCK_UNITS, UNIT_WORDS],
] as const)('every one of the %s has words of its own', (_name, keys, words) => {
  const texts = keys.map((key) => (words as Readonly<Record<string, string>>)[key]);
  expect(new Set(texts).size).toBe(keys.length);
  for (const word of texts) expect(word).toMatch(/\S/);
});

test('every flag of a finding has its caution, a whole sentence without shouting', () => {
  for (const flag of FINDING_FLAGS) expect(FINDING_CAUTIONS[flag]).toMatch(/^[A-Z][^!]*\.$/);
});

test.each(PREPARATIONS)(
  'the strokes of %s are the same every time, and reach over the whole tile',
  (preparation) => {
    const { strokes, pale, dark } = fibreStrokes(preparation);
    expect(fibreStrokes(preparation).strokes).toEqual(strokes);
    expect(pale.length + dark.length).toBe(strokes.join('').length);
    const starts = [...strokes.join('').matchAll(/M(-?[\d.]+) (-?[\d.]+)/g)].map(
      ([, x, y]) => [Number(x), Number(y)] as const,
    );
    for (const axis of [0, 1] as const) {
      const along = starts.map((start) => start[axis]);
      expect(Math.min(...along)).toBeLessThan(TILE_PX * 0.1);
      expect(Math.max(...along)).toBeGreaterThan(TILE_PX * 0.9);
    }
  },
);

test('what is written of a stored thing is what was said of it, not what the shelf adds', () => {
  const stored = { id: 'a', version: 3, lots: [], onHandG: 5, peakG: 9, name: 'Moss', archived: false };
  expect(inputOf<{ name: string; archived: boolean }>(stored)).toEqual({ name: 'Moss', archived: false });
  const counted = { id: 'b', version: 1, onHand: 4, peak: 4, asFibre: null, name: 'Bead', archived: true };
  expect(inputOf<{ name: string; archived: boolean }>(counted)).toEqual({ name: 'Bead', archived: true });
});
