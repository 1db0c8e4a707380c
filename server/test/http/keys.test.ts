import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { request } from '../support/request.ts';
import {
  addFibre,
  addPattern,
  ballPattern,
  fibreInput,
  openStudio,
  publish,
  runInput,
  type Studio,
} from '../support/studio.ts';

let studio: Studio;
beforeEach(() => void (studio = openStudio()));
afterEach(() => studio.close());

const post = (path: string, key: string, body: object) =>
  request(studio.app).post(`/api${path}`).set('Idempotency-Key', key).send(body);
const countOf = (table: string) => studio.db.prepare(`SELECT count(*) FROM ${table}`).pluck().get();

describe('sent twice with one key, it is done once and answered the same', () => {
  test.each<[string, () => Promise<readonly [path: string, body: object, table: string]>]>([
    ['a fibre', async () => ['/fibres', { ...fibreInput(), countedNow: 40 }, 'movement']],
    ['a pattern', async () => ['/patterns', ballPattern(null), 'pattern']],
    [
      'a run',
      async () => {
        const { id } = await addFibre(studio, {}, 250);
        return ['/runs', runInput(await publish(studio, await addPattern(studio, ballPattern(id)))), 'run'];
      },
    ],
    [
      'a movement',
      async () => {
        const { id, lots } = await addFibre(studio);
        return [
          '/stock/movements',
          { itemId: id, lotId: lots[0]?.id, reason: 'received', amount: 5, note: '' },
          'movement',
        ];
      },
    ],
    [
      'a list',
      async () => [
        '/imports',
        { fileName: 'x', creates: [{ kind: 'fibre', input: fibreInput() }], updates: [], counts: [] },
        'item',
      ],
    ],
  ])('%s', async (_name, make) => {
    const [path, body, table] = await make();
    const first = await post(path, 'once', body).expect(201);
    const before = countOf(table);
    const again = await post(path, 'once', body).expect(201);
    expect(again.body).toEqual(first.body);
    expect([again.headers['location'], again.headers['etag']]).toEqual([
      first.headers['location'],
      first.headers['etag'],
    ]);
    expect(countOf(table)).toBe(before);
    await post(path, 'twice', body).expect(201);
    expect(countOf(table)).toBeGreaterThan(Number(before));
  });
});

test('with other content, or elsewhere, the key is refused and nothing is dropped in silence', async () => {
  await post('/fibres', 'k', { ...fibreInput(), countedNow: null }).expect(201);
  const other = await post('/fibres', 'k', { ...fibreInput({ name: 'Slate' }), countedNow: null }).expect(
    409,
  );
  expect(other.body).toMatchObject({ code: 'key_used' });
  await post('/patterns', 'k', ballPattern(null)).expect(409);
  await post('/patterns', 'not a key', ballPattern(null)).expect(400);
  expect([countOf('item'), countOf('pattern')]).toEqual([1, 0]);
});

test('what was refused used no key up: mended, it is done under the same', async () => {
  await post('/fibres', 'k', { ...fibreInput({ colour: 'grey' }), countedNow: null }).expect(422);
  await post('/fibres', 'k', { ...fibreInput(), countedNow: null }).expect(201);
});

test('a key is forgotten after a while, and not before', async () => {
  await post('/fibres', 'k', { ...fibreInput(), countedNow: null }).expect(201);
  const { answeredKeys } = studio.deps.store;
  expect(answeredKeys.sweep('2026-11-24T09:59:59Z')).toBe(0);
  expect(answeredKeys.sweep('2026-11-24T10:00:01Z')).toBe(1);
});

test('a write that is refused half way leaves nothing behind', async () => {
  const fibre = await addFibre(studio);
  const [good, bad] = [
    { itemId: fibre.id, lotId: fibre.lots[0]?.id, amount: 5 },
    { itemId: fibre.id, lotId: 'gone', amount: 5 },
  ];
  const before = countOf('movement');
  await post('/stock/counts', 'k', { counts: [good, bad] }).expect(422);
  expect(countOf('movement')).toBe(before);
});
