import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Pattern } from '../../src/pattern/index.ts';
import {
  NO_PROMISES,
  RUN_DEFAULTS,
  type RunInput,
  type ShortOfRun,
  shortOverRuns,
  type ThingsDrawn,
  type ThingShort,
  thingsLent,
  thingsPromisedBefore,
  thingsPromisedInOrder,
  thingsShort,
  thingsTaken,
  toolsOfRun,
  toPackOf,
} from '../../src/run/index.ts';
import { BLANK_TOOL, proposeStandsFor, type Tool } from '../../src/shelf/index.ts';
import { fibre, part, pattern, shapes, shelf } from '../support/make.ts';
import { step } from '../support/writing.ts';

const wool = shelf(fibre('core'));
const tool = (id: string, onHand: number | null, more: Partial<Tool> = {}): Tool => {
  const given = { ...BLANK_TOOL, id, version: 1, name: id, onHand, peak: onHand ?? 0, ...more };
  return { ...given, standsFor: more.standsFor === undefined ? proposeStandsFor(given) : more.standsFor };
};
const run = (more: Partial<RunInput> = {}): RunInput => ({
  ...RUN_DEFAULTS,
  name: 'Brooches',
  date: '2026-12-05',
  revisionId: 'r',
  seats: 10,
  seatsPerTable: 4,
  ...more,
});

/** A flat badge: cut out, glued onto a pin, hair trimmed nowhere; the author adds a thimble each. */
const badge = (more: Partial<Pattern> = {}): Pattern =>
  pattern([part('badge', shapes.flat(40, 30, 3)), { ...part('back', shapes.flat(40, 30, 1)), count: 2 }], {
    steps: [step('lay', 'make', ['badge']), step('cut', 'cut', ['badge']), step('glue', 'glue', ['back'])],
    tools: [{ id: 'own', needKey: null, name: 'Thimble', per: 'person', count: 1, isLeftOut: false }],
    ...more,
  });
const packed = (input: RunInput, given = badge()) => toPackOf(new Map([['r', given]]), input, wool);
const totals = (input: RunInput, tools: readonly Tool[] = [], promised = NO_PROMISES) =>
  new Map(toolsOfRun(packed(input), input, tools, promised).map((roomTool) => [roomTool.key, roomTool]));

describe('tools of a class', () => {
  test.each<[string, Partial<RunInput>, string, number]>([
    ['scissors: one a table, ten at tables of four', {}, 'scissors', 3],
    ['scissors: nine at tables of three', { seats: 9, seatsPerTable: 3 }, 'scissors', 3],
    ['a surface each', {}, 'surface', 10],
    ['drops of glue: two pieces each', {}, 'glue-drops', 20],
    ['drops of glue: and for whoever shows it', { demonstrations: 1 }, 'glue-drops', 22],
    ['a surface is not lent to a spare pack', { sparePacks: 2, demonstrations: 1 }, 'surface', 10],
    ['the author’s own', {}, 'own-own', 10],
  ])('%s', (_name, more, key, expected) => expect(totals(run(more)).get(key)?.total).toBe(expected));
  test('who opens a box has tools of their own', () => {
    const kits = run({ kind: 'kits', recipes: [{ id: 'b', name: 'Box', form: 'full', boxes: 3, spares: 0, designs: [{ revisionId: 'r', copies: 1, choices: { values: {}, colourwayId: null, swapIds: [] } }], packaging: [], needleKeys: null }] } as unknown as Partial<RunInput>);
    expect(toolsOfRun(packed(kits), kits, [tool('Small scissors', 0)], NO_PROMISES)).toEqual([]);
  }); // prettier-ignore
});

describe('held against the shelf', () => {
  test.each<[string, Tool[], number | null, number | null]>([
    [
      'by what it stands for, whatever its name',
      [tool('Shears of Aunt Edda', 2, { standsFor: 'scissors' })],
      2,
      1,
    ],
    ['two sorts together', [tool('Small scissors', 2), tool('Curved scissors', 1)], 3, 0],
    ['put away: not there', [tool('Small scissors', 9, { archived: true })], null, null],
    ['never counted: nobody can tell', [tool('Small scissors', null)], null, null],
    ['one never counted, the other enough', [tool('Small scissors', 4), tool('Old scissors', null)], null, 0],
    ['a name alone is nothing', [tool('Scissors', 9, { standsFor: null })], null, null],
  ])('%s', (_name, tools, onHand, short) => {
    expect(totals(run(), tools).get('scissors')).toMatchObject({ total: 3, onHand, short });
  });
  test('the author’s own is found by its name', () => {
    expect(totals(run(), [tool('thimbles', 4, { standsFor: null })]).get('own-own')).toMatchObject({ onHand: 4, short: 6 });
  }); // prettier-ignore
  test.each<[string, Parameters<typeof proposeStandsFor>[0], ReturnType<typeof proposeStandsFor>]>([
    ['a pad', { name: 'Foam pad', sort: 'surface' }, 'surface'],
    ['a pen', { name: 'Pen holder', sort: 'holder' }, 'holder'],
    ['drops before glue', { name: 'Glue drops, 8 mm', sort: 'tool' }, 'glue-drops'],
    ['cutters before pliers', { name: 'Wire cutter pliers', sort: 'tool' }, 'wire-cutters'],
    ['nothing known', { name: 'Loom', sort: 'tool' }, null],
    ['part of a word is none', { name: 'Ironstone', sort: 'tool' }, null],
  ])('what a name tells: %s', (_name, given, expected) => expect(proposeStandsFor(given)).toBe(expected));
});

/** A run as it draws, with everything worked out. */
const drawn = (id: string, input: RunInput, tools: readonly Tool[]): ThingsDrawn & { input: RunInput } => ({
  id,
  date: input.date,
  input,
  taken: thingsTaken(packed(input), input, { findings: wool.findings, needles: [], tools }),
  lent: () => thingsLent(packed(input), input, { tools, kit: null }),
});
const shortsOf = (runs: ReturnType<typeof drawn>[], tools: readonly Tool[]): ShortOfRun[] =>
  thingsPromisedInOrder(runs).map((promised, at) => {
    const ownRun = runs[at];
    if (!ownRun) throw new Error('as many as there are runs');
    // Looked at alone, a run finds the same before it.
    expect(thingsPromisedBefore(ownRun, runs)).toEqual(promised);
    return {
      date: ownRun.date,
      things: thingsShort(packed(ownRun.input), ownRun.input, { findings: wool.findings, needles: [], tools, kit: null, promised }),
    };
  }); // prettier-ignore
const toolShort = (shorts: readonly ThingShort[], key: string): number | null =>
  shorts.find((short) => short.kind === 'tool' && short.tool.key === key)?.short ?? 0;

describe('promised once', () => {
  const tools = [tool('Glue drops', 30, { isConsumed: true }), tool('Small scissors', 4)];
  test('drops are used up: the second class is short; scissors come back', () => {
    const runs = [drawn('a', run(), tools), drawn('b', run({ date: '2026-12-12' }), tools)];
    const [first, second] = shortsOf(runs, tools);
    expect(first?.things.map(({ kind }) => kind)).toEqual([]);
    expect(toolShort(second?.things ?? [], 'glue-drops')).toBe(10);
    expect(toolShort(second?.things ?? [], 'scissors')).toBe(0);
  });
  test('two classes on one day want the same scissors', () => {
    const runs = [drawn('a', run(), tools), drawn('b', run(), tools)];
    expect(shortsOf(runs, tools).map(({ things }) => toolShort(things, 'scissors'))).toEqual([0, 2]);
  });
  test('over all runs: of what is lent the day that wants most, of what is used up all', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ seats: fc.integer({ min: 1, max: 24 }), day: fc.integer({ min: 1, max: 3 }) }), { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 0, max: 8 }),
        (classes, drops, scissors) => {
          const given = [tool('Glue drops', drops, { isConsumed: true }), tool('Small scissors', scissors)];
          const runs = classes.map(({ seats, day }, at) => drawn(`r${at}`, run({ seats, date: `2026-12-0${day}` }), given));
          const over = shortOverRuns(shortsOf(runs, given));
          // Judged by laying everything out: all drops at once, scissors day by day.
          const wantedDrops = classes.reduce((sum, { seats }) => sum + 2 * seats, 0);
          const byDay = [1, 2, 3].map((day) => classes.filter((candidate) => candidate.day === day).reduce((sum, { seats }) => sum + Math.ceil(seats / 4), 0));
          expect(over.get('Glue drops')?.short ?? 0).toBe(Math.max(0, wantedDrops - drops));
          expect(over.get('Small scissors')?.short ?? 0).toBe(Math.max(0, Math.max(...byDay) - scissors));
        },
      ),
      { numRuns: 40 },
    ); // prettier-ignore
  });
  test('what nobody can tell of one run nobody can tell of all', () => {
    const uncounted = [tool('Small scissors', null)];
    const runs = [drawn('a', run(), uncounted), drawn('b', run({ date: '2026-12-12' }), uncounted)];
    expect(shortOverRuns(shortsOf(runs, uncounted)).get('Small scissors')).toMatchObject({ short: null });
  });
});
