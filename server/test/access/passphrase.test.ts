import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { isRight, keepOwner, ownerKey, passphraseFault, readOwner } from '../../src/access/passphrase.ts';
import { tries } from '../../src/access/tries.ts';

const GOOD = 'four green felted pears';
/** A hundredth of the cost: the rule is the same. */
const CHEAP = 2 ** 10;

describe('a passphrase', () => {
  test.each([
    ['eleven signs', 'abcdefghijk', 'too_short'],
    ['twelve', 'abcdefghijkl', null],
    ['words', GOOD, null],
    ['of other letters', 'Schäfchenwölkchen', null],
    ['the same sign', 'aaaaaaaaaaaaaaaa', 'one_sign'],
    ['three signs', 'abcabcabcabcabc', 'one_sign'],
    ['a book', 'ab cd'.repeat(50), 'too_long'],
  ])('%s', (_what, text, fault) => {
    expect(passphraseFault(text)).toBe(fault);
  });
  test('is told from any other, however its letters are put together', async () => {
    const key = await ownerKey('Schäfchenwölkchen', new Date(), CHEAP);
    expect(await isRight(key, 'Schäfchenwölkchen')).toBe(true);
    expect(await isRight(key, 'Schäfchenwölkchen')).toBe(true);
    for (const other of ['', 'Schafchenwolkchen', 'Schäfchenwölkchen ', GOOD])
      expect(await isRight(key, other)).toBe(false);
  });
  test('is kept as salt and hash, for nobody else to read, and never itself', async () => {
    const dir = mkdtempSync(join(tmpdir(), 'lanakit-owner-'));
    expect(readOwner(dir)).toBeNull();
    const [first, second] = [
      await ownerKey(GOOD, new Date(), CHEAP),
      await ownerKey(GOOD, new Date(), CHEAP),
    ];
    expect(first.hashHex).not.toBe(second.hashHex);
    keepOwner(dir, first);
    const file = join(dir, 'owner.json');
    expect(statSync(file).mode & 0o777).toBe(0o600);
    expect(readFileSync(file, 'utf8')).not.toContain('pears');
    expect(readOwner(dir)).toEqual(first);
    writeFileSync(file, '{"saltHex":"x"}');
    expect(readOwner(dir)).toBeNull();
  });
});

describe('wrong tries', () => {
  test('five are free, then the wait doubles, up to a quarter of an hour', () => {
    const tried = tries();
    const waits = Array.from({ length: 24 }, (_, at) => {
      const now = 1000 + at;
      const wait = tried.waitMs('a', now);
      tried.wrong('a', now);
      return wait > 0;
    });
    expect(waits.slice(0, 5)).toEqual([false, false, false, false, false]);
    expect(waits.slice(5).every(Boolean)).toBe(true);
    expect(tried.waitMs('a', 1025)).toBeGreaterThan(800_000);
    expect(tried.waitMs('a', 1025)).toBeLessThanOrEqual(900_000);
    expect(tried.waitMs('a', 1000 + 70 * 60_000)).toBe(0);
  });
  test('one address does not stop another, and very many together stop all', () => {
    const tried = tries();
    for (let at = 0; at < 6; at++) tried.wrong('a', 1000);
    expect(tried.waitMs('a', 1000)).toBeGreaterThan(0);
    expect(tried.waitMs('b', 1000)).toBe(0);
    for (let at = 0; at < 20; at++) tried.wrong(`other ${at}`, 1000);
    expect(tried.waitMs('b', 1000)).toBeGreaterThan(0);
  });
  test('the right one clears its own, and never adds to all', () => {
    const tried = tries();
    for (let at = 0; at < 100; at++) {
      tried.wrong('a', 1000);
      tried.right('a');
    }
    expect(tried.waitMs('a', 1000)).toBe(0);
    expect(tried.wrongInAll(1000)).toBe(0);
  });
  test('however they come, a wait is never below nought nor over its most', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom('a', 'b'), fc.nat(5_000_000)), { maxLength: 60 }),
        (all) => {
          const tried = tries();
          let now = 0;
          for (const [address, later] of all) {
            now += later;
            const wait = tried.waitMs(address, now);
            expect(wait).toBeGreaterThanOrEqual(0);
            expect(wait).toBeLessThanOrEqual(900_000);
            tried.wrong(address, now);
          }
        },
      ),
    );
  });
});
