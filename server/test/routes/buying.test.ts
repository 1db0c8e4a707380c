import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { Buying, Makes } from '@lanakit/core/api';
import { BUYING_TERMS, chosenWants, type Order, type OrderInput, orderState } from '@lanakit/core/buying';
import { BLANK_FINDING, BLANK_SUPPLIER, type Fibre, type Finding, type Supplier } from '@lanakit/core/shelf';
import { readCalendar } from '../support/readCalendar.ts';
import { request } from '../support/request.ts';
import {
  add,
  addFibre,
  addPattern,
  ballPattern,
  openStudio,
  publish,
  runInput,
  type Studio,
} from '../support/studio.ts';

let studio: Studio;
beforeEach(() => {
  studio = openStudio();
});
afterEach(() => studio.close());

const getOne = async <T>(path: string): Promise<T> =>
  (await request(studio.app).get(`/api${path}`).expect(200)).body as T;
const ifMatch = (method: 'post' | 'put' | 'delete', path: string, version: number, body?: object) =>
  request(studio.app)[method](`/api${path}`).set('If-Match', `"${version}"`).send(body);

/** A supplier of a fibre in packs of 50 g, and of eyes by twenty. */
async function shelf() {
  const fibre = await addFibre(studio, {}, 10);
  const eye = await add<Finding>(studio, '/findings', { ...BLANK_FINDING, name: 'Bead eye', countedNow: 0 });
  const supplier = await add<Supplier>(studio, '/suppliers', {
    ...BLANK_SUPPLIER,
    name: 'Harbour Wool',
    offers: [{ itemId: fibre.id, packAmount: 50, priceMinor: 420, reference: 'HW-1' }],
  });
  return { fibre, eye, supplier };
}

const orderInput = (
  { supplier, fibre, eye }: Awaited<ReturnType<typeof shelf>>,
  more: Partial<OrderInput> = {},
): OrderInput => ({
  supplierId: supplier.id,
  supplierName: supplier.name,
  carriageMinor: 390,
  expectedOn: '2026-12-01',
  note: '',
  lines: [
    {
      name: 'Chalk, 50 g',
      reference: 'HW-1',
      contents: [{ itemId: fibre.id, amount: 50 }],
      packs: 3,
      priceEachMinor: 420,
    },
    {
      name: 'Face set',
      reference: '',
      contents: [
        { itemId: fibre.id, amount: 10 },
        { itemId: eye.id, amount: 30 },
      ],
      packs: 2,
      priceEachMinor: 800,
    },
  ],
  ...more,
});

describe('an order, from a draft to the shelf', () => {
  test('arrives in part and then whole: lots with the price paid, pieces counted, and the ledger says both', async () => {
    const things = await shelf();
    const draft = await add<Order>(studio, '/orders', orderInput(things));
    expect(orderState(draft)).toBe('drafted');
    expect((await getOne<Buying>('/buying')).coming).toEqual([]);
    const sent = (await ifMatch('post', `/orders/${draft.id}/sent`, draft.version).expect(200)).body as Order;
    expect(sent).toMatchObject({ stage: 'ordered', orderedOn: '2026-11-24' });
    const coming = async () =>
      (await getOne<Buying>('/buying')).coming.map(({ itemId, amount, on }) => [itemId, amount, on]);
    expect(await coming()).toEqual([
      [things.fibre.id, 150, '2026-12-01'],
      [things.fibre.id, 20, '2026-12-01'],
      [things.eye.id, 60, '2026-12-01'],
    ]);
    const first = (
      await ifMatch('post', `/orders/${draft.id}/arrivals`, sent.version, {
        on: '2026-11-24',
        lines: [
          { line: 0, packs: 2, paidEachMinor: 450 },
          { line: 1, packs: 1, paidEachMinor: 800 },
        ],
        lotName: 'November',
        isLast: false,
      }).expect(200)
    ).body as Order;
    expect(orderState(first)).toBe('part');
    const fibre = await getOne<Fibre>(`/fibres/${things.fibre.id}`);
    // 10 were there; 2 packs of 50 and one of 10 came. 100 g at 9.00 and 10 g at a quarter of 8.00: 1100 for 110 g.
    expect(fibre.onHandG).toBe(120);
    expect(fibre.lots.at(-1)).toMatchObject({
      name: 'November',
      onHandG: 110,
      receivedOn: '2026-11-24',
      pricePer100gMinor: 1000,
    });
    expect((await getOne<Finding>(`/findings/${things.eye.id}`)).onHand).toBe(30);
    expect(await coming()).toEqual([
      [things.fibre.id, 50, '2026-12-01'],
      [things.fibre.id, 10, '2026-12-01'],
      [things.eye.id, 30, '2026-12-01'],
    ]);
    const last = (
      await ifMatch('post', `/orders/${draft.id}/arrivals`, first.version, {
        on: '2026-12-02',
        lines: [{ line: 0, packs: 1, paidEachMinor: 420 }],
        lotName: 'November',
        isLast: true,
      }).expect(200)
    ).body as Order;
    expect(orderState(last)).toBe('arrived');
    expect(await coming()).toEqual([]);
    // The same name again is a lot of its own.
    const lots = (await getOne<Fibre>(`/fibres/${things.fibre.id}`)).lots.map(({ name }) => name);
    expect(lots.slice(-2)).toEqual(['November', 'November (2)']);
  });

  test('an arrival that was a slip is taken back: the shelf is as it was, and what was ordered is open again', async () => {
    const things = await shelf();
    const draft = await add<Order>(studio, '/orders', orderInput(things));
    await ifMatch('post', `/orders/${draft.id}/sent`, 1).expect(200);
    const lines = [{ line: 0, packs: 3, paidEachMinor: 420 }];
    await ifMatch('post', `/orders/${draft.id}/arrivals`, 2, {
      on: '2026-11-24',
      lines,
      lotName: '',
      isLast: true,
    }).expect(200);
    const back = (await ifMatch('delete', `/orders/${draft.id}/arrivals/last`, 3).expect(200)).body as Order;
    expect(back).toMatchObject({ stage: 'ordered', arrivals: [] });
    expect((await getOne<Fibre>(`/fibres/${things.fibre.id}`)).onHandG).toBe(10);
    await ifMatch('delete', `/orders/${draft.id}/arrivals/last`, 4).expect(409);
  });

  test.each([
    [
      'more than was ordered is asked about',
      { lines: [{ line: 0, packs: 4, paidEachMinor: 420 }] },
      422,
      '/lines/0/packs',
    ],
    [
      'and taken where it is so',
      { lines: [{ line: 0, packs: 4, paidEachMinor: 420 }], anyway: true },
      200,
      '',
    ],
    ['nothing at all', { lines: [] }, 422, '/lines'],
    ['a line that is not there', { lines: [{ line: 9, packs: 1, paidEachMinor: 1 }] }, 422, '/lines/0/line'],
    [
      'a price below nothing',
      { lines: [{ line: 0, packs: 1, paidEachMinor: -1 }] },
      422,
      '/lines/0/paidEachMinor',
    ],
    [
      'a day that is none',
      { lines: [{ line: 0, packs: 1, paidEachMinor: 1 }], on: '2026-02-30' },
      422,
      '/on',
    ],
  ])('an arrival of %s', async (_name, more, status, pointer) => {
    const things = await shelf();
    const draft = await add<Order>(studio, '/orders', orderInput(things));
    await ifMatch('post', `/orders/${draft.id}/sent`, 1).expect(200);
    const arrival = { on: '2026-11-24', lotName: '', isLast: false, ...more };
    const answer = await ifMatch('post', `/orders/${draft.id}/arrivals`, 2, arrival).expect(status);
    const moved = studio.db.prepare('SELECT count(*) FROM movement').pluck().get();
    if (status === 200) expect(moved).toBeGreaterThan(2);
    else {
      expect((answer.body as { errors: { pointer: string }[] }).errors[0]?.pointer).toBe(pointer);
      // Nothing came: what was there when the things were made.
      expect(moved).toBe(2);
    }
  });

  test('what is sent is not changed but for its day and note; what is a draft is', async () => {
    const things = await shelf();
    const draft = await add<Order>(studio, '/orders', orderInput(things));
    const other = orderInput(things, { carriageMinor: 0, expectedOn: null, note: 'ring first' });
    const saved = (await ifMatch('put', `/orders/${draft.id}`, 1, other).expect(200)).body as Order;
    expect(saved).toMatchObject({ carriageMinor: 0, expectedOn: null, note: 'ring first' });
    await ifMatch('put', `/orders/${draft.id}`, 1, other).expect(409);
    await ifMatch('post', `/orders/${draft.id}/sent`, 2).expect(200);
    const late = orderInput(things, { carriageMinor: 999, expectedOn: '2026-12-20', note: 'late' });
    const sent = (await ifMatch('put', `/orders/${draft.id}`, 3, late).expect(200)).body as Order;
    expect(sent).toMatchObject({ carriageMinor: 0, expectedOn: '2026-12-20', note: 'late' });
    const back = (await ifMatch('post', `/orders/${draft.id}/drafted`, 4).expect(200)).body as Order;
    expect(back).toMatchObject({ stage: 'drafted', orderedOn: null });
    await ifMatch('post', `/orders/${draft.id}/dropped`, 5).expect(200);
    await ifMatch('post', `/orders/${draft.id}/sent`, 6).expect(409);
  });

  test('orders of a plan are drafted all or none', async () => {
    const things = await shelf();
    const orders = [orderInput(things), orderInput(things, { supplierId: things.fibre.id })];
    const refused = await request(studio.app).post('/api/orders/together').send({ orders }).expect(422);
    expect((refused.body as { errors: { pointer: string }[] }).errors[0]?.pointer).toBe(
      '/orders/1/supplierId',
    );
    expect((await getOne<{ items: Order[] }>('/orders')).items).toEqual([]);
    await request(studio.app)
      .post('/api/orders/together')
      .send({ orders: [orders[0]] })
      .expect(201);
    expect((await getOne<{ items: Order[] }>('/orders')).items).toHaveLength(1);
  });
});

describe('what runs want', () => {
  test('is what the bench says is short, and less by what is ordered', async () => {
    const { fibre, supplier } = await shelf();
    const revisionId = await publish(studio, await addPattern(studio, ballPattern(fibre.id)));
    const run = await add<{ id: string }>(
      studio,
      '/runs',
      runInput(revisionId, { seats: 12, date: '2026-12-12' }),
    );
    const buying = await getOne<Buying>('/buying');
    const bench = await getOne<{ short: { shortG: number }[] }>('/bench');
    const chosen = buying.runs.filter(({ id }) => id === run.id);
    const [line] = chosenWants(buying.wants, chosen, buying.coming);
    expect(line?.short).toBe(bench.short[0]?.shortG);
    expect(line?.wanted).toBeCloseTo((line?.short ?? 0) + 10, 6);
    // Made ready before its day.
    expect((chosen[0]?.prepareBy ?? '') < '2026-12-12').toBe(true);
    const draft = await add<Order>(studio, '/orders', {
      ...orderInput({ fibre, supplier, eye: fibre as never }),
      lines: orderInput({ fibre, supplier, eye: fibre as never }).lines.slice(0, 1),
    });
    await ifMatch('post', `/orders/${draft.id}/sent`, 1).expect(200);
    const after = await getOne<Buying>('/buying');
    const [less] = chosenWants(after.wants, chosen, after.coming);
    expect(less?.toBuy).toBeCloseTo(Math.max(0, (line?.toBuy ?? 0) - 150), 6);
  });

  test('the maker’s days and levels are kept, and what is wrong with them is said', async () => {
    const { fibre } = await shelf();
    const put = (path: string, body: object) => request(studio.app).put(`/api${path}`).send(body);
    expect((await getOne<Buying>('/buying')).terms).toEqual(BUYING_TERMS);
    await put('/buying/terms', { ...BUYING_TERMS, hoursADay: 5 }).expect(200);
    await put('/buying/terms', { ...BUYING_TERMS, hoursADay: 0 }).expect(422);
    await put(`/stock/levels/${fibre.id}`, { least: 40 }).expect(200);
    await put(`/stock/levels/${fibre.id}`, { least: -1 }).expect(422);
    await put('/stock/levels/gone', { least: 1 }).expect(404);
    const { terms, things } = await getOne<Buying>('/buying');
    expect(terms.hoursADay).toBe(5);
    expect(things.find(({ id }) => id === fibre.id)).toMatchObject({ least: 40, onHand: 10 });
    await put(`/stock/levels/${fibre.id}`, { least: null }).expect(200);
    expect((await getOne<Buying>('/buying')).things.find(({ id }) => id === fibre.id)?.least).toBeNull();
  });

  test('a calendar has the days to order by, to begin by and to expect parcels on', async () => {
    const things = await shelf();
    const revisionId = await publish(studio, await addPattern(studio, ballPattern(things.fibre.id)));
    await add(studio, '/runs', runInput(revisionId, { name: 'Big class', seats: 12, date: '2026-12-12' }));
    const draft = await add<Order>(studio, '/orders', orderInput(things));
    await ifMatch('post', `/orders/${draft.id}/sent`, 1).expect(200);
    const { text } = await request(studio.app).get('/api/buying/calendar').expect(200);
    const events = text.split('BEGIN:VEVENT').slice(1);
    const dayOf = (words: string) =>
      /DTSTART;VALUE=DATE:(\d+)/.exec(events.find((event) => event.includes(words)) ?? '')?.[1];
    expect(dayOf('Parcel from Harbour Wool')).toBe('20261201');
    // Whole days, as a program reads them.
    const read = readCalendar(text);
    expect(read).toHaveLength(events.length);
    expect(read.find(({ summary }) => summary.includes('Parcel from Harbour Wool'))).toMatchObject({
      start: '2026-12-01',
      end: '2026-12-02',
    });
    const { runs } = await getOne<Buying>('/buying');
    expect(dayOf('Begin Big class')).toBe(runs[0]?.prepareBy.replaceAll('-', ''));
  });

  test('an order goes out as a table and as a paper, in the supplier’s own words', async () => {
    const things = await shelf();
    const { id } = await add<Order>(studio, '/orders', orderInput(things));
    const table = (await request(studio.app).get(`/api/orders/${id}/sheet/csv`).expect(200)).text;
    expect(table).toContain('HW-1');
    expect(table).toContain('32.50');
    const paper = await request(studio.app).get(`/api/orders/${id}/sheet/pdf`).buffer(true).expect(200);
    expect(paper.headers['content-type']).toContain('application/pdf');
  });
});

test('what the shelf allows of each figure, what limits it, and what would use up a heap', async () => {
  const { fibre } = await shelf();
  await publish(studio, await addPattern(studio, ballPattern(fibre.id)));
  const { lines } = await getOne<Makes>('/makes');
  const [line] = lines;
  // Ten grams lie there: as many balls as go into them, and no more.
  const perMakeG =
    (await getOne<{ items: { total: { likelyG: number } }[] }>('/pattern-lines')).items[0]?.total.likelyG ??
    0;
  expect(line?.makes).toBe(Math.floor(10 / perMakeG));
  expect(line?.limits).toEqual([{ itemId: fibre.id, name: fibre.name, packAmount: 50 }]);
  expect(line?.makesWithMore).toBe(Math.floor(60 / perMakeG));
  const heap = await getOne<Makes>(`/makes?heap=${fibre.id}`);
  expect(heap.lines[0]?.used?.usedG).toBeCloseTo((line?.makes ?? 0) * perMakeG, 6);
});
