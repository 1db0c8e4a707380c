import { describe, expect, test } from '@jest/globals';
import { type SignedTick, weighedTwice } from '../../src/run/index.ts';

const tick = (mark: string, from: string | null, more: Partial<SignedTick> = {}): SignedTick => ({
  mark,
  from,
  device: from,
  isDone: true,
  massG: 18.6,
  weighedG: 18.5,
  ...more,
});

describe('a portion weighed on two devices', () => {
  test.each<[string, readonly SignedTick[], number]>([
    ['once', [tick('a', 'x')], 0],
    ['twice on one device: it was weighed again', [tick('a', 'x'), tick('a', 'x')], 0],
    ['on two', [tick('a', 'x'), tick('a', 'y')], 1],
    ['on two, and on a third', [tick('a', 'x'), tick('a', 'y'), tick('a', 'z')], 1],
    ['taken back before', [tick('a', 'x'), tick('a', 'x', { isDone: false }), tick('a', 'y')], 0],
    ['settled: taken back, and weighed anew', [tick('a', 'x'), tick('a', 'y'), tick('a', 'y', { isDone: false }), tick('a', 'y')], 0],
    ['two portions', [tick('a', 'x'), tick('b', 'y')], 0],
    ['laid in by two', [tick('in|1|a', 'x', { massG: 0 }), tick('in|1|a', 'y', { massG: 0 })], 0],
    ['before devices had keys: by their names', [tick('a', null, { device: 'Tablet' }), tick('a', 'y', { device: 'Laptop' })], 1],
    ['before devices had keys, one name', [tick('a', null, { device: 'Tablet' }), tick('a', 'y', { device: 'Tablet' })], 0],
  ])('%s', (_name, history, count) => expect(weighedTwice(history).length).toBe(count)); // prettier-ignore
  test('the last is kept, and both are told', () => {
    const [first, second] = [tick('a', 'x', { weighedG: 18.4 }), tick('a', 'y', { weighedG: 18.7 })];
    expect(weighedTwice([first, second])).toEqual([{ mark: 'a', kept: second, lost: first }]);
  });
});
