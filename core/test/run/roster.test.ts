import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern } from '../../src/engine/index.ts';
import { NO_CHOICES, type Option, type Pattern } from '../../src/pattern/index.ts';
import {
  avoidedBy,
  blankSeat,
  checkRun,
  choiceOfSeat,
  packGroups,
  planGroups,
  planPortions,
  readRoster,
  RUN_DEFAULTS,
  type Seat,
  seatsOf,
  shortOfPlan,
  withdrawalsOfPlan,
  tellingFibres,
  usualBags,
  withoutSeat,
  withSeat,
} from '../../src/run/index.ts';
import { choiceWords } from '../../src/words/index.ts';
import { fibre, part, pattern, shapes, shelf } from '../support/make.ts';

const eyes: Option = {
  id: 'eyes',
  name: 'eyes',
  kind: 'one-of',
  defaultValueId: 'bead',
  values: [
    { id: 'bead', name: 'beads', things: [] },
    { id: 'felt', name: 'felted', things: [{ kind: 'part', id: 'eye' }] },
  ],
};
const hat: Option = {
  id: 'hat',
  name: 'a hat',
  kind: 'extra',
  defaultValueId: 'no',
  values: [
    { id: 'yes', name: 'yes', things: [{ kind: 'part', id: 'hat' }] },
    { id: 'no', name: 'no', things: [] },
  ],
};
const build: Pattern = pattern(
  [part('body', shapes.ball(60), { coat: 'coat' }), part('eye', shapes.ball(6), { core: 'dark' }), part('hat', shapes.cone(20, 20), { core: 'felt' })],
  {
    options: [eyes, hat],
    limits: [{ id: 'l', kind: 'not-with', a: { optionId: 'eyes', valueId: 'felt' }, b: { optionId: 'hat', valueId: 'yes' }, reason: 'the hat hides them' }],
    slots: [{ id: 'skin', name: 'skin', places: [{ kind: 'use', id: 'body-coat' }], rule: null }],
    colourways: [{ id: 'russet', name: 'Russet', fills: [{ slotId: 'skin', fibreId: 'rust' }] }],
  },
); // prettier-ignore
const wool = shelf(
  fibre('core', { onHandG: 40 }),
  fibre('coat', { flags: ['lanolin'] }),
  fibre('rust'),
  fibre('dark', { onHandG: null }),
  fibre('felt'),
);

const choose = (more: Partial<NonNullable<Seat['choices']>> = {}): Seat['choices'] => ({
  values: {},
  colourwayId: null,
  swapIds: [],
  ...more,
});
const seat = (number: number, more: Partial<Seat> = {}): Seat => ({ ...blankSeat(number), ...more });

const PLAIN = { ...RUN_DEFAULTS, revisionId: 'r', recipes: [], swapIds: [] };
const designs = new Map([['r', build]]);

describe('what a seat chose', () => {
  test.each([
    ['nothing yet', null, 'undecided'],
    ['the usual', choose(), 'chosen'],
    ['a colourway', choose({ colourwayId: 'russet' }), 'chosen'],
    ['an answer this revision does not have', choose({ values: { eyes: 'glass' } }), 'gone'],
    ['a colourway it does not have', choose({ colourwayId: 'grey' }), 'gone'],
    ['what does not go together', choose({ values: { eyes: 'felt', hat: 'yes' } }), 'forbidden'],
  ] as const)('%s', (_name, choices, kind) => {
    expect(choiceOfSeat(build, { choices }).kind).toBe(kind);
  });
  test('in words: only what is other than usual', () => {
    expect(choiceWords(build, { values: { eyes: 'felt', hat: 'no' }, colourwayId: 'russet', swapIds: [] })).toBe('Russet, felted');
    expect(choiceWords(build, { ...NO_CHOICES, values: { hat: 'yes' } })).toBe('with a hat');
    expect(choiceWords(build, NO_CHOICES)).toBe('');
  });
}); // prettier-ignore

describe('packs that are alike', () => {
  const roster = [
    seat(1, { choices: choose({ colourwayId: 'russet' }) }),
    seat(2, { choices: choose({ values: { eyes: 'bead' } }) }),
    seat(4, { choices: choose({ values: { eyes: 'glass' } }) }),
  ];
  const groups = packGroups(designs, { ...PLAIN, seats: 4, sparePacks: 2, roster });
  test('the same build is one group, however it was said; who has not chosen gets the usual, and so do spares', () => {
    expect(groups.map(({ seats, undecided, spares, packs }) => ({ seats, undecided, spares, packs }))).toEqual([
      { seats: [2, 3, 4], undecided: [3, 4], spares: 2, packs: 5 },
      { seats: [1], undecided: [], spares: 0, packs: 1 },
    ]);
  });
  test('each is told by the wool that the others have not', () => {
    const estimates = new Map(groups.map(({ key, build: group }) => [key, estimatePattern(group, wool)]));
    expect([...tellingFibres(estimates).values()]).toEqual(['coat', 'rust']);
  });
  test('wool somebody may not touch is found in their own build, and in no other', () => {
    const [usual, russet] = groups;
    expect(usual && avoidedBy({ avoids: ['lanolin'] }, usual.build, wool)).toEqual([{ fibreId: 'coat', flags: ['lanolin'] }]);
    expect(russet && avoidedBy({ avoids: ['lanolin'] }, russet.build, wool)).toEqual([]);
  });
}); // prettier-ignore

const TERMS = { scaleStepG: 0.1, extraFraction: 0.1 };
const choicesDrawn = fc.constantFrom<Seat['choices']>(
  null,
  choose(),
  choose({ colourwayId: 'russet' }),
  choose({ values: { eyes: 'felt' } }),
  choose({ values: { hat: 'yes' }, colourwayId: 'russet' }),
);

describe('portions of packs that are not all alike', () => {
  const planOf = (roster: Seat[], seats: number, sparePacks: number) => {
    const groups = packGroups(designs, { ...PLAIN, seats, sparePacks, roster });
    const toPack = groups.map(({ key, packs, build: group }) => ({ key, packs, uses: usualBags(estimatePattern(group, wool)) }));
    return planGroups(toPack, TERMS, (id) => ({ onHandG: wool.fibres.get(id)?.onHandG ?? null, promisedG: 3 }));
  };
  test('every total is the sum of its parts, in whole steps', () => {
    fc.assert(
      fc.property(fc.array(choicesDrawn, { minLength: 1, maxLength: 12 }), fc.nat(3), (chosen, spares) => {
        const roster = chosen.map((choices, at) => seat(at + 1, { choices }));
        const plan = planOf(roster, roster.length, spares);
        expect(plan.packs).toBe(roster.length + spares);
        const inSteps = (massG: number) => Math.round(massG / TERMS.scaleStepG);
        const sum = (all: readonly number[]) => all.reduce((total, value) => total + value, 0);
        expect(inSteps(plan.classG)).toBe(sum(plan.groups.map(({ plan: group }) => inSteps(group.classG))));
        for (const { byGroup, classG, freeG, shortG } of plan.fibres) {
          expect(inSteps(classG)).toBe(sum([...byGroup.values()].map(inSteps)));
          if (freeG !== null) expect(shortG).toBeCloseTo(Math.max(0, classG - freeG), 6);
          else expect(shortG).toBeNull();
        }
        for (const { packs, plan: group } of plan.groups) {
          for (const { packG, classG, lines } of group.fibres) {
            if (packG === null) continue;
            expect(inSteps(classG)).toBe(inSteps(packG) * packs);
            expect(inSteps(packG)).toBe(sum(lines.map(({ weighedG }) => inSteps(weighedG ?? 0))));
          }
        }
        expect(sum([...withdrawalsOfPlan(plan).values()])).toBeCloseTo(plan.classG, 6);
      }),
      { numRuns: 60 },
    );
  });
  test('all alike, they are the plan of one build', () => {
    const portionPlan = planPortions(estimatePattern(packGroups(designs, { ...PLAIN, seats: 5, sparePacks: 1, roster: [] })[0]?.build ?? build, wool), { ...TERMS, seats: 5, sparePacks: 1 }, (id) => ({ onHandG: wool.fibres.get(id)?.onHandG ?? null, promisedG: 3 }));
    const plan = planOf([], 5, 1);
    expect(plan.classG).toBe(portionPlan.classG);
    expect(shortOfPlan(plan)).toEqual(shortOfPlan(portionPlan));
  });
}); // prettier-ignore

describe('the roster', () => {
  test('a seat of which nothing is left to say goes; those after one taken out move up', () => {
    const roster = [seat(2, { name: 'Mara' }), seat(5, { name: 'Jun', isLeftHanded: true })];
    expect(withSeat(roster, seat(2))).toEqual([roster[1]]);
    expect(withSeat(roster, seat(3, { note: 'late' })).map((given) => given.seat)).toEqual([2, 3, 5]);
    expect(withoutSeat(roster, 2)).toEqual([{ ...roster[1], seat: 4 }]);
    expect(seatsOf({ seats: 3, roster }).map(({ name }) => name)).toEqual(['', 'Mara', '']);
  });
  test.each([
    ['beyond the class', [seat(12, { name: 'x' })], 'seat_beyond /roster/0/seat'],
    ['told of twice', [seat(1, { name: 'x' }), seat(1, { name: 'y' })], 'seat_twice /roster/1/seat'],
  ] as const)('a seat %s', (_name, roster, problem) => {
    const run = { ...RUN_DEFAULTS, name: 'A class', date: '2026-12-05', revisionId: 'r', seats: 11, roster: [...roster] };
    expect(checkRun(run).map(({ code, pointer }) => `${code} ${pointer}`)).toEqual([problem]);
  });
  test.each([
    ['a name alone', 'Mara', { name: 'Mara', choices: null }, []],
    ['a colourway, however it is written', 'Mara; RUSSET', { choices: { colourwayId: 'russet' } }, []],
    ['an answer', 'Mara\tfelted', { choices: { values: { eyes: 'felt' } } }, []],
    ['an answer with its option', 'Mara, eyes: felted', { choices: { values: { eyes: 'felt' } } }, []],
    ['an answer of another option is none', 'Mara, a hat: felted', { choices: null, note: 'a hat: felted' }, ['a hat: felted']],
    ['a skill and a hand', 'Jun, first-timer, Left', { skill: 'first-timer', isLeftHanded: true }, []],
    ['what nobody knows is kept as a note', 'Jun, vegan, 🧶', { note: 'vegan, 🧶' }, ['vegan', '🧶']],
    ['a formula is only a text', '=SUM(A1), russet', { name: '=SUM(A1)' }, []],
  ] as const)('read: %s', (_name, text, expected, unread) => {
    const [line] = readRoster(text, build).lines;
    expect(line?.seat).toMatchObject(expected);
    expect(line?.unread).toEqual(unread);
  });
  test('two equal names are told, and empty lines are nobody', () => {
    const read = readRoster('Mara\n\n mara \nJun\n', build);
    expect(read.lines.map(({ seat: line }) => line.seat)).toEqual([1, 2, 3]);
    expect(read.twice).toEqual(['mara']);
  });
}); // prettier-ignore
