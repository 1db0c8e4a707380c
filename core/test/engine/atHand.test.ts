import { describe, expect, test } from '@jest/globals';
import { cellWords, makePaper } from '../../src/papers/index.ts';
import { BLANK_STEP, type Pattern, type Step } from '../../src/pattern/index.ts';
import { blankSeat } from '../../src/run/index.ts';
import { BLANK_TOOL, type NeedleWanted, proposeStandsFor, serves, type Tool } from '../../src/shelf/index.ts';
import { bird, classOf, duo, kitsOf, pear, sourceOf } from '../support/coast.ts';

const gauge = (of: number, profile: 'triangular' | null = null): NeedleWanted => ({
  by: 'gauge',
  gauge: of,
  profile,
});
const felting = (id: string, needle: NeedleWanted): Step => ({
  ...BLANK_STEP,
  id,
  text: id,
  act: { kind: 'felt' },
  needle,
  minutes: 5,
});
const cutting = (id: string, text: string): Step => ({
  ...BLANK_STEP,
  id,
  text,
  act: { kind: 'cut' },
  needle: { by: 'none' },
});

const withSteps = (pattern: Pattern, steps: Step[]): Pattern => ({
  ...pattern,
  sessions: [],
  swaps: [],
  colourways: pattern.colourways,
  steps,
});

describe('a needle serves', () => {
  test.each<[given: NeedleWanted, asked: NeedleWanted, does: boolean]>([
    [gauge(38, 'triangular'), gauge(38), true],
    [gauge(38), gauge(38, 'triangular'), false],
    [gauge(38), gauge(40), false],
    [{ by: 'feel', feel: 'small' }, { by: 'feel', feel: 'small' }, true],
    [{ by: 'feel', feel: 'small' }, gauge(40), false],
  ])('%j for %j: %s', (given, asked, does) => {
    expect(serves(given, asked)).toBe(does);
  });
});

describe('what has to be at hand', () => {
  const designs = new Map([
    [
      'bird-1',
      withSteps(bird, [
        felting('a', gauge(38)),
        felting('b', gauge(42)),
        cutting('c', 'Cut it with scissors'),
      ]),
    ],
    ['pear-1', withSteps(pear, [felting('a', gauge(38, 'triangular'))])],
  ]);
  const lineOf = (more: Parameters<typeof duo>[0]) => {
    const [card] = makePaper('contents', sourceOf(kitsOf([duo(more)]), designs)).sections;
    return card?.notes.find((line) => line.startsWith('You need at hand')) ?? '';
  };
  test('is no needle that the box gives, under whichever of its names it is asked for', () => {
    expect(lineOf({})).not.toMatch(/38|42/);
    expect(lineOf({})).toContain('scissors');
  });
  test('is a needle that its maker leaves out', () => {
    expect(lineOf({ needlesLeftOut: ['42'] })).toContain('1 × 42 needle');
    expect(lineOf({ needlesLeftOut: ['42'] })).not.toContain('38');
  });
  test('of a refill is every needle', () => {
    expect(lineOf({ form: 'refill' })).toMatch(/38.*42|42.*38/);
  });
});

describe('tools of the room', () => {
  const steps = [cutting('c', 'Cut it with scissors')];
  const given = { ...withSteps(bird, steps), tools: [{ id: 't', needKey: null, name: 'bone folder', per: 'person' as const, count: 2, isLeftOut: false }] };
  const tool = (name: string, onHand: number | null): Tool => ({ ...BLANK_TOOL, id: name, version: 1, name, onHand, peak: onHand ?? 0, standsFor: proposeStandsFor({ name, sort: 'tool' }) });
  const rowsOf = (tools: Tool[]) => {
    const roster = [{ ...blankSeat(2), choices: { values: {}, colourwayId: 'dusk', swapIds: [] } }];
    const source = sourceOf(classOf({ seats: 6, seatsPerTable: 4, roster }), new Map([['bird-1', given], ['pear-1', pear]]));
    const paper = makePaper('room', { ...source, tools });
    return new Map((paper.sections.find(({ title }) => title === 'Tools')?.rows ?? []).map(({ cells }) => cells.map(cellWords)).map((cells) => [cells[0], cells]));
  };
  test('each person has their own, whichever group they are in; shared ones are there once a table', () => {
    const rows = rowsOf([]);
    expect(rows.get('bone folder')?.slice(2)).toEqual(['12', 'not on the shelf', '']);
    expect(rows.get('scissors')?.[2]).toBe('2');
  });
  test.each([
    ['Scissors, small', 1, ['1', '1']],
    ['Scissorhands', 9, ['not on the shelf', '']],
    ['Scissors', null, ['not counted', '?']],
  ])('“%s” on the shelf', (name, onHand, cells) => {
    expect(rowsOf([tool(name, onHand)]).get('scissors')?.slice(3)).toEqual(cells);
  });
}); // prettier-ignore
