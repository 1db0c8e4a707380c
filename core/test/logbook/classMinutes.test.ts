import { describe, expect, test } from '@jest/globals';
import { normalFrom, seededRandom } from '../../src/base/index.ts';
import type { EntryTook } from '../../src/classDay/index.ts';
import type { Skill } from '../../src/needles/index.ts';
import { believe, learntFrom } from '../../src/learning/index.ts';
import { classMinutes, slowestOf } from '../../src/logbook/index.ts';
import { BLANK_STEP } from '../../src/pattern/index.ts';
import { PACE, pacesOf } from '../../src/timetable/index.ts';
import { part, pattern, shapes } from '../support/make.ts';

const BUILD = pattern([part('p', shapes.ball(40))], {
  steps: [{ ...BLANK_STEP, id: 'felt', text: 'Felt', minutes: 10, act: { kind: 'felt' } }],
});
const entry = (tookMinutes: number | null, stepId: string | null = 'felt'): EntryTook => ({
  entry: {
    id: `s:${stepId ?? 'talk'}`,
    kind: 'step',
    name: '',
    from: 0,
    to: 10,
    stepId,
    waitMinutes: 0,
    watchFor: '',
    handOut: '',
  },
  tookMinutes,
  lateMinutes: 0,
});
const told = (skills: readonly Skill[], took: number | null, stepId?: string | null) =>
  classMinutes({ runId: 'r', date: '2026-11-01', skills, build: BUILD, entries: [entry(took, stepId)] });
const seats = (count: number, skill: Skill = 'some'): Skill[] => Array.from({ length: count }, () => skill);

/** Classes gone through by their people, each with a pace and a step of their own: when the last of them has it. */
function lasts(people: number, classes: number): number[] {
  const random = seededRandom(people);
  return Array.from({ length: classes }, () =>
    Math.max(
      ...Array.from(
        { length: people },
        () => 10 * PACE.some * Math.exp(0.25 * normalFrom(random) + 0.3 * normalFrom(random)),
      ),
    ),
  );
}

describe('how long learners take, from when everybody had it', () => {
  test.each([1, 3, 9, 20])('the slowest of %d is expected where going through classes has it', (people) => {
    const logs = lasts(people, 8000).map(Math.log);
    const mean = logs.reduce((sum, each) => sum + each, 0) / logs.length;
    const sigma = Math.sqrt(logs.reduce((sum, each) => sum + (each - mean) ** 2, 0) / logs.length);
    const [each] = told(seats(people), 20);
    expect(Math.abs(Math.log(each?.expected ?? 1) - mean)).toBeLessThan(0.03);
    expect((each?.sigma ?? 0) / sigma).toBeGreaterThan(0.9);
    expect((each?.sigma ?? 0) / sigma).toBeLessThan(1.35);
  });
  test('one alone is nobody’s slowest', () => {
    expect(slowestOf(1)).toBeCloseTo(0, 12);
  });
  test('is of each degree of practice as often as there are seats of it, and of the kind of act', () => {
    const [each] = told([...seats(3), ...seats(1, 'first-timer')], 30);
    expect(each?.of).toEqual([
      { factor: { kind: 'act', act: 'felt' }, share: 1 },
      { factor: { kind: 'skill', skill: 'some' }, share: 0.75 },
      { factor: { kind: 'skill', skill: 'first-timer' }, share: 0.25 },
    ]);
  });
  test.each([
    ['its beginning was not marked', seats(3), null, 'felt'],
    ['it was a talk', seats(3), 8, null],
    ['nobody came', [], 8, 'felt'],
  ] as const)('%s: nothing is told', (_, skills, took, stepId) => {
    expect(told(skills, took, stepId)).toEqual([]);
  });
  test('slow classes make the next plan longer, once it is taken', () => {
    const evidence = [1, 2, 3].flatMap((at) =>
      told(seats(8), (told(seats(8), 1)[0]?.expected ?? 0) * 1.4).map((each) => ({
        ...each,
        id: String(at),
      })),
    );
    const paces = pacesOf(learntFrom(believe(evidence), []));
    expect(paces.some / PACE.some).toBeGreaterThan(1.05);
    expect(paces.practised).toBe(PACE.practised);
    expect(pacesOf(null)).toEqual(PACE);
  });
});
