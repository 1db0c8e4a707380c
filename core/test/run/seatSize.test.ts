import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern, type PatternEstimate } from '../../src/engine/index.ts';
import { bagLabels, makePaper } from '../../src/papers/index.ts';
import { NO_CHOICES, type Pattern } from '../../src/pattern/index.ts';
import { resizeDecisions } from '../../src/resize/index.ts';
import {
  blankSeat,
  checkRun,
  readRoster,
  RUN_BOUNDS,
  runOfToday,
  type Seat,
  toPackOf,
} from '../../src/run/index.ts';
import { groupWords } from '../../src/words/index.ts';
import { bird, classOf, coastDesigns, coastWool, sourceOf } from '../support/coast.ts';
import { mm, part, pattern, shapes } from '../support/make.ts';

const { min, max } = RUN_BOUNDS.sizeFraction;
const sizes = fc.double({ min, max, noNaN: true });
const usual = { ...NO_CHOICES, values: {}, swapIds: [] };
const seat = (number: number, sizeFraction: number, more: Partial<Seat> = {}): Seat => ({
  ...blankSeat(number),
  choices: usual,
  sizeFraction,
  ...more,
});

/** A figure written at k times its size by hand: the judge of what a seat’s size makes of it. */
const snowman = (k: number): Pattern =>
  pattern([
    part('body', shapes.ball(60 * k), { core: 'chalk', coat: 'slate' }),
    part('nose', shapes.cone(18 * k, 6 * k), { core: 'amber' }),
    part('arm', shapes.limb(40 * k, 9 * k), { core: 'ink', count: 2 }),
  ]);
/** By fibre, and everything that is known of it. */
const massesOf = (fibres: PatternEstimate['fibres']) =>
  Object.fromEntries(fibres.map(({ fibreId, total }) => [fibreId, total]));

test('a run kept by a Lanakit that knew no sizes is read with the usual ones, and may be stored', () => {
  const { sizeFraction: _size, ...before } = seat(2, 1, { name: 'Jun' });
  const { demonstrations: _none, ...run } = classOf();
  const read = runOfToday({ ...run, roster: [before as Seat] });
  expect(read).toEqual(classOf({ roster: [seat(2, 1, { name: 'Jun' })] }));
  expect(checkRun(read)).toEqual([]);
});

describe('a seat that makes it in another size', () => {
  test('packs what the figure takes when it is written in that size', () => {
    fc.assert(
      fc.property(sizes, (sizeFraction) => {
        const input = classOf({ revisionId: 's', seats: 1, sparePacks: 0, roster: [seat(1, sizeFraction)] });
        const { groups, estimates } = toPackOf(new Map([['s', snowman(1)]]), input, coastWool);
        const packed = massesOf(estimates.get(groups[0]?.key ?? '')?.fibres ?? []);
        const written = massesOf(estimatePattern(snowman(sizeFraction), coastWool).fibres);
        expect(Object.keys(packed).sort()).toEqual(['amber', 'chalk', 'ink', 'slate']);
        for (const [fibreId, { likelyG, lowG, highG, unknownCount }] of Object.entries(packed)) {
          expect(unknownCount).toBe(0);
          expect(likelyG).toBeCloseTo(written[fibreId]?.likelyG ?? NaN, 6);
          expect(lowG).toBeCloseTo(written[fibreId]?.lowG ?? NaN, 6);
          expect(highG).toBeCloseTo(written[fibreId]?.highG ?? NaN, 6);
        }
      }),
    );
  });
  test('is a pack of its own, and has as many findings', () => {
    const input = classOf({ seats: 5, sparePacks: 1, roster: [seat(2, 0.8), seat(4, 0.8), seat(5, 1.25)] });
    const { groups, estimates } = toPackOf(coastDesigns, input, coastWool);
    expect(groups.map((group) => [groupWords(group), group.seats, group.packs])).toEqual([
      ['as written', [1, 3], 3],
      ['as written, at 80 % of the size', [2, 4], 2],
      ['as written, at 125 % of the size', [5], 1],
    ]);
    const findings = groups.map(({ key }) => estimates.get(key)?.findings);
    expect(findings[1]).toEqual(findings[0]);
    expect(findings[2]).toEqual(findings[0]);
  });
  test('and has not chosen yet: the usual one in their size, while for the others colours lie out', () => {
    const input = classOf({
      seats: 4,
      sparePacks: 0,
      undecidedChance: 0.9,
      roster: [seat(3, 0.5, { choices: null })],
    });
    const { groups, open } = toPackOf(coastDesigns, input, coastWool);
    expect(open?.count).toBe(3);
    expect(groups.map(({ isOpen, seats, undecided }) => [isOpen, seats, undecided])).toEqual([
      [true, [1, 2, 4], [1, 2, 4]],
      [false, [3], [3]],
    ]);
  });
  test.each([
    ['smaller than can be made', 0.2],
    ['larger than can be made', 5],
    ['no number', NaN],
  ])('%s is refused beside it', (_name, sizeFraction) => {
    const [problem, ...others] = checkRun(classOf({ roster: [seat(1, sizeFraction)] }));
    expect(problem).toMatchObject({ pointer: '/roster/0/sizeFraction' });
    expect(others).toEqual([]);
  });
  test.each([
    ['Mara; 80 %', 0.8, []],
    ['Mara; 112,5%', 1.125, []],
    ['Mara; 80', 1, ['80']],
    ['Mara; 1000 %', 1, ['1000 %']],
  ] as const)('read from a list: %s', (text, sizeFraction, unread) => {
    const [line] = readRoster(text, bird).lines;
    expect(line?.seat.sizeFraction).toBe(sizeFraction);
    expect(line?.unread).toEqual(unread);
  });
  test('finds it on every paper, with what to do with the lengths', () => {
    const tall: Pattern = { ...bird, finishedHeight: mm(90) };
    const designs = new Map([['bird-1', tall]]);
    const source = sourceOf(classOf({ seats: 2, sparePacks: 0, roster: [seat(2, 0.8, { name: 'Jun' })] }), designs);
    const [plain, small] = makePaper('packs', source).sections;
    expect(plain?.notes.join(' ')).not.toContain('times');
    expect(small?.notes).toContain('72 mm tall: take every length of the pattern times 0.8. Bought things stay as they are.');
    expect(makePaper('contents', source).sections.map(({ title }) => title)).toContain('as written, at 80 % of the size');
    expect(JSON.stringify(makePaper('room', source))).toContain('at 80 % of the size');
    expect(new Set(bagLabels(source).map(({ title }) => title))).toEqual(new Set(['Seat 1', '2 · Jun (at 80 % of the size)']));
  }); // prettier-ignore
  test.each([
    [1, []],
    [0.8, [['eye', 4.8]]],
    [1.5, [['eye', 9]]],
  ])('at %d times the size is told what was bought and does not grow', (k, expected) => {
    const eye = coastWool.findings.get('eye');
    if (eye?.measure.by !== 'count') throw new Error('eyes are counted');
    const measure = { ...eye.measure, outerMm: { ...eye.measure.outerMm, length: 6 } };
    const findings = new Map([...coastWool.findings, ['eye', { ...eye, measure }] as const]);
    const told = resizeDecisions(bird, k, { findings }).map((resizeDecision) =>
      resizeDecision.kind === 'finding'
        ? [resizeDecision.findingId, Number(resizeDecision.wantedMm.toFixed(6))]
        : [resizeDecision.kind],
    );
    expect(told).toEqual(expected);
  });
});
