import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import {
  BLANK_BLEND,
  BLANK_FINDING,
  blankLot,
  type Blend,
  type Fibre,
  type Finding,
  type Lot,
  type Movement,
} from '@lanakit/core/shelf';
import fc from 'fast-check';
import { request } from '../support/request.ts';
import { add, addFibre, fibreInput, NOW, openStudio, type Studio } from '../support/studio.ts';

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
  test.each(['spoiled', 'sample', 'packed'])(
    '%s: more than is there is asked about, and entered when it is meant',
    async (reason) => {
      const fibre = await addFibre(studio);
      const movement = { itemId: fibre.id, lotId: fibre.lots[0]?.id, reason, amount: 120, note: '' };
      const move = (body: object) => request(studio.app).post('/api/stock/movements').send(body);
      const asked = await move(movement).expect(422);
      expect(asked.body).toMatchObject({
        errors: [{ code: 'stock_below_nothing', pointer: '/amount', onHand: 100, taken: 120 }],
      });
      expect(await getOne<Fibre>(`/fibres/${fibre.id}`)).toMatchObject({ onHandG: 100 });
      await move({ ...movement, anyway: true }).expect(201);
      expect(await getOne<Fibre>(`/fibres/${fibre.id}`)).toMatchObject({ onHandG: -20 });
      await move({ ...movement, reason: 'received' }).expect(201);
      await move({ ...movement, amount: 100 }).expect(201);
      expect(await getOne<Fibre>(`/fibres/${fibre.id}`)).toMatchObject({ onHandG: 0 });
    },
  );
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
