import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern, type Wool } from '../../../src/engine/index.ts';
import {
  enclosureFit,
  heightAgainst,
  isGoingIn,
  proportionsOf,
  proportionToKeep,
  proposedSizes,
  putTogether,
} from '../../../src/figure/index.ts';
import {
  blankCut,
  blankEnclosure,
  checkPattern,
  type Enclosure,
  type Pattern,
  type Proportion,
  straightOut,
  withoutPart,
} from '../../../src/pattern/index.ts';
import { resizePattern } from '../../../src/resize/index.ts';
import { remarksOf } from '../../../src/review/index.ts';
import { enclosureWords, proportionWords } from '../../../src/words/index.ts';
import { finding, WOOL } from '../../support/engine.ts';
import { mm, part, pattern, shapes } from '../../support/make.ts';
import { placement } from '../../support/places.ts';
import { joined } from '../../support/writing.ts';

const togetherOf = (build: Pattern, wool: Wool = WOOL) => {
  const estimate = estimatePattern(build, wool);
  return { estimate, ...putTogether(build, estimate, wool.findings) };
};
/** A ball 60 with a ball 40 on it, sunk 5: 95 high, 60 across. */
const snowman = (more: Partial<Pattern> = {}, headMm = 40) =>
  pattern([part('body', shapes.ball(60)), part('head', shapes.ball(headMm))], {
    joins: [joined('head', 'body', { looseEnd: null, sink: mm(5), placement: placement('each', [straightOut(0, 1)]) })],
    ...more,
  }); // prettier-ignore

const proportion = (more: Partial<Proportion> = {}): Proportion => ({
  id: 'half',
  a: { of: 'part', partId: 'head', size: 'diameter' },
  b: { of: 'part', partId: 'body', size: 'diameter' },
  ratio: 2 / 3,
  toleranceFraction: 0.1,
  ...more,
});

test('a stated height is held against all of the figure, what hangs from it too', () => {
  const cord = (finishedHeightMm: number) =>
    snowman({
      finishedHeight: mm(finishedHeightMm),
      cuts: [
        {
          ...(blankCut('c', 'cord') as Extract<Pattern['cuts'][number], { kind: 'cord' }>),
          drop: mm(45),
          seat: { partId: 'body', runs: 'down', hangBy: null, placement: placement('each', [straightOut(0, 0)]) },
        },
      ],
    });
  const codes = (build: Pattern) => remarksOf(build, WOOL).map(({ code }) => code);
  expect(codes(cord(140))).not.toContain('height_off_figure');
  expect(codes(cord(95))).toContain('height_off_figure');
}); // prettier-ignore

describe('proportions', () => {
  const toldOf = (build: Pattern) => {
    const { estimate, figure } = togetherOf(build);
    return proportionsOf(figure, build, estimate)[0];
  };
  test.each([
    [40, false, 0],
    [44, false, 0.1],
    [44.1, true, 0.1025],
    [30, true, -0.25],
  ])('a head of %d on a body of 60, ⅔ wanted within 10 %%: broken %s', (head, isBroken, off) => {
    const told = toldOf(snowman({ proportions: [proportion()] }, head));
    expect(told).toMatchObject({ kind: 'told', isBroken });
    expect(told?.kind === 'told' && told.off).toBeCloseTo(off, 6);
  });
  test('a size over all, of the whole figure', () => {
    const told = toldOf(
      snowman({ proportions: [proportion({ a: { of: 'figure', size: 'height' }, b: { of: 'figure', size: 'width' }, ratio: 1 })] }),
    );
    expect(told?.kind === 'told' && told.ratio).toBeCloseTo(95 / 60, 6);
  }); // prettier-ignore
  test('a size that follows from another is taken as it comes out', () => {
    const build = snowman({ proportions: [proportion()] });
    const derived: Pattern = {
      ...build,
      parts: build.parts.map((each) =>
        each.id === 'head'
          ? { ...each, shape: { kind: 'ball', diameter: null }, derived: [{ from: 'part', size: 'diameter', partId: 'body', ofSize: 'diameter', ratio: 0.5 }] }
          : each,
      ),
    };
    const told = toldOf(derived);
    expect(told?.kind === 'told' && told.ratio).toBeCloseTo(0.5, 6);
  }); // prettier-ignore
  test('what is not known is unknown, and no remark', () => {
    const build = snowman({
      proportions: [proportion({ b: { of: 'part', partId: 'body', size: 'length' } })],
    });
    expect(toldOf(build)).toMatchObject({ kind: 'unknown' });
    expect(remarksOf(build, WOOL).filter(({ code }) => code === 'proportion_off')).toEqual([]);
    const told = toldOf(build);
    expect(told && proportionWords(told, build)).toContain('unknown');
  });
  test('a change that breaks one is told; another size of all of it breaks none', () => {
    const codes = (build: Pattern) => remarksOf(build, WOOL).map(({ code }) => code);
    const build = snowman({ proportions: [proportion()] });
    expect(codes(build)).not.toContain('proportion_off');
    expect(codes(resizePattern(build, 1.7))).not.toContain('proportion_off');
    expect(codes({ ...build, parts: snowman({}, 55).parts })).toContain('proportion_off');
  });
  test('kept as it is now it is not broken', () => {
    const build = snowman();
    const { estimate, figure } = togetherOf(build);
    const sizes = proposedSizes(figure, build.parts, estimate);
    expect(sizes).toEqual({ a: proportion().a, b: proportion().b });
    const kept = sizes && proportionToKeep('p', figure, sizes, estimate);
    expect(toldOf(snowman({ proportions: kept ? [kept] : [] }))).toMatchObject({ isBroken: false });
  });
  test('it goes with its part, and may name none that is not there', () => {
    const build = snowman({ proportions: [proportion()] });
    expect(withoutPart(build, 'head').proportions).toEqual([]);
    const stray = checkPattern({ ...build, proportions: [proportion({ a: { of: 'part', partId: 'nose', size: 'diameter' } })] });
    expect(stray.map(({ pointer }) => pointer)).toEqual(['/proportions/0/a/partId']);
  }); // prettier-ignore
});

const into = (more: Partial<Enclosure>): Enclosure => ({ ...blankEnclosure('e'), ...more });
const fitOf = (build: Pattern, enclosure: Enclosure, wool: Wool = WOOL) =>
  enclosureFit(togetherOf(build, wool).figure, enclosure, wool.findings);
const insideOf = (build: Pattern, enclosure: Enclosure) => {
  const fit = fitOf(build, enclosure);
  return fit.kind === 'told' ? fit.insideMm : NaN;
};

describe('what it goes into', () => {
  test.each([
    ['a jar just round it', into({ shape: 'round', across: mm(70), height: mm(120) }), 5],
    ['a jar too narrow', into({ shape: 'round', across: mm(50), height: mm(120) }), -5],
    ['a jar too low', into({ shape: 'round', across: mm(90), height: mm(90) }), -5],
    ['a box', into({ shape: 'box', across: mm(80), depth: mm(66), height: mm(120) }), 3],
    ['a frame too shallow', into({ shape: 'frame', across: mm(120), depth: mm(40), height: mm(120) }), -10],
  ])('a figure 60 across and 95 high: %s', (_name, enclosure, spare) => {
    expect(insideOf(snowman(), enclosure)).toBeCloseTo(spare, 2);
  });

  test('a plate goes into a box across its corners, and not into a frame of the same size', () => {
    // Standing on its edge: 120 wide, 4 thick; the diagonal of a square of 90 is 127.
    const plate = pattern([part('p', shapes.plate(40, 120, 4, 0.1))]);
    const sizes = { across: mm(90), depth: mm(90), height: mm(60) };
    expect(insideOf(plate, into({ shape: 'box', ...sizes }))).toBeGreaterThan(0);
    expect(insideOf(plate, into({ shape: 'frame', ...sizes }))).toBeCloseTo(-15, 1);
  });

  test('a dome, against brute force over every place on its floor', () => {
    /** Points of two balls one on the other, made here; the best of a grid of places. */
    const brute = (across: number, height: number, headMm: number): number => {
      const points: [number, number, number][] = [];
      for (const [radius, middle] of [[30, 30], [headMm / 2, 55 + headMm / 2]] as const)
        for (let up = 0; up <= 60; up++) {
          const angle = Math.PI * (up / 60 - 0.5);
          points.push([radius * Math.cos(angle), middle + radius * Math.sin(angle), 0]);
        }
      // Round about its upright, and about the middle of the dome: nowhere is better than there.
      return points.reduce((least, [x, y]) => {
        const share = 1 - (y / height) ** 2;
        return Math.min(least, share < 0 ? height - y : (across / 2) * Math.sqrt(share) - x);
      }, Infinity);
    };
    fc.assert(
      fc.property(
        fc.double({ min: 80, max: 200, noNaN: true }),
        fc.double({ min: 100, max: 200, noNaN: true }),
        fc.double({ min: 20, max: 50, noNaN: true }),
        (across, height, head) => {
          const told = insideOf(snowman({}, head), into({ across: mm(across), height: mm(height) }));
          expect(Math.abs(told - brute(across, height, head))).toBeLessThan(1);
        },
      ),
      { numRuns: 20 },
    );
  }); // prettier-ignore

  test.each([
    ['head first', { openingAcross: mm(64) }, 'head-first', 2],
    ['not even so', { openingAcross: mm(58) }, 'head-first', -1],
  ] as const)('through an opening of its jar, %s', (_name, opening, way, spare) => {
    const fit = fitOf(snowman(), into({ shape: 'round', across: mm(90), height: mm(120), ...opening }));
    expect(fit.kind === 'told' && fit.opening?.way).toBe(way);
    expect(fit.kind === 'told' && fit.opening?.mm).toBeCloseTo(spare, 1);
    expect(isGoingIn(fit)).toBe(spare >= 0);
  });
  test('a flat thing goes through a slot edge on', () => {
    const plate = pattern([part('p', shapes.plate(40, 90, 4, 0.1))]);
    const fit = fitOf(plate, into({ shape: 'box', across: mm(100), depth: mm(100), height: mm(60), openingAcross: mm(95), openingDepth: mm(6) }));
    expect(fit.kind === 'told' && fit.opening?.mm).toBeCloseTo(1, 1);
  }); // prettier-ignore

  test('a figure of many pieces goes in as one of two does', () => {
    const many = pattern([part('body', shapes.ball(60)), part('hair', shapes.ball(4), { count: 200 })], {
      joins: [
        joined('hair', 'body', {
          looseEnd: null,
          sink: mm(2),
          placement: placement('ring', [straightOut(0, 0.5)]),
        }),
      ],
    });
    expect(insideOf(many, into({ shape: 'round', across: mm(84), height: mm(70) }))).toBeCloseTo(10, 0);
  });

  test('a bought one by what it is inside; unknown sizes are unknown', () => {
    const wool: Wool = { ...WOOL, findings: new Map([['globe', finding('globe', { innerMm: 80 })]]) };
    const bought = into({ shape: 'round', findingId: 'globe', height: mm(120) });
    const fit = fitOf(snowman(), bought, wool);
    expect(fit.kind === 'told' && fit.insideMm).toBeCloseTo(10, 1);
    expect(fitOf(snowman(), { ...bought, height: null }, wool).kind).toBe('sizes-missing');
    expect(fitOf(snowman(), { ...bought, findingId: null }, wool).kind).toBe('sizes-missing');
    expect(fitOf(pattern([]), bought, wool).kind).toBe('no-figure');
  });
  test('too small is a remark, and said with by how much', () => {
    const small = into({ shape: 'round', name: 'the jam jar', across: mm(50), height: mm(120) });
    const build = snowman({ enclosures: [small] });
    expect(remarksOf(build, WOOL).map(({ code }) => code)).toContain('enclosure_too_small');
    expect(enclosureWords(fitOf(build, small), 'mm')).toBe(
      'Into the jam jar it does not go: 5 mm too large.',
    );
  });
});

describe('a stated height, where more is cut for the figure than its pieces', () => {
  const cord = { ...blankCut('c', 'cord') };
  const against = (statedMm: number, cuts: Pattern['cuts']) => {
    const build = snowman({ finishedHeight: mm(statedMm), cuts });
    return heightAgainst(togetherOf(build).figure, build);
  };
  test.each([
    ['lower than stated: the rest is the cord', 200, [cord], { kind: 'more-than-pieces' }],
    ['already higher: a cord makes it no lower', 80, [cord], { kind: 'told', isOff: true }],
    ['as stated', 95, [], { kind: 'told', isOff: false }],
    ['nothing but pieces, and lower', 200, [], { kind: 'told', isOff: true }],
  ] as const)('%s', (_name, stated, cuts, told) => {
    expect(against(stated, [...cuts])).toMatchObject(told);
  });
});
