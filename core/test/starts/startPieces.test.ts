import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern, onlyFibres } from '../../src/engine/index.ts';
import { putTogether, sizeOverAll } from '../../src/figure/index.ts';
import { checkPattern, missingForPublishing } from '../../src/pattern/index.ts';
import {
  checkFirstClass,
  type FirstClassInput,
  firstPattern,
  isRootPiece,
  piecesOfBody,
  START_BODIES,
  startBody,
  type StartPiece,
  withAnother,
  withPieceBack,
} from '../../src/starts/index.ts';

const WOOL = { core: 'c', main: 'm', second: 's', dark: 'd' };
const input = (bodyId: string, pieces?: StartPiece[]): FirstClassInput => ({
  title: 'Mine',
  bodyId,
  heightMm: 130,
  main: { from: 'new', colourId: 'sea' },
  second: { from: 'new', colourId: 'chalk' },
  class: null,
  ...(pieces && { pieces }),
});
const made = (bodyId: string, pieces?: StartPiece[]) => firstPattern(input(bodyId, pieces), WOOL);
const piecesOf = (bodyId: string) => {
  const body = startBody(bodyId);
  if (!body) throw new Error(bodyId);
  return piecesOfBody(body);
};
const heightMm = (pattern: ReturnType<typeof made>) =>
  sizeOverAll(putTogether(pattern, estimatePattern(pattern, onlyFibres(new Map())), new Map()).figure)
    ?.heightMm;

describe('pieces of a start', () => {
  test.each(START_BODIES.map(({ id }) => id))('%s: all pieces as they are is the body as it is', (bodyId) => {
    const all = made(bodyId, piecesOf(bodyId));
    const plain = made(bodyId);
    expect(all.parts.map(({ name, count }) => [name, count])).toEqual(
      plain.parts.map(({ name, count }) => [name, count]),
    );
    expect(all.joins).toEqual(plain.joins);
    expect(all.steps).toEqual(plain.steps);
  });

  test('one is left out, with what is set on it, its steps and joins', () => {
    const bear = piecesOf('sits');
    const without = made(
      'sits',
      bear.filter(({ like }) => like !== 'Head'),
    );
    const names = without.parts.map(({ name }) => name);
    expect(names).not.toContain('Head');
    // Ears and muzzle sit on the head.
    expect(names).not.toContain('Ear');
    expect(names).toContain('Body');
    expect(JSON.stringify(without.steps)).not.toMatch(/head|ear\b/i);
  });

  test('what all is set on is always there', () => {
    const body = startBody('sits');
    expect(body && isRootPiece(body, 'Body')).toBe(true);
    expect(made('sits', []).parts.map(({ name }) => name)).toEqual(['Body']);
  });

  test('one is called otherwise, in its steps too; others are set on it by that name', () => {
    const renamed = piecesOf('sits').map((piece) =>
      piece.like === 'Head' ? { ...piece, name: 'Bonce' } : piece,
    );
    const pattern = made('sits', renamed);
    expect(pattern.parts.map(({ name }) => name)).toContain('Bonce');
    expect(JSON.stringify(pattern.steps)).toMatch(/bonce/);
    expect(JSON.stringify(pattern.steps)).not.toMatch(/\bhead\b/i);
  });

  test('another like one has a name and a place of its own', () => {
    const pieces = withAnother(withAnother(piecesOf('on-four'), 'Ear'), 'Ear');
    expect(pieces.filter(({ like }) => like === 'Ear').map(({ name }) => name)).toEqual([
      'Ear',
      'Ear 2',
      'Ear 3',
    ]);
    const pattern = made('on-four', pieces);
    const ears = pattern.parts.filter(({ name }) => name.startsWith('Ear'));
    expect(new Set(ears.map(({ id }) => id)).size).toBe(3);
    expect(checkPattern(pattern)).toEqual([]);
  });

  test('one that was left out comes back as the body has it, where the body has it; what was changed stays', () => {
    const body = startBody('sits');
    if (!body) throw new Error('sits');
    const changed = withAnother(piecesOf('sits'), 'Arm').map((piece) =>
      piece.like === 'Ear' ? { ...piece, name: 'Flap', count: 3 } : piece,
    );
    const without = changed.filter(({ like }) => like !== 'Head');
    expect(withPieceBack(body, without, 'Head')).toEqual(changed);
    // Back already: nothing more.
    expect(withPieceBack(body, changed, 'Head')).toEqual(changed);
  });

  test('another beside a pair is between them, and in nobody’s way', () => {
    const pattern = made('sits', withAnother(piecesOf('sits'), 'Ear'));
    const { figure } = putTogether(pattern, estimatePattern(pattern, onlyFibres(new Map())), new Map());
    const ears = figure.pieces.filter(({ partId }) => partId.startsWith('ear'));
    expect(ears).toHaveLength(3);
    const at = (index: number) => ears[index]?.frame.origin ?? [NaN, NaN, NaN];
    const apartMm = (a: number, b: number) => Math.hypot(...at(a).map((x, axis) => x - (at(b)[axis] ?? NaN)));
    for (const [a, b] of [
      [0, 1],
      [0, 2],
      [1, 2],
    ] as const)
      expect(apartMm(a, b)).toBeGreaterThan(8);
    expect(at(2)[0]).toBeCloseTo(0, 6);
  });

  test.each([
    ['no name', [{ like: 'Head', name: ' ', count: 1 }], ['title_empty /pieces/0/name']],
    [
      'one name twice',
      [
        { like: 'Ear', name: 'Flap', count: 2 },
        { like: 'Arm', name: 'flap ', count: 2 },
      ],
      ['piece_name_taken /pieces/1/name'],
    ],
    ['none of it', [{ like: 'Head', name: 'Head', count: 0 }], ['number_out_of_range /pieces/0/count']],
    [
      'two scripts',
      [
        { like: 'Head', name: '頭', count: 1 },
        { like: 'Ear', name: '耳', count: 2 },
      ],
      [],
    ],
  ])('%s', (_, pieces, told) => {
    const problems = checkFirstClass(input('sits', pieces), () => true);
    expect(problems.map(({ code, pointer }) => `${code} ${pointer}`)).toEqual(told);
  });

  const some = fc.constantFrom(...START_BODIES).chain((body) =>
    fc.record({
      bodyId: fc.constant(body.id),
      pieces: fc
        .array(
          fc.record({ at: fc.nat({ max: body.parts.length - 1 }), count: fc.integer({ min: 1, max: 5 }) }),
          { maxLength: 7 },
        )
        .map((drawn) =>
          drawn.map(({ at, count }, n) => ({ like: body.parts[at]?.name ?? '', name: `Piece ${n}`, count })),
        ),
    }),
  );
  test('whatever is left out, added and counted is a whole pattern, as high as it says', () => {
    fc.assert(
      fc.property(some, ({ bodyId, pieces }) => {
        const pattern = made(bodyId, pieces);
        expect([...checkPattern(pattern), ...missingForPublishing(pattern)]).toEqual([]);
        const ids = new Set(pattern.parts.map(({ id }) => id));
        expect(ids.size).toBe(pattern.parts.length);
        for (const { partIds } of pattern.steps) expect(partIds.every((id) => ids.has(id))).toBe(true);
        expect(Math.abs((heightMm(pattern) ?? 0) / 130 - 1)).toBeLessThan(0.03);
      }),
      { numRuns: 60 },
    );
  });
});
