import { afterAll, beforeAll, expect, jest, test } from '@jest/globals';
import { askEarly, takeEarly } from '../../src/api/askedEarly.ts';
import { refresh } from '../../src/api/refresh.ts';

beforeAll(() => void jest.useFakeTimers());
afterAll(() => void jest.useRealTimers());

test('what was asked early is given once', async () => {
  askEarly('/fibres', () => Promise.resolve('wool'));
  await expect(takeEarly('/fibres')).resolves.toBe('wool');
  expect(takeEarly('/fibres')).toBeNull();
});

test('what was written meanwhile makes it untrue: it is asked for anew', async () => {
  askEarly('/fibres', () => Promise.resolve('wool'));
  askEarly('/blends', () => Promise.resolve('mixed'));
  await refresh('/fib');
  expect(takeEarly('/fibres')).toBeNull();
  await expect(takeEarly('/blends')).resolves.toBe('mixed');
});

test('what failed, or is old by now, is asked for anew', async () => {
  askEarly('/fibres', () => Promise.resolve('wool'));
  jest.advanceTimersByTime(20_000);
  expect(takeEarly('/fibres')).toBeNull();
  askEarly('/fibres', () => Promise.reject(new Error('away')));
  await Promise.resolve();
  await Promise.resolve();
  expect(takeEarly('/fibres')).toBeNull();
});
