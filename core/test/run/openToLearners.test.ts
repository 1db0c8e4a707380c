import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BLANK_PLAN, lastDayOf, openToLearnersUntil, type RunKind } from '../../src/run/index.ts';

const session = (id: string, date: string | null) => ({ id, date, startsAt: '10:00', minutes: 120 });
const run = (kind: RunKind, learnerDays: number | null, dates: readonly (string | null)[] = []) => ({
  kind,
  date: '2026-12-05',
  learnerDays,
  plan: { ...BLANK_PLAN, sessions: dates.map((date, at) => session(`s${at}`, date)) },
});

describe('until when learners may open their pattern', () => {
  test.each([
    ['not at all', run('class', null), null],
    ['on its day', run('class', 0), '2026-12-05'],
    ['a week after', run('class', 7), '2026-12-12'],
    ['over the turn of the year', run('class', 30), '2027-01-04'],
    ['after the last of its sittings', run('class', 1, [null, '2026-12-19', '2026-12-12']), '2026-12-20'],
    ['a box is bought, and no learner sits at it', run('kits', 7), null],
  ])('%s', (_what, asked, until) => {
    expect(openToLearnersUntil(asked)).toBe(until);
  });
  test('never before the class is over, and a day more is a day later', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 399 }),
        fc.array(fc.constantFrom(null, '2026-12-19', '2027-02-28')),
        (days, dates) => {
          const [now, more] = [run('class', days, dates), run('class', days + 1, dates)].map(
            openToLearnersUntil,
          );
          const day = (text: string | null | undefined) => Date.parse(`${text}T00:00:00Z`) / 86_400_000;
          expect(day(now) - day(lastDayOf(run('class', days, dates)))).toBe(days);
          expect(day(more) - day(now)).toBe(1);
        },
      ),
    );
  });
});
