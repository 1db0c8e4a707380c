import { describe, expect, test } from '@jest/globals';
import { emptyLine } from '../../src/needles/index.ts';
import { classMaking, woolSum } from '../../src/logbook/index.ts';
import { clock, eventsAt, plan } from '../support/taught.ts';

const wool = [
  { fibreId: 'slate', plannedG: 20, weighedG: 21, spareG: 0, leftG: 3, tookG: 18 },
  { fibreId: 'ink', plannedG: 1, weighedG: null, spareG: 0, leftG: null, tookG: null },
];
const begun = [
  [600, { act: 'sitting', sessionId: 'one', does: 'begin' }],
  [601, { act: 'entry', entryId: 'one:talk', does: 'begin' }],
  [607, { act: 'entry', entryId: 'one:talk', does: 'has-it' }],
  [610, { act: 'prepared', seatKey: '2', stepId: 'felt' }],
  [620, { act: 'tip', tipId: 'a', seatKey: null, needleId: null, note: '' }],
  [621, { act: 'tip', tipId: 'b', seatKey: null, needleId: null, note: '' }],
  [622, { act: 'tip-found', tipId: 'a', where: '' }],
  [640, { act: 'finished', seatKey: '1', isFinished: true }],
  [641, { act: 'finished', seatKey: '3', isFinished: true }],
  [642, { act: 'finished', seatKey: '3', isFinished: false }],
] as const;

describe('what a class came to', () => {
  test('who finished, what broke, which minutes were marked', () => {
    const tray = [{ ...emptyLine('n38'), out: 14, in: 11, broken: 2, missing: 1 }, { ...emptyLine('n40'), out: 3, givenUp: 1 }];
    const making = classMaking({ plan, events: eventsAt(...begun), wool, tray, clock, now: 700 });
    expect(making).toMatchObject({
      seats: 3,
      finished: 1,
      prepared: 1,
      needles: { out: 17, broken: 2, missing: 2 },
      tips: 2,
      openTips: 1,
    });
    expect(making.entries.map(({ entry, tookMinutes }) => [entry.name, tookMinutes])).toEqual([['talk', 6]]);
  }); // prettier-ignore
  test('of needles nobody counted nothing is told', () => {
    expect(classMaking({ plan, events: [], wool, tray: [], clock, now: 700 }).needles).toBeNull();
  });
});

describe('wool of all fibres together', () => {
  test('is known where that of each is', () => {
    expect(woolSum(wool)).toEqual({ plannedG: 21, weighedG: null, tookG: null });
    expect(woolSum(wool.slice(0, 1))).toEqual({ plannedG: 20, weighedG: 21, tookG: 18 });
    expect(woolSum([])).toEqual({ plannedG: 0, weighedG: null, tookG: null });
  });
});
