import { describe, expect, test } from '@jest/globals';
import { estimatePattern } from '../../src/engine/index.ts';
import { pointIn, takesWords, type Vec3 } from '../../src/placing/index.ts';
import { putTogether, whatItTells } from '../../src/figure/together/together.ts';
import { type Part, type Pattern, UPRIGHT } from '../../src/pattern/index.ts';
import {
  hangingWords,
  keepUpWords,
  notPlacedWords,
  sideWords,
  standingWords,
} from '../../src/words/index.ts';
import { WOOL } from '../support/engine.ts';
import { part, pattern, shapes, use } from '../support/make.ts';
import { joined } from '../support/writing.ts';

const set = (
  parts: Part[],
  joins: readonly (readonly [string, string])[],
  more: Partial<Pattern> = {},
): Pattern =>
  pattern(parts, { joins: joins.map(([on, onto]) => joined(on, onto, { looseEnd: null })), ...more });
const middles = (build: Pattern): Record<string, Vec3[]> => {
  const { figure } = putTogether(build, estimatePattern(build, WOOL), WOOL.findings);
  const found: Record<string, Vec3[]> = {};
  for (const { partId, frame, body } of figure.pieces)
    (found[partId] ??= []).push(pointIn(frame, body.centroid));
  return found;
};

describe('a figure with no places told', () => {
  const fox = set(
    [
      part('Body', shapes.ellipsoid(80, 50, 46)),
      part('Head', shapes.ball(36)),
      part('Ear', shapes.flat(18, 12, 4), { count: 2 }),
      part('Snout', shapes.taper(18, 14, 6)),
      part('Hind leg', shapes.limb(34, 12), { count: 4 }),
      part('Tail', shapes.taper(60, 16, 4)),
      part('Arm', shapes.limb(30, 9), { count: 2 }),
    ],
    [
      ['Head', 'Body'],
      ['Ear', 'Head'],
      ['Snout', 'Head'],
      ['Hind leg', 'Body'],
      ['Tail', 'Body'],
      ['Arm', 'Body'],
    ],
  );
  test('has its head above, its legs below in pairs, its arms at the sides, its tail behind, its snout in front', () => {
    const at = middles(fox);
    const [body] = at['Body']!;
    expect(at['Head']![0]![1]).toBeGreaterThan(body![1] + 40);
    expect(at['Hind leg']).toHaveLength(4);
    for (const [, y] of at['Hind leg']!) expect(y).toBeLessThan(body![1] - 25);
    expect(at['Hind leg']!.map(([x]) => Math.sign(x)).toSorted((a, b) => a - b)).toEqual([-1, -1, 1, 1]);
    expect(at['Arm']!.map(([x]) => Math.sign(x)).toSorted((a, b) => a - b)).toEqual([-1, 1]);
    expect(at['Tail']![0]![2]).toBeLessThan(-20);
    expect(at['Snout']![0]![2]).toBeGreaterThan(at['Head']![0]![2] + 15);
    expect(Math.abs(at['Ear']![0]![0] + at['Ear']![1]![0])).toBeLessThan(1e-6);
  });
  test('lying along, on four: legs straight down in two pairs, its head ahead and level, its tail behind', () => {
    const build = { ...fox, stance: { ...UPRIGHT, pitchDeg: 90 } };
    const at = middles(build);
    const [body] = at['Body']!;
    const { figure } = putTogether(build, estimatePattern(build, WOOL), WOOL.findings);
    for (const { partId, frame } of figure.pieces)
      if (partId === 'Hind leg') expect(frame.y[1]).toBeCloseTo(-1, 3);
    for (const [, y] of at['Hind leg']!) expect(y).toBeLessThan(body![1] - 15);
    expect(
      at['Hind leg']!.map(([x, , z]) => [Math.sign(x), Math.sign(z - body![2])].join(' ')).toSorted(),
    ).toEqual(['-1 -1', '-1 1', '1 -1', '1 1']);
    expect(at['Head']![0]![2]).toBeGreaterThan(body![2] + 40);
    expect(at['Tail']![0]![2]).toBeLessThan(body![2] - 40);
    // Its snout ahead of its head, and not under it.
    const [head, snout] = [at['Head']![0]!, at['Snout']![0]!];
    expect(snout[2]).toBeGreaterThan(head[2] + 15);
    expect(Math.abs(snout[1] - head[1])).toBeLessThan(12);
    const { standing } = whatItTells(
      { figure, details: [] },
      build,
      estimatePattern(build, WOOL),
      WOOL.findings,
    );
    expect(standing.kind).toBe('stands');
  });
  test('says of everything that it is proposed', () => {
    const { figure } = putTogether(fox, estimatePattern(fox, WOOL), WOOL.findings);
    expect(figure.pieces.filter((piece) => piece.set).every((piece) => piece.set?.isProposed)).toBe(true);
  });
  test('what has no name we know: alone on top, two at the sides, more all round', () => {
    const knobs = (count: number) =>
      middles(
        set([part('Body', shapes.ball(60)), part('Knob', shapes.ball(10), { count })], [['Knob', 'Body']]),
      )['Knob']!;
    expect(knobs(1)[0]![1]).toBeGreaterThan(60);
    expect(
      knobs(2)
        .map(([x]) => Math.sign(x))
        .toSorted((a, b) => a - b),
    ).toEqual([-1, 1]);
    expect(new Set(knobs(5).map(([, y]) => y.toFixed(3))).size).toBe(1);
  });
  test('eyes are put in front, a pin on the back, beads in a pair', () => {
    const body = part('Body', shapes.ball(60), {
      uses: [use('core', 'c', 'core'), use('dot', 'eyes', 'dark', { count: 2, words: 'eyes' })] as never,
    });
    const build = set([body], [], {
      findings: [{ id: 'beads', findingId: 'bead', partId: 'Body', count: 2, placement: null }],
    });
    const { details } = putTogether(build, estimatePattern(build, WOOL), WOOL.findings);
    for (const { spots } of details) {
      expect(spots).toHaveLength(2);
      for (const { normal } of spots) expect(normal[2]).toBeGreaterThan(0.5);
    }
  });
});

describe('words of a figure', () => {
  test.each([
    ['Head', 'head'], ['Forehead', null], ['Left ear', 'ear'], ['Earring', null], ['Hind legs', 'leg'], ['Eyebrow', null], ['Eye bump', 'eye'],
    ['Paw', 'foot'], ['Beak', 'beak'], ['Armchair', null], ['Leaves', 'leaf'], ['Hat', 'top'], ['Cloud', null],
  ])('%s is taken for %s', (name, word) => expect(takesWords(name)).toBe(word));
  test.each([
    [[0, 1], 'the front'], [[0, -1], 'the back'], [[1, 0], 'its left'], [[-1, 0], 'its right'], [[0.7, 0.7], 'the front and its left'], [[-0.7, -0.7], 'the back and its right'],
  ] as const)('%j is %s', (way, words) => expect(sideWords(way)).toBe(words));
  const centre = { massG: 20, point: [0, 40, 0] as const };
  const told = { centre, support: [], toward: [0, 1] as const, chance: 0.93 };
  test('how it stands is told with how surely, and falling with where to', () => {
    expect(standingWords({ kind: 'stands', marginMm: 6.86, tipDeg: 10, ...told }, 'sits', 'mm')).toBe('It sits, 9 in 10: its weight lies 6.9 mm within what it rests on. It tips first to the front, at 10°.');
    expect(standingWords({ kind: 'falls', marginMm: -4.2, tipDeg: -3, ...told }, 'stands', 'mm')).toBe('It falls to the front: its weight lies 4.2 mm outside what it rests on.');
    expect(standingWords({ kind: 'unknown' }, 'stands', 'mm')).toContain('unknown');
  });
  test('a mend is something to do, with what comes of it', () => {
    const standing = { kind: 'stands', marginMm: 6, tipDeg: 8, ...told } as const;
    expect(keepUpWords({ kind: 'weight', massG: 2.34, at: [0, 0, 0], standing }, 'mm')).toBe('≈ 2.3 g of weight, low on the other side; then it tips at 8°');
    expect(keepUpWords({ kind: 'feet', byMm: 4, toward: [0, 1], standing }, 'mm')).toBe('what it stands on 4 mm further to the front; then it tips at 8°');
  });
  test('hanging is told straight, tilted, or turned over', () => {
    const from = { partId: 'b', pieceKey: 'b.0', aroundDeg: 0, heightFraction: 1, point: [0, 60, 0] as const };
    const hangs = { tiltDeg: 13.7, toward: [0, 1] as const, isAboveCentre: true, isCovered: false };
    expect(hangingWords({ from, hangs })).toBe('It hangs tilted 13.7° to the front.');
    expect(hangingWords({ from, hangs: { ...hangs, tiltDeg: 0, toward: null } })).toBe('It hangs straight.');
    expect(hangingWords({ from, hangs: { ...hangs, isAboveCentre: false } })).toContain('turns over');
    expect(hangingWords({ from, hangs: { ...hangs, isCovered: true } })).toContain('under another piece');
  });
  test('what is not in the figure is named with the remedy', () => {
    const parts = [part('Wing', shapes.ball(10))];
    expect(notPlacedWords({ why: 'set_on_nothing', partId: 'Wing' }, { parts })).toBe('Wing: set on nothing, give it a join');
    expect(notPlacedWords({ why: 'places_too_few', partId: 'Wing', joinId: 'j', count: 2 }, { parts })).toBe('Wing: 2 more than there are places');
  });
}); // prettier-ignore
