import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { ImportRecord } from '@lanakit/core/files';
import { BLANK_FINDING, BLANK_NEEDLE, type Fibre } from '@lanakit/core/shelf';
import { request } from '../support/request.ts';
import { addFibre, fibreInput, openStudio, type Studio } from '../support/studio.ts';

let studio: Studio;
beforeEach(() => {
  studio = openStudio();
});
afterEach(() => studio.close());

const put = (path: string, version: number, body: object) =>
  request(studio.app).put(`/api${path}`).set('If-Match', `"${version}"`).send(body);
const getItems = async <T>(path: string): Promise<T[]> =>
  ((await request(studio.app).get(`/api${path}`).expect(200)).body as { items: T[] }).items;
const pointers = (answer: { body: unknown }) =>
  (answer.body as { errors: { pointer: string }[] }).errors.map((error) => error.pointer);

describe('imports', () => {
  const bring = (body: object) =>
    request(studio.app)
      .post('/api/imports')
      .send({ fileName: 'x.csv', creates: [], updates: [], counts: [], ...body });
  const undo = (id: string) => request(studio.app).post(`/api/imports/${id}/undo`);
  test('all of it or nothing', async () => {
    const refused = await bring({
      creates: [
        { kind: 'fibre', input: fibreInput() },
        { kind: 'fibre', input: fibreInput({ colour: 'grey' }) },
      ],
    }).expect(422);
    expect(pointers(refused)).toEqual(['/creates/1/input/colour']);
    const unknown = await bring({
      creates: [{ kind: 'needle', input: { ...BLANK_NEEDLE, gauge: 38, smell: 1 } }],
    }).expect(422);
    expect(pointers(unknown)).toEqual(['/creates/0/input/smell']);
    expect(await getItems('/fibres')).toEqual([]);
  });
  test('a count in a list stands where one in the form could stand, and nowhere else', async () => {
    const [fibre, other] = [await addFibre(studio), await addFibre(studio, { name: 'Slate' })];
    const lotId = fibre.lots[0]?.id ?? '';
    for (const wrong of [null, 'gone', other.lots[0]?.id]) {
      const counts = [
        { itemId: fibre.id, lotId, amount: 30 },
        { itemId: fibre.id, lotId: wrong, amount: 7 },
      ];
      const answer = await bring({ counts }).expect(422);
      expect(pointers(answer)).toEqual(['/counts/1/lotId']);
      const form = await request(studio.app).post('/api/stock/counts').send({ counts }).expect(422);
      expect(form.body).toEqual(answer.body);
    }
    expect(await getItems<Fibre>('/fibres')).toMatchObject([{ onHandG: 100 }, { onHandG: 100 }]);
  });
  test('the database itself keeps a lot with what it is a lot of', async () => {
    const [fibre, other] = [await addFibre(studio), await addFibre(studio, { name: 'Slate' })];
    const enter = (itemId: string, lotId: string | null) => () =>
      studio.deps.store.stock.enter({ itemId, lotId, amountMilli: 1000, reason: 'received', at: '' });
    expect(enter(fibre.id, other.lots[0]?.id ?? '')).toThrow('another thing');
    expect(enter(fibre.id, null)).toThrow('moves by lot');
    expect(enter(fibre.id, 'gone')).toThrow();
    expect(enter(fibre.id, fibre.lots[0]?.id ?? '')).not.toThrow();
  });
  test('is taken back whole: what it made goes, what it changed is as before, what it counted is as before', async () => {
    const fibre = await addFibre(studio, { note: 'mine' });
    const done = await bring({
      creates: [
        { kind: 'fibre', input: fibreInput({ name: 'New' }) },
        { kind: 'finding', input: { ...BLANK_FINDING, name: 'Bell' } },
      ],
      updates: [{ kind: 'fibre', id: fibre.id, version: 1, input: fibreInput({ note: 'theirs' }) }],
      counts: [{ itemId: fibre.id, lotId: fibre.lots[0]?.id, amount: 30 }],
    }).expect(201);
    expect(done.body).toMatchObject({ created: 2, updated: 1, counted: 1, undoneAt: null });
    const { id } = done.body as ImportRecord;
    expect(await getItems<Fibre>('/fibres')).toMatchObject([
      { note: 'theirs', onHandG: 30 },
      { name: 'New' },
    ]);
    await undo(id).expect(200);
    expect(await getItems<Fibre>('/fibres')).toMatchObject([{ note: 'mine', onHandG: 100 }]);
    expect(await getItems('/findings')).toEqual([]);
    await undo(id).expect(409);
  });
  test('is not taken back where something has been built on it', async () => {
    const done = await bring({
      creates: [
        { kind: 'fibre', input: fibreInput({ name: 'New' }) },
        { kind: 'fibre', input: fibreInput({ name: 'Other' }) },
      ],
    }).expect(201);
    const [made] = await getItems<Fibre>('/fibres');
    await put(`/fibres/${made?.id}`, 1, fibreInput({ name: 'New', note: 'changed since' })).expect(200);
    expect((await undo((done.body as ImportRecord).id).expect(409)).body).toMatchObject({
      code: 'import_built_on',
      name: 'New',
    });
    expect(await getItems('/fibres')).toHaveLength(2);
    expect(await getItems<ImportRecord>('/imports')).toMatchObject([{ undoneAt: null }]);
  });
});
