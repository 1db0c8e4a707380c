import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  coatByContrast,
  compareEstimates,
  estimatePart,
  estimatePattern,
  hidingConstant,
  rollUpSize,
  shareVolume,
  topsLength,
  type UseEstimate,
} from '../../src/engine/index.ts';
import { stepTotals, BLANK_STEP } from '../../src/pattern/index.ts';
import { type Shape, solidOf } from '../../src/shapes/index.ts';
import { byGauge, colourDifference, lightness, type Packing } from '../../src/shelf/index.ts';
import { coatOf } from '../support/layers.ts';
import { fibre, mm, part, pattern, shapes, shelf } from '../support/make.ts';

const colour = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);

const solid = (shape: Shape) => {
  const result = solidOf(shape);
  if (result.kind !== 'solid') throw new Error('sizes missing');
  return result.solid;
};

const known = (use: UseEstimate | undefined) => {
  if (use?.kind !== 'known') throw new Error('expected a known amount');
  return use;
};

/** A piece of firm felt with one coat over all of it. */
const coated = (shape: Shape, arealGPerM2: number) => {
  const layers = shareVolume(solid(shape), 0.15, 0, [coatOf(arealGPerM2)]);
  return { ...layers, coatG: layers.shares[0]?.massG ?? 0 };
};

const firm = (packing: Packing = 'tight', gPerCm3 = 0.055, finished = 0.15) => ({
  packing,
  gPerCm3,
  q: finished / gPerCm3,
});

describe('colour', () => {
  test('CIEDE2000 of black and white is 100, of a colour and itself 0, and it has no direction', () => {
    expect(colourDifference('#000000', '#ffffff')).toBeCloseTo(100, 6);
    fc.assert(
      fc.property(colour, colour, (a, b) => {
        expect(colourDifference(a, a)).toBe(0);
        expect(colourDifference(a, b)).toBeCloseTo(colourDifference(b, a), 9);
      }),
    );
  });
  test('lightness runs from black to white', () => {
    expect(lightness('#000000')).toBeCloseTo(0, 6);
    expect(lightness('#ffffff')).toBeCloseTo(100, 3);
    expect(lightness('#777777')).toBeCloseTo(50.03, 1);
  });
});

describe('a coat by contrast', () => {
  test('leaves a contrast of 3, or is the least coat and leaves less', () => {
    fc.assert(
      fc.property(
        colour,
        colour,
        fc.constantFrom('carded', 'tops', 'batt', 'core-batt'),
        (core, text, preparation) => {
          const coat = coatByContrast(core, { colour: text, preparation, hidingGPerM2: null });
          const left = coat.deltaE * Math.exp(-coat.arealGPerM2 / coat.hidingGPerM2);
          if (coat.isLeastCoat) expect(left).toBeLessThanOrEqual(3 + 1e-9);
          else expect(left).toBeCloseTo(3, 9);
          expect(coat.arealGPerM2).toBeGreaterThanOrEqual(80);
        },
      ),
    );
  });
  test('an unknown core colour counts as the strongest contrast and says so', () => {
    // A middling lightness, so that κ is 80: the reference gives 252 g/m² for ΔE 70.
    const coat = coatByContrast(null, { colour: '#777777', preparation: 'carded', hidingGPerM2: null });
    expect(coat).toMatchObject({ deltaE: 70, isContrastAssumed: true, hidingGPerM2: 80 });
    expect(coat.arealGPerM2).toBeCloseTo(252, 0);
  });
  test.each([
    ['carded, middling', '#777777', 'carded', 80],
    ['tops, middling', '#777777', 'tops', 90],
    ['pale hides less', '#f6f4ee', 'carded', 92],
    ['dark hides more', '#1d1c1e', 'tops', 76.5],
  ] as const)('hiding constant: %s', (_name, given, preparation, expected) => {
    expect(hidingConstant({ colour: given, preparation, hidingGPerM2: null })).toBeCloseTo(expected, 9);
  });
  test('a measured hiding constant holds as it is, pale or dark', () => {
    const pale = { colour: '#f6f4ee', preparation: 'carded', hidingGPerM2: 71 } as const;
    expect(hidingConstant(pale)).toBe(71);
    expect(coatByContrast('#1d1c1e', pale).isHidingDefault).toBe(false);
  });
});

describe('layers share the finished volume', () => {
  test('the reference ball: 60 mm, firm, 250 g/m²', () => {
    const layers = coated(shapes.ball(60), 250);
    expect(layers.coatG).toBeCloseTo(2.827, 3);
    expect(layers.coreG).toBeCloseTo(14.137, 3);
    expect(30 - (layers.coreSolid?.widthMm ?? 0) / 2).toBeCloseTo(1.769, 3);
  });
  test('nothing is created: core and coat fill the piece, whatever the coat', () => {
    const any = fc.constantFrom(
      shapes.ball(40),
      shapes.egg(60, 40),
      shapes.limb(50, 12),
      shapes.taper(60, 24, 5),
      shapes.flat(40, 20, 4),
    );
    fc.assert(
      fc.property(any, fc.double({ min: 1, max: 3000, noNaN: true }), (shape, areal) => {
        const made = solid(shape);
        const layers = coated(shape, areal);
        expect(layers.coreG + layers.coatG).toBeCloseTo((made.volumeMm3 / 1000) * 0.15, 9);
        expect(layers.coreG).toBeGreaterThanOrEqual(0);
        if (layers.coreSolid) expect(layers.coreSolid.volumeMm3 / 1000).toBeCloseTo(layers.coreVolumeCm3, 6);
      }),
    );
  });
  test('a core fibre that felts denser weighs more in the same volume, and the coat is untouched', () => {
    const ownPart = part('ball', shapes.ball(60), { coat: 'coat' });
    const [plain, dense] = [1, 1.2].map((densityFactor) =>
      estimatePart(ownPart, shelf(fibre('core', { colour: '#e6e0d2', densityFactor }), fibre('coat'))),
    );
    const massOf = (estimate: typeof plain, index: number) => known(estimate?.uses[index]).pieceG;
    expect(massOf(dense, 0)).toBeCloseTo(1.2 * massOf(plain, 0), 9);
    expect(massOf(dense, 1)).toBeCloseTo(massOf(plain, 1), 9);
  });
  test('too thin for a core: the piece is all coat and says so', () => {
    const layers = coated(shapes.flat(40, 20, 2), 252);
    expect(layers).toMatchObject({ isAllCoat: true, coreG: 0, coreSolid: null });
    expect(layers.coatG).toBeCloseTo((Math.PI * 20 * 10 * 2 * 0.15) / 1000, 9);
  });
});

describe('roll-up size', () => {
  test('the reference ball rolls to 83.8 mm: 28.4 % less across, 63.3 % less in volume', () => {
    const ball = solid(shapes.ball(60));
    const rolled = rollUpSize(ball, 16.965, firm());
    if (rolled.kind !== 'rolled') throw new Error('a ball is rolled');
    expect(rolled.solid.sizesMm[0]).toBeCloseTo(83.8, 1);
    expect(1 - 60 / (rolled.solid.sizesMm[0] ?? 0)).toBeCloseTo(0.284, 3);
    expect(1 - ball.volumeMm3 / rolled.solid.volumeMm3).toBeCloseTo(0.633, 3);
  });
  test.each([
    ['ellipsoid', shapes.ellipsoid(90, 60, 50)],
    ['egg', shapes.egg(80, 60)],
    ['taper', shapes.taper(80, 20, 6)],
  ])('a rolled %s holds its mass at the packed density', (_name, shape) => {
    const made = solid(shape);
    const massG = (made.volumeMm3 / 1000) * 0.15;
    const rolled = rollUpSize(made, massG, firm());
    if (rolled.kind !== 'rolled') throw new Error('rolled');
    expect(massG / (rolled.solid.volumeMm3 / 1000)).toBeCloseTo(0.055, 9);
  });
  test('a roll with flat ends grows mostly across: length × q^0.15, width × q^0.425', () => {
    const rolled = rollUpSize(solid(shapes.taper(70, 14, 14)), 1, firm('tight', 0.055, 0.2));
    if (rolled.kind !== 'rolled') throw new Error('rolled');
    const q = 0.2 / 0.055;
    expect(rolled.solid.heightMm).toBeCloseTo(70 * q ** 0.15, 6);
    expect(rolled.solid.widthMm).toBeCloseTo(14 * q ** 0.425, 6);
  });
  test('a flat piece is laid out with its margin, loose, and deep enough for its mass', () => {
    const made = solid(shapes.flat(38, 20, 3));
    const laid = rollUpSize(made, 0.268, firm('loose', 0.028));
    if (laid.kind !== 'laid') throw new Error('laid');
    expect([laid.lengthMm, laid.widthMm]).toEqual([54, 36]);
    const volumeCm3 = ((Math.PI / 4) * laid.lengthMm * laid.widthMm * laid.depthMm) / 1000;
    expect(0.268 / volumeCm3).toBeCloseTo(0.028, 9);
  });
});

describe('tops by length', () => {
  test.each([
    ['long enough to pull', 2.4, 24, 75, { kind: 'pull', lengthMm: 100 }],
    ['staple unknown: only the length', 0.24, 24, null, { kind: 'pull', lengthMm: 10 }],
    ['under the staple: one staple split', 0.5, 24, 75, { kind: 'split', lengthMm: 75, ways: 3, trueG: 0.6 }],
    ['just under the staple: all of it', 1.7, 24, 75, { kind: 'split', lengthMm: 75, ways: 1, trueG: 1.8 }],
    ['too little for sixteen', 0.1, 24, 75, { kind: 'too-little' }],
  ] as const)('%s', (_name, massG, linear, staple, expected) => {
    const got = topsLength(massG, linear, staple);
    expect(got.kind).toBe(expected.kind);
    for (const [field, value] of Object.entries(expected)) {
      if (typeof value === 'number') expect(got[field as keyof typeof got]).toBeCloseTo(value, 9);
    }
  });
  test('a split never leaves anybody short', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        fc.integer({ min: 5, max: 40 }),
        fc.integer({ min: 40, max: 120 }),
        (massG, linear, staple) => {
          const got = topsLength(massG, linear, staple);
          if (got.kind === 'split') expect(got.trueG).toBeGreaterThanOrEqual(massG - 1e-9);
        },
      ),
    );
  });
});

describe('a part', () => {
  const fibres = shelf(
    fibre('core', { colour: '#e6e0d2', preparation: 'core-batt' }),
    fibre('coat'),
    fibre('tops', { preparation: 'tops', linearGPerM: 24 }),
  );

  test('gives core and coat for one piece and for all', () => {
    const estimate = estimatePart(part('p', shapes.ball(60), { count: 3, coat: 'coat' }), fibres);
    const [core, coat] = [known(estimate.uses[0]), known(estimate.uses[1])];
    expect(core.pieceG + coat.pieceG).toBeCloseTo(16.965, 3);
    expect(core.all.likelyG).toBeCloseTo(core.pieceG * 3, 9);
    expect(coat.role).toBe('coat');
  });
  test('the core is rolled up alone: a coat makes the roll smaller', () => {
    const bare = estimatePart(part('p', shapes.ball(60)), fibres).rollUp;
    const coated = estimatePart(part('p', shapes.ball(60), { coat: 'coat' }), fibres).rollUp;
    if (bare?.kind !== 'rolled' || coated?.kind !== 'rolled') throw new Error('rolled');
    expect(coated.solid.widthMm).toBeLessThan(bare.solid.widthMm);
  });
  test.each([
    ['no core fibre', { core: null }, 'core', 'fibre_missing'],
    ['no coat fibre: the core depends on it', { coat: null }, 'core', 'fibre_missing'],
    ['a fibre off the shelf', { core: 'gone' }, 'core', 'fibre_not_found'],
    ['a size not given', { shape: { kind: 'ball', diameter: null } as Shape }, 'core', 'sizes_missing'],
    ['an impossible limb', { shape: shapes.limb(5, 9) }, 'core', 'part_impossible'],
    ['a count of nought', { count: 0 }, 'core', 'part_impossible'],
    ['a count that is no number', { count: NaN }, 'core', 'part_impossible'],
  ] as const)('stays unknown with %s', (_name, more, role, reason) => {
    const { uses } = estimatePart(part('p', shapes.ball(60), more), fibres);
    expect(uses.find((use) => use.role === role)).toMatchObject({ kind: 'unknown', reason });
  });
  test('over an unknown core the coat is worked out at the strongest contrast', () => {
    const { uses, working } = estimatePart(part('p', shapes.ball(60), { core: null, coat: 'coat' }), fibres);
    expect(uses.map((use) => use.kind)).toEqual(['unknown', 'known']);
    expect(working.uses[1]?.coat?.isContrastAssumed).toBe(true);
  });
});

describe('one make', () => {
  const fibres = shelf(
    fibre('core', { colour: '#e6e0d2' }),
    fibre('coat'),
    fibre('free', { pricePer100gMinor: null }),
  );
  const figure = pattern(
    [
      part('body', shapes.egg(74, 56), { coat: 'coat' }),
      part('leaf', shapes.flat(38, 20, 3), { count: 2, core: 'coat' }),
      part('odd', { kind: 'ball', diameter: null }),
    ],
    {
      steps: [
        {
          ...BLANK_STEP,
          id: 's1',
          text: 'Roll',
          partIds: ['body'],
          stage: 'core',
          needle: { by: 'gauge', gauge: 38, profile: null },
          minutes: 20,
        },
        {
          ...BLANK_STEP,
          id: 's2',
          text: 'Coat',
          partIds: ['body'],
          stage: 'coat',
          needle: { by: 'gauge', gauge: 36, profile: null },
          minutes: null,
        },
        {
          ...BLANK_STEP,
          id: 's3',
          text: 'Smooth',
          partIds: ['body'],
          stage: 'finish',
          needle: { by: 'gauge', gauge: 38, profile: null },
          minutes: 5,
        },
      ],
    },
  );
  const estimate = estimatePattern(figure, fibres);

  test('adds each fibre over the parts, and the fibres to the whole', () => {
    const sum = estimate.fibres.reduce((grams, { total }) => grams + total.likelyG, 0);
    expect(sum).toBeCloseTo(estimate.total.likelyG, 9);
    const coat = estimate.fibres.find(({ fibreId }) => fibreId === 'coat')?.total.likelyG;
    const byHand = known(estimate.parts[0]?.uses[1]).pieceG + 2 * known(estimate.parts[1]?.uses[0]).pieceG;
    expect(coat).toBeCloseTo(byHand, 9);
  });
  test('counts what is unknown instead of taking it for nought', () => {
    expect(estimate.total.unknownCount).toBe(1);
    expect(stepTotals(figure).minutes).toEqual({ known: 25, low: 25, high: 25, unknownCount: 1 });
    expect(estimate.costMinor.unknownCount).toBe(1);
  });
  test('names each needle once, coarse to fine', () => {
    expect(stepTotals(figure).needles).toEqual([byGauge(36), byGauge(38)]);
  });
  test('a wholly unknown fibre is in the list, with nothing known', () => {
    const lone = pattern([part('p', { kind: 'ball', diameter: null }, { core: 'free' })]);
    expect(estimatePattern(lone, fibres).fibres).toEqual([
      { fibreId: 'free', total: { lowG: 0, likelyG: 0, highG: 0, unknownCount: 1 } },
    ]);
  });
  test('twice the size is eight times the core and four times a coat of the same thickness, near enough', () => {
    const at = (k: number) =>
      estimatePart(part('p', { kind: 'ball', diameter: mm(40 * k) }, { coat: 'coat' }), fibres).uses.map(
        (use) => known(use).pieceG,
      );
    const [small, large] = [at(1), at(2)];
    expect((large[1] ?? 0) / (small[1] ?? 1)).toBeCloseTo(4, 9);
    expect(((large[0] ?? 0) + (large[1] ?? 0)) / ((small[0] ?? 0) + (small[1] ?? 0))).toBeCloseTo(8, 9);
  });
});

describe('since the last revision', () => {
  const fibres = shelf(fibre('core', { colour: '#e6e0d2' }), fibre('coat'));
  const estimate = (...sizes: number[]) =>
    estimatePattern(pattern(sizes.map((size, i) => part(`p${i}`, shapes.ball(size)))), fibres);
  const ballsG = (sizes: number[]) => sizes.reduce((sum, d) => sum + (Math.PI / 6000) * d ** 3 * 0.15, 0);
  test.each<[string, number[], number[], string | null]>([
    ['nothing moved', [40, 20], [40, 20], null],
    ['one part grew', [40, 24], [40, 20], 'p1'],
    ['both moved: the one that moved most', [44, 21], [40, 20], 'p0'],
    ['a part was left out', [40], [40, 20], 'p1'],
    ['a part is new', [40, 20, 10], [40, 20], 'p2'],
  ])('%s', (_name, now, before, mostPartId) => {
    const move = compareEstimates(estimate(...now), estimate(...before));
    expect(move.mostPartId).toBe(mostPartId);
    expect(move.moreG).toBeCloseTo(ballsG(now) - ballsG(before), 9);
  });
  test('a part’s own total is its uses for all its pieces', () => {
    const partEstimate = estimatePart(part('p', shapes.egg(60, 40), { count: 3, coat: 'coat' }), fibres);
    expect(partEstimate.total.likelyG).toBeCloseTo(3 * partEstimate.pieceG, 9);
    expect(partEstimate.total.unknownCount).toBe(0);
  });
});
