import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import request from 'supertest';
import { addFibre, addPattern, ballPattern, fibreInput, openStudio, type Studio } from './support/studio.ts';

let studio: Studio;
beforeEach(() => {
  studio = openStudio();
});
afterEach(() => studio.close());

test('a fibre is put on the shelf, found by name, and changed with its version', async () => {
  const fibre = await addFibre(studio, { name: ' Moss ' });
  expect(fibre).toMatchObject({ name: 'Moss', version: 1, onHandG: 100 });
  const put = await request(studio.app)
    .put(`/api/fibres/${fibre.id}`)
    .set('If-Match', '"1"')
    .send(fibreInput({ name: 'Moss', onHandG: 58.5, archived: true }))
    .expect(200);
  expect(put.headers['etag']).toBe('"2"');
  expect(put.body).toMatchObject({ version: 2, onHandG: 58.5, archived: true });
  const list = await request(studio.app).get('/api/fibres').expect(200);
  expect((list.body as { items: unknown[] }).items).toHaveLength(1);
});

describe('stock is the sum of movements', () => {
  test('a count writes the difference and never edits', async () => {
    const fibre = await addFibre(studio, { onHandG: 100 });
    await request(studio.app)
      .put(`/api/fibres/${fibre.id}`)
      .set('If-Match', '"1"')
      .send(fibreInput({ onHandG: 63.4 }))
      .expect(200);
    const movements = studio.db.prepare('SELECT mass_mg FROM stock_movement ORDER BY id').pluck().all();
    expect(movements).toEqual([100_000, -36_600]);
  });
  test('never counted is unknown, not nought; counted as nought is nought', async () => {
    expect((await addFibre(studio, { onHandG: null })).onHandG).toBeNull();
    expect((await addFibre(studio, { onHandG: 0 })).onHandG).toBe(0);
  });
  test('after any counts, what is on hand is the last one', async () => {
    const { store } = studio.deps;
    let made = 0;
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 5_000_000 }), { minLength: 1, maxLength: 12 }),
        (countsMg) => {
          const id = `count${++made}`;
          store.fibres.insert(id, fibreInput({ onHandG: null }), '2026-11-24T10:00:00Z');
          countsMg.forEach((mg, i) =>
            store.fibres.update(id, i + 1, fibreInput({ onHandG: mg / 1000 }), '2026-11-24T10:00:00Z'),
          );
          expect(store.fibres.find(id)?.onHandG).toBe((countsMg.at(-1) ?? 0) / 1000);
        },
      ),
      { numRuns: 30 },
    );
  });
});

describe('a fibre in use', () => {
  test('is not deleted, and says where it is used', async () => {
    const fibre = await addFibre(studio);
    await addPattern(studio, ballPattern(fibre.id));
    const answer = await request(studio.app)
      .delete(`/api/fibres/${fibre.id}`)
      .set('If-Match', '"1"')
      .expect(409);
    expect(answer.body).toMatchObject({
      code: 'fibre_in_use',
      uses: [{ title: 'Ball', revisionNumber: null }],
    });
    await request(studio.app).get(`/api/fibres/${fibre.id}`).expect(200);
  });
  test('unused, is deleted and brought back', async () => {
    const fibre = await addFibre(studio);
    await request(studio.app).delete(`/api/fibres/${fibre.id}`).set('If-Match', '"1"').expect(204);
    await request(studio.app).get(`/api/fibres/${fibre.id}`).expect(404);
    const back = await request(studio.app).post(`/api/fibres/${fibre.id}/restore`).expect(200);
    expect(back.body).toMatchObject({ name: 'Chalk', onHandG: 100 });
  });
});

describe('what is refused leaves the shelf as it was', () => {
  test.each([
    ['no name', { name: '  ' }, 422, '/name'],
    ['a colour in words', { colour: 'blue-ish' }, 422, '/colour'],
    ['0 g/m', { linearGPerM: 0 }, 422, '/linearGPerM'],
    ['grams in words', { onHandG: 'some' }, 400, '/onHandG'],
    ['a preparation there is not', { preparation: 'fluffy' }, 400, '/preparation'],
    ['an unknown field', { smell: 'sheep' }, 400, '/smell'],
  ])('%s', async (_name, change, status, pointer) => {
    const answer = await request(studio.app)
      .post('/api/fibres')
      .send({ ...fibreInput(), ...change })
      .expect(status);
    expect(answer.type).toBe('application/problem+json');
    expect((answer.body as { errors: unknown[] }).errors).toEqual([
      expect.objectContaining({ pointer, message: expect.stringMatching(/\.$/) }),
    ]);
    const list = await request(studio.app).get('/api/fibres');
    expect((list.body as { items: unknown[] }).items).toEqual([]);
  });
  test('a stale version is answered with both sides', async () => {
    const fibre = await addFibre(studio);
    await request(studio.app)
      .put(`/api/fibres/${fibre.id}`)
      .set('If-Match', '"1"')
      .send(fibreInput({ name: 'Theirs' }))
      .expect(200);
    const answer = await request(studio.app)
      .put(`/api/fibres/${fibre.id}`)
      .set('If-Match', '"1"')
      .send(fibreInput({ name: 'Mine' }))
      .expect(409);
    expect(answer.body).toMatchObject({
      code: 'version_conflict',
      yours: { name: 'Mine' },
      theirs: { name: 'Theirs', version: 2 },
    });
  });
});
