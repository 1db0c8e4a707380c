import { describe, expect, test } from '@jest/globals';
import { START_TECHNIQUES } from '../../src/starts/index.ts';
import { checkTechnique } from '../../src/writing/index.ts';

describe('techniques to begin from', () => {
  test.each(START_TECHNIQUES.map((technique) => [technique.name, technique] as const))(
    '%s can be kept as it is, and what is filled in is asked for',
    (_name, technique) => {
      expect(checkTechnique(technique)).toEqual([]);
      const braces = technique.steps.flatMap(({ text }) =>
        [...text.matchAll(/\{(\w+)\}/g)].map(([, key]) => key),
      );
      const keys = technique.parameters.map(({ key }) => key);
      expect(new Set(braces)).toEqual(new Set(keys));
    },
  );
  test('no two are called the same', () =>
    expect(new Set(START_TECHNIQUES.map(({ name }) => name)).size).toBe(START_TECHNIQUES.length));
});
