import { describe, expect, test } from '@jest/globals';
import { preparedSteps, packGroups, type RunInput } from '../../src/run/index.ts';
import { applied, breaksOf, type Lever, leversTogether, outcomeOfRun, roomOf, trialOf, tryLevers } from '../../src/timetable/index.ts'; // prettier-ignore
import {
  chanceWords,
  clockWords,
  leverCostWords,
  leverWords,
  lengthOfTime,
  stepTitle,
} from '../../src/words/index.ts';
import { part, pattern, shapes } from '../support/make.ts';
import { classRun, sitting } from '../support/timed.ts';
import { step } from '../support/writing.ts';

/** Ninety minutes of work with a bow that may be left out, and a snip for which there is one pair of scissors. */
const pear = pattern(
  [part('body', shapes.egg(70, 50)), part('leaf', shapes.flat(40, 20, 3)), part('bow', shapes.flat(20, 10, 3))],
  {
    title: 'Pear',
    steps: [
      step('roll', 'make', ['body'], { minutes: 10, leaves: 'rolled' }),
      step('felt', 'felt', ['body'], { minutes: 25 }),
      step('leaf', 'make', ['leaf'], { minutes: 20 }),
      step('trim', 'cut', ['leaf'], { minutes: 12, needle: { by: 'none' } }),
      step('on', 'join', ['leaf', 'body'], { minutes: 10, stage: 'join' }),
      step('bow', 'make', ['bow', 'body'], { minutes: 13 }),
    ],
    options: [
      {
        id: 'bow',
        name: 'a bow',
        kind: 'extra',
        defaultValueId: 'yes',
        values: [
          { id: 'yes', name: 'yes', things: [{ kind: 'part', id: 'bow' }, { kind: 'step', id: 'bow' }] },
          { id: 'no', name: 'no', things: [] },
        ],
      },
    ],
  },
); // prettier-ignore
const designs = new Map([['r', pear]]);
const run = (more: Partial<RunInput> = {}): RunInput =>
  classRun({ seats: 6, seatsPerTable: 6, sparePacks: 1, plan: { ...classRun().plan, sessions: [sitting({ minutes: 165 })], shared: [{ key: 'scissors', name: '', count: 1, minutesAtIt: null, stepIds: null }] }, ...more }); // prettier-ignore
const TERMS = { designs, run: run(), classes: 300, seed: 5 };
const tried = [...tryLevers(TERMS)];

describe('levers', () => {
  test('each gains what the class gone through with it says', () => {
    const before = outcomeOfRun(run(), TERMS);
    expect(tried.length).toBeGreaterThan(5);
    for (const { lever, all, chanceGained, minutesGained } of tried) {
      const after = outcomeOfRun(applied(lever, run(), designs), TERMS);
      expect(all).toBe(after?.all);
      expect(chanceGained).toBeCloseTo((after?.all ?? 0) - (before?.all ?? 0), 12);
      if (minutesGained !== null) expect(minutesGained).toBeCloseTo((before?.last.half ?? 0) - (after?.last.half ?? 0), 9); // prettier-ignore
    }
  });
  test('of every kind there is something to try here', () => {
    const kinds = new Set(tried.map(({ lever }) => lever.kind));
    expect([...kinds].toSorted()).toEqual(['another-sitting', 'before', 'choose', 'home', 'longer', 'tool']);
  });
  test('preparing takes what comes before it along, taking home what comes after', () => {
    const sets = tried.flatMap(({ lever }) => ('stepIds' in lever ? [[lever.kind, ...lever.stepIds]] : []));
    expect(sets).toContainEqual(['before', 'roll', 'felt']);
    expect(sets).toContainEqual(['home', 'on', 'bow']);
    expect(sets).not.toContainEqual(['before', 'felt']);
    expect(sets).not.toContainEqual(['home', 'on']);
  });
  test('what is prepared costs its minutes for every pack, and is the same number wherever it is told', () => {
    const lever: Lever = { kind: 'before', revisionId: 'r', stepIds: ['roll', 'felt'] };
    const found = tried.find((each) => JSON.stringify(each.lever) === JSON.stringify(lever));
    expect(found?.makerMinutes).toBe(35 * 7);
    const prepared = preparedSteps(packGroups(designs, run()), applied(lever, run(), designs).plan.elsewhere);
    expect(prepared.map(({ step: { id }, packs, minutes }) => [id, packs, minutes])).toEqual([
      ['roll', 7, 70],
      ['felt', 7, 175],
    ]);
  });
  test('left out, it is left out for everybody, and what they had chosen beside it stays', () => {
    const chosen = applied({ kind: 'choose', revisionId: 'r', optionId: 'bow', valueId: 'no', isLeftOut: true }, run(), designs);
    expect(chosen.roster.map(({ seat, choices }) => [seat, choices?.values['bow']])).toEqual(
      [1, 2, 3, 4, 5, 6].map((seat) => [seat, 'no']),
    );
    expect(packGroups(designs, chosen).find(({ seats }) => seats.length > 0)?.build.steps.map(({ id }) => id)).not.toContain('bow');
  }); // prettier-ignore
  test('another of what they queue for is one more in the room', () => {
    const tool = tried.find(({ lever }) => lever.kind === 'tool')?.lever;
    expect(tool).toEqual({ kind: 'tool', key: 'scissors', count: 2 });
    const more = tool && applied(tool, run(), designs);
    expect(more?.plan.shared).toEqual([
      { key: 'scissors', name: '', count: 2, minutesAtIt: null, stepIds: null },
    ]);
  });
  test('several together come to what is wanted, and every one of them is needed', () => {
    const search = leversTogether(TERMS, tried);
    let next = search.next();
    while (!next.done) next = search.next();
    const { levers, all } = next.value;
    expect(all).toBeGreaterThanOrEqual(run().plan.wantedChance);
    const allOf = (some: readonly Lever[]) => outcomeOfRun(some.reduce((each, lever) => applied(lever, each, designs), run()), TERMS)?.all ?? 0; // prettier-ignore
    expect(allOf(levers)).toBe(all);
    for (const lever of levers) {
      expect(allOf(levers.filter((each) => each !== lever))).toBeLessThan(run().plan.wantedChance);
    }
  });
  test('a class that cannot be told has none', () => {
    expect([...tryLevers({ ...TERMS, run: run({ seats: 0 }) })]).toEqual([]);
  });
  test('the same class is gone through the same way twice', () => {
    expect(outcomeOfRun(run(), TERMS)).toEqual(outcomeOfRun(run(), TERMS));
  });
});

describe('where a class is left for another day', () => {
  const days = [sitting({ minutes: 60 }), sitting({ id: 'two', date: '2026-12-06', minutes: 240 })];
  const left = (minutes: number) => {
    const [first, second] = days;
    const plan = { ...run().plan, sessions: [{ ...(first ?? sitting()), minutes }, second ?? sitting()] };
    const room = roomOf(designs, run({ plan }));
    if (typeof room === 'string') throw new Error(room);
    const trial = trialOf(room, 0, 1);
    trial.more(300);
    return breaksOf(room, trial.outcome(), 0);
  };
  test('nothing is left that is only rolled: it is felted first', () => {
    const [early] = left(18);
    expect(early?.loose).toEqual([{ partId: 'body', state: 'rolled' }]);
    expect(early?.afterStepId).toBeNull();
    expect(early?.inHandStepId).toBe('felt');
  });
  test('after felting it can lie', () => {
    const [late] = left(96);
    expect(late).toMatchObject({ loose: [], afterStepId: 'felt' });
  });
  test('of one sitting nobody asks', () => {
    const room = roomOf(designs, run());
    if (typeof room === 'string') throw new Error(room);
    const trial = trialOf(room, 0, 1);
    trial.more(20);
    expect(breaksOf(room, trial.outcome(), 0)).toEqual([]);
  });
});

describe('in words', () => {
  test.each<[Lever, string]>([
    [{ kind: 'before', revisionId: 'r', stepIds: ['roll'] }, 'Prepare beforehand: 1 roll'],
    [{ kind: 'before', revisionId: 'r', stepIds: ['roll', 'felt'] }, 'Prepare beforehand: 2 felt, with 1'],
    [{ kind: 'home', revisionId: 'r', stepIds: ['leaf', 'on', 'bow'] }, 'Take home: 3 leaf, and 5–6 after it'],
    [{ kind: 'choose', revisionId: 'r', optionId: 'bow', valueId: 'no', isLeftOut: true }, 'Leave out a bow'],
    [{ kind: 'tool', key: 'scissors', count: 2 }, 'Scissors: 2 in the room'],
    [{ kind: 'longer', minutes: 30 }, '30 min more at the end'],
  ])('%j', (lever, words) => {
    expect(leverWords(lever, run(), designs)).toBe(words);
    expect(leverCostWords(lever, 90, run())).not.toBe('');
  }); // prettier-ignore
  test.each([[0, '00:00'], [845, '14:05'], [1440 + 600, '10:00'], [-10, '23:50']])('%d is %s', (minute, words) => {
    expect(clockWords(minute)).toBe(words);
  }); // prettier-ignore
  test.each([[45, '45 min'], [89.6, '1 h 30'], [120, '2 h']])('%d minutes: %s', (minutes, words) => {
    expect(lengthOfTime(minutes)).toBe(words);
  }); // prettier-ignore
  test.each([[0, '0 %'], [0.003, 'under 1 %'], [0.414, '41 %'], [0.997, 'over 99 %'], [1, '100 %']])('%d: %s', (chance, words) => {
    expect(chanceWords(chance)).toBe(words);
  }); // prettier-ignore
  test('a step is called by its first words, whole ones', () => {
    const called = (text: string, longest?: number) => stepTitle({ text, act: { kind: 'felt' } }, longest);
    expect(called('Roll the core **as tight as it goes** into an egg, folding', 60)).toBe('Roll the core as tight as it goes into an egg');
    expect(called('Roll the core as tight as it goes into an egg', 20)).toBe('Roll the core as…');
    expect(called('')).toBe('felt');
  }); // prettier-ignore
});
