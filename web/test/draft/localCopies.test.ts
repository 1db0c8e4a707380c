import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { copyKeeper, dropCopy, keepCopy, takeUpCopy } from '../../src/draft/localCopies.ts';

/** Storage as a browser has it: its keys are its own properties. */
function storage(): Storage {
  const stored = {} as Record<string, string>;
  const methods = {
    getItem: (key: string) => stored[key] ?? null,
    setItem: (key: string, value: string) => void (stored[key] = value),
    removeItem: (key: string) => void delete stored[key],
    clear: () => undefined,
    key: (index: number) => Object.keys(stored)[index] ?? null,
  };
  for (const [name, value] of Object.entries(methods))
    Object.defineProperty(stored, name, { value, writable: true });
  return stored as unknown as Storage;
}

const SUBJECT = 'patterns/p1';
const copy = (title: string, version = 3) => ({ document: { title }, version });
const NOW = Date.parse('2026-11-25T19:00:00Z');
let tabs: { local: Storage };

/** Goes on as another tab: what it kept for itself is its own, what the browser keeps is shared. */
const asAnotherTab = () => {
  globalThis.sessionStorage = storage();
};
const keys = () => Object.keys(tabs.local);

beforeEach(() => {
  jest.useFakeTimers({ now: NOW });
  tabs = { local: storage() };
  globalThis.localStorage = tabs.local;
  asAnotherTab();
});
afterEach(() => void jest.useRealTimers());

describe('a copy of what was typed', () => {
  test('is taken up again in its own tab, at once', () => {
    keepCopy(SUBJECT, copy('mine'));
    expect(takeUpCopy(SUBJECT)).toMatchObject(copy('mine'));
  });
  test('is of its own document only', () => {
    keepCopy('patterns/p10', copy('another'));
    expect(takeUpCopy(SUBJECT)).toBeNull();
  });
  test('of a tab that may still be open is left in its hands', () => {
    keepCopy(SUBJECT, copy('theirs'));
    asAnotherTab();
    jest.setSystemTime(NOW + 9_000);
    expect(takeUpCopy(SUBJECT)).toBeNull();
    expect(keys()).toHaveLength(1);
  });
  test('of a tab that was closed is taken over, once', () => {
    keepCopy(SUBJECT, copy('left behind'));
    asAnotherTab();
    jest.setSystemTime(NOW + 11_000);
    expect(takeUpCopy(SUBJECT)).toMatchObject(copy('left behind'));
    expect(keys()).toHaveLength(1);
    asAnotherTab();
    expect(takeUpCopy(SUBJECT)).toMatchObject(copy('left behind'));
  });
  test('from before the clock was set back is nobody’s', () => {
    keepCopy(SUBJECT, copy('from the future'));
    asAnotherTab();
    jest.setSystemTime(NOW - 3_600_000);
    expect(takeUpCopy(SUBJECT)).toMatchObject(copy('from the future'));
  });
  test('in a full browser is told apart from a kept one, throws nothing, and is kept once there is room', () => {
    const setItem = tabs.local.setItem.bind(tabs.local);
    tabs.local.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    const copies = copyKeeper<{ title: string }>(SUBJECT);
    copies.keep(copy('too long'));
    copies.now();
    expect([copies.isKept(), takeUpCopy(SUBJECT)]).toEqual([false, null]);
    tabs.local.setItem = setItem;
    copies.keep(copy('shorter'));
    copies.now();
    expect([copies.isKept(), takeUpCopy(SUBJECT)]).toMatchObject([true, copy('shorter')]);
  });
  test('another tab’s that does not fit a second time stays where it was', () => {
    keepCopy(SUBJECT, copy('left behind'));
    asAnotherTab();
    sessionStorage.setItem('lanakit.tab', 'other');
    tabs.local.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    jest.setSystemTime(NOW + 60_000);
    expect(takeUpCopy(SUBJECT)).toMatchObject(copy('left behind'));
    expect(keys()).toHaveLength(1);
    expect(takeUpCopy(SUBJECT)).toMatchObject(copy('left behind'));
  });
  test('one’s own comes before what another tab left', () => {
    keepCopy(SUBJECT, copy('left behind'));
    asAnotherTab();
    keepCopy(SUBJECT, copy('mine'));
    jest.setSystemTime(NOW + 60_000);
    expect(takeUpCopy(SUBJECT)).toMatchObject(copy('mine'));
    expect(keys()).toHaveLength(2);
  });
  test('cut short by a full disk is let go', () => {
    keepCopy(SUBJECT, copy('mine'));
    const [key = ''] = keys();
    tabs.local.setItem(key, '{"document":{"ti');
    expect(takeUpCopy(SUBJECT)).toBeNull();
    expect(keys()).toEqual([]);
  });
  test('dropped, it is gone, and another tab’s stays', () => {
    keepCopy(SUBJECT, copy('theirs'));
    asAnotherTab();
    keepCopy(SUBJECT, copy('mine'));
    dropCopy(SUBJECT);
    expect(keys()).toHaveLength(1);
  });
});

describe('kept while it is typed', () => {
  test('the newest, within an eighth of a second, written once', () => {
    const written = jest.spyOn(tabs.local, 'setItem' as never);
    const keeper = copyKeeper<{ title: string }>(SUBJECT);
    for (const letter of ['P', 'Pe', 'Pear']) keeper.keep(copy(letter));
    expect(keys()).toEqual([]);
    jest.advanceTimersByTime(125);
    expect(takeUpCopy(SUBJECT)).toMatchObject(copy('Pear'));
    expect(written.mock.calls.filter(([key]) => String(key).includes(SUBJECT))).toHaveLength(1);
  });
  test('at once when the page goes', () => {
    const keeper = copyKeeper<{ title: string }>(SUBJECT);
    keeper.keep(copy('Pear'));
    keeper.now();
    expect(takeUpCopy(SUBJECT)).toMatchObject(copy('Pear'));
  });
  test('let go, nothing that waited is written afterwards', () => {
    const keeper = copyKeeper<{ title: string }>(SUBJECT);
    keeper.keep(copy('Pear'));
    keeper.drop();
    jest.advanceTimersByTime(1000);
    expect(keys()).toEqual([]);
    keeper.keep(copy('Plum'));
    jest.advanceTimersByTime(1000);
    expect(takeUpCopy(SUBJECT)).toMatchObject(copy('Plum'));
  });
});
