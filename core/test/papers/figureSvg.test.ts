import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern } from '../../src/engine/index.ts';
import { lookOfBuild } from '../../src/figure/index.ts';
import { bagLine, type FigureSvg, fittedLabels, makePaper, type PaperLabel } from '../../src/papers/index.ts';
import { figureSvg } from '../../src/papers/figureSvg.ts';
import { type Pattern, straightOut } from '../../src/pattern/index.ts';
import { LABEL_SHEET } from '../../src/run/index.ts';
import { classOf, duo, kitsOf, sourceOf } from '../support/coast.ts';
import { WOOL } from '../support/engine.ts';
import { mm, part, pattern, shapes } from '../support/make.ts';
import { placement } from '../support/places.ts';
import { joined } from '../support/writing.ts';

const lookOf = (build: Pattern) => lookOfBuild(build, estimatePattern(build, WOOL), WOOL);
const snowman = (bodyMm: number): Pattern =>
  pattern([part('body', shapes.ball(bodyMm)), part('head', shapes.ball(bodyMm / 2))], {
    joins: [joined('head', 'body', { sink: mm(4), placement: placement('each', [straightOut(0, 1)]) })],
  });
const viewBox = ({ svg }: FigureSvg): number[] =>
  (/viewBox="([^"]+)"/.exec(svg)?.[1] ?? '').split(' ').map(Number);

/** Every point that is drawn, moved as its group is. */
function drawnPoints({ svg }: FigureSvg): [number, number][][] {
  return [...svg.matchAll(/<g transform="translate\((\S+) (\S+)\) scale\(1 -1\)">(.*?)<\/g>/g)].map(
    ([, x, y, inner]) =>
      [...(inner ?? '').matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, px, py]): [number, number] => [
        Number(x) + Number(px),
        Number(y) - Number(py),
      ]),
  );
}

describe('a small figure for paper', () => {
  test('side by side on one ground, to one scale, nothing out of the picture', () => {
    const figure = figureSvg([lookOf(snowman(60)), lookOf(snowman(30))]);
    if (!figure) throw new Error('a figure');
    const [, , width = 0, height = 0] = viewBox(figure);
    expect(figure.aspect).toBeCloseTo(width / height, 2);
    const groups = drawnPoints(figure);
    expect(groups).toHaveLength(2);
    const spans = groups.map((points) => {
      const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
      for (const x of xs) expect(x).toBeGreaterThanOrEqual(0);
      expect(Math.max(...xs)).toBeLessThanOrEqual(width);
      expect(Math.min(...ys)).toBeGreaterThanOrEqual(0);
      return { left: Math.min(...xs), right: Math.max(...xs), ground: Math.max(...ys), wide: Math.max(...xs) - Math.min(...xs) };
    });
    // Balls of 60 and 30, each as wide as it is, the second wholly beside the first.
    expect(spans[0]?.wide).toBeCloseTo(60, 0);
    expect(spans[1]?.wide).toBeCloseTo(30, 0);
    expect(spans[1]?.left ?? 0).toBeGreaterThan(spans[0]?.right ?? 0);
    expect(spans[1]?.ground).toBeCloseTo(spans[0]?.ground ?? 0, 1);
  });
  test('pieces that nothing joins are no figure', () => {
    expect(figureSvg([lookOf(pattern([part('a', shapes.ball(20)), part('b', shapes.ball(20))]))])).toBeNull();
    expect(figureSvg([])).toBeNull();
  });
  test('each kind of pack once, however many labels; other papers have none', () => {
    const source = sourceOf(classOf({ seats: 9 }));
    const { labels, figures } = makePaper('labels', source);
    expect(Object.keys(figures)).toEqual([...new Set(labels.map(({ figureKey }) => figureKey))]);
    expect(makePaper('packs', source).figures).toEqual({});
    // Two pears and a bird in a box: no more pieces of one for being made twice.
    const [box] = Object.values(makePaper('labels', sourceOf(kitsOf([duo()]))).figures);
    expect(box && drawnPoints(box).length).toBeLessThanOrEqual(2);
  });
  test('beside title and bag line, or not at all', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 0, max: 60 }), fc.double({ min: 0.2, max: 5, noNaN: true }), fc.integer({ min: 25, max: 110 }), fc.integer({ min: 15, max: 60 }), (letters, bagLetters, aspect, widthMm, heightMm) => {
        const label: PaperLabel = { title: 'n'.repeat(letters), bag: 'n'.repeat(bagLetters), code: '', lines: [], parts: '', keepBack: '', foot: '', figureKey: 'k' };
        const sheet = { ...LABEL_SHEET, widthMm, heightMm };
        const [fitted] = fittedLabels({ labels: [label], figures: { k: { svg: '<svg/>', aspect } } }, sheet);
        if (!fitted?.figureMm) return;
        // An n of the title is 1.8 mm wide, one of the bag line 1.2.
        const wordsMm = Math.max(letters * 1.8, bagLine(fitted).length * 1.2);
        expect(wordsMm + fitted.figureMm.widthMm).toBeLessThanOrEqual(widthMm - 5);
        expect(fitted.figureMm.heightMm).toBeLessThanOrEqual(8 + 1e-9);
        expect(fitted.figureMm.widthMm / fitted.figureMm.heightMm).toBeCloseTo(aspect, 6);
      }),
    );
  });
}); // prettier-ignore
