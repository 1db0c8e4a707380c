import { beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Device, type DeviceFacts, devices } from '../../src/access/devices.ts';
import { keepPaired, pairedBefore } from '../../src/services/pairedDevices.ts';

const OWNER_KEY = { saltHex: 'a1' };
const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const TABLET: DeviceFacts = { name: 'Tablet', role: 'helper', seesNames: false, came: 'paired' };
const OWNER: DeviceFacts = { name: 'Owner', role: 'owner', seesNames: true, came: 'passphrase' };

let kept: readonly Device[] = [];
let ids = 0;
beforeEach(() => {
  kept = [];
  ids = 0;
});
const registry = (before: readonly Device[] = []) =>
  devices({ newId: () => `d${++ids}`, before, keep: (paired) => (kept = paired) });
const admit = (known: ReturnType<typeof devices>, facts: DeviceFacts, now = 0) =>
  known.admit(facts, '10.0.0.2', now) ?? '';
const isKnown = (known: ReturnType<typeof devices>, token: string, now: number) =>
  known.seen(token, '10.0.0.2', now) !== null;

describe('a device that is let in', () => {
  test.each([
    ['by the passphrase, to the hour', OWNER, 8 * HOUR, true],
    ['by the passphrase, gone too long', OWNER, 8 * HOUR + 1, false],
    ['paired, in a drawer for two months', TABLET, 60 * DAY, true],
    ['paired, longer than that', TABLET, 60 * DAY + 1, false],
  ])('%s', (_what, facts, later, isThere) => {
    const known = registry();
    expect(isKnown(known, admit(known, facts), later)).toBe(isThere);
  });
  test('by the passphrase it is over after a week, however often it asks; paired it goes on', () => {
    const last = (facts: DeviceFacts) => {
      const known = registry();
      let token = admit(known, facts);
      let at = 0;
      for (let now = 6 * HOUR; now < 40 * DAY; now += 6 * HOUR) {
        const seen = known.seen(token, 'a', now);
        if (!seen) break;
        token = seen.next ?? token;
        at = now;
      }
      return at;
    };
    expect(last(OWNER)).toBe(7 * DAY);
    expect(last(TABLET)).toBeGreaterThan(39 * DAY);
  });
  test('gets another token every half hour; the one before opens until a minute after the new one was used', () => {
    const known = registry();
    const first = admit(known, TABLET);
    expect(known.seen(first, 'a', HOUR / 2)?.next).toBeNull();
    const next = known.seen(first, 'a', HOUR / 2 + 1)?.next ?? '';
    expect(next).not.toBe('');
    // Under way with the old one, and nothing new for it.
    expect(known.seen(first, 'a', HOUR / 2 + 2)).toMatchObject({ next: null });
    expect(isKnown(known, next, HOUR)).toBe(true);
    expect(isKnown(known, first, HOUR + 60_000)).toBe(true);
    expect(isKnown(known, first, HOUR + 60_001)).toBe(false);
    expect(isKnown(known, next, HOUR + 60_001)).toBe(true);
  });
  test('an answer lost on its way shuts nobody out: the old token opens, and is given another new one', () => {
    const known = registry();
    const first = admit(known, TABLET);
    const lost = known.seen(first, 'a', HOUR)?.next ?? '';
    const again = known.seen(first, 'a', 2 * HOUR)?.next ?? '';
    expect(again).not.toBe('');
    expect(again).not.toBe(lost);
    expect(isKnown(known, again, 2 * HOUR + 1)).toBe(true);
    expect(isKnown(known, lost, 2 * HOUR + 2)).toBe(false);
  });
  test('whatever requests come and whatever answers are lost, its browser is always known', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(3 * HOUR), fc.boolean()), { maxLength: 80 }), (requests) => {
        const known = registry();
        let token = admit(known, TABLET);
        let now = 0;
        for (const [later, isLost] of requests) {
          now += later;
          const seen = known.seen(token, 'a', now);
          expect(seen).not.toBeNull();
          if (seen?.next && !isLost) token = seen.next;
        }
      }),
    );
  });
  test('is shut out by a press, and no other', () => {
    const known = registry();
    const [mine, theirs] = [admit(known, TABLET), admit(known, TABLET)];
    expect(known.shutOut('d1')).toBe(true);
    expect(known.shutOut('d1')).toBe(false);
    expect(isKnown(known, mine, 1)).toBe(false);
    expect(isKnown(known, theirs, 1)).toBe(true);
    known.end(theirs);
    expect(isKnown(known, theirs, 2)).toBe(false);
    expect(kept).toEqual([]);
    expect(isKnown(known, 'made up', 2)).toBe(false);
  });
  test('fifty may be paired, and no more; its owner comes in all the same, in the place of who was gone longest', () => {
    const known = registry();
    for (let at = 0; at < 50; at++) expect(known.admit(TABLET, 'a', at)).not.toBeNull();
    expect(known.admit(TABLET, 'a', 60)).toBeNull();
    const owners = Array.from({ length: 51 }, (_, at) => admit(known, OWNER, 100 + at));
    expect(isKnown(known, owners[0] ?? '', 200)).toBe(false);
    expect(owners.slice(1).every((token) => isKnown(known, token, 200))).toBe(true);
  });
});

describe('what is written down of devices', () => {
  test('only those that are paired, known again after a start, without what opens', () => {
    const dir = mkdtempSync(join(tmpdir(), 'lanakit-devices-'));
    expect(pairedBefore(dir, OWNER_KEY)).toEqual([]);
    const known = registry();
    const token = admit(known, TABLET);
    admit(known, OWNER);
    keepPaired(dir, OWNER_KEY, kept);
    const file = join(dir, 'devices.json');
    expect(statSync(file).mode & 0o777).toBe(0o600);
    expect(readFileSync(file, 'utf8')).not.toContain(token);
    const again = registry(pairedBefore(dir, OWNER_KEY));
    expect(again.all(1).map(({ name }) => name)).toEqual(['Tablet']);
    expect(isKnown(again, token, 1)).toBe(true);
    // With another passphrase nobody is let in by what the old one let in.
    expect(pairedBefore(dir, { saltHex: 'b2' })).toEqual([]);
  });
  test.each(['', '{', '{"devices":[{}]}', '{"devices":[{"id":"x","tokens":[]}]}'])(
    '%j lets nobody in',
    (text) => {
      const dir = mkdtempSync(join(tmpdir(), 'lanakit-devices-'));
      writeFileSync(join(dir, 'devices.json'), text);
      expect(pairedBefore(dir, OWNER_KEY)).toEqual([]);
    },
  );
});
