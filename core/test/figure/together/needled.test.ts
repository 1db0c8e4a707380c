import { describe, expect, test } from '@jest/globals';
import { estimatePattern } from '../../../src/engine/index.ts';
import { drawnFigure, FRONT, guidePieces, putTogether } from '../../../src/figure/index.ts';
import { checkPattern, missingForPublishing, straightOut } from '../../../src/pattern/index.ts';
import { piecesToMake } from '../../../src/reading/index.ts';
import { resizePattern } from '../../../src/resize/index.ts';
import { pieceLines } from '../../../src/words/index.ts';
import { WOOL } from '../../support/engine.ts';
import { mm, part, pattern, shapes, use } from '../../support/make.ts';
import { extentOf } from '../../support/outlines.ts';
import { placement } from '../../support/places.ts';

const mouth = use('needled', 'mouth', null, {
  form: 'line',
  length: mm(20),
  depth: mm(2),
  words: 'a mouth',
  placement: placement('each', [straightOut(0, 0.4)]),
});
const socket = use('needled', 'socket', null, {
  form: 'hollow',
  length: mm(10),
  width: mm(8),
  count: 2,
  placement: placement('mirror', [straightOut(30, 0.6)]),
});
const plain = part('head', shapes.ball(60), { coat: 'coat' });
const head = { ...plain, uses: [...plain.uses, mouth, socket] };
const build = pattern([head]);

describe('lines and hollows that are only needled', () => {
  test('take no wool, and nothing is missing of them', () => {
    const [bare, needled] = [pattern([plain]), build].map((figure) => estimatePattern(figure, WOOL));
    expect(needled?.total).toEqual(bare?.total);
    expect(needled?.uses).toHaveLength(bare?.uses.length ?? NaN);
    expect(checkPattern(build)).toEqual([]);
    expect(missingForPublishing(build)).toEqual(missingForPublishing(pattern([plain])));
  });
  test('are seen where they are: the mouth in front, a hollow on each side', () => {
    const estimate = estimatePattern(build, WOOL);
    const { pieces } = drawnFigure(putTogether(build, estimate, WOOL.findings), build.parts, FRONT);
    const marks = pieces.flatMap((piece) => piece.marks);
    const grooves = marks.flatMap((mark) => (mark.kind === 'groove' ? [extentOf(mark.points)] : []));
    expect(grooves).toHaveLength(1);
    // A way of 20 over a ball of 30 at 0.4 of its height is seen a little shorter.
    expect(grooves[0]?.across).toBeGreaterThan(18);
    expect(grooves[0]?.across).toBeLessThanOrEqual(20);
    const hollows = marks.flatMap((mark) => (mark.kind === 'hollow' ? [extentOf(mark.outline)] : []));
    const middles = hollows.map(({ left, right }) => (left + right) / 2);
    expect(middles).toHaveLength(2);
    expect((middles[0] ?? 0) + (middles[1] ?? 0)).toBeCloseTo(0, 1);
  });
  test('are marked on the guide, and told to whoever makes the piece', () => {
    const estimate = estimatePattern(build, WOOL);
    const [piece] = guidePieces([{ build, whole: build, estimate, findings: WOOL.findings }]).pieces;
    const marks = piece?.piece.kind === 'part' ? piece.piece.marks : [];
    expect(marks.filter(({ of }) => of.kind === 'use')).toHaveLength(3);
    const [toMake] = piecesToMake(build, build, estimate, WOOL);
    const lines = toMake ? pieceLines(toMake, build, WOOL) : [];
    const told = lines.flatMap((line) => (line.kind === 'work' && line.label === 'Needled, no wool' ? [line.text] : []));
    expect(told).toEqual(['a line 20 mm, drawn in 2 mm: a mouth', '2 hollows 10 × 8 mm']);
  }); // prettier-ignore
  test('grow with the figure', () => {
    const [grown] = resizePattern(build, 2).parts;
    const sizes = grown?.uses.flatMap((each) => (each.role === 'needled' ? [each.length?.value, each.depth?.value] : []));
    expect(sizes).toEqual([40, 4, 20, undefined]);
  }); // prettier-ignore
});
