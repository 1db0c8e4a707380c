import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { StoredPattern } from '@lanakit/core/api';
import type { Part, Pattern } from '@lanakit/core/pattern';
import { blankSeat } from '@lanakit/core/run';
import { request } from '../support/request.ts';
import { XMLValidator } from 'fast-xml-parser';
import { extent, pathsOfPdf, roundsOf } from '../support/pdfPaths.ts';
import {
  addFibre,
  addPattern,
  ballPattern,
  openStudio,
  publish,
  runInput,
  type Studio,
} from '../support/studio.ts';

let studio: Studio;
let fibreId: string;
beforeEach(async () => {
  studio = openStudio();
  fibreId = (await addFibre(studio, {}, 250)).id;
});
afterEach(() => studio.close());

const mm = (value: number) => ({ value, unit: 'mm' as const });
const ballOf = (part: Part, id: string, diameter: number): Part => ({
  ...part,
  id,
  name: id,
  shape: { kind: 'ball', diameter: mm(diameter) },
  uses: part.uses.map((use) => ({ ...use, id: `${id}-core` })),
});
/** Balls of these sizes, each a part. */
function balls(...diameters: number[]): Pattern {
  const pattern = ballPattern(fibreId);
  const [part] = pattern.parts;
  if (!part) throw new Error('a pattern with a part');
  return { ...pattern, parts: diameters.map((diameter, at) => ballOf(part, `ball-${at}`, diameter)) };
}
const stored = async (pattern: Pattern): Promise<StoredPattern> => addPattern(studio, pattern);
const pdfOf = async (path: string): Promise<Buffer> =>
  (await request(studio.app).get(path).responseType('blob').expect(200)).body as Buffer;

describe('the guide as PDF', () => {
  test.each([
    ['a4', 210, 297],
    ['letter', 215.9, 279.4],
  ] as const)('%s: the bar measures 100.0 mm, the square 20, a ball 60 is a circle of 60.0, all within the edge', async (page, width, height) => {
    const { id } = await stored(balls(60, 25, 250));
    const pdf = await pdfOf(`/api/patterns/${id}/guide/pdf?page=${page}`);
    const pages = pathsOfPdf(pdf);
    expect(pages.length).toBeGreaterThan(2);
    for (const { heightMm, paths } of pages) {
      expect(heightMm).toBeCloseTo(height, 1);
      const sizes = paths.map(extent);
      expect(sizes.some(({ across, down }) => Math.abs(across - 100) < 0.1 && down < 0.01)).toBe(true);
      expect(sizes.some(({ across, down }) => Math.abs(across - 20) < 0.05 && Math.abs(down - 20) < 0.05)).toBe(true);
      const all = extent(paths.flat());
      expect(Math.min(all.left, all.top)).toBeGreaterThan(9.99);
      expect(all.right).toBeLessThan(width - 9.99);
      expect(all.bottom).toBeLessThan(height - 9.99);
    }
    expect(roundsOf(pdf)).toEqual(expect.arrayContaining([60, 25]));
    expect(pdf.toString('latin1')).toContain('SourceSans3');
  }); // prettier-ignore

  test('of another size, of a revision, and as SVG of one page', async () => {
    const pattern = await stored(balls(60));
    const bigger = await pdfOf(`/api/patterns/${pattern.id}/guide/pdf?size=1.5`);
    expect(roundsOf(bigger)).toContain(90);
    const revision = await publish(studio, pattern);
    expect(roundsOf(await pdfOf(`/api/patterns/${pattern.id}/guide/pdf?revision=${revision}`))).toContain(60);
    const svg = await request(studio.app).get(`/api/patterns/${pattern.id}/guide/svg?sheet=1`).expect(200);
    expect(svg.headers['content-type']).toContain('image/svg+xml');
    expect(String(svg.body)).toContain('viewBox="0 0 210 297"');
    await request(studio.app).get(`/api/patterns/${pattern.id}/guide/svg?sheet=2`).expect(404);
  });

  test.each([
    ['size=0', 400],
    ['size=many', 400],
    ['choices=%7B', 400],
    ['choices={"values":{"none":"such"}}', 200],
    ['choices={"values":{"none":7}}', 400],
    ['revision=nobody', 404],
  ])('asked with %s: %d', async (query, status) => {
    const { id } = await stored(balls(30));
    await request(studio.app).get(`/api/patterns/${id}/guide/pdf?${query}`).expect(status);
  });

  test('a form it has not, a pattern that is not there, a revision of another', async () => {
    const [{ id }, other] = [await stored(balls(30)), await stored(balls(40))];
    await request(studio.app).get(`/api/patterns/${id}/guide/png`).expect(404);
    await request(studio.app).get('/api/patterns/nobody/guide/pdf').expect(404);
    const revision = await publish(studio, other);
    await request(studio.app).get(`/api/patterns/${id}/guide/pdf?revision=${revision}`).expect(404);
  });
});

describe('drawings as SVG', () => {
  const svgOf = async (path: string) => ((await request(studio.app).get(path).expect(200)).body as Buffer).toString('utf8');
  const sizeOf = (svg: string) => [...(/<svg [^>]*width="([\d.]+)mm" height="([\d.]+)mm"[^>]*>/.exec(svg) ?? [])].slice(1).map(Number);
  test('the figure is as large as it is, in its size', async () => {
    const { id } = await stored(balls(60));
    const [usual, half] = [await svgOf(`/api/patterns/${id}/drawing/figure`), await svgOf(`/api/patterns/${id}/drawing/figure?size=0.5`)];
    expect(XMLValidator.validate(usual)).toBe(true);
    // The line round it is a little wider than what it is round.
    for (const [svg, acrossMm] of [[usual, 60], [half, 30]] as const)
      for (const mm of sizeOf(svg)) expect(Math.abs(mm - acrossMm)).toBeLessThan(acrossMm * 0.02);
  });
  test('all pieces are in one drawing, none in the room of another', async () => {
    const { id } = await stored(balls(90, 80, 70, 60, 50));
    const svg = await svgOf(`/api/patterns/${id}/drawing/pieces`);
    expect(XMLValidator.validate(svg)).toBe(true);
    const [across = 0, down = 0] = sizeOf(svg);
    expect(across).toBe(210);
    expect(down % 297).toBe(0);
    const rounds = [...svg.matchAll(/<path d="M([^"]+)Z"/g)].flatMap(([, path = '']) => {
      const points = path.split('L').map((point) => point.split(' ').map(Number) as [number, number]);
      return points.length > 20 ? [extent(points)] : [];
    });
    for (const mm of [90, 80, 70, 60, 50]) expect(rounds.some((each) => Math.abs(each.across - mm) < 0.1)).toBe(true);
    for (const { left, right, top, bottom } of rounds) expect([left >= 0, right <= across, top >= 0, bottom <= down]).toEqual([true, true, true, true]);
  });
  test('what there is none of is refused', async () => {
    const { id } = await stored(balls(60));
    await request(studio.app).get(`/api/patterns/${id}/drawing/shadow`).expect(404);
    await request(studio.app).get(`/api/patterns/${id}/drawing/figure?size=99`).expect(400);
    await request(studio.app).get('/api/patterns/nobody/drawing/figure').expect(404);
  });
}); // prettier-ignore

describe('the guide of a run', () => {
  test('every size of its seats is drawn once, or that of one seat alone', async () => {
    const revisionId = await publish(studio, await stored(balls(60)));
    const seat = { ...blankSeat(2), name: 'Ines', sizeFraction: 0.5 };
    const answer = await request(studio.app)
      .post('/api/runs')
      .send(runInput(revisionId, { seats: 4, roster: [seat] }))
      .expect(201);
    const { id } = answer.body as { id: string };
    expect(roundsOf(await pdfOf(`/api/runs/${id}/guide/pdf`)).filter((across) => across === 60 || across === 30)).toEqual(expect.arrayContaining([30, 60]));
    const ofInes = roundsOf(await pdfOf(`/api/runs/${id}/guide/pdf?pack=2`));
    expect(ofInes).toContain(30);
    expect(ofInes).not.toContain(60);
    await request(studio.app).get(`/api/runs/${id}/guide/pdf?pack=9`).expect(404);
    await request(studio.app).get(`/api/runs/${id}/guide/pdf?pack=x`).expect(400);
  }); // prettier-ignore
});
