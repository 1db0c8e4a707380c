import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { seasonsOf, studioYear, toPrepare, type Work, yearsOf, yearTable } from '../../src/year/index.ts';

const known = (value: number) => ({ known: value, unknownCount: 0 });
const UNKNOWN = { known: 0, unknownCount: 1 };
const work = (more: Partial<Work>): Work => ({
  kind: 'class',
  id: 'w',
  name: 'A class',
  date: '2026-03-14',
  made: [{ patternId: 'pear', title: 'Pear', count: 8 }],
  woolG: known(200),
  minutes: known(300),
  takingsMinor: 40_000,
  materialMinor: known(4000),
  ...more,
});

describe('a studio’s year', () => {
  const works = [
    work({}),
    work({ kind: 'kits', date: '2026-11-02', made: [{ patternId: 'pear', title: 'Pear', count: 24 }, { patternId: 'hare', title: 'Hare', count: 8 }], takingsMinor: 64_000, materialMinor: known(16_000), minutes: known(480) }),
    work({ kind: 'making', date: '2026-03-20', made: [{ patternId: 'hare', title: 'Hare', count: 1 }], woolG: UNKNOWN, minutes: known(120), takingsMinor: 0, materialMinor: UNKNOWN }),
    work({ kind: 'commission', date: '2026-04-01', made: [{ patternId: null, title: 'A dragon', count: 1 }], takingsMinor: null, minutes: UNKNOWN }),
    work({ date: '2025-12-31' }),
  ]; // prettier-ignore
  const year = studioYear(works, '2026');

  test('sums by hand: nine figures and a dragon, thirty-two kits, an hour 63.08 from what is wholly known', () => {
    expect(year.all).toMatchObject({
      works: 4,
      figures: 10,
      kits: 32,
      woolG: { known: 600, unknownCount: 1 },
      minutes: { known: 900, unknownCount: 1 },
      takingsMinor: { known: 104_000, unknownCount: 1 },
      sold: 3,
      hourOf: 2,
    });
    // (40 000 − 4000 + 64 000 − 16 000) ÷ 13 h
    expect(year.all.hourMinor).toBeCloseTo(84_000 / 13, 9);
  });
  test('by pattern, a batch of two designs by its boxes', () => {
    expect(year.patterns.map(({ title, figures, kits }) => [title, figures, kits])).toEqual([
      ['Pear', 8, 24],
      ['Hare', 1, 8],
      ['A dragon', 1, 0],
    ]);
    const [pear] = year.patterns;
    expect(pear?.takingsMinor.known).toBe(40_000 + 48_000);
    expect(pear?.minutes.known).toBe(300 + 360);
  });
  test('months, each there; years, the last first', () => {
    expect(year.months.map(({ works: count }) => count)).toEqual([0, 0, 2, 1, 0, 0, 0, 0, 0, 0, 1, 0]);
    expect(yearsOf(works)).toEqual(['2026', '2025']);
  });
  test('nothing is known of an hour where no money is', () => {
    expect(studioYear([work({ takingsMinor: null })], '2026').all.hourMinor).toBeNull();
  });
  test('as a table nothing unknown is a nought', () => {
    const { rows } = yearTable(year.works, { class: 'class', kits: 'kits', commission: 'commission', making: 'making' });
    expect(rows.map((row) => [row[7], row[9]])).toEqual([[400, 'no'], [0, 'yes'], ['unknown', 'yes'], [640, 'no']]);
  }); // prettier-ignore

  const anyWork = fc.record({
    kind: fc.constantFrom('class' as const, 'kits' as const, 'commission' as const),
    month: fc.integer({ min: 1, max: 12 }),
    made: fc.array(
      fc.record({ patternId: fc.constantFrom('a', 'b', 'c'), title: fc.constant('x'), count: fc.integer({ min: 1, max: 30 }) }),
      { minLength: 1, maxLength: 3 },
    ),
    minutes: fc.integer({ min: 1, max: 900 }),
    takingsMinor: fc.integer({ min: 0, max: 90_000 }),
  }); // prettier-ignore
  test('months and patterns each add up to the year', () => {
    fc.assert(
      fc.property(fc.array(anyWork, { minLength: 1, maxLength: 12 }), (given) => {
        const all = given.map(({ month, minutes, ...more }) =>
          work({ ...more, minutes: known(minutes), date: `2026-${String(month).padStart(2, '0')}-10` }),
        );
        const { all: sum, months, patterns } = studioYear(all, '2026');
        for (const parts of [months, patterns]) {
          const total = (of: (part: (typeof parts)[number]) => number) => parts.reduce((a, part) => a + of(part), 0);
          expect(total(({ figures }) => figures)).toBe(sum.figures);
          expect(total(({ kits }) => kits)).toBe(sum.kits);
          expect(total(({ minutes }) => minutes.known)).toBeCloseTo(sum.minutes.known, 6);
          expect(total(({ takingsMinor }) => takingsMinor.known)).toBeCloseTo(sum.takingsMinor.known, 6);
        }
      }),
    );
  }); // prettier-ignore
});

describe('seasons', () => {
  const at = (date: string, patternId: string, count: number, kind: Work['kind'] = 'class') =>
    work({ date, kind, made: [{ patternId, title: patternId, count }] });
  const past = [
    at('2024-12-03', 'star', 12),
    at('2025-12-07', 'star', 20, 'kits'),
    at('2025-12-15', 'star', 10),
    at('2025-01-20', 'hare', 6),
    at('2025-06-01', 'puffin', 9),
    at('2025-12-01', 'fox', 1, 'making'),
    at('2026-11-10', 'star', 4),
  ];
  test('by month over all years; what was only made has no season', () => {
    expect(seasonsOf(past).map(({ title, total, peak }) => [title, total, peak])).toEqual([
      ['star', 46, 42],
      ['puffin', 9, 9],
      ['hare', 6, 6],
    ]);
  });
  test('this month and the next, over the turn of the year: last year’s thirty stars, of which twelve are planned', () => {
    const planned = [{ ...at('2026-12-12', 'star', 12), id: 'p' }];
    expect(toPrepare(past, planned, '2026-11-30')).toEqual([
      { patternId: 'star', title: 'star', month: 12, year: 2026, before: [{ year: 2025, count: 30 }, { year: 2024, count: 12 }], planned: 12, fewer: 18 },
      { patternId: 'hare', title: 'hare', month: 1, year: 2027, before: [{ year: 2025, count: 6 }], planned: 0, fewer: 6 },
    ]);
  }); // prettier-ignore
  test('of this year nothing is “before”', () => {
    expect(toPrepare([at('2026-11-10', 'star', 4)], [], '2026-11-30')).toEqual([]);
  });
});
