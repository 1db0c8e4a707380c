import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkShape, measureFace, outlineContours, type PointMm, solidOf } from '../../src/shapes/index.ts';
import { MOST_OUTLINE_POINTS, type OutlineResult, readOutline } from '../../src/shapes/outline/index.ts';
import { outlineRefusalWords } from '../../src/words/index.ts';
import { shapes } from '../support/make.ts';
import { uniform } from '../support/random.ts';

const read = (result: OutlineResult) => {
  if (!result.ok) throw new Error(JSON.stringify(result.refusal));
  return result.outline;
};
const refusalOf = (text: string) => {
  const result = readOutline(text);
  if (result.ok) throw new Error('it was read');
  return result.refusal;
};
const svg = (inside: string, head = '') => `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inside}</svg>`;
const faceOf = (path: string, heightMm: number) => measureFace(outlineContours(path, heightMm));

/** Even-odd area by counting a fine grid of points: knows nothing of shoelaces. */
function gridArea(
  contours: readonly (readonly PointMm[])[],
  widthMm: number,
  heightMm: number,
  cells = 400,
): number {
  const inside = (x: number, y: number) => {
    let crossings = 0;
    for (const contour of contours) {
      contour.forEach(([x1, y1], i) => {
        const [x2, y2] = contour[(i + 1) % contour.length] ?? [x1, y1];
        if (y1 > y !== y2 > y && x < x1 + ((y - y1) / (y2 - y1)) * (x2 - x1)) crossings += 1;
      });
    }
    return crossings % 2 === 1;
  };
  let count = 0;
  for (let i = 0; i < cells; i++) {
    for (let j = 0; j < cells; j++) {
      if (inside(((i + 0.5) * widthMm) / cells, ((j + 0.5) * heightMm) / cells)) count += 1;
    }
  }
  return (count / cells ** 2) * widthMm * heightMm;
}

describe('an outline is read', () => {
  test.each([
    ['bare path data: its size is not known', 'M0 0h40v20h-40Z', null],
    [
      'millimetres with a viewBox',
      svg('<path d="M0 0h40v20h-40Z"/>', 'width="80mm" height="40mm" viewBox="0 0 80 40"'),
      20,
    ],
    ['inches', svg('<path d="M0 0h40v20h-40Z"/>', 'width="2in" height="1in" viewBox="0 0 80 40"'), 12.7],
    [
      'pixels are no size',
      svg('<path d="M0 0h40v20h-40Z"/>', 'width="80" height="40" viewBox="0 0 80 40"'),
      null,
    ],
    [
      'units without a viewBox are no scale',
      svg('<path d="M0 0h40v20h-40Z"/>', 'width="80mm" height="40mm"'),
      null,
    ],
    [
      'a transform, and one around it',
      svg(
        '<g transform="scale(2)"><path transform="translate(5 5) rotate(90)" d="M0 0h40v20h-40Z"/></g>',
        'width="80mm" height="40mm" viewBox="0 0 80 40"',
      ),
      80,
    ],
    [
      'a plain rectangle',
      svg('<rect x="3" y="4" width="10" height="25"/>', 'width="80mm" height="40mm" viewBox="0 0 80 40"'),
      25,
    ],
    [
      'a circle',
      svg('<circle cx="30" cy="30" r="12.5"/>', 'width="80mm" height="40mm" viewBox="0 0 80 40"'),
      25,
    ],
    [
      'what is only defined is not drawn',
      svg(
        '<defs><rect width="99" height="99"/></defs><rect width="9" height="7"/>',
        'width="8cm" height="4cm" viewBox="0 0 80 40"',
      ),
      7,
    ],
    [
      'a polygon',
      svg('<polygon points="0,0 10,0 5,8"/>', 'width="80mm" height="40mm" viewBox="0 0 80 40"'),
      8,
    ],
  ])('%s', (_name, text, heightMm) => {
    const outline = read(readOutline(text));
    if (heightMm === null) expect(outline.heightMm).toBeNull();
    else expect(outline.heightMm).toBeCloseTo(heightMm, 2);
    expect(outline.simplifiedFrom).toBeNull();
  });
  test('curves are held to 0.05 mm: a circle’s area and edge', () => {
    const { path } = read(readOutline(svg('<circle cx="0" cy="0" r="50"/>')));
    const face = faceOf(path, 100);
    expect(face.areaMm2 / (Math.PI * 2500)).toBeCloseTo(1, 3);
    expect(face.perimeterMm / (Math.PI * 100)).toBeCloseTo(1, 3);
  });
  test('a hole is no wool, and an island in it is', () => {
    const square = (at: number, side: number) => `M${at} ${at}h${side}v${side}h${-side}Z`;
    const { path } = read(readOutline(square(0, 100) + square(20, 60) + square(40, 20)));
    expect(faceOf(path, 100).areaMm2).toBeCloseTo(100 ** 2 - 60 ** 2 + 20 ** 2, 6);
  });
  test('forty thousand points are simplified, said so, and the area stays', () => {
    const random = uniform(3);
    const points = Array.from({ length: 40_000 }, (_, i) => {
      const [angle, r] = [(i / 20_000) * Math.PI, 50 + 0.002 * random()];
      return `${r * Math.cos(angle)},${r * Math.sin(angle)}`;
    });
    const outline = read(readOutline(svg(`<polygon points="${points.join(' ')}"/>`)));
    expect(outline.simplifiedFrom).toBeGreaterThan(39_000);
    expect(outline.pointCount).toBeLessThanOrEqual(MOST_OUTLINE_POINTS);
    expect(faceOf(outline.path, 100).areaMm2 / (Math.PI * 2500)).toBeCloseTo(1, 2);
  });
});

describe('an outline is refused with its place', () => {
  test.each([
    ['no drawing', 'hello', 'outline_not_read', ''],
    ['broken XML', '<svg><path d="M0 0"', 'outline_not_read', ''],
    ['nothing drawn', svg('<text>ear</text>'), 'outline_empty', ''],
    ['open', 'M0 0L40 0L40 20', 'outline_open', 'from 0, 0 to 40, 20'],
    ['an open polyline', svg('<polyline points="1,2 30,2 30,40"/>'), 'outline_open', 'from 1, 2 to 30, 40'],
    ['crossing itself, as a bow', 'M0 0L40 40L40 0L0 40Z', 'outline_crosses', 'at 20, 20'],
    ['two contours that cross', 'M0 0h40v40h-40ZM20 10h40v5h-40Z', 'outline_crosses', 'at 40, 1'],
    [
      'width against height',
      svg('<rect width="9" height="7"/>', 'width="80mm" height="90mm" viewBox="0 0 80 40"'),
      'outline_units_contradict',
      '80 mm',
    ],
  ])('%s', (_name, text, code, place) => {
    const refusal = refusalOf(text);
    expect(refusal.code).toBe(code);
    expect(outlineRefusalWords(refusal)).toContain(place);
    expect(outlineRefusalWords(refusal)).not.toMatch(/undefined|NaN/);
  });
  test('a stored outline from elsewhere is looked at too', () => {
    expect(checkShape(shapes.outline('M0 0L40 40L40 0L0 40Z', 30, 4), '/s')).toMatchObject([
      { code: 'outline_unsound', fault: 'crosses' },
    ]);
    expect(checkShape(shapes.outline('M0 0L40 40', 30, 4), '/s')).toMatchObject([
      { code: 'outline_unsound', fault: 'open' },
    ]);
    expect(checkShape(shapes.outline('ear', 30, 4), '/s')).toMatchObject([
      { code: 'outline_unsound', fault: 'not-read' },
    ]);
  });
  test('whatever is pasted, it is read or refused, never thrown', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.string().map((text) => svg(text)),
          fc.string().map((d) => svg(`<path d="${d}"/>`)),
        ),
        (text) => {
          const result = readOutline(text);
          if (!result.ok) expect(outlineRefusalWords(result.refusal)).toMatch(/\.$/);
        },
      ),
    );
  });
});

test('area and centroid of any star agree with counting a grid of points', () => {
  const radii = fc.array(fc.double({ min: 12, max: 50, noNaN: true }), { minLength: 5, maxLength: 14 });
  fc.assert(
    fc.property(radii, (rs) => {
      const path = `M${rs.map((r, i) => `${r * Math.cos((2 * Math.PI * i) / rs.length)} ${r * Math.sin((2 * Math.PI * i) / rs.length)}`).join('L')}Z`;
      const contours = outlineContours(path, 80);
      const face = measureFace(contours);
      expect(face.areaMm2 / gridArea(contours, face.widthMm, face.heightMm, 160)).toBeCloseTo(1, 1);
      expect(face.heightMm).toBeCloseTo(80, 6);
      expect(face.centroidMm).toBeGreaterThan(0);
      expect(face.centroidMm).toBeLessThan(80);
      const made = solidOf(shapes.outline(path, 80, 4));
      if (made.kind !== 'solid') throw new Error('it has a body');
      expect(made.solid.volumeMm3).toBeCloseTo(face.areaMm2 * 4, 6);
    }),
    { numRuns: 25 },
  );
});

describe('outlines of any size and any number of points end', () => {
  const curves = (count: number, size: number) =>
    `M0 0${Array.from({ length: count }, (_, at) => `C${at * size} ${9 * size} ${-9 * size} ${at * size} ${at * size} ${9 * size}`).join('')}Z`;
  test.each([
    ['forty huge curves', curves(40, 1e5), 'outline_crosses'],
    ['four hundred of them', curves(400, 1e4), 'outline_crosses'],
    ['beyond every drawing', 'M0 0L1e9 0L0 1e9Z', 'outline_not_read'],
    ['beyond every number', `M0 0L${'9'.repeat(400)} 0L0 9Z`, 'outline_not_read'],
    ['a traced photograph', `M0 0${'l1 0l0 1'.repeat(30_000)}Z`, 'outline_too_fine'],
    ['a text without end', `M0 0${' '.repeat(4_000_001)}`, 'outline_too_long'],
    ['groups in groups', svg(`${'<g>'.repeat(5000)}${'</g>'.repeat(5000)}`), 'outline_not_read'],
    [
      'moved in more words than there are',
      svg(`<g transform="${'scale(1) '.repeat(1000)}"><path d="M0 0h1v1Z"/></g>`),
      'outline_not_read',
    ],
  ])('%s', (_name, text, code) => expect(refusalOf(text).code).toBe(code));
  test('a long curve is drawn coarser, never finer than its points allow', () => {
    const petals = Array.from({ length: 900 }, (_, at) => `C${at}e3 9e6 ${at}e3 -9e6 ${at}e3 ${at}`).join('');
    const points = outlineContours(`M0 0${petals}Z`, 9000).flat();
    expect(points.length).toBeGreaterThan(2000);
    expect(points.length).toBeLessThanOrEqual(20_000);
  });
  test('what is stored has no more points than an outline is simplified to', () => {
    const zigzag = (count: number) =>
      `M0 0${Array.from({ length: count }, (_, at) => `L${50 + (at % 2)} ${at}`).join('')}L0 ${count}Z`;
    const problemsOf = (path: string) =>
      checkShape(
        {
          kind: 'flat-outline',
          length: { value: 90, unit: 'mm' },
          thickness: { value: 4, unit: 'mm' },
          path,
        },
        '/shape',
      );
    expect(problemsOf(zigzag(MOST_OUTLINE_POINTS - 2))).toEqual([]);
    expect(problemsOf(zigzag(MOST_OUTLINE_POINTS))).toMatchObject([
      { code: 'outline_unsound', fault: 'too-fine' },
    ]);
  });
});
