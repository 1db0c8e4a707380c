import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern } from '../../src/engine/index.ts';
import {
  blankMakingLine,
  blankMakingPiece,
  blankMakingStep,
  checkMaking,
  draftOf,
  isClockBackwards,
  layersOfBag,
  type Making,
  makingEvidence,
  makingOf,
  makingQuestions,
  type MakingLine,
  minutesNow,
  proposalsOf,
  started,
  stopped,
  tookOfLine,
  tookOfMaking,
  withProposals,
} from '../../src/logbook/index.ts';
import { BLANK_STEP, checkPattern, type Pattern } from '../../src/pattern/index.ts';
import { BLANK_NEEDLE, type Needle } from '../../src/shelf/index.ts';
import { fibre, mm, part, pattern, shapes, shelf, use } from '../support/make.ts';
import { bag, making } from '../support/makings.ts';

const WOOL = shelf(fibre('core'), fibre('coat', { colour: '#f4f1e8' }), fibre('other'));
const PEAR: Pattern = pattern(
  [
    part('body', shapes.ball(60), { core: 'core', coat: 'coat' }),
    part('stalk', shapes.limb(30, 8), { core: 'other', count: 2 }),
  ],
  {
    title: 'Pear',
    steps: [
      { ...BLANK_STEP, id: 's1', text: 'Roll', minutes: 10, partIds: ['body'] },
      { ...BLANK_STEP, id: 's2', text: 'Felt', minutes: 20, partIds: ['body'] },
    ],
  },
);
const SOURCES = { build: PEAR, wool: WOOL, lotInUse: () => null };
let ids = 0;
const newId = () => `n${++ids}`;

describe('what went into a figure', () => {
  test.each([
    ['a bag before and after', { beforeG: 50, afterG: 41.5 }, 8.5],
    [
      'with wool that came to it, and some that came off again',
      { beforeG: 50, afterG: 41.5, addedG: 3, removedG: 0.5 },
      11,
    ],
    ['a piece before and after its layer', { weighed: 'piece', beforeG: 14, afterG: 17, removedG: 0.5 }, 3],
    ['a bag that is heavier after than before', { beforeG: 10, afterG: 12 }, -2],
    ['only the one weighing', { beforeG: 10 }, null],
    ['grams that no binary number holds', { beforeG: 0.3, afterG: 0.1 }, 0.2],
  ] as const)('%s', (_, weighings, tookG) => {
    expect(tookOfLine(blankMakingLine('l', weighings as Partial<MakingLine>))).toBe(tookG);
  });
  test('what is not weighed is counted as not known, not as nothing', () => {
    expect(tookOfMaking({ lines: [bag('a', 'core', 9, 4), blankMakingLine('b')] })).toEqual({
      knownG: 5,
      unknownCount: 1,
    });
  });
  test('a bag weighed in any number of parts takes what it takes', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 5000 }), { minLength: 1, maxLength: 8 }),
        (milligrams) => {
          const sum = milligrams.reduce((all, each) => all + each, 0);
          const lines = milligrams.map((each, at) => bag(String(at), 'core', (9000 + each) / 1000, 9));
          expect(tookOfMaking({ lines }).knownG).toBeCloseTo(sum / 1000, 6);
        },
      ),
    );
  });
});

describe('a step’s watch', () => {
  const begun = started(blankMakingStep('s', { minutes: 2 }), '2026-11-01T10:00:00Z');
  test('goes on from what was there, and stops to the tenth of a minute', () => {
    expect(minutesNow(begun, Date.parse('2026-11-01T10:03:30Z'))).toBeCloseTo(5.5, 9);
    expect(stopped(begun, '2026-11-01T10:03:20Z')).toMatchObject({ minutes: 5.3, since: null });
    expect(started(begun, '2026-11-01T11:00:00Z')).toBe(begun);
  });
  test('of a clock that was set back adds nothing, and says so', () => {
    expect(minutesNow(begun, Date.parse('2026-11-01T09:00:00Z'))).toBe(2);
    expect(isClockBackwards(begun, Date.parse('2026-11-01T09:00:00Z'))).toBe(true);
    expect(isClockBackwards(begun, Date.parse('2026-11-01T10:00:05Z'))).toBe(false);
  });
});

describe('a page along a pattern', () => {
  test('has a bag for each fibre, the heaviest first, and each piece and step', () => {
    const page = makingOf(PEAR, WOOL, '2026-11-01', newId);
    expect(page.lines.map(({ fibreId }) => fibreId)).toEqual(['core', 'coat', 'other']);
    expect(page.pieces.map(({ partId }) => partId)).toEqual(['body', 'stalk']);
    expect(page.steps.map(({ stepId }) => stepId)).toEqual(['s1', 's2']);
    expect(checkMaking(page)).toEqual([]);
  });
  test('a bag is weighed layer by layer instead', () => {
    const two = pattern([part('a', shapes.ball(40)), part('b', shapes.ball(30))]);
    const layers = layersOfBag(bag('l', 'core', 1, 1), two, WOOL, newId);
    expect(layers.map(({ of, useId, beforeG }) => [of, useId, beforeG])).toEqual([
      ['use', 'a-core', null],
      ['use', 'b-core', null],
    ]);
  });
  test.each([
    ['no name', { title: ' ' }, '/title'],
    ['no day', { date: '2026-02-30' }, '/date'],
    ['grams below nothing', { lines: [bag('l', 'core', -1, 0)] }, '/lines/0/beforeG'],
    ['a size of nothing', { pieces: [blankMakingPiece('p', { rolledMm: 0 })] }, '/pieces/0/rolledMm'],
    ['minutes below nothing', { steps: [blankMakingStep('s', { minutes: -3 })] }, '/steps/0/minutes'],
  ])('%s is not taken', (_, more, pointer) => {
    expect(checkMaking(making('m', more)).map((problem) => problem.pointer)).toEqual([pointer]);
  });
});

const evidenceOf = (more: Partial<Making>) => makingEvidence(making('m', more), SOURCES);

describe('what a page tells of', () => {
  const expectedG = (fibreId: string) =>
    estimatePattern(PEAR, WOOL).fibres.find((row) => row.fibreId === fibreId)?.total.likelyG ?? 0;
  test('a bag is held against all of its fibre in the figure, as the engine has it', () => {
    const [each] = evidenceOf({ lines: [bag('l', 'core', 50, 34)] }).evidence;
    expect(each).toMatchObject({ id: 'm:l', found: 16, kind: 'wool', fibreId: 'core' });
    expect(each?.expected).toBeCloseTo(expectedG('core'), 9);
    expect(each?.ln).toBeCloseTo(Math.log(16 / expectedG('core')), 9);
  });
  test('a thicker coat leaves less room for the core beneath it', () => {
    const [core] = evidenceOf({ lines: [bag('l', 'core', 50, 34)] }).evidence;
    const hiding = core?.of.find(({ factor }) => factor.kind === 'hiding');
    // The coat’s volume over the core’s: 2 ÷ 12, or so.
    expect(hiding?.share).toBeLessThan(-0.1);
    expect(hiding?.share).toBeGreaterThan(-0.35);
  });
  test('the finer counts: the whole figure says nothing more once its bags are weighed', () => {
    const { evidence, untaught } = evidenceOf({ wholeG: 20, lines: [bag('l', 'core', 50, 34)] });
    expect(evidence.map(({ kind }) => kind)).toEqual(['wool']);
    expect(untaught).toEqual([{ id: 'm:whole', why: { code: 'told_by_finer' } }]);
  });
  test.each([
    ['heavier after than before', { lines: [bag('l', 'core', 10, 12)] }, 'below_nothing'],
    ['nothing taken', { lines: [bag('l', 'core', 10, 10)] }, 'nothing_took'],
    ['a fibre that is gone', { lines: [bag('l', 'gone', 10, 9)] }, 'fibre_not_found'],
    [
      'a part it does not have',
      { lines: [bag('l', 'core', 10, 9, { of: 'part', partId: 'none' })] },
      'not_in_pattern',
    ],
  ])('%s teaches nothing, and says why', (_, more, code) => {
    const { evidence, untaught } = evidenceOf(more);
    expect(evidence).toEqual([]);
    expect(untaught.map(({ why }) => why.code)).toEqual([code]);
  });
  test('what a pattern only states is not corrected by it', () => {
    const stated = pattern([
      part('a', shapes.byGrams(5), {
        uses: [
          use('core', 'a-core', 'core', {
            amount: { form: 'grams', massG: 5, highG: null, isWeighed: false },
          }),
        ],
      }),
    ]);
    const told = makingEvidence(making('m', { lines: [bag('l', 'core', 10, 4)] }), {
      ...SOURCES,
      build: stated,
    });
    expect(told.untaught.map(({ why }) => why.code)).toEqual(['only_stated']);
  });
  test('without a pattern it says nothing yet', () => {
    const told = makingEvidence(making('m', { lines: [bag('l', 'core', 10, 4)] }), {
      ...SOURCES,
      build: null,
    });
    expect(told.untaught.map(({ why }) => why.code)).toEqual(['no_pattern']);
  });
  test('of another lot than the one in use it tells less', () => {
    const lines = [bag('l', 'core', 50, 34, { lotId: 'old' })];
    const sigmaWith = (lotInUse: string) =>
      makingEvidence(making('m', { lines }), { ...SOURCES, lotInUse: () => lotInUse }).evidence[0]?.sigma ??
      0;
    expect(sigmaWith('new')).toBeGreaterThan(sigmaWith('old'));
  });
  test('rolled and felted across tells how tightly it was packed: a ball rolled 1.4 times as wide', () => {
    const [rolled] = evidenceOf({
      pieces: [blankMakingPiece('p', { partId: 'body', rolledMm: 84, feltedMm: 60 })],
    }).evidence;
    expect(rolled?.found).toBeCloseTo(1.4 ** 3, 6);
    expect(rolled?.expected).toBeCloseTo(0.15 / 0.055, 9);
    expect(rolled?.of.find(({ factor }) => factor.kind === 'packed')?.share).toBe(-1);
  });
  test('minutes are of who made it and of the kind of act', () => {
    const [each] = evidenceOf({
      madeBy: 'Ada',
      steps: [blankMakingStep('x', { stepId: 's2', minutes: 30 })],
    }).evidence;
    expect(each).toMatchObject({ kind: 'minutes', expected: 24, found: 30 });
    expect(each?.ln).toBeCloseTo(Math.log(1.25), 12);
    expect(each?.of.map(({ factor }) => factor)).toEqual([
      { kind: 'pace', who: 'Ada' },
      { kind: 'act', act: 'make' },
      { kind: 'skill', skill: 'practised' },
    ]);
    const steps = [blankMakingStep('x', { stepId: 's2', minutes: 30 })];
    expect(evidenceOf({ steps }).evidence[0]).toMatchObject({ expected: 20 });
  });
  test('what another rolled or laid tells nothing of the studio’s own hands, and less of the fibre', () => {
    const pieces = [blankMakingPiece('p', { partId: 'body', rolledMm: 84, feltedMm: 60 })];
    const kinds = (madeBy: string) =>
      evidenceOf({ madeBy, pieces }).evidence[0]?.of.map(({ factor }) => factor.kind) ?? [];
    expect([kinds('').includes('packed'), kinds('Ada').includes('packed')]).toEqual([true, false]);
    const sigma = (madeBy: string) =>
      evidenceOf({ madeBy, lines: [bag('l', 'coat', 9, 6)] }).evidence[0]?.sigma ?? 0;
    expect(sigma('Ada')).toBeGreaterThan(sigma('') + 0.05);
  });
  test('a whole figure with something on it that is no wool is not held against its wool', () => {
    const eyes = { id: 'e', findingId: null, partId: 'body', count: 2, placement: null };
    const told = makingEvidence(making('m', { wholeG: 20 }), {
      ...SOURCES,
      build: { ...PEAR, findings: [eyes] },
    });
    expect(told.untaught.map(({ why }) => why.code)).toEqual(['not_only_wool']);
  });
});

describe('what is asked about a page', () => {
  const now = Date.parse('2026-11-01T10:00:00Z');
  const asked = (page: Making, others: readonly Making[] = []) =>
    makingQuestions(page, makingEvidence(page, SOURCES).evidence, WOOL.fibres, others, now);
  test.each([
    [
      'a point that slipped',
      { lines: [bag('l', 'core', 50, 48.5)] },
      { code: 'unit_slip', place: 'l', times: 10 },
    ],
    [
      'a bag that grew',
      { lines: [bag('l', 'core', 5, 9)] },
      { code: 'below_nothing', place: 'l', tookG: -4 },
    ],
    ['a fibre that is gone', { lines: [bag('l', 'gone', 5, 4)] }, { code: 'fibre_not_found', place: 'l' }],
    [
      'a watch from tomorrow',
      { steps: [blankMakingStep('s', { since: '2026-11-02T10:00:00Z' })] },
      { code: 'clock_backwards', place: 's' },
    ],
    [
      'a figure lighter than its wool',
      { wholeG: 8, lines: [bag('l', 'core', 50, 36)] },
      { code: 'whole_and_lines', wholeG: 8, linesG: 14 },
    ],
  ])('%s', (_, more, question) => {
    expect(asked(making('m', more))).toEqual([expect.objectContaining(question)]);
  });
  test('the same sample twice', () => {
    const lines = [bag('l', 'core', 50, 36), bag('k', 'coat', 20, 17)];
    const [first, twin] = [making('m', { lines }), making('n', { lines, title: 'Again' })];
    expect(asked(twin, [first, twin])).toEqual([
      { code: 'same_twice', place: 'whole', otherId: 'm', otherTitle: 'A sample' },
    ]);
    expect(asked(making('n', { lines, date: '2026-10-02' }), [first])).toEqual([]);
  });
  test('nothing of a sound page', () => {
    expect(asked(making('m', { wholeG: 17, lines: [bag('l', 'core', 50, 36)] }))).toEqual([]);
  });
});

describe('for the next revision', () => {
  const lines = (tookG: number) => [bag('l', 'core', 50, 50 - tookG)];
  const told = [
    making('1', {
      lines: lines(15),
      wholeG: 18,
      steps: [blankMakingStep('x', { stepId: 's1', minutes: 14 })],
    }),
    making('2', {
      lines: lines(17),
      wholeG: 20,
      steps: [blankMakingStep('x', { stepId: 's1', minutes: 16 })],
    }),
    making('3', { sizeFraction: 2, lines: lines(120) }),
  ];
  test('states what two makings took, with both ends, and leaves another size out', () => {
    expect(proposalsOf(PEAR, told)).toEqual([
      {
        kind: 'amount',
        key: 'amount body-core',
        makings: 2,
        partId: 'body',
        useId: 'body-core',
        wasG: null,
        lowG: 15,
        massG: 16,
        highG: 17,
      },
      {
        kind: 'minutes',
        key: 'minutes s1',
        makings: 2,
        stepId: 's1',
        was: 10,
        low: 14,
        likely: 15,
        high: 16,
      },
      { kind: 'whole', key: 'whole', makings: 2, wasG: null, massG: 19 },
    ]);
  });
  test('taken, it is not proposed again, and the draft is sound', () => {
    const next = withProposals(PEAR, proposalsOf(PEAR, told));
    expect(checkPattern(next)).toEqual([]);
    expect(next.weighedMakeG).toBe(19);
    expect(next.steps[0]?.minutes).toEqual({ low: 14, high: 16 });
    expect(proposalsOf(next, told)).toEqual([]);
  });
});

test('make first, write later: a draft with grams, needles and minutes as they were', () => {
  const needle: Needle = {
    ...BLANK_NEEDLE,
    id: 'n38',
    version: 1,
    gauge: 38,
    profile: 'triangular',
    onHand: 3,
    peak: 3,
  };
  const page = making('m', {
    title: 'Seal',
    patternId: null,
    lines: [
      bag('a', 'core', 40, 28, { of: 'said', name: 'Body', firmness: 'solid' }),
      bag('b', 'coat', 20, 18, { of: 'said', name: 'Body', role: 'coat' }),
      bag('c', 'core', 28, 27, { of: 'said', name: 'Flipper' }),
    ],
    pieces: [blankMakingPiece('p', { name: 'Body', rolledMm: 70, feltedMm: 50 })],
    steps: [blankMakingStep('s', { text: 'Felt the body hard', minutes: 31.6, needleId: 'n38' })],
    wholeG: 15.2,
  });
  const draft = draftOf(page, new Map([['n38', needle]]), newId);
  expect(checkPattern(draft)).toEqual([]);
  expect(draft.parts.map(({ name, firmness, sample }) => [name, firmness, sample?.rolled ?? null])).toEqual([
    ['Body', 'solid', mm(70)],
    ['Flipper', 'firm', null],
  ]);
  expect(estimatePattern(draft, WOOL).total).toMatchObject({
    unknownCount: 0,
    likelyG: expect.closeTo(15, 9),
  });
  expect(draft.steps[0]).toMatchObject({
    minutes: 32,
    needle: { by: 'gauge', gauge: 38, profile: 'triangular' },
    partIds: [draft.parts[0]?.id],
  });
  expect(draft.weighedMakeG).toBe(15.2);
});
