import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { StoredPattern } from '@lanakit/core/api';
import type { Pattern, PatternNamed } from '@lanakit/core/pattern';
import { readPdf } from '../support/readPdf.ts';
import { request } from '../support/request.ts';
import { addFibre, addPattern, ballPattern, openStudio, type Studio } from '../support/studio.ts';

let studio: Studio;
let ball: StoredPattern;
let wren: StoredPattern;
beforeEach(async () => {
  studio = openStudio();
  const fibre = await addFibre(studio, { name: 'Chalk' });
  const series = (number: number) => ({ name: 'Hedge', number });
  ball = await addPattern(studio, { ...ballPattern(fibre.id), title: 'Ball', series: series(1) });
  wren = await addPattern(studio, {
    ...ballPattern(fibre.id),
    title: 'Wren',
    series: series(2),
    related: [
      { id: 'r1', relation: 'before', patternId: ball.id, title: 'Ball', where: 'https://felt.example/ball' },
      { id: 'r2', relation: 'companion', patternId: 'elsewhere', title: 'A twig', where: 'by post' },
    ],
  });
});
afterEach(() => studio.close());

const save = async ({ id, version }: StoredPattern, document: Pattern) =>
  request(studio.app)
    .put(`/api/patterns/${id}`)
    .set('If-Match', `"${version}"`)
    .set('X-Lanakit', '1')
    .send(document)
    .expect(200);
const bookletOf = async (id: string, form: 'html' | 'pdf') =>
  (await request(studio.app).get(`/api/patterns/${id}/booklet/${form}`).responseType('blob').expect(200))
    .body as Buffer;
const named = async () =>
  (await request(studio.app).get('/api/pattern-names').expect(200)).body as { items: PatternNamed[] };

describe('patterns that name one another', () => {
  test('are listed by their titles, with what they name; those in the bin are not', async () => {
    expect((await named()).items.map(({ title, series, related }) => [title, series?.number, related.length])).toEqual([
      ['Ball', 1, 0],
      ['Wren', 2, 2],
    ]);
    await request(studio.app).delete(`/api/patterns/${ball.id}`).set('If-Match', '"1"').set('X-Lanakit', '1').expect(204);
    expect((await named()).items.map(({ title }) => title)).toEqual(['Wren']);
  }); // prettier-ignore
  test('are told in the booklet as they are called now', async () => {
    await save(ball, { ...ball.document, title: 'Felted ball' });
    const html = (await bookletOf(wren.id, 'html')).toString();
    expect(html).toMatch(/Make first: <\/strong>Felted ball, <a href="https:\/\/felt\.example\/ball">/);
    expect(html).toContain('A twig, by post');
    expect((await bookletOf(ball.id, 'html')).toString()).toMatch(/What you can make next.*Wren/s);
  });
  test('lead out of the PDF to where they can be had', async () => {
    const { pages, end } = await readPdf(await bookletOf(wren.id, 'pdf'));
    const links = (await Promise.all(pages.map(({ page }) => page.getAnnotations()))).flat() as { url?: string }[];
    expect(links.flatMap(({ url }) => url ?? [])).toEqual(['https://felt.example/ball']);
    await end();
  }); // prettier-ignore
  test.each([
    ['relation', 'under'],
    ['title', 'x'.repeat(121)],
  ])('a %s of %p is refused', async (field, value) => {
    const related = [{ id: 'r', relation: 'before', patternId: null, title: '', where: '', [field]: value }];
    await request(studio.app)
      .put(`/api/patterns/${wren.id}`)
      .set('If-Match', '"1"')
      .set('X-Lanakit', '1')
      .send({ ...wren.document, related })
      .expect(400);
  });
});
