import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  activeMinutes,
  blankPattern,
  isNeedleMissing,
  needleOf,
  parseMinutes,
  type Pattern,
  showTypedMinutes,
  waitingMinutes,
} from '../../src/pattern/index.ts';
import { byGauge } from '../../src/shelf/index.ts';
import { step } from '../support/writing.ts';

describe('minutes', () => {
  test.each([
    ['20', 20],
    ['15-25', { low: 15, high: 25 }],
    ['15 – 25 min', { low: 15, high: 25 }],
    ['1 h', 60],
    ['1 h 30', 90],
    ['1-2 h', { low: 60, high: 120 }],
    ['2 days', 2880],
    ['1.5 h', 90],
    ['20-20', 20],
    ['', null],
  ])('%j is read', (text, minutes) => expect(parseMinutes(text)).toEqual({ ok: true, minutes }));
  test.each(['soon', '20 apples', '-5', '5-', '–'])('%j is refused', (text) =>
    expect(parseMinutes(text)).toEqual({ ok: false, code: 'minutes_not_read' }),
  );
  test('what is shown is read back the same', () => {
    const whole = fc.integer({ min: 0, max: 5000 });
    fc.assert(
      fc.property(fc.oneof(whole, fc.tuple(whole, whole)), (drawn) => {
        const minutes =
          typeof drawn === 'number' ? drawn : { low: Math.min(...drawn), high: Math.max(...drawn) + 1 };
        expect(parseMinutes(showTypedMinutes(minutes))).toEqual({ ok: true, minutes });
      }),
    );
  });
  test('ranges add at both ends, waits apart, and what is not said is counted', () => {
    const steps = [
      step('a', 'make', [], { minutes: { low: 10, high: 20 } }),
      step('b', 'wait', ['x'], { minutes: null, waiting: 60 }),
      step('c', 'make', [], { minutes: null }),
      step('d', 'glue', ['y'], { minutes: 3 }),
    ];
    expect(activeMinutes({ steps, parts: [] })).toEqual({ known: 18, low: 13, high: 23, unknownCount: 1 });
    expect(waitingMinutes({ steps, links: [], joins: [] })).toEqual({
      known: 60,
      low: 60,
      high: 60,
      unknownCount: 1,
    });
  });
  test('glue whose wait is a step of its own is not asked twice', () => {
    const steps = [step('glue', 'glue', ['x']), step('wait', 'wait', ['x'], { waiting: 30 })];
    expect(waitingMinutes({ steps, links: [], joins: [] }).unknownCount).toBe(0);
  });
});

describe('the needle of a step', () => {
  const stages: Pattern = { ...blankPattern('x'), stageNeedles: [{ stage: 'core', needle: byGauge(36) }] };
  test.each([
    [
      'its own',
      step('a', 'felt', [], { needle: { by: 'gauge', gauge: 40, profile: null } }),
      byGauge(40),
      false,
    ],
    ['its stage’s', step('a', 'felt', [], { needle: { by: 'stage' } }), byGauge(36), false],
    ['a stage without one', step('a', 'felt', [], { needle: { by: 'stage' }, stage: 'coat' }), null, true],
    ['glue asks for none', step('a', 'glue', [], { needle: { by: 'stage' }, stage: 'coat' }), null, false],
    ['none said', step('a', 'felt', [], { needle: { by: 'none' } }), null, false],
  ] as const)('%s', (_name, given, needle, isMissing) => {
    expect(needleOf(given, stages)).toEqual(needle);
    expect(isNeedleMissing(given, stages)).toBe(isMissing);
  });
});
