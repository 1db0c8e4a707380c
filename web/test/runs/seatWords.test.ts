import { describe, expect, test } from '@jest/globals';
import { blankSeat, type RunInput, type Seat, tellingFibres } from '@lanakit/core/run';
import { bird, classOf, coastWool, kitsOf, duo, sourceOf } from '../../../core/test/support/coast.ts';
import { bagTitle, extraWords, whoseWords } from '../../src/runs/groupWords.ts';
import { seatFindings } from '../../src/runs/seatFindings.ts';
import type { ShownRun } from '../../src/runs/useRunPlan.ts';
import { portionCame } from '../../src/words/portionCame.ts';

/** A run in force as a page has it. */
function inForce(input: RunInput, wool = coastWool): ShownRun {
  const { toPack, plan, packs } = sourceOf(input);
  const { groups, estimates } = toPack;
  const revision = { id: 'bird-1', patternId: 'p', number: 3, document: bird, publishedAt: '', note: '' } as unknown as ShownRun['revision'];
  return {
    input, plan, toPack, groups, estimates, packs, wool,
    tellingFibreByGroup: tellingFibres(estimates),
    shelf: wool.fibres,
    revision,
    revisions: new Map([['bird-1', revision]]),
  };
} // prettier-ignore

const seat = (number: number, more: Partial<Seat> = {}): Seat => ({ ...blankSeat(number), ...more });
const dusk = { values: {}, colourwayId: 'dusk', swapIds: [] };

describe('whose packs these are', () => {
  const whose = (input: RunInput) => inForce(input).groups.map((group) => whoseWords(group, input.roster));
  test.each<[string, Partial<RunInput>, string[]]>([
    ['seats by number', { seats: 2, sparePacks: 0 }, ['Seat 1, Seat 2']],
    ['names where they are known', { seats: 2, sparePacks: 0, roster: [seat(2, { name: 'Jun' })] }, ['Seat 1, Jun']],
    ['four are all told', { seats: 4, sparePacks: 0 }, ['Seat 1, Seat 2, Seat 3, Seat 4']],
    ['of five three, and how many more', { seats: 5, sparePacks: 0 }, ['Seat 1, Seat 2, Seat 3 and 2 more']],
    ['spares after them', { seats: 1, sparePacks: 2 }, ['Seat 1; 2 spare']],
    ['what is only spare', { seats: 1, sparePacks: 1, roster: [seat(1, { choices: dusk })] }, ['Seat 1', '1 spare']],
    ['a demonstration', { seats: 1, sparePacks: 0, demonstrations: 1 }, ['Seat 1; demonstration']],
  ])('%s', (_name, more, expected) => {
    expect(whose(classOf(more))).toEqual(expected);
  });
  test('boxes from the first to the last of their sort', () => {
    const two = kitsOf([duo({ boxes: 5, spares: 1 }), duo({ id: 'r', name: 'Refill', boxes: 3, spares: 0, form: 'refill' })]);
    expect(whose(two)).toEqual(['boxes 1 to 5; 1 spare', 'boxes 6 to 8']);
  });
}); // prettier-ignore

test.each([
  [{ extraFraction: 0.1, wantedChance: null }, '10 % over the likely amount'],
  [{ extraFraction: 0.1, wantedChance: 0.95 }, 'so much that nobody is short, with 95 %'],
])('how much more is packed: %j', (terms, words) => {
  expect(extraWords(terms)).toBe(words);
});

describe('a bag of a run', () => {
  test('is called by what it holds, and nothing where it is the figure’s own', () => {
    const run = inForce(classOf({ seats: 2 }));
    expect(run.plan.bags.map(({ key }) => bagTitle(key, run))).toEqual([
      '',
      'bag of joins',
      'only if needed',
    ]);
    expect(bagTitle('never', run)).toBe('');
  });
  test('by colour it is called by the wool', () => {
    const run = inForce(classOf({ seats: 2, bagging: 'colour' }));
    expect(run.plan.bags.map(({ key }) => bagTitle(key, run))).toEqual(
      expect.arrayContaining(['chalk', 'slate']),
    );
  });
});

describe('what stands in the way of a seat’s pack', () => {
  const told = (ownSeat: Seat, wool = coastWool) =>
    seatFindings(ownSeat, inForce(classOf({ seats: 3, roster: [ownSeat] }), wool));
  test('nothing, as a rule', () => {
    expect(told(seat(1, { choices: dusk }))).toEqual([]);
    expect(told(seat(1))).toEqual([]);
  });
  test('a choice the revision does not have says which revision, and what is packed meanwhile', () => {
    const [words, ...more] = told(seat(2, { name: 'Jun', choices: { ...dusk, colourwayId: 'gone' } }));
    expect(words).toBe('Jun chose something that revision 3 does not have; the usual is packed until it is chosen anew.');
    expect(more).toEqual([]);
  });
  test('wool they may not touch is named, with its property', () => {
    const slate = coastWool.fibres.get('slate');
    if (!slate) throw new Error('slate is on the shelf');
    const wool = { ...coastWool, fibres: new Map([...coastWool.fibres, ['slate', { ...slate, flags: ['lanolin' as const] }] as const]) };
    expect(told(seat(1, { avoids: ['lanolin'] }), wool)).toEqual([
      'Seat 1 may not touch lanolin left in: slate is in this pack. Ask, and choose other wool.',
    ]);
    expect(told(seat(1, { avoids: ['silk'] }), wool)).toEqual([]);
  });
}); // prettier-ignore

describe('from the likely amount to the scale', () => {
  const lines = (more: Partial<RunInput> = {}) => {
    const input = classOf({ seats: 4, sparePacks: 1, ...more });
    const [first] = inForce(input).plan.fibres;
    const portion = inForce(input).plan.groups[0]?.plan.fibres.find(({ fibreId }) => fibreId === first?.fibreId);
    if (!portion) throw new Error('a portion');
    return { portion, came: portionCame(portion, input, 5) };
  };
  const grams = (value: string) => Number(value.replace(/ g$/, ''));
  test('each number follows from the one before', () => {
    const { came } = lines();
    const [likely, extra, scale, all] = came.map(({ value }) => grams(value));
    expect((extra ?? 0) / (likely ?? 1)).toBeCloseTo(1.1, 1);
    expect(scale).toBeGreaterThanOrEqual((extra ?? 0) - 0.05);
    expect(all).toBeCloseTo((scale ?? 0) * 5, 6);
    expect(came[1]?.note).toBe('10 % more, so that nobody runs short');
    expect(came[3]).toMatchObject({ what: '5 packs', isResult: true });
  });
  test('packed for a chance it says whose share it is', () => {
    expect(lines({ wantedChance: 0.95 }).came[1]?.note).toMatch(/^\d+ % more of this fibre: its share of 95 %/);
  });
  test('on a coarse scale small ones are weighed together', () => {
    const { came, portion } = lines({ scaleStepG: 5 });
    expect(came[2]?.value).toBe(portion.packG === null ? 'together' : `${portion.packG} g`);
  });
}); // prettier-ignore
