import { describe, expect, test } from '@jest/globals';
import { isPlaceFor } from '../../src/shell/places.ts';

describe('places a helper’s device works at', () => {
  test.each([
    ['/runs', true],
    ['/runs/', true],
    ['/runs/abc', true],
    ['/runs/abc/weigh-out', true],
    ['/runs/abc/tray', true],
    ['/runs/abc/papers/labels', true],
    ['/count', true],
    ['/runs/abc/papers/shortage', false],
    ['/runs/abc/codes', false],
    ['/runs/abc/day', false],
    ['/runs/abc/weigh-out/more', false],
    ['/', false],
    ['/patterns', false],
    ['/network', false],
    ['/history/run/abc', false],
    ['/counting', false],
  ])('%s: %p', (path, isTheirs) => {
    expect(isPlaceFor('helper', path)).toBe(isTheirs);
    expect(isPlaceFor('owner', path)).toBe(true);
    expect(isPlaceFor('learner', path)).toBe(false);
  });
});
