import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { guideOf, guideSvg, type GuideItem, type Guide } from '../../src/papers/index.ts';
import { blankCut, blankSegment, type Part, type Pattern, straightOut } from '../../src/pattern/index.ts';
import { PAGE_SIZES_MM, type PageSize } from '../../src/run/index.ts';
import { WOOL } from '../support/engine.ts';
import { mm, part, pattern, shapes } from '../support/make.ts';
import { distanceTo, extentOf } from '../support/outlines.ts';
import { placement } from '../support/places.ts';
import { joined } from '../support/writing.ts';

type Rect = Guide['pages'][number]['cells'][number];

const EDGE_MM = 10;
const HEAD_MM = 22;
const PAGES: readonly PageSize[] = ['a4', 'letter'];

const laid = (build: Pattern, page: PageSize = 'a4'): Guide =>
  guideOf({ title: build.title, builds: [{ build, whole: build, forWhom: '' }] }, WOOL, page);
const linesOf = ({ items }: { items: readonly GuideItem[] }, stroke: string) =>
  items.flatMap((item) =>
    // The head has a sample of each.
    item.kind === 'line' && item.stroke === stroke && Math.min(...item.points.map(([, y]) => y)) > HEAD_MM
      ? [item]
      : [],
  );
const wordsOf = (guide: Guide) =>
  guide.pages
    .flatMap(({ items }) => items.flatMap((item) => (item.kind === 'text' ? [item.text] : [])))
    .join('\n');

/** Any pieces a maker may have, some larger than a page. */
const anyParts = (mostMm: number) =>
  fc
    .array(
      fc.tuple(
        fc.constantFrom('ball', 'limb', 'flat', 'ellipsoid'),
        fc.double({ min: 6, max: mostMm, noNaN: true }),
        fc.double({ min: 0.1, max: 1, noNaN: true }),
      ),
      { minLength: 1, maxLength: 24 },
    )
    .map((drawn) =>
      drawn.map(([kind, size, ratio], at): Part => {
        const id = `p${at}`;
        if (kind === 'ball') return part(id, shapes.ball(size));
        if (kind === 'limb') return part(id, shapes.limb(size, Math.max(2, size * ratio * 0.5)));
        if (kind === 'flat') return part(id, shapes.flat(size, Math.max(4, size * ratio), 3));
        return part(id, shapes.ellipsoid(size, Math.max(3, size * ratio), 5));
      }),
    );

const isOver = (a: Rect, b: Rect): boolean =>
  a.xMm + a.widthMm > b.xMm + 1e-6 &&
  b.xMm + b.widthMm > a.xMm + 1e-6 &&
  a.yMm + a.heightMm > b.yMm + 1e-6 &&
  b.yMm + b.heightMm > a.yMm + 1e-6;

const expectWithin = (guide: Guide, page: PageSize) => {
  const { widthMm, heightMm } = PAGE_SIZES_MM[page];
  for (const { items, cells } of guide.pages) {
    const points = items.flatMap((item) => (item.kind === 'line' ? item.points : [item.at]));
    const { left, right, top, bottom } = extentOf(points);
    expect(Math.min(left, top)).toBeGreaterThanOrEqual(EDGE_MM - 1e-6);
    expect(right).toBeLessThanOrEqual(widthMm - EDGE_MM + 1e-6);
    expect(bottom).toBeLessThanOrEqual(heightMm - EDGE_MM + 1e-6);
    const over = cells.flatMap((a, at) => cells.slice(at + 1).filter((b) => isOver(a, b)));
    expect(over).toEqual([]);
  }
};

describe('on its pages', () => {
  test.each(PAGES)('%s: whatever there is, each is drawn once, none over another or off the page', (page) => {
    fc.assert(
      fc.property(anyParts(120), (parts) => {
        const guide = laid(pattern(parts), page);
        expectWithin(guide, page);
        const drawn = guide.pages.flatMap((guidePage) => linesOf(guidePage, 'finished'));
        expect(drawn).toHaveLength(parts.length);
      }),
      { numRuns: 25 },
    );
  });

  test.each(PAGES)('%s: a bar of 100 mm and a square of 20 on every page', (page) => {
    const guide = laid(pattern([part('p', shapes.ball(60)), part('q', shapes.ball(300))]), page);
    for (const guidePage of guide.pages) {
      const sizes = linesOf(guidePage, 'ruler').map(({ points }) => extentOf(points));
      expect(sizes.some(({ across, down }) => Math.abs(across - 100) < 1e-9 && down === 0)).toBe(true);
      expect(sizes.some(({ across, down }) => Math.abs(across - 20) < 1e-9 && Math.abs(down - 20) < 1e-9)).toBe(true);
      expect(sizes.some(({ across, down }) => Math.abs(across - 101.6) < 1e-9 && down === 0)).toBe(true);
    }
  }); // prettier-ignore

  test('what is drawn is as large as it is: a ball 60', () => {
    const [page] = laid(pattern([part('p', shapes.ball(60))])).pages;
    const [ball] = page ? linesOf(page, 'finished') : [];
    expect(extentOf(ball?.points ?? []).across).toBeCloseTo(60, 2);
  });

  test('what is long lies down, or is turned where only that fits', () => {
    const { pages } = laid(pattern([part('p', shapes.limb(236, 12))]), 'letter');
    expect(pages).toHaveLength(2);
    const turned = laid(pattern([part('p', shapes.plate(30, 186, 3), { margin: mm(0) })]), 'letter');
    expect(turned.pages).toHaveLength(1);
  });

  test('nothing to draw is no page; what is not drawn is told on it', () => {
    expect(laid(pattern([])).pages).toEqual([]);
    const guide = laid(pattern([part('p', shapes.ball(30)), part('tail', { kind: 'ball', diameter: null })]));
    expect(guide.missing).toEqual(['2 tail: not drawn, its size is not known yet.']);
    expect(wordsOf(guide)).toContain('its size is not known yet');
  });

  test('a hundred parts of unknown size: all of them are told', () => {
    const parts = Array.from({ length: 100 }, (_, at) =>
      part(`part ${at}`, { kind: 'ball', diameter: null }),
    );
    const words = wordsOf(laid(pattern(parts)));
    for (const { name } of parts) expect(words).toContain(name);
  });
});

describe('larger than a page', () => {
  test.each([
    ['a4', 240],
    ['a4', 420],
    ['letter', 300],
  ] as const)('%s, a plate of %d mm: every point of it is on a page, at one place on all of them', (page, size) => {
    const guide = laid(pattern([part('p', shapes.plate(size, size * 0.8, 3), { margin: mm(0) })]), page);
    expectWithin(guide, page);
    expect(guide.pages.length).toBeGreaterThan(1);
    // Crosses of neighbours lie on one another: pages are put together by them and the outline measured anew.
    const total = guide.pages.reduce(
      (sum, guidePage) =>
        sum +
        linesOf(guidePage, 'finished').reduce(
          (length, { points }) =>
            length +
            points.slice(1).reduce((run, [x, y], at) => run + Math.hypot(x - (points[at]?.[0] ?? x), y - (points[at]?.[1] ?? y)), 0),
          0,
        ),
      0,
    );
    const around = 2 * (size + size * 0.8);
    // All round, and once more what overlaps: at most 10 mm at each place where two pages meet.
    expect(total).toBeGreaterThan(around - 0.1);
    expect(total).toBeLessThan(around + 10 * 4 * guide.pages.length);
  }); // prettier-ignore

  test('over more pages than anybody tapes together: told, not drawn', () => {
    const guide = laid(pattern([part('p', shapes.plate(1500, 1200, 3))]));
    expect(guide.missing[0]).toContain('too large for paper');
    expect(wordsOf(guide)).toContain('too large for paper');
  });
  test('a hundred pieces larger than a page: as many pages as anybody tapes, and the rest is told', () => {
    const parts = Array.from({ length: 100 }, (_, at) => part(`p${at}`, shapes.plate(400, 300, 3)));
    const guide = laid(pattern(parts));
    expect(guide.pages.length).toBeLessThan(130);
    expect(guide.missing.length).toBeGreaterThan(50);
  });
});

describe('the place card', () => {
  /** So many limbs on a ball, each with a name as long as a line. */
  const figure = (size: number, limbs: number) =>
    pattern(
      [
        part('body', shapes.ball(size)),
        ...Array.from({ length: limbs }, (_, at) =>
          part(`a limb with a long name ${at}`, shapes.limb(size / 2, 6)),
        ),
      ],
      {
        joins: Array.from({ length: limbs }, (_, at) =>
          joined(`a limb with a long name ${at}`, 'body', {
            looseEnd: null,
            sink: mm(3),
            placement: placement('each', [straightOut((at * 47) % 360, (at + 1) / (limbs + 2))]),
          }),
        ),
      },
    );
  test.each([
    [40, 3, 'true size'],
    [110, 3, '1 : '],
    [200, 12, '1 : '],
    [700, 20, '1 : '],
  ])('of a figure of %d mm with %d limbs: there, within its page, %s', (size, limbs, scale) => {
    const guide = laid(figure(size, limbs));
    expectWithin(guide, 'a4');
    expect(wordsOf(guide)).toContain('Place card of');
    expect(wordsOf(guide)).toContain(scale);
  });
  test.each([60, 300])('a body of %d mm with sixty things set on it: drawn within its pages, its words cut short and told', (size) => {
    const guide = laid(figure(size, 60));
    expectWithin(guide, 'a4');
    expect(wordsOf(guide)).toMatch(/… and \d+ lines more/);
    expect(wordsOf(guide)).toContain('1 body');
  }); // prettier-ignore
});

describe('lengths', () => {
  test.each([90, 240, 505, 1300])(
    '%d mm of wire: rows of it add up to it, none longer than a page',
    (length) => {
      const wire = blankCut('w', 'wire');
      if (wire.kind !== 'wire') throw new Error('a wire');
      const cut = { ...wire, endCurls: 0, segments: [{ ...blankSegment(), length: mm(length) }] };
      const guide = laid(pattern([], { cuts: [cut] }));
      expectWithin(guide, 'a4');
      const rows = guide.pages.flatMap((page) => linesOf(page, 'cut')).map(({ points }) => extentOf(points));
      const sum = rows.filter(({ down }) => down === 0).reduce((mm, { across }) => mm + across, 0);
      expect(sum).toBeCloseTo(length, 6);
    },
  );
});

describe('as SVG', () => {
  const named = pattern([part('p', shapes.ball(60), { name: 'Body <b>&\u0007"' })]);
  test('is as large as the page, and nothing in a name is taken for markup', () => {
    const [page] = laid(named).pages;
    const svg = page ? guideSvg(page, 'a4') : '';
    expect(svg).toContain('width="210mm" height="297mm" viewBox="0 0 210 297"');
    expect(svg).toContain('Body &lt;b&gt;&amp;&quot;');
    expect(svg).not.toContain('\u0007');
  });
  test('its path of a ball 60 is a circle of 60.0 when it is read back', () => {
    const [page] = laid(named).pages;
    const svg = page ? guideSvg(page, 'a4') : '';
    const path = /<path d="M([^"]*)Z" fill="none" stroke="#1d2733" stroke-width="0.4"/.exec(svg)?.[1] ?? '';
    const points = path.split('L').map((pair) => pair.split(' ').map(Number) as [number, number]);
    const { left, right, top, bottom } = extentOf(points);
    expect(right - left).toBeCloseTo(60, 1);
    const middle = [(left + right) / 2, (top + bottom) / 2] as const;
    for (const point of points) expect(Math.hypot(point[0] - middle[0], point[1] - middle[1])).toBeCloseTo(30, 1);
    expect(distanceTo(middle, points, true)).toBeCloseTo(30, 1);
  }); // prettier-ignore
});
