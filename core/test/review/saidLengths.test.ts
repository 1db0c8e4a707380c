import { describe, expect, test } from '@jest/globals';
import { saidLengths } from '../../src/review/saidLengths.ts';

describe('lengths as they stand in words', () => {
  test.each<[string, readonly number[]]>([
    ['Roll it to 60 mm across.', [60]],
    ['2 mm (⅛ in)', [2, 3.175]],
    ['about 1½ in long, or 4 cm', [38.1, 40]],
    ['3/4 inch', [19.05]],
    ['1.5cm', [15]],
    ['2,5 cm', [25]],
    ['a 38 needle, 3 times, step 4', []],
    ['12 minutes', []],
    ['4 indigo strands', []],
    ['v1.2 mm', []],
  ])('%s: %j mm', (text, mm) => {
    expect(saidLengths(text).map((length) => Number(length.mm.toFixed(3)))).toEqual(mm);
  });
  test('each ends where its words end', () => {
    const text = 'Roll it to 60 mm across.';
    const [length] = saidLengths(text);
    expect(text.slice(length?.end)).toBe(' across.');
  });
});
