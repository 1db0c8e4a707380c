import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { ItemUse } from '@lanakit/core/api';
import { BLANK_STEP, type Step } from '@lanakit/core/pattern';
import {
  BLANK_BLEND,
  BLANK_NEEDLE,
  BLANK_SUPPLIER,
  BLANK_TOOL,
  type Blend,
  type Fibre,
  type Supplier,
} from '@lanakit/core/shelf';
import { request } from '../support/request.ts';
import {
  add,
  addFibre,
  addPattern,
  ballPattern,
  fibreInput,
  openStudio,
  publish,
  type Studio,
} from '../support/studio.ts';

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

const blendOf = (...parts: [string, number][]) => ({
  ...BLANK_BLEND,
  name: 'Tide',
  parts: parts.map(([itemId, part]) => ({ itemId, parts: part })),
});

describe('fibres', () => {
  test('one is put on the shelf, found by name, and changed with its version', async () => {
    const fibre = await addFibre(studio, { name: ' Moss ', otherNames: ['olive'] });
    expect(fibre).toMatchObject({
      name: 'Moss',
      version: 1,
      onHandG: 100,
      lots: [{ name: 'first lot', onHandG: 100 }],
    });
    const answer = await put(`/fibres/${fibre.id}`, 1, fibreInput({ name: 'Moss', archived: true })).expect(
      200,
    );
    expect(answer.headers['etag']).toBe('"2"');
    expect(answer.body).toMatchObject({ version: 2, onHandG: 100, archived: true });
    expect(await getItems('/fibres')).toHaveLength(1);
  });
  test.each([
    ['no name', { name: '  ' }, 422, '/name'],
    ['a colour in words', { colour: 'blue-ish' }, 422, '/colour'],
    ['0 g/m', { linearGPerM: 0 }, 422, '/linearGPerM'],
    ['a staple of 3 m', { stapleMm: 3000 }, 422, '/stapleMm'],
    ['grams in words', { countedNow: 'some' }, 400, '/countedNow'],
    ['grams under nought', { countedNow: -1 }, 422, '/countedNow'],
    ['a preparation there is not', { preparation: 'fluffy' }, 400, '/preparation'],
    ['an unknown field', { smell: 'sheep' }, 400, '/smell'],
  ])('refused, and the shelf left as it was: %s', async (_name, change, status, pointer) => {
    const answer = await request(studio.app)
      .post('/api/fibres')
      .send({ ...fibreInput(), countedNow: null, ...change })
      .expect(status);
    expect(pointers(answer)).toEqual([pointer]);
    expect(await getItems('/fibres')).toEqual([]);
  });
  test('a version that is not the stored one changes nothing and carries both sides', async () => {
    const fibre = await addFibre(studio);
    await put(`/fibres/${fibre.id}`, 1, fibreInput({ name: 'Mine' })).expect(200);
    const answer = await put(`/fibres/${fibre.id}`, 1, fibreInput({ name: 'Other' })).expect(409);
    expect(answer.body).toMatchObject({
      code: 'version_conflict',
      yours: { name: 'Other' },
      theirs: { name: 'Mine' },
    });
  });
});

describe('what is used is not deleted', () => {
  test('a fibre in a pattern says where; unused it goes and comes back', async () => {
    const fibre = await addFibre(studio);
    const pattern = await addPattern(studio, ballPattern(fibre.id));
    await publish(studio, pattern);
    const refused = await request(studio.app)
      .delete(`/api/fibres/${fibre.id}`)
      .set('If-Match', '"1"')
      .expect(409);
    expect(refused.body).toMatchObject({
      code: 'in_use',
      uses: [{ title: 'Ball', revisionNumber: null }, { revisionNumber: 1 }],
    });
    const free = await addFibre(studio, { name: 'Free' });
    await request(studio.app).delete(`/api/fibres/${free.id}`).set('If-Match', '"1"').expect(204);
    await request(studio.app).get(`/api/fibres/${free.id}`).expect(404);
    expect((await request(studio.app).post(`/api/fibres/${free.id}/restore`).expect(200)).body).toMatchObject(
      { onHandG: 100 },
    );
  });
  test('a fibre in a blend, a blend in a pattern, and what a supplier offers', async () => {
    const fibre = await addFibre(studio);
    const blend = await add<Blend>(studio, '/blends', { ...blendOf([fibre.id, 1]), countedNow: null });
    await addPattern(studio, ballPattern(blend.id));
    await add<Supplier>(studio, '/suppliers', {
      ...BLANK_SUPPLIER,
      name: 'Two Piers',
      offers: [{ itemId: fibre.id, packAmount: 50, priceMinor: 300, reference: '' }],
    });
    expect(await getItems<ItemUse>(`/fibres/${fibre.id}/uses`)).toMatchObject([
      { kind: 'blend', name: 'Tide' },
      { kind: 'supplier', name: 'Two Piers' },
    ]);
    expect(await getItems<ItemUse>(`/blends/${blend.id}/uses`)).toMatchObject([
      { kind: 'pattern', title: 'Ball' },
    ]);
    await request(studio.app).delete(`/api/fibres/${fibre.id}`).set('If-Match', '"1"').expect(409);
  });
  test('a needle is used wherever its gauge is asked for', async () => {
    const needle = await add<{ id: string }>(studio, '/needles', {
      ...BLANK_NEEDLE,
      gauge: 38,
      countedNow: 4,
    });
    const step = {
      ...BLANK_STEP,
      id: 's',
      text: '',
      partIds: [],
      stage: 'core',
      needle: { by: 'gauge', gauge: 38, profile: null },
      minutes: 3,
    } satisfies Step;
    await addPattern(studio, ballPattern(null, { steps: [step] }));
    expect(await getItems(`/needles/${needle.id}/uses`)).toMatchObject([{ kind: 'pattern', title: 'Ball' }]);
  });
});

describe('several at once', () => {
  test('all are changed or none', async () => {
    const [first, two] = [await addFibre(studio, { name: 'One' }), await addFibre(studio, { name: 'Two' })];
    const several = (items: object[]) => request(studio.app).put('/api/fibres').send({ items });
    const archived = (fibre: Fibre, version = 1) => ({
      id: fibre.id,
      version,
      input: fibreInput({ name: fibre.name, archived: true }),
    });
    await several([archived(first), archived(two, 7)]).expect(409);
    expect((await getItems<Fibre>('/fibres')).map((fibre) => fibre.archived)).toEqual([false, false]);
    await several([archived(first), archived(two)]).expect(200);
    expect((await getItems<Fibre>('/fibres')).map((fibre) => fibre.archived)).toEqual([true, true]);
  });
});

test('a tool is put on the shelf and counted', async () => {
  expect(
    await add(studio, '/tools', { ...BLANK_TOOL, name: 'Pliers', provision: 'table', countedNow: 3 }),
  ).toMatchObject({ onHand: 3 });
});
