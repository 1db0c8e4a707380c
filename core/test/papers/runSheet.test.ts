import { describe, expect, test } from '@jest/globals';
import { makePaper, paperTable, type PaperName } from '../../src/papers/index.ts';
import { BLANK_PLAN, type ClassPlan } from '../../src/run/index.ts';
import { classOf, sourceOf, stillDesigns } from '../support/coast.ts';
import { sitting } from '../support/timed.ts';

const planned = (more: Partial<ClassPlan> = {}): ClassPlan => ({
  ...BLANK_PLAN,
  sessions: [sitting({ minutes: 180 })],
  rows: [
    {
      id: 'w',
      kind: 'talk',
      name: 'Welcome',
      sessionId: 'one',
      atMinute: 0,
      minutes: 10,
      stepIds: [],
      groups: 1,
    },
    {
      id: 's',
      kind: 'demo',
      name: 'the coat',
      sessionId: 'one',
      atMinute: 60,
      minutes: 5,
      stepIds: ['s3'],
      groups: 2,
    },
  ],
  ...more,
});
const words = (name: PaperName, plan: ClassPlan) =>
  paperTable(makePaper(name, sourceOf(classOf({ plan }), stillDesigns)));
const linesOf = (name: PaperName, plan: ClassPlan) => words(name, plan).split('\n');

describe('the run sheet', () => {
  test('has the day in the order of the clock, with what is talked, shown and done', () => {
    const lines = linesOf('run-sheet', planned()).filter((line) => line.includes('The day'));
    const times = lines.map((line) => /\d\d:\d\d/.exec(line)?.[0] ?? '');
    expect(times).toEqual(times.toSorted());
    expect(lines.join('\n')).toContain('Welcome, 10 min');
    expect(lines.join('\n')).toContain('Show: the coat, 5 min each');
    expect(lines.join('\n')).toContain('2 groups in turn');
    expect(lines.join('\n')).toContain('1 Roll the body');
    expect(lines.join('\n')).toContain('Clear up');
  });
  test('says how likely it is, and that it is at best where a step has no minutes', () => {
    const paper = JSON.stringify(
      makePaper('run-sheet', sourceOf(classOf({ plan: planned() }), stillDesigns)),
    );
    expect(paper).toContain('that all do');
    expect(paper).toContain('At best: 1 step untimed');
  });
  test('said twice it says the same', () => {
    expect(words('run-sheet', planned())).toBe(words('run-sheet', planned()));
  });
  test('where nobody has said when it is, it says so and makes nothing up', () => {
    expect(JSON.stringify(makePaper('run-sheet', sourceOf(classOf())))).toContain('It is not said when');
  });
});

describe('what is done elsewhere', () => {
  const plan = planned({
    elsewhere: [
      { revisionId: 'bird-1', stepId: 's1', where: 'before' },
      { revisionId: 'bird-1', stepId: 's4', where: 'home' },
    ],
  });
  test('beforehand: for every pack, on the run sheet and among what is prepared', () => {
    for (const name of ['run-sheet', 'preparation'] as const) {
      const line = linesOf(name, plan).find((each) => each.includes('Prepared for every pack'));
      // Six seats and a spare, twenty minutes each.
      expect(line).toContain('1 Roll the body');
      expect(line).toMatch(/\b7\b.*\b140\b/);
    }
    expect(words('run-sheet', plan)).not.toMatch(/The day.*1 Roll the body/);
  });
  test('at home: a sheet with the author’s words', () => {
    const sheet = words('homework', plan);
    expect(sheet).toContain('Set on the legs and the spot');
    expect(sheet).not.toContain('Roll the body');
    expect(sheet).not.toMatch(/: *(undefined|")|about 0 min/);
    expect(
      JSON.stringify(makePaper('homework', sourceOf(classOf({ plan: planned() }), stillDesigns))),
    ).toContain('Nothing of this class');
  });
});
