import { describe, expect, test } from '@jest/globals';
import type { WriteLogLine } from '@lanakit/core/api';
import fc from 'fast-check';
import { groupWrites } from '../../src/network/groupWrites.ts';

const line = (id: number, what: string, device = 'Tablet'): WriteLogLine => ({
  id,
  at: `2026-11-29T10:${String(59 - id).padStart(2, '0')}:00Z`,
  role: 'helper',
  device,
  what,
  subject: 'Saturday pears',
});

describe('the log as it is read', () => {
  test('what one device did again and again is one line, with how often and since when', () => {
    const groups = groupWrites([
      line(1, 'saves'),
      line(2, 'saves'),
      line(3, 'saves', 'Laptop'),
      line(4, 'saves'),
    ]);
    expect(groups.map(({ line: { id }, count, since }) => [id, count, since.slice(11, 16)])).toEqual([
      [1, 2, '10:57'],
      [3, 1, '10:56'],
      [4, 1, '10:55'],
    ]);
  });
  test('no line is lost, and none changes its place', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('saves', 'ticks', 'counts'), { maxLength: 40 }), (whats) => {
        const groups = groupWrites(whats.map((what, at) => line(at, what)));
        expect(
          groups.flatMap(({ line: { what }, count }) => Array.from({ length: count }, () => what)),
        ).toEqual(whats);
        for (let at = 1; at < groups.length; at++)
          expect(groups[at]?.line.what).not.toBe(groups[at - 1]?.line.what);
      }),
    );
  });
});
