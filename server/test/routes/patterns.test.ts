import type { Revision } from '@lanakit/core/api';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { request } from '../support/request.ts';
import { addFibre, addPattern, ballPattern, openStudio, publish, type Studio } from '../support/studio.ts';

let studio: Studio;
beforeEach(() => {
  studio = openStudio();
});
afterEach(() => studio.close());

const put = (id: string, version: string, body: object) =>
  request(studio.app).put(`/api/patterns/${id}`).set('If-Match', version).send(body);

describe('a draft', () => {
  test('is stored whole and read back the same', async () => {
    const { id: fibreId } = await addFibre(studio);
    const document = ballPattern(fibreId, { finishedHeight: { value: 2.375, unit: 'in' } });
    const { id } = await addPattern(studio, document);
    const answer = await request(studio.app).get(`/api/patterns/${id}`).expect(200);
    expect(answer.body).toMatchObject({ version: 1, document, revision: null });
    expect(answer.headers['etag']).toBe('"1"');
  });
  test('may be unfinished', async () => {
    await addPattern(studio, ballPattern(null));
  });
  test('of two who save from one version, the second sees both', async () => {
    const { id } = await addPattern(studio, ballPattern(null));
    await put(id, '"1"', ballPattern(null, { title: 'Theirs' })).expect(200);
    const answer = await put(id, '"1"', ballPattern(null, { title: 'Mine' })).expect(409);
    expect(answer.body).toMatchObject({
      code: 'version_conflict',
      yours: { title: 'Mine' },
      theirs: { version: 2, document: { title: 'Theirs' } },
    });
    const kept = await request(studio.app).get(`/api/patterns/${id}`);
    expect(kept.body).toMatchObject({ version: 2, document: { title: 'Theirs' } });
  });
  test('needs to say which version it changes', async () => {
    const { id } = await addPattern(studio, ballPattern(null));
    expect(
      (await request(studio.app).put(`/api/patterns/${id}`).send(ballPattern(null)).expect(428)).body,
    ).toMatchObject({ code: 'precondition_required' });
    expect((await put(id, 'yesterday', ballPattern(null)).expect(400)).body).toMatchObject({
      code: 'if_match_not_read',
    });
  });
  test('is deleted and brought back; deleting a stale version is refused', async () => {
    const { id } = await addPattern(studio, ballPattern(null));
    await request(studio.app).delete(`/api/patterns/${id}`).set('If-Match', '"9"').expect(409);
    await request(studio.app).delete(`/api/patterns/${id}`).set('If-Match', '"1"').expect(204);
    await request(studio.app).get(`/api/patterns/${id}`).expect(404);
    await request(studio.app).post(`/api/patterns/${id}/restore`).expect(200);
    await request(studio.app).post(`/api/patterns/${id}/restore`).expect(404);
  });
});

describe('what cannot be stored', () => {
  const part = () => structuredClone(ballPattern(null).parts[0]);
  const withShape = (shape: object) => ({ ...ballPattern(null), parts: [{ ...part(), shape }] });
  const rows: [name: string, body: object, status: number, code: string, pointer: string][] = [
    ['an empty title', ballPattern(null, { title: '' }), 422, 'title_empty', '/title'],
    ['a size of nought', withShape({ kind: 'ball', diameter: { value: 0, unit: 'mm' } }), 422, 'size_not_positive', '/parts/0/shape/diameter'],
    ['a negative size', withShape({ kind: 'ball', diameter: { value: -4, unit: 'mm' } }), 422, 'size_not_positive', '/parts/0/shape/diameter'],
    ['a size of 1e9', withShape({ kind: 'ball', diameter: { value: 1e9, unit: 'mm' } }), 422, 'size_too_large', '/parts/0/shape/diameter'],
    ['a size in words', withShape({ kind: 'ball', diameter: { value: 'big', unit: 'mm' } }), 400, 'field_wrong', '/parts/0/shape/diameter/value'],
    ['a size that is no number (null in JSON)', withShape({ kind: 'ball', diameter: { value: NaN, unit: 'mm' } }), 400, 'field_wrong', '/parts/0/shape/diameter/value'],
    ['a short limb', withShape({ kind: 'limb', length: { value: 5, unit: 'mm' }, diameter: { value: 9, unit: 'mm' } }), 422, 'limb_shorter_than_wide', '/parts/0/shape/length'],
    ['a shape there is not', withShape({ kind: 'cloud' }), 400, 'field_wrong', '/parts/0/shape'],
    ['another shape’s size', withShape({ kind: 'ball', diameter: null, width: null }), 400, 'field_not_known', '/parts/0/shape/width'],
    ['a fibre off the shelf', ballPattern('gone'), 422, 'fibre_not_found', '/parts/0/uses/0/fibreId'],
    ['an unknown field', { ...ballPattern(null), price: 3 }, 400, 'field_not_known', '/price'],
    ['a field missing', { ...ballPattern(null), steps: undefined }, 400, 'field_missing', '/steps'],
    ['a list instead of a pattern', [], 400, 'field_wrong', ''],
  ]; // prettier-ignore
  test.each(rows)('%s', async (_name, body, status, code, pointer) => {
    const answer = await request(studio.app).post('/api/patterns').send(body).expect(status);
    const { errors } = answer.body as { errors: { code: string; pointer: string }[] };
    expect(errors).toEqual([expect.objectContaining({ code, pointer })]);
    const list = await request(studio.app).get('/api/patterns');
    expect((list.body as { items: unknown[] }).items).toEqual([]);
  });
});

describe('publishing', () => {
  test('makes numbered revisions that nothing can change', async () => {
    const { id: fibreId } = await addFibre(studio);
    const pattern = await addPattern(studio, ballPattern(fibreId));
    const first = await publish(studio, pattern);
    const changed = await put(pattern.id, '"1"', ballPattern(fibreId, { title: 'Larger' })).expect(200);
    await publish(studio, changed.body as never);
    const list = await request(studio.app).get('/api/revisions').expect(200);
    expect(
      (list.body as { items: { number: number; title: string }[] }).items.map(({ number, title }) => [
        number,
        title,
      ]),
    ).toEqual([
      [1, 'Ball'],
      [2, 'Larger'],
    ]);
    expect((await request(studio.app).get(`/api/revisions/${first}`)).body).toMatchObject({
      number: 1,
      document: { title: 'Ball' },
    });
    expect(() => studio.db.prepare(`UPDATE revision SET number = 9`).run()).toThrow('cannot be changed');
    expect(() => studio.db.prepare(`DELETE FROM revision`).run()).toThrow('cannot be deleted');
  });
  test('keeps with a revision what the review had open, whatever is read of it later', async () => {
    const { id: fibreId } = await addFibre(studio);
    const pattern = await addPattern(
      studio,
      ballPattern(fibreId, { finishedHeight: { value: 5, unit: 'mm' } }),
    );
    const revisionId = await publish(studio, pattern);
    const openIn = async () =>
      ((await request(studio.app).get(`/api/revisions/${revisionId}`)).body as Revision).openRemarks;
    const [remark, ...others] = (await openIn()) ?? [];
    expect([remark?.code, others]).toEqual(['height_under_part', []]);
    const heads = await request(studio.app).get(`/api/patterns/${pattern.id}/revisions`).expect(200);
    expect((heads.body as { items: Revision[] }).items[0]?.openRemarks).toEqual([remark]);
    // Nothing was kept of those before, and what is spoilt is as if it had not been.
    for (const kept of [null, '{"spoilt']) {
      studio.db.exec('DROP TRIGGER IF EXISTS revision_is_unchangeable');
      studio.db
        .prepare('UPDATE revision SET open_remarks = ?, published_at = ?')
        .run(kept, `2026-01-0${kept ? 1 : 2}`);
      expect(await openIn()).toBeNull();
    }
  });
  test('is refused while something is unknown, naming it', async () => {
    const { id } = await addPattern(studio, ballPattern(null));
    const answer = await request(studio.app)
      .post(`/api/patterns/${id}/revisions`)
      .set('If-Match', '"1"')
      .send({ note: '' })
      .expect(422);
    expect(answer.body).toMatchObject({
      code: 'pattern_incomplete',
      errors: [{ code: 'fibre_missing', pointer: '/parts/0/uses/0/fibreId' }],
    });
  });
  test('is refused when nothing has changed, and from a stale version', async () => {
    const { id: fibreId } = await addFibre(studio);
    const pattern = await addPattern(studio, ballPattern(fibreId));
    await publish(studio, pattern);
    const again = await request(studio.app)
      .post(`/api/patterns/${pattern.id}/revisions`)
      .set('If-Match', '"1"')
      .send({ note: '' })
      .expect(409);
    expect(again.body).toMatchObject({ code: 'revision_unchanged', number: 1 });
    const stale = await request(studio.app)
      .post(`/api/patterns/${pattern.id}/revisions`)
      .set('If-Match', '"7"')
      .send({ note: '' })
      .expect(409);
    expect(stale.body).toMatchObject({ code: 'version_conflict' });
  });
});

test('the list comes in pages that hold every pattern once', async () => {
  for (let i = 0; i < 7; i++) await addPattern(studio, ballPattern(null, { title: `Ball ${i}` }));
  const titles: string[] = [];
  let next: string | null = '';
  while (next !== null) {
    const answer = await request(studio.app)
      .get(`/api/patterns?limit=3${next && `&after=${next}`}`)
      .expect(200);
    const page = answer.body as { items: { document: { title: string } }[]; next: string | null };
    titles.push(...page.items.map(({ document }) => document.title));
    next = page.next;
  }
  expect(new Set(titles).size).toBe(7);
  expect(titles).toHaveLength(7);
  await request(studio.app).get('/api/patterns?limit=0').expect(400);
  await request(studio.app).get('/api/patterns?colour=red').expect(400);
  await request(studio.app).get('/api/patterns?after=nonsense').expect(400);
});
