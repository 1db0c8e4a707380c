import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { codeInGroups, newCode, PACK_SIGNS, PAIRING_SIGNS, readCode } from '../../src/access/codes.ts';
import { offers } from '../../src/access/offers.ts';
import { packSessions } from '../../src/access/packSessions.ts';

const MINUTE = 60_000;
const TABLET = { name: 'Tablet', role: 'helper', seesNames: false } as const;

describe('a code', () => {
  test.each([
    ['as shown', 'ABCD-EFGH', 'ABCDEFGH'],
    ['in small letters, with gaps', ' abcd efgh ', 'ABCDEFGH'],
    ['with a dash a phone made of it', 'ABCD–EFGH', 'ABCDEFGH'],
    ['a sign short', 'ABCD-EFG', null],
    ['a sign too many', 'ABCD-EFGHJ', null],
    ['with a sign that is in none', 'ABCD-EFG0', null],
    ['nothing', '', null],
  ])('%s', (_what, text, code) => {
    expect(readCode(text, PAIRING_SIGNS)).toBe(code);
  });
  test('is read as it is shown, and never the same twice', () => {
    const all = Array.from({ length: 2000 }, () => newCode(PACK_SIGNS));
    expect(new Set(all).size).toBe(2000);
    for (const code of all) expect(readCode(codeInGroups(code).toLowerCase(), PACK_SIGNS)).toBe(code);
    // Every sign comes as often as every other: 20 000 of them among 30, give or take.
    const counts = new Map<string, number>();
    for (const sign of all.join('')) counts.set(sign, (counts.get(sign) ?? 0) + 1);
    expect(counts.size).toBe(30);
    for (const count of counts.values()) expect(Math.abs(count - 20_000 / 30)).toBeLessThan(160);
  });
  test('whatever is typed is no fault', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 30 }), (text) => {
        const code = readCode(text, PACK_SIGNS);
        expect(code === null || code.length === PACK_SIGNS).toBe(true);
      }),
    );
  });
});

describe('an offer to pair', () => {
  test('lets one in, once, within ten minutes', () => {
    const open = offers();
    open.make(TABLET, 0);
    const [{ code } = { code: '' }] = open.all(0);
    expect(open.take('AAAA-AAAA', 1)).toBeNull();
    expect(open.take(code, 10 * MINUTE - 1)).toEqual(TABLET);
    expect(open.take(code, 10 * MINUTE - 1)).toBeNull();
    open.make(TABLET, 0);
    expect(open.take(open.all(0)[0]?.code ?? '', 10 * MINUTE)).toBeNull();
  });
  test('is withdrawn by a press; of more than five the oldest gives way', () => {
    const open = offers();
    for (let at = 0; at < 6; at++) open.make({ ...TABLET, name: `${at}` }, at);
    expect(open.all(10).map(({ name }) => name)).toEqual(['1', '2', '3', '4', '5']);
    open.withdraw();
    expect(open.all(10)).toEqual([]);
  });
});

test('a phone that opened its pack is known for twelve hours without a request, or until it leaves', () => {
  const known = packSessions();
  const place = { runId: 'r', number: 3 };
  const token = known.begin(place, 0);
  expect(known.seen(token, 12 * 60 * MINUTE)).toEqual(place);
  expect(known.seen(token, 24 * 60 * MINUTE)).toEqual(place);
  expect(known.seen(token, 36 * 60 * MINUTE + 1)).toBeNull();
  const other = known.begin(place, 0);
  known.end(other);
  expect(known.seen(other, 1)).toBeNull();
});
