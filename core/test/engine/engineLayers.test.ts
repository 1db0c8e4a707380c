import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  estimatePart,
  estimatePattern,
  HAIR_G_PER_M2,
  hairMass,
  sizeLedger,
  warningsOf,
} from '../../src/engine/index.ts';
import { WOOL, known, usesOf, gramsOf } from '../support/engine.ts';
import { mm, part, pattern, shapes, use } from '../support/make.ts';

describe('roles', () => {
  test('a sleeve weighs its tube without the wire: the reference 23.886 cm³', () => {
    expect(gramsOf(part('p', shapes.sleeve(120, 16, 1.6)), 0)).toBeCloseTo(23.886 * 0.15, 3);
    const rolled = estimatePart(part('p', shapes.sleeve(120, 16, 1.6)), WOOL).rollUp;
    if (rolled?.kind !== 'rolled') throw new Error('rolled');
    // √(w² + q(D² − w²)), and the length stays.
    expect(rolled.solid.sizesMm[0]).toBe(120);
    expect(rolled.solid.sizesMm[1]).toBeCloseTo(
      Math.sqrt(1.6 ** 2 + (0.15 / 0.055) * (16 ** 2 - 1.6 ** 2)),
      9,
    );
  });
  test('what lies inside is no wool: a bead by its outer size, a cup by its hollow', () => {
    const plain = gramsOf(part('p', shapes.ball(60)), 0);
    const withBead = (space: 'whole' | 'hollow', findingId: string) =>
      usesOf(
        part('p', shapes.ball(60), {
          uses: [use('core', 'c', 'core'), use('insert', 'i', null, { findingId, count: 2, space })],
        }),
      );
    expect(plain - known(withBead('whole', 'bead')[0]).pieceG).toBeCloseTo(
      (2 * (Math.PI / 6) * 12 * 12 * 11 * 0.15) / 1000,
      9,
    );
    expect(plain - known(withBead('hollow', 'shell')[0]).pieceG).toBeCloseTo(
      (2 * (Math.PI / 12) * 26 ** 3 * 0.15) / 1000,
      9,
    );
    expect(withBead('whole', 'odd')[0]).toMatchObject({ kind: 'unknown', reason: 'insert_unknown' });
    expect(withBead('whole', 'gone')[0]).toMatchObject({ kind: 'unknown', reason: 'insert_unknown' });
  });
  test('a line, a dot and a patch by their own formulas', () => {
    const ownPart = part('p', shapes.ball(60), {
      uses: [
        use('core', 'c', 'core'),
        use('line', 'l', 'dark', { length: mm(34), count: 2 }),
        use('dot', 'd', 'dark', { diameter: mm(4), count: 3 }),
        use('patch', 'a', 'coat', { length: mm(30), width: mm(20), count: 1 }),
      ],
    });
    expect(gramsOf(ownPart, 1)).toBeCloseTo(2 * 0.034 * 1.15 * 0.05, 12);
    expect(gramsOf(ownPart, 2)).toBeCloseTo((3 * (Math.PI / 6) * 64 * 1.4 * 0.15) / 1000, 12);
    const coat = estimatePart(ownPart, WOOL).working.uses[3]?.coat;
    expect(gramsOf(ownPart, 3)).toBeCloseTo(((coat?.arealGPerM2 ?? 0) * (Math.PI / 4) * 30 * 20) / 1e6, 12);
  });
  test('a second coat over a patch is laid against what is beneath it, not against the core', () => {
    const twice = (first: string) =>
      estimatePart(
        part('p', shapes.ball(60), {
          uses: [
            use('core', 'c', 'core'),
            use('coat', 'a', first),
            use('coat', 'b', 'tops', { cover: { kind: 'patch', length: mm(30), width: mm(20) } }),
          ],
        }),
        WOOL,
      ).working.uses[2]?.coat?.deltaE;
    expect(twice('dark')).toBeGreaterThan(twice('coat') ?? Infinity);
  });
  test('a coat over a share takes that share; a veil takes 15 g/m² a pass; one that is said takes what is said', () => {
    const coated = (more: object) =>
      gramsOf(
        part('p', shapes.ball(60), { uses: [use('core', 'c', 'core'), use('coat', 'a', 'dark', more)] }),
        1,
      );
    const all = coated({});
    expect(coated({ cover: { kind: 'share', fraction: 0.3 } })).toBeCloseTo(0.3 * all, 9);
    expect(coated({ thickness: { by: 'shading', passes: 2 } })).toBeCloseTo((30 * Math.PI * 3600) / 1e6, 9);
    expect(coated({ thickness: { by: 'said', gPerM2: 250 } })).toBeCloseTo(2.827, 3);
  });
  test.each([
    ['folded', 'middle', (2 * 40 + 10) / 0.85],
    ['held by one end', 'end', (40 + 15) / 0.85],
  ] as const)('hair %s: line × strip × g/m² and what is trimmed', (_name, fixed, stripMm) => {
    const hair = hairMass({ lineMm: 50, dropMm: 40, weight: 'medium', fixed, trimFraction: 0.15 });
    expect(hair.stripMm).toBeCloseTo(stripMm, 9);
    expect(hair.massG).toBeCloseTo((50 * stripMm * HAIR_G_PER_M2.medium) / 1e6, 9);
    expect(hair.trimmingsG).toBeCloseTo(hair.massG * 0.15, 9);
  });
  test('hair longer than its staple is said', () => {
    const ownPart = part('p', shapes.ball(60), {
      uses: [use('core', 'c', 'core'), use('hair', 'h', 'tops', { line: mm(20), drop: mm(60) })],
    });
    expect(
      warningsOf(estimatePattern(pattern([ownPart]), WOOL), WOOL.fibres, pattern([ownPart])),
    ).toMatchObject([{ code: 'hair_beyond_staple', stapleMm: 75 }]);
  });
  test('trimmings take none, and are said to be short where they are', () => {
    const hairy = part('hairy', shapes.fringe(60, 14), { core: 'tops' });
    const fed = part('fed', shapes.ball(20), {
      uses: [
        use('core', 'f', 'core'),
        use('coat', 'g', 'tops', { amount: { form: 'trimmings', ofUseId: 'hairy-core' } }),
      ],
    });
    const estimate = estimatePattern(pattern([hairy, fed]), WOOL);
    expect(known(estimate.parts[1]?.uses[1])).toMatchObject({ pieceG: 0, source: 'stated' });
    expect(warningsOf(estimate, WOOL.fibres, pattern([hairy, fed])).map(({ code }) => code)).toContain(
      'trimmings_short',
    );
  });
  test('a patch and a fringe have the body of their wool; by weight is the ball that it would be', () => {
    const patch = estimatePart(part('p', shapes.patch(30, 20)), WOOL);
    expect(patch.solid?.volumeMm3).toBeCloseTo((patch.pieceG / 0.15) * 1000, 6);
    const bag = estimatePart(part('p', shapes.byGrams(2.4), { firmness: 'solid' }), WOOL);
    expect(bag.pieceG).toBeCloseTo(2.4, 9);
    expect(bag.solid?.volumeMm3).toBeCloseTo(12_000, 6);
  });
});

describe('the order of layers', () => {
  test('decides thickness and mass of what lies inside, never the whole', () => {
    const layered = (first: string, second: string) =>
      estimatePart(
        part('p', shapes.ball(40), {
          uses: [use('core', 'c', 'core'), use('coat', 'a', first), use('coat', 'b', second)],
        }),
        WOOL,
      );
    const [partEstimate, two] = [layered('dark', 'coat'), layered('coat', 'dark')];
    for (const { working, pieceG } of [partEstimate, two]) {
      const { layers } = working;
      const volume =
        (layers?.coreVolumeCm3 ?? 0) +
        (layers?.shares ?? []).reduce((sum, share) => sum + share.volumeCm3, 0);
      expect(volume).toBeCloseTo((Math.PI / 6) * 64, 9);
      expect(pieceG).toBeCloseTo((Math.PI / 6) * 64 * 0.15, 9);
    }
    expect(known(partEstimate.uses[1]).pieceG).not.toBeCloseTo(known(two.uses[2]).pieceG, 3);
  });
  test('the size ledger grows from felted to finished, and says the finished size at the end', () => {
    const partEstimate = estimatePart(
      part('p', shapes.egg(82, 60), {
        uses: [
          use('core', 'c', 'core'),
          use('coat', 'a', 'dark'),
          use('patch', 'b', 'tops', { length: mm(30), width: mm(20) }),
        ],
      }),
      WOOL,
    );
    const stages = sizeLedger(partEstimate);
    expect(stages.map(({ stage }) => stage)).toEqual(['rolled', 'felted', 'coated', 'detailed']);
    const lengths = stages.slice(1).map(({ sizesMm }) => sizesMm[0] ?? 0);
    expect(lengths).toEqual([...lengths].sort((a, b) => a - b));
    expect(stages.at(-1)?.sizesMm).toEqual([82, 60]);
  });
});

describe('what is laid grows with its sizes', () => {
  const size = fc.integer({ min: 5, max: 90 });
  test.each([
    ['a patch', (a: number, b: number) => shapes.patch(a, b)],
    ['a fringe', (a: number, b: number) => shapes.fringe(a, b)],
  ])('%s', (_name, of) => {
    fc.assert(
      fc.property(size, size, (a, b) => {
        const massG = (x: number, y: number) => gramsOf(part('p', of(x, y)), 0);
        expect(massG(a * 1.1, b)).toBeGreaterThan(massG(a, b));
        expect(massG(a, b * 1.1)).toBeGreaterThan(massG(a, b));
      }),
    );
  });
});
