import { describe, expect, test } from '@jest/globals';
import type { Wool } from '../../src/engine/index.ts';
import {
  makePaper,
  type Paper,
  type PaperName,
  type PaperSource,
  cellWords,
} from '../../src/papers/index.ts';
import { BLANK_STEP, blankCut, type Cut, type Pattern } from '../../src/pattern/index.ts';
import {
  blankSeat,
  kitOfClass,
  MINUTES_A_BLEND,
  MINUTES_A_CUT,
  restocked,
  type RunInput,
} from '../../src/run/index.ts';
import { byGauge } from '../../src/shelf/index.ts';
import {
  bird,
  classOf,
  coastDesigns,
  coastWool,
  duo,
  kitsOf,
  sourceOf,
  stillBird,
} from '../support/coast.ts';
import { mm, part, pattern, shapes, use } from '../support/make.ts';
import { holder, needle } from '../support/needles.ts';

/** The bird with legs of wire and needles said. */
const wired: Pattern = {
  ...bird,
  cuts: [{ ...(blankCut('legs', 'whisker') as Extract<Cut, { kind: 'whisker' }>), name: 'leg', findingId: 'eye', count: 2, span: mm(80), margin: mm(20) }],
  steps: bird.steps.map((step, at) => ({ ...step, needle: byGauge(at === 2 ? 40 : 38), ...(at === 0 && { holder: 3 }) })),
}; // prettier-ignore
const designs = new Map([...coastDesigns, ['bird-1', wired] as const]);
const needles = [needle('oak', { gauge: 38, onHand: 4 }), needle('sea', { gauge: 40, onHand: null })];
const tools = [holder(3)];

const withKit = (input: RunInput, wool: Wool = coastWool): PaperSource => ({
  ...sourceOf(input, designs),
  wool,
  shelf: wool.fibres,
  needles,
  kit: input.kind === 'class' ? kitOfClass(input, { designs, wool, needles, evidence: [], tools }).kit : null,
});
const cellsOf = (paper: Paper, title: string): readonly (readonly string[])[] =>
  paper.sections.find((section) => section.title === title)?.rows.map(({ cells }) => cells.map(cellWords)) ??
  [];
const titlesOf = (name: PaperName, source: PaperSource) =>
  makePaper(name, source).sections.map(({ title }) => title);

describe('what is prepared beforehand', () => {
  const input = classOf({ seats: 4, sparePacks: 1, demonstrations: 1, hasStageSamples: true });
  const paper = makePaper('preparation', withKit(input));
  test('cuts: for every pack, of the size they come to, half a minute each', () => {
    const pieces = 2 * (4 + 1 + 1);
    expect(cellsOf(paper, 'Cut to length')).toEqual([
      ['leg: eye', '10 cm', String(pieces), String(Math.ceil(pieces * MINUTES_A_CUT)), ''],
    ]);
  });
  test('samples: as long as the steps before, at least, where one has no minutes; a demonstration each', () => {
    const still = sourceOf(input, new Map([['bird-1', stillBird]]));
    expect(cellsOf(makePaper('preparation', still), 'Make beforehand')).toEqual([
      ['Demonstration', 'to show each step on', '–', ''],
      ['Sample up to step 2', 'the class need not wait', '30', ''],
    ]);
    const unsaid = { ...stillBird, steps: stillBird.steps.map((step, at) => (at === 1 ? { ...step, minutes: null } : step)) };
    const source = sourceOf(input, new Map([['bird-1', unsaid]]));
    expect(cellsOf(makePaper('preparation', source), 'Make beforehand')[1]?.[2]).toBe('≥ 20');
  });
  test('what is waited for, with its wait', () => {
    expect(cellsOf(paper, 'Sewn, or waited for: could be done before')).toEqual([
      ['Step 2: Wrap the legs clockwise, the left leg first', '30 minutes', '10', ''],
    ]);
    expect(titlesOf('preparation', withKit(kitsOf([duo()])))).toContain('Waits to tell of on the card');
  });
  test('a blend is made only where there is too little of it', () => {
    const dusk = classOf({ seats: 2, sparePacks: 0, roster: [1, 2].map((seat) => ({ ...blankSeat(seat), choices: { values: {}, colourwayId: 'dusk', swapIds: [] } })) });
    const cells = (onHandG: number | null, promisedG = 0) => {
      const source = withKit(dusk);
      const plan = restocked(source.plan, (id) => ({ onHandG: id === 'plum' ? onHandG : 300, promisedG: id === 'plum' ? promisedG : 0 }));
      return cellsOf(makePaper('preparation', { ...source, plan }), 'Blend');
    };
    const minutes = (...stock: Parameters<typeof cells>) => cells(...stock).map((cell) => cell[3]);
    // And of each of its fibres what a lot of it takes.
    const all = [String(MINUTES_A_BLEND), '', '', ''];
    expect(minutes(0)).toEqual(all);
    expect(minutes(500)).toEqual(['–']);
    expect(minutes(null)).toEqual(all);
    // What runs before take of it is not there to be packed.
    expect(minutes(500, 500)).toEqual(all);
    const wantedG = Number.parseFloat(cells(500)[0]?.[1] ?? '');
    const madeG = (given: readonly (readonly string[])[]) => given.slice(1).reduce((sum, row) => sum + Number.parseFloat(row[1] ?? ''), 0);
    // Half of it, in a lot that keeps its recipe: never less, and not all of it.
    const half = madeG(cells(500, 500 - wantedG / 2));
    expect(half).toBeGreaterThanOrEqual(wantedG / 2 - 0.01);
    expect(half).toBeLessThan(madeG(cells(0)));
  });
  test('boxes of nothing but paper need nothing cut; nothing at all says so', () => {
    const paperOnly = kitsOf([duo({ form: 'pattern-only' })]);
    expect(cellsOf(makePaper('preparation', withKit(paperOnly)), 'Cut to length')).toEqual([]);
    const plain: Pattern = { ...bird, steps: [{ ...BLANK_STEP, id: 's', text: 'Roll it' }], sessions: [] };
    const source = sourceOf(classOf(), new Map([['bird-1', plain]]));
    expect(titlesOf('preparation', source)).toEqual(['Nothing']);
  });
}); // prettier-ignore

describe('what is short', () => {
  const paper = makePaper('shortage', withKit(classOf({ seats: 40, sparePacks: 0 })));
  test('wool: wanted less free is short, and who goes without are the last', () => {
    const grams = (cell = '') => Number(cell.replace(/[^\d.]/g, ''));
    const rows = cellsOf(paper, 'Wool');
    expect(rows.length).toBeGreaterThan(0);
    for (const [, wanted, free, short, whom] of rows) {
      expect(grams(wanted)).toBeCloseTo(grams(free) + grams(short), 1);
      expect(whom).toMatch(/^seats \d+–40$/);
    }
  });
  test('findings: what is on hand, what is short, in whole packs of ten', () => {
    expect(cellsOf(paper, 'Findings and packaging')[0]?.slice(0, 1)).toEqual(['eye']);
    for (const [, , , , short, packs] of cellsOf(paper, 'Findings and packaging')) {
      expect(Number(packs)).toBe(Math.ceil(Number(short) / 10));
    }
  });
  test('needles: what is to be bought, and what nobody has counted', () => {
    const rows = cellsOf(paper, 'Needles');
    expect(rows.map(([name, , onHand]) => [name, onHand])).toEqual([
      ['38 triangular, oak', '4'],
      ['40 triangular, sea', 'not counted'],
    ]);
    expect(Number(rows[0]?.[3])).toBe(Number(rows[0]?.[1]) - 4);
    expect(rows[1]?.[3]).toBe('?');
  });
  test('boxes want needles of their own, as many as they give', () => {
    const [row] = cellsOf(makePaper('shortage', withKit(kitsOf([duo({ boxes: 5, spares: 1 })]))), 'Needles');
    // Three in the holder of each of six boxes.
    expect(row).toEqual(['38 triangular, oak', '18', '4', '14']);
  });
  test('a fibre nobody has counted is no shortage, and is told apart', () => {
    const dusk = classOf({ seats: 1, sparePacks: 0, roster: [{ ...blankSeat(1), choices: { values: {}, colourwayId: 'dusk', swapIds: [] } }] });
    expect(cellsOf(makePaper('shortage', withKit(dusk)), 'Never counted').map(([name]) => name)).toEqual(['plum, carded sliver']);
  });
  test('enough of everything says so', () => {
    const many = needles.map((needle) => ({ ...needle, onHand: 900 }));
    const input = classOf({ seats: 2, sparePacks: 0 });
    const { kit } = kitOfClass(input, { designs, wool: coastWool, needles: many, evidence: [], tools });
    expect(titlesOf('shortage', { ...withKit(input), needles: many, kit })).toEqual(['Nothing is short']);
  });
}); // prettier-ignore

describe('the room', () => {
  const roster = [
    { ...blankSeat(1), name: 'Mara', isLeftHanded: true, avoids: ['may-bleed' as const], note: 'by the window' },
    { ...blankSeat(5), name: 'Jun', skill: 'practised' as const, choices: { values: {}, colourwayId: 'dusk', swapIds: [] } },
  ]; // prettier-ignore
  const source = withKit(classOf({ seats: 6, seatsPerTable: 4, roster }));
  const paper = makePaper('room', source);
  test('every seat once, table by table, with what to think of', () => {
    expect(paper.sections.map(({ title, aside }) => [title, aside])).toEqual([
      ['Table 1', '4 seats'],
      ['Table 2', '2 seats'],
      ['Tools', ''],
      ['Holders', ''],
    ]);
    const rows = [...cellsOf(paper, 'Table 1'), ...cellsOf(paper, 'Table 2')];
    expect(rows).toHaveLength(6);
    expect(rows[0]).toEqual(['1 Mara', 'not chosen yet', 'some practice', expect.stringMatching(/^left-handed; no .+; by the window$/)]);
    expect(rows[4]).toEqual(['5 Jun', 'Dusk', 'practised', '']);
    expect(rows[5]?.[0]).toBe('Seat 6');
  }); // prettier-ignore
  test('holders that are shared, one for each table', () => {
    expect(cellsOf(paper, 'Holders')).toEqual([['holder for 3', 'one a table', '2', '5', '–']]);
  });
  test('boxes have no room', () => {
    expect(makePaper('room', withKit(kitsOf([duo()]))).sections).toEqual([]);
  });
});

describe('the contents card, piece by piece', () => {
  const input = classOf({ seats: 2, sparePacks: 0 });
  test('every piece of the build once, with its wool, what it is rolled and felted to, and the step that begins it', () => {
    const cells = cellsOf(makePaper('contents', withKit(input)), 'Piece by piece');
    expect(cells.map(([piece]) => piece)).toEqual(wired.parts.map(({ name, count }, at) => `${at + 1} ${name}${typeof count === "number" && count > 1 ? ` ×${count}` : ""}`)); // prettier-ignore
    for (const [, wool = '', roll, felt] of cells) {
      expect(wool).toMatch(/ g\b/);
      expect([roll, felt].every((words) => words !== undefined && words !== '')).toBe(true);
    }
    expect(cells[0]?.[4]).toBe('step 1');
  });
  test('of a box of several designs each by its title', () => {
    expect(titlesOf('contents', withKit(kitsOf([duo()])))).toEqual(expect.arrayContaining(['Bird, piece by piece', 'Pear, piece by piece'])); // prettier-ignore
  });
});

describe('a run that was bought, or packed', () => {
  const dusk = classOf({ seats: 2, sparePacks: 0, roster: [1, 2].map((seat) => ({ ...blankSeat(seat), choices: { values: {}, colourwayId: 'dusk', swapIds: [] } })) });
  test('names what its blends are made of by the shelf of today, which its own wool need not hold', () => {
    const source = withKit(dusk);
    const frozen = new Map([...source.wool.fibres].filter(([id]) => id !== 'slate' && id !== 'amber'));
    const cells = cellsOf(makePaper('preparation', { ...source, wool: { ...source.wool, fibres: frozen } }), 'Blend');
    expect(cells.map(([name]) => name?.replace(/,.*/, ''))).toEqual(['plum', 'of slate', 'of amber', 'of chalk']);
  });
  test('has nothing short once what it takes has left the shelf', () => {
    const short = withKit(classOf({ seats: 400 }));
    expect(titlesOf('shortage', short)).not.toEqual(['Packed']);
    expect(titlesOf('shortage', { ...short, isPacked: true })).toEqual(['Packed']);
  });
}); // prettier-ignore

describe('that nothing is short is said of what can be told', () => {
  /** A class of two of a ball, whose second layer nobody may know the amount of. */
  const wordsOf = (isKnown: boolean, ownPattern: Partial<Pattern> = {}): string | undefined => {
    const added = use('added', 'more', 'ink', isKnown ? { amount: { form: 'grams', massG: 1, highG: null, isWeighed: false } } : {}); // prettier-ignore
    const ball = part('ball', shapes.ball(40), { core: 'chalk' });
    const figure = pattern([{ ...ball, uses: [...ball.uses, added] }], ownPattern);
    const input = classOf({ seats: 2, sparePacks: 0, findingSpares: [] });
    return makePaper('shortage', sourceOf(input, new Map([['bird-1', figure]]))).sections[0]?.notes[0];
  };
  const listed = [
    { id: 't', needKey: null, name: 'loom', per: 'table' as const, count: 1, isLeftOut: false },
  ];
  test.each<[string, boolean, Partial<Pattern>, string]>([
    ['everything', true, {}, 'The shelf has enough of everything this run takes.'],
    ['a tool that the shelf does not keep', true, { tools: listed }, 'The shelf has enough of all it keeps. Not kept on it: loom.'],
    ['an amount nobody knows', false, {}, 'The shelf has enough of all that is known; 1 amount unknown.'],
    ['both', false, { tools: listed }, 'The shelf has enough of all that is known; 1 amount unknown. Not kept on it: loom.'],
  ])('%s', (_name, isKnown, given, words) => expect(wordsOf(isKnown, given)).toBe(words)); // prettier-ignore
});
