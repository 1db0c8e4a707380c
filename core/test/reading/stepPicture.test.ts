import { describe, expect, test } from '@jest/globals';
import { estimatePattern } from '../../src/engine/index.ts';
import { putTogether } from '../../src/figure/index.ts';
import { BLANK_STEP, type Pattern, type Step, straightOut, STROKES } from '../../src/pattern/index.ts';
import { buildUpTo, stepPicture, strokeLines } from '../../src/reading/index.ts';
import { WOOL } from '../support/engine.ts';
import { mm, part, pattern, shapes } from '../support/make.ts';
import { placement } from '../support/places.ts';
import { joined } from '../support/writing.ts';

const step = (id: string, kind: Step['act']['kind'], partIds: string[], more: Partial<Step> = {}): Step => ({
  ...BLANK_STEP,
  id,
  act: { kind } as Step['act'],
  partIds,
  ...more,
});

/** A body, a head set on it, both covered; a tail at the back. */
const figure = (more: Partial<Pattern> = {}): Pattern =>
  pattern(
    [
      part('body', shapes.ball(60), { coat: 'coat' }),
      part('head', shapes.ball(40), { coat: 'dark' }),
      part('tail', shapes.limb(30, 8)),
    ],
    {
      joins: [
        joined('head', 'body', { looseEnd: null, sink: mm(5), placement: placement('each', [straightOut(0, 1)]) }),
        joined('tail', 'body', { looseEnd: null, sink: mm(3), placement: placement('each', [straightOut(180, 0.4)]) }),
      ],
      steps: [
        step('body', 'make', ['body'], { stage: 'core', stroke: 'toward-centre' }),
        step('head', 'make', ['head'], { stage: 'core' }),
        step('set', 'join', ['head', 'body'], { stage: 'join', stroke: 'from-both-sides' }),
        step('coat', 'wrap', ['body', 'head'], { stage: 'coat' }),
        step('tail', 'make', ['tail'], { stage: 'core' }),
        step('tail-on', 'join', ['tail', 'body'], { stage: 'join' }),
      ],
      ...more,
    },
  ); // prettier-ignore

describe('a build as far as a step', () => {
  const upTo = (at: number) => {
    const { parts, joins } = buildUpTo(figure(), at);
    return {
      parts: parts.map(({ id, uses }) => `${id}:${uses.map(({ role }) => role).join('+')}`),
      joins: joins.map(({ partId }) => partId),
    };
  };
  test.each([
    [0, ['body:core'], []],
    [1, ['body:core', 'head:core'], []],
    [2, ['body:core', 'head:core'], ['head']],
    [3, ['body:core+coat', 'head:core+coat'], ['head']],
    [4, ['body:core+coat', 'head:core+coat', 'tail:core'], ['head']],
    [5, ['body:core+coat', 'head:core+coat', 'tail:core'], ['head', 'tail']],
  ])('step %d', (at, parts, joins) => {
    expect(upTo(at)).toEqual({ parts, joins });
  });
  test('at the last step it is the whole of it', () => {
    const build = figure();
    expect(buildUpTo(build, 5).parts).toEqual(build.parts);
    expect(buildUpTo(build, 5).joins).toEqual(build.joins);
  });
  test('what no step names is not there; what is joined by no step is joined once it is finished', () => {
    const build = figure({ steps: [step('all', 'make', ['body', 'head'])] });
    const last = buildUpTo(build, 0);
    expect(last.parts.map(({ id }) => id)).toEqual(['body', 'head']);
    expect(last.joins.map(({ partId }) => partId)).toEqual(['head']);
  });
  test('a finding comes on at its step', () => {
    const withEyes = figure({
      findings: [{ id: 'eyes', findingId: 'bead', partId: 'head', count: 2, placement: null }],
      steps: [...figure().steps, step('eyes', 'sew', ['head'])],
    });
    expect(buildUpTo(withEyes, 5).findings).toEqual([]);
    expect(buildUpTo(withEyes, 6).findings).toHaveLength(1);
  });
});

describe('the picture of a step', () => {
  const picture = (stepId: string, build = figure()) => stepPicture(build, stepId, WOOL);
  const partsIn = (stepId: string) =>
    [...new Set(picture(stepId)?.drawn.pieces.map(({ partId }) => partId))].sort((a, b) =>
      a.localeCompare(b),
    );

  test.each([
    ['body', ['body']],
    ['head', ['head']],
    ['set', ['body', 'head']],
    ['tail', ['tail']],
    ['tail-on', ['body', 'head', 'tail']],
  ])('%s shows what hangs together with what is worked on', (stepId, parts) => {
    expect(partsIn(stepId)).toEqual(parts);
  });
  test('in the wool that is on it by then', () => {
    const fibresOf = (stepId: string) => picture(stepId)?.drawn.pieces.map(({ fibreId }) => fibreId);
    expect(fibresOf('set')).toEqual(['core', 'core']);
    expect(fibresOf('coat')?.sort((a, b) => (a ?? '').localeCompare(b ?? ''))).toEqual(['coat', 'dark']);
    expect(Object.keys(picture('coat')?.wool ?? {}).sort((a, b) => a.localeCompare(b))).toEqual([
      'coat',
      'dark',
    ]);
  });
  test('not joined yet, two that are worked on lie side by side and not over one another', () => {
    const build = figure({ steps: [step('both', 'make', ['body', 'head', 'tail'], { stage: 'core' }), step('later', 'join', ['head', 'body']), step('last', 'join', ['tail', 'body'])] });
    const { drawn } = picture('both', build) ?? {};
    const spans = (drawn?.pieces ?? []).map(({ outline }) => outline.flat().map(([x]) => x)).map((xs) => [Math.min(...xs), Math.max(...xs)] as const).sort((a, b) => a[0] - b[0]);
    expect(spans).toHaveLength(3);
    spans.slice(1).forEach(([left], at) => expect(left).toBeGreaterThan((spans[at]?.[1] ?? Infinity) + 5));
  }); // prettier-ignore
  test('the tail is set on at the back: it is looked at from there', () => {
    const drawn = picture('tail-on')?.drawn;
    // Drawn last is nearest.
    expect(drawn?.pieces.at(-1)?.partId).toBe('tail');
  });
  test('the whole figure at the last step is as large as the figure is', () => {
    const build = figure();
    const estimate = estimatePattern(build, WOOL);
    const top = Math.max(...putTogether(build, estimate, WOOL.findings).figure.pieces.map(({ frame, body }) => frame.origin[1] + body.heightMm * frame.y[1]));
    expect(picture('tail-on')?.drawn.box.topMm).toBeCloseTo(top, 0);
  }); // prettier-ignore
  test('a size that follows from a part that is not begun yet is there; wool to be laid on later lies by itself', () => {
    const build = figure({
      parts: [
        ...figure().parts,
        part('ring', shapes.ring(1, 4), {
          derived: [{ from: 'part', size: 'outer', partId: 'body', ofSize: 'diameter', ratio: 0.5 }],
        }),
        part('fringe', shapes.fringe(40, 12)),
      ],
      steps: [step('ring', 'make', ['ring']), step('fringe', 'cut', ['fringe']), ...figure().steps],
    });
    const acrossOf = (stepId: string) => {
      const box = picture(stepId, build)?.drawn.box;
      return box ? box.rightMm - box.leftMm : NaN;
    };
    expect(acrossOf('ring')).toBeCloseTo(30, 0);
    expect(acrossOf('fringe')).toBeCloseTo(40, 1);
  });
  test('nothing to draw is no picture', () => {
    expect(picture('none')).toBeNull();
    const unknown = pattern([part('p', { kind: 'ball', diameter: null })], {
      steps: [step('s', 'make', ['p'])],
    });
    expect(stepPicture(unknown, 's', WOOL)).toBeNull();
  });
  test('its strokes are those of the step, at what is worked on', () => {
    expect(picture('head')?.strokes).toEqual([]);
    const toCentre = picture('body')?.strokes ?? [];
    expect(toCentre).toHaveLength(6);
    // Each ends nearer the middle of the ball than it begins.
    for (const { points } of toCentre) {
      const [from, to] = [points[0], points.at(-1)].map((point) => Math.hypot(point?.[0] ?? 0, (point?.[1] ?? 0) - 30));
      expect(to).toBeLessThan(from ?? 0);
    }
    // Where head and body meet: about 55 up.
    for (const { points } of picture('set')?.strokes ?? []) expect(Math.abs((points.at(-1)?.[1] ?? 0) - 55)).toBeLessThan(6);
  }); // prettier-ignore
});

describe('marks of strokes', () => {
  const box = { leftMm: 10, rightMm: 50, bottomMm: 0, topMm: 80, joinAt: [30, 0] as const };
  test.each(STROKES)('%s: at least one arrow, all within a finger’s breadth of the piece', (stroke) => {
    const lines = strokeLines(stroke, box);
    expect(lines.some(({ hasHead }) => hasHead)).toBe(true);
    for (const [x, y] of lines.flatMap(({ points }) => points)) {
      expect(x).toBeGreaterThan(box.leftMm - 20);
      expect(x).toBeLessThan(box.rightMm + 20);
      expect(y).toBeGreaterThan(box.bottomMm - 20);
      expect(y).toBeLessThan(box.topMm + 20);
    }
  });
  test('no two look alike', () => {
    expect(new Set(STROKES.map((stroke) => JSON.stringify(strokeLines(stroke, box)))).size).toBe(
      STROKES.length,
    );
  });
});
