import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { request } from '../support/request.ts';
import type { Bench, Promised } from '@lanakit/core/api';
import { blankSeat, type Run, type Seat } from '@lanakit/core/run';
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
let revisionId: string;
let fibreId: string;
beforeEach(async () => {
  studio = openStudio();
  fibreId = (await addFibre(studio, {}, 250)).id;
  revisionId = await publish(studio, await addPattern(studio, ballPattern(fibreId)));
});
afterEach(() => studio.close());

const plan = async (more: Parameters<typeof runInput>[1] = {}): Promise<Run> => {
  const answer = await request(studio.app).post('/api/runs').send(runInput(revisionId, more)).expect(201);
  return answer.body as Run;
};

/** 60 mm ball, firm: π/6·6³ cm³ × 0.15 g/cm³, a tenth more, up to 0.1 g. */
const PACK_G = Math.ceil(((Math.PI / 6) * 216 * 0.15 * 1.1) / 0.1) / 10;

test('a class is planned from a revision, found again and changed', async () => {
  const run = await plan({ seats: 11, sparePacks: 2 });
  expect(run).toMatchObject({ patternTitle: 'Ball', revisionNumber: 1, seats: 11 });
  await request(studio.app)
    .put(`/api/runs/${run.id}`)
    .set('If-Match', '"1"')
    .send(runInput(revisionId, { seats: 12 }))
    .expect(200);
  const list = await request(studio.app).get('/api/runs').expect(200);
  expect(list.body).toMatchObject({ today: '2026-11-24', items: [{ seats: 12 }] });
  await request(studio.app)
    .put(`/api/runs/${run.id}`)
    .set('If-Match', '"1"')
    .send(runInput(revisionId))
    .expect(409);
});

test.each([
  ['no seats', { seats: 0 }, 422, '/seats'],
  ['seats in words', { seats: 'many' as unknown as number }, 400, '/seats'],
  ['a day there is not', { date: '2026-02-30' }, 422, '/date'],
  ['a revision there is not', { revisionId: 'gone' }, 422, '/revisionId'],
])('refused: %s', async (_name, more, status, pointer) => {
  const answer = await request(studio.app).post('/api/runs').send(runInput(revisionId, more)).expect(status);
  expect((answer.body as { errors: { pointer: string }[] }).errors.map((error) => error.pointer)).toEqual([
    pointer,
  ]);
});

describe('the shelf between runs', () => {
  test('a run finds what the ones before it have left, and the bench says what is short', async () => {
    const second = await plan({ date: '2026-12-12', seats: 8, sparePacks: 0, name: 'Second' });
    await plan({ date: '2026-12-05', seats: 5, sparePacks: 1, name: 'First' });
    await plan({ date: '2026-11-01', seats: 50, name: 'Been' });
    const promised = await request(studio.app).get(`/api/runs/${second.id}/promised`).expect(200);
    const { items } = promised.body as { items: { fibreId: string; massG: number }[] };
    expect(items).toEqual([{ fibreId, massG: expect.closeTo(6 * PACK_G, 6) }]);
    const bench = await request(studio.app).get('/api/bench').expect(200);
    const { runs } = bench.body as { runs: { run: Run; short: { shortG: number }[] }[] };
    expect(runs.map(({ run }) => run.name)).toEqual(['First', 'Second']);
    expect(runs[0]?.short).toEqual([]);
    expect(runs[1]?.short[0]?.shortG).toBeCloseTo(14 * PACK_G - 250, 6);
  });
  test('a deleted run takes nothing', async () => {
    const first = await plan({ date: '2026-12-05' });
    const second = await plan({ date: '2026-12-12' });
    await request(studio.app).delete(`/api/runs/${first.id}`).set('If-Match', '"1"').expect(204);
    const promised = await request(studio.app).get(`/api/runs/${second.id}/promised`);
    expect(promised.body).toEqual({ items: [], things: [] });
    await request(studio.app).post(`/api/runs/${first.id}/restore`).expect(200);
  });
  test('a fibre never counted is said, not taken for nought', async () => {
    const bare = await addFibre(studio, { name: 'Bare' }, null);
    revisionId = await publish(studio, await addPattern(studio, ballPattern(bare.id, { title: 'Other' })));
    await plan();
    const bench = await request(studio.app).get('/api/bench');
    expect(bench.body).toMatchObject({ runs: [{ short: [], uncounted: [{ fibreId: bare.id }] }] });
  });
});

test('the bench lists patterns with something unknown, and what it is', async () => {
  await addPattern(studio, ballPattern(null, { title: 'Half' }));
  const bench = await request(studio.app).get('/api/bench').expect(200);
  expect(bench.body).toMatchObject({
    unfinished: {
      total: 1,
      items: [
        {
          title: 'Half',
          missingCount: 1,
          missing: [{ problem: { code: 'fibre_missing' }, partName: 'Ball' }],
        },
      ],
    },
  });
});

test('what all runs ahead will take, and which of them', async () => {
  await plan({ date: '2026-12-12', seats: 8, sparePacks: 0, name: 'Second' });
  await plan({ date: '2026-12-05', seats: 5, sparePacks: 1, name: 'First' });
  await plan({ date: '2026-11-01', seats: 50, name: 'Been' });
  const { items } = (await request(studio.app).get('/api/promised').expect(200)).body as {
    items: Promised[];
  };
  expect(items).toHaveLength(1);
  expect(items[0]?.amount).toBeCloseTo(14 * PACK_G, 6);
  expect(items[0]?.runs.map(({ name }) => name)).toEqual(['First', 'Second']);
});

describe('who comes', () => {
  const seat = (number: number, more: Partial<Seat> = {}): Seat => ({ ...blankSeat(number), ...more });
  test('is kept with the class, and what they chose is what the shelf must give', async () => {
    const rust = (await addFibre(studio, { name: 'Rust' }, 5)).id;
    const document = ballPattern(fibreId);
    const [use] = document.parts[0]?.uses ?? [];
    const coloured = {
      ...document,
      slots: [{ id: 's', name: 'skin', places: [{ kind: 'use' as const, id: use?.id ?? '' }], rule: null }],
      colourways: [{ id: 'rust', name: 'rust', fills: [{ slotId: 's', fibreId: rust }] }],
    };
    const published = await publish(studio, await addPattern(studio, coloured));
    const roster = [
      seat(2, {
        name: 'Mara',
        choices: { values: {}, colourwayId: 'rust', swapIds: [] },
        isLeftHanded: true,
      }),
    ];
    const answer = await request(studio.app)
      .post('/api/runs')
      .send(runInput(published, { seats: 3, sparePacks: 0, roster }))
      .expect(201);
    const run = answer.body as Run;
    expect(run.roster).toEqual(roster);
    const bench = (await request(studio.app).get('/api/bench').expect(200)).body as Bench;
    expect(bench.runs[0]?.packs).toBe(3);
    expect(bench.runs[0]?.classG).toBeCloseTo(3 * PACK_G, 6);
    expect(bench.short.map((given) => given.fibreId)).toEqual([rust]);
    expect(bench.short[0]?.shortG).toBeCloseTo(PACK_G - 5, 6);
  });
  test.each([
    ['a seat the class has not', [seat(9)], 422, '/roster/0/seat'],
    ['a seat told of twice', [seat(1), seat(1)], 422, '/roster/1/seat'],
    ['no seat at all', [{ ...seat(1), seat: 0 }], 400, '/roster/0/seat'],
  ])('refused: %s', async (_name, roster, status, pointer) => {
    const answer = await request(studio.app)
      .post('/api/runs')
      .send(runInput(revisionId, { seats: 3, roster }))
      .expect(status);
    expect(answer.body).toMatchObject({ errors: [{ pointer }] });
  });
});
