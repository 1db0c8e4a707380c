import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { REVIEW_RULES } from '../../src/review/rules/index.ts';
import { EVERY_FINDING } from '../support/findings.ts';

const HANDBOOK = readFileSync(new URL('../../../docs/review.md', import.meta.url), 'utf8');

describe('the rules of the review', () => {
  test('each has a code of its own, and there is one for every remark', () => {
    const codes = REVIEW_RULES.map(({ code }) => code);
    expect(new Set(codes).size).toBe(codes.length);
    expect(new Set(codes)).toEqual(new Set(Object.keys(EVERY_FINDING)));
  });

  test('the handbook has every one of them, and no other', () => {
    const listed = [...HANDBOOK.matchAll(/^\| `([a-z_]+)`/gm)].map(([, code]) => code);
    expect(new Set(listed)).toEqual(new Set(REVIEW_RULES.map(({ code }) => code)));
  });

  test('how bad each is stands beside it', () => {
    for (const { code, weight } of REVIEW_RULES) {
      const row = HANDBOOK.split('\n').find((line) => line.startsWith(`| \`${code}\``)) ?? '';
      expect([code, row.includes(weight === 'stumble' ? 'a reader stumbles' : 'worth a look')]).toEqual([
        code,
        true,
      ]);
    }
  });
});
