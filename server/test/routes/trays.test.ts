import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { Bench, NeedleTray } from '@lanakit/core/api';
import { BLANK_STEP } from '@lanakit/core/pattern';
import type { Run } from '@lanakit/core/run';
import { BLANK_NEEDLE, byGauge, type Movement, type Needle } from '@lanakit/core/shelf';
import { request } from '../support/request.ts';
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
let run: Run;
let needleId: string;
let taps = 0;

beforeEach(async () => {
  studio = openStudio();
  const fibreId = (await addFibre(studio, {}, 250)).id;
  const document = ballPattern(fibreId);
  const step = { ...BLANK_STEP, id: 'felt', text: 'Felt it.', partIds: document.parts.map(({ id }) => id), needle: byGauge(38), minutes: 20 };
  const revisionId = await publish(studio, await addPattern(studio, { ...document, steps: [step] }));
  run = (await request(studio.app).post('/api/runs').send(runInput(revisionId, { seats: 10, skill: 'practised' })).expect(201)).body as Run;
  const needle = await request(studio.app)
    .post('/api/needles')
    .send({ ...BLANK_NEEDLE, gauge: 38, profile: 'triangular', mark: { word: 'oak', colour: '#9c7a4d' }, countedNow: 20 })
    .expect(201);
  needleId = (needle.body as Needle).id;
}); // prettier-ignore
afterEach(() => studio.close());

const tap = (pile: string, amount: number, status = 200, key = `tap-${++taps}`) =>
  request(studio.app)
    .post(`/api/runs/${run.id}/tray/taps`)
    .send({ key, needleId, pile, amount })
    .expect(status);
const post = (path: string, status = 200, body: object = {}) =>
  request(studio.app).post(`/api/runs/${run.id}/tray/${path}`).send(body).expect(status);
const tray = async () =>
  (await request(studio.app).get(`/api/runs/${run.id}/tray`).expect(200)).body as NeedleTray;
const onHand = async () =>
  ((await request(studio.app).get(`/api/needles/${needleId}`).expect(200)).body as Needle).onHand;
const missing = async () =>
  ((await request(studio.app).get('/api/bench').expect(200)).body as Bench).missingNeedles;

async function oneMissing() {
  await tap('out', 12);
  await tap('in', 10);
  await tap('broken', 1);
  await post('close');
}

test('counted out and in with one missing: the bench says so until it is found, and the shelf knows', async () => {
  await oneMissing();
  expect((await tray()).lines).toMatchObject([{ out: 12, in: 10, broken: 1, missing: 1, stillOut: 0 }]);
  expect(await onHand()).toBe(18);
  expect(await missing()).toMatchObject([{ runId: run.id, needleId, needleName: '38 triangular, oak', missing: 1 }]);
  await post('resolve', 200, { key: 'r1', needleId, how: 'found', amount: 1, note: '' });
  expect(await missing()).toEqual([]);
  expect(await onHand()).toBe(19);
  const movements = await request(studio.app).get(`/api/stock/movements/${needleId}`).expect(200);
  expect((movements.body as { items: Movement[] }).items.map(({ amount, reason, note }) => [amount, reason, note]).slice(0, 3)).toEqual([
    [1, 'returned', `no longer missing, ${run.name}`],
    [-1, 'spoiled', `missing, ${run.name}`],
    [-1, 'spoiled', `broken, ${run.name}`],
  ]);
}); // prettier-ignore

test('given up needs a reason; with one it is told no more, and stays gone', async () => {
  await oneMissing();
  const resolve = { needleId, how: 'given-up', amount: 1 };
  const refused = await post('resolve', 422, { ...resolve, key: 'r1', note: '' });
  expect(refused.body).toMatchObject({ errors: [{ code: 'reason_missing', pointer: '/note' }] });
  await post('resolve', 200, { ...resolve, key: 'r2', note: 'mats shaken, floor swept with a magnet' });
  expect((await tray()).lines).toMatchObject([{ missing: 0, givenUp: 1 }]);
  expect(await missing()).toEqual([]);
  expect(await onHand()).toBe(18);
});

test('a tap sent twice counts once, and so does what was resolved', async () => {
  await tap('out', 5, 200, 'same');
  await tap('out', 5, 200, 'same');
  expect((await tray()).lines).toMatchObject([{ out: 5 }]);
  await post('close');
  const found = { key: 'f', needleId, how: 'found', amount: 5, note: '' };
  await post('resolve', 200, found);
  await post('resolve', 200, found);
  expect((await tray()).lines).toMatchObject([{ in: 5, missing: 0 }]);
});

test('a key used again for another tap, or in another class, is refused, not dropped', async () => {
  await tap('out', 5, 200, 'same');
  await tap('out', 4, 409, 'same');
  await tap('in', 5, 409, 'same');
  const another = (await request(studio.app).post(`/api/runs/${run.id}/copy`).expect(201)).body as Run;
  const elsewhere = await request(studio.app)
    .post(`/api/runs/${another.id}/tray/taps`)
    .send({ key: 'same', needleId, pile: 'out', amount: 5 })
    .expect(409);
  expect(elsewhere.body).toMatchObject({ code: 'key_used' });
  expect((await tray()).lines).toMatchObject([{ out: 5 }]);
  await post('close');
  const found = { key: 'f', needleId, how: 'found', amount: 2, note: '' };
  await post('resolve', 200, found);
  await post('resolve', 409, { ...found, amount: 3 });
  await post('resolve', 409, { ...found, how: 'given-up', note: 'under the floor' });
  expect((await tray()).lines).toMatchObject([{ in: 2, missing: 3 }]);
});

test('opened again, what was missing is out, and is counted on', async () => {
  await oneMissing();
  await tap('in', 1, 409);
  await post('close', 409);
  await post('reopen');
  expect(await tray()).toMatchObject({ closedAt: null, lines: [{ missing: 0, stillOut: 1 }] });
  await tap('in', 1);
  await post('close');
  expect(await missing()).toEqual([]);
  expect(await onHand()).toBe(19);
});

test.each([
  ['more back than went out', 'in', 13, 'more_back_than_out'],
  ['less than none', 'sold', -1, 'pile_too_small'],
] as const)('refused: %s', async (_name, pile, amount, code) => {
  await tap('out', 12);
  const answer = await tap(pile, amount, 422);
  expect(answer.body).toMatchObject({ errors: [{ code }] });
  expect((await tray()).lines).toMatchObject([{ out: 12, in: 0 }]);
});

test('a needle that is not on the shelf, and a count of nothing', async () => {
  const stray = { key: 'x', needleId: 'gone', pile: 'out', amount: 1 };
  await post('taps', 422, stray);
  await post('close', 409);
});

test('what was counted teaches how often needles break', async () => {
  await oneMissing();
  const answer = await request(studio.app).get('/api/needle-evidence').expect(200);
  // Ten practised people, twenty minutes each, nothing that breaks a needle sooner.
  expect(answer.body).toEqual({ items: [{ gauge: 38, broken: 1, exposureMinutes: 200 }] });
});

test('a tap cannot be changed or taken out of the book', async () => {
  await tap('out', 1);
  expect(() => studio.db.exec('UPDATE needle_tap SET amount = 2')).toThrow(/tap again/);
  expect(() => studio.db.exec('DELETE FROM needle_tap')).toThrow(/tap again/);
});
