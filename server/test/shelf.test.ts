import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { ItemUse } from '@lanakit/core/api';
import type { ImportRecord } from '@lanakit/core/files';
import { BLANK_STEP, type Step } from '@lanakit/core/pattern';
import {
  BLANK_BLEND,
  BLANK_FINDING,
  BLANK_NEEDLE,
  BLANK_SUPPLIER,
  BLANK_TOOL,
  blankLot,
  type Blend,
  type Fibre,
  type Finding,
  type Lot,
  type Movement,
  type Supplier,
} from '@lanakit/core/shelf';
import fc from 'fast-check';
import request from 'supertest';
import {
  add,
  addFibre,
  addPattern,
  ballPattern,
  fibreInput,
  NOW,
  openStudio,
  publish,
  type Studio,
} from './support/studio.ts';

let studio: Studio;
beforeEach(() => {
  studio = openStudio();
});
afterEach(() => studio.close());

const put = (path: string, version: number, body: object) =>
  request(studio.app).put(`/api${path}`).set('If-Match', `"${version}"`).send(body);
const getItems = async <T>(path: string): Promise<T[]> =>
  ((await request(studio.app).get(`/api${path}`).expect(200)).body as { items: T[] }).items;
const getOne = async <T>(path: string): Promise<T> =>
  (await request(studio.app).get(`/api${path}`).expect(200)).body as T;
const pointers = (answer: { body: unknown }) =>
  (answer.body as { errors: { pointer: string }[] }).errors.map((error) => error.pointer);
const count = (counts: object[]) => request(studio.app).post('/api/stock/counts').send({ counts });

const eye = () => add<Finding>(studio, '/findings', { ...BLANK_FINDING, name: 'Bead eye', countedNow: 86 });
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

describe('stock is the sum of movements', () => {
  test('a stocktake writes differences, all or none, and never edits', async () => {
    const fibre = await addFibre(studio);
    const lotId = fibre.lots[0]?.id;
    const bead = await eye();
    await count([
      { itemId: fibre.id, lotId, amount: 63.4 },
      { itemId: bead.id, lotId: null, amount: 80 },
    ]).expect(200);
    const movements = studio.db.prepare('SELECT amount_milli FROM movement ORDER BY id').pluck().all();
    expect(movements).toEqual([100_000, 86_000, -36_600, -6000]);
    const refused = await count([
      { itemId: fibre.id, lotId, amount: 1 },
      { itemId: 'gone', lotId: null, amount: 1 },
    ]).expect(422);
    expect(pointers(refused)).toEqual(['/counts/1/itemId']);
    expect((await getOne<Fibre>(`/fibres/${fibre.id}`)).onHandG).toBe(63.4);
    expect(() => studio.db.exec('UPDATE movement SET amount_milli = 0')).toThrow('cannot be changed');
    expect(() => studio.db.exec('DELETE FROM movement')).toThrow('cannot be deleted');
  });
  test('never counted is unknown, not nought; counted as nought is nought', async () => {
    expect((await addFibre(studio, {}, null)).onHandG).toBeNull();
    expect((await addFibre(studio, { name: 'Empty' }, 0)).onHandG).toBe(0);
  });
  test('fibre moves by lot, a finding by itself', async () => {
    const fibre = await addFibre(studio);
    const bead = await eye();
    await count([{ itemId: fibre.id, lotId: null, amount: 3 }]).expect(422);
    await count([{ itemId: bead.id, lotId: fibre.lots[0]?.id, amount: 3 }]).expect(422);
  });
  test('two lots, one entered late: the ledger goes by its days', async () => {
    const fibre = await addFibre(studio);
    const lotId = fibre.lots[0]?.id ?? '';
    const enter = studio.db.prepare(
      "INSERT INTO movement (item_id, lot_id, amount_milli, reason, note, at) VALUES (?, ?, 1000, 'received', ?, ?)",
    );
    for (const [note, at] of [
      ['second', '2031-02-02T10:00:00.000Z'],
      ['first', '2031-02-01T10:00:00.000Z'],
      ['third', '2031-02-03T10:00:00.000Z'],
    ])
      enter.run(fibre.id, lotId, note, at);
    const told = (await getItems<Movement>(`/stock/movements/${fibre.id}`)).map(({ note }) => note);
    expect(told.slice(0, 3)).toEqual(['third', 'second', 'first']);
  });
  test('what came and went stands in the ledger, the newest first', async () => {
    const fibre = await addFibre(studio);
    const lotId = fibre.lots[0]?.id ?? '';
    for (const [reason, amount] of [
      ['sample', 12],
      ['received', 50],
      ['spoiled', 3.5],
    ] as const) {
      await request(studio.app)
        .post('/api/stock/movements')
        .send({ itemId: fibre.id, lotId, reason, amount, note: '' })
        .expect(201);
    }
    expect(
      (await getItems<Movement>(`/stock/movements/${fibre.id}`)).map(({ reason, amount }) => [
        reason,
        amount,
      ]),
    ).toEqual([
      ['spoiled', -3.5],
      ['received', 50],
      ['sample', -12],
      ['counted', 100],
    ]);
    expect(await getOne<Fibre>(`/fibres/${fibre.id}`)).toMatchObject({ onHandG: 134.5, peakG: 138 });
    await request(studio.app)
      .post('/api/stock/movements')
      .send({ itemId: fibre.id, lotId, reason: 'received', amount: 0, note: '' })
      .expect(422);
  });
  test('after any counts, what is on hand is the last one, of the lot and of the whole', () => {
    const { store } = studio.deps;
    let made = 0;
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.boolean(), fc.integer({ min: 0, max: 5_000_000 })), {
          minLength: 1,
          maxLength: 12,
        }),
        (counts) => {
          const id = `count${++made}`;
          store.items.insert(
            id,
            { kind: 'fibre', name: id, input: fibreInput(), links: [] },
            NOW.toISOString(),
          );
          for (const lot of ['a', 'b'])
            store.stock.insertLot(`${id}${lot}`, id, blankLot(lot), NOW.toISOString());
          const last = { a: null as number | null, b: null as number | null };
          for (const [isA, mg] of counts) {
            const lot = isA ? 'a' : 'b';
            last[lot] = mg / 1000;
            store.stock.enterCount(
              { itemId: id, lotId: `${id}${lot}`, amount: mg / 1000 },
              NOW.toISOString(),
            );
          }
          const fibre = store.shelf.fibre(id);
          expect(fibre?.lots.map(({ onHandG }) => onHandG)).toEqual([last.a, last.b]);
          expect(fibre?.onHandG).toBeCloseTo((last.a ?? 0) + (last.b ?? 0), 9);
        },
      ),
      { numRuns: 30 },
    );
  });
});

describe('lots', () => {
  const lotsPath = (id: string) => `/api/lots/of/${id}`;
  test('a second lot comes with what was received; a name twice is refused', async () => {
    const fibre = await addFibre(studio);
    const made = await request(studio.app)
      .post(lotsPath(fibre.id))
      .send({ ...blankLot('spring'), receivedG: 50 })
      .expect(201);
    expect(made.body).toMatchObject({
      onHandG: 150,
      lots: [{ name: 'first lot' }, { name: 'spring', onHandG: 50 }],
    });
    const refused = await request(studio.app)
      .post(lotsPath(fibre.id))
      .send({ ...blankLot(' SPRING'), receivedG: 1 })
      .expect(422);
    expect(pointers(refused)).toEqual(['/name']);
  });
  test('is changed with its version, several at once or none', async () => {
    const fibre = await addFibre(studio);
    const lot = fibre.lots[0] as Lot;
    const input = { ...blankLot('first lot'), place: 'drawer 3' };
    expect((await put(`/lots/${lot.id}`, 1, input).expect(200)).body).toMatchObject({
      place: 'drawer 3',
      version: 2,
    });
    await put(`/lots/${lot.id}`, 1, input).expect(409);
    const several = (lots: object[]) => request(studio.app).put('/api/lots').send({ lots });
    await several([
      { id: lot.id, version: 2, input: { ...input, place: 'bin' } },
      { id: 'gone', version: 1, input },
    ]).expect(404);
    expect((await getOne<Fibre>(`/fibres/${fibre.id}`)).lots[0]?.place).toBe('drawer 3');
    await several([{ id: lot.id, version: 2, input: { ...input, place: 'bin' } }]).expect(200);
  });
  test('one that has moved is kept; an empty one by mistake is taken away', async () => {
    const fibre = await addFibre(studio);
    await request(studio.app).delete(`/api/lots/${fibre.lots[0]?.id}`).set('If-Match', '"1"').expect(409);
    const made = await request(studio.app)
      .post(lotsPath(fibre.id))
      .send({ ...blankLot('slip'), receivedG: null })
      .expect(201);
    const slip = (made.body as Fibre).lots[1] as Lot;
    await request(studio.app).delete(`/api/lots/${slip.id}`).set('If-Match', '"1"').expect(204);
    expect((await getOne<Fibre>(`/fibres/${fibre.id}`)).lots).toHaveLength(1);
  });
});

describe('blends', () => {
  test('is coloured as it mixes, and a circle is refused by name', async () => {
    const [a, b] = [
      await addFibre(studio, { name: 'Plum', colour: '#5f2f58' }),
      await addFibre(studio, { name: 'Brine', colour: '#8fb4b8' }),
    ];
    const low = await add<Blend>(studio, '/blends', { ...blendOf([a.id, 3], [b.id, 1]), countedNow: null });
    expect(low.asFibre?.colour).toMatch(/^#[0-9a-f]{6}$/);
    const high = await add<Blend>(studio, '/blends', {
      ...blendOf([low.id, 1]),
      name: 'High',
      countedNow: null,
    });
    const refused = await put(`/blends/${low.id}`, 1, blendOf([high.id, 1])).expect(422);
    expect(refused.body).toMatchObject({
      errors: [{ code: 'blend_circular', names: ['Tide', 'High', 'Tide'] }],
    });
  });
  test('a lot is made out of its fibres’ lots, and nothing is made of nothing', async () => {
    const fibre = await addFibre(studio);
    const blend = await add<Blend>(studio, '/blends', { ...blendOf([fibre.id, 1]), countedNow: null });
    const make = (massG: number) =>
      request(studio.app)
        .post(`/api/blends/${blend.id}/lots`)
        .send({
          name: `lot of ${massG}`,
          note: '',
          place: '',
          from: [{ itemId: fibre.id, lotId: fibre.lots[0]?.id, massG }],
        });
    expect((await make(40).expect(201)).body).toMatchObject({ onHandG: 40, lots: [{ name: 'lot of 40' }] });
    expect((await getOne<Fibre>(`/fibres/${fibre.id}`)).onHandG).toBe(60);
    expect((await make(61).expect(422)).body).toMatchObject({
      errors: [{ code: 'stock_short', onHandG: 60, wantedG: 61 }],
    });
    expect((await getOne<Fibre>(`/fibres/${fibre.id}`)).onHandG).toBe(60);
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

test('what fingers take is kept for the studio', async () => {
  const set = (massG: number) =>
    request(studio.app)
      .put('/api/hand-measures')
      .send({ name: 'pinch', massG, lowG: massG * 0.9, highG: massG * 1.1 });
  await set(0.2).expect(200);
  await set(0.115).expect(200);
  expect(await getItems('/hand-measures')).toMatchObject([{ name: 'pinch', massG: 0.115 }]);
  await set(0).expect(400);
});

test('a tool is put on the shelf and counted', async () => {
  expect(
    await add(studio, '/tools', { ...BLANK_TOOL, name: 'Pliers', provision: 'table', countedNow: 3 }),
  ).toMatchObject({ onHand: 3 });
});
