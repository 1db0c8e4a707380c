import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { request } from '../support/request.ts';
import type { Bench, Promised } from '@lanakit/core/api';
import type { Run } from '@lanakit/core/run';
import { BLANK_TOOL, type Tool } from '@lanakit/core/shelf';
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
beforeEach(async () => {
  studio = openStudio();
  const { id } = await addFibre(studio, {}, 5000);
  const listed = (name: string) => ({ id: name, needKey: null, name, per: 'person' as const, count: 1, isLeftOut: false });
  const tools = [listed('flag'), listed('thimble')];
  revisionId = await publish(studio, await addPattern(studio, { ...ballPattern(id), tools }));
}); // prettier-ignore
afterEach(() => studio.close());

const body = async <T>(path: string): Promise<T> =>
  (await request(studio.app).get(path).expect(200)).body as T;
const addTool = async (name: string, isConsumed: boolean, countedNow: number): Promise<Tool> =>
  (await request(studio.app).post('/api/tools').send({ ...BLANK_TOOL, name, isConsumed, countedNow }).expect(201)).body as Tool; // prettier-ignore
const addRun = async (date: string): Promise<Run> =>
  (await request(studio.app).post('/api/runs').send(runInput(revisionId, { name: date, date, seats: 4, sparePacks: 0 })).expect(201)).body as Run; // prettier-ignore
const move = async (id: string, to: string) => {
  const { version } = await body<Run>(`/api/runs/${id}`);
  await request(studio.app).post(`/api/runs/${id}/state`).set('If-Match', `"${version}"`).send({ to, anyway: true }).expect(200); // prettier-ignore
};
const onHand = async (id: string) =>
  (await body<{ items: Tool[] }>('/api/tools')).items.find((tool) => tool.id === id)?.onHand;

test('what a class uses up is promised once, leaves the shelf when it is packed, and comes back with it', async () => {
  const flags = await addTool('Flags', true, 6);
  const first = await addRun('2026-12-05');
  const second = await addRun('2026-12-12');
  const ahead = await body<{ items: Promised[] }>('/api/promised');
  expect(ahead.items.find(({ itemId }) => itemId === flags.id)).toMatchObject({ amount: 8, short: 2 });
  const things = async (id: string) => (await body<{ things: unknown[] }>(`/api/runs/${id}/promised`)).things;
  expect(await things(first.id)).toEqual([]);
  expect(await things(second.id)).toEqual([{ itemId: flags.id, amount: 4, pieces: [] }]);
  for (const state of ['bought', 'weighed', 'packed']) await move(first.id, state);
  expect(await onHand(flags.id)).toBe(2);
  // It has what it takes: nothing of others is promised before it any more.
  await move(second.id, 'bought');
  expect(await things(first.id)).toEqual([]);
  await move(first.id, 'weighed');
  expect(await onHand(flags.id)).toBe(6);
});

test('what is lent is short on the bench and on the shelf for the day that wants most of it, and stays where it is', async () => {
  const thimbles = await addTool('Thimbles', false, 3);
  await addRun('2026-12-05');
  await addRun('2026-12-12');
  const ahead = await body<{ items: Promised[] }>('/api/promised');
  expect(ahead.items.find(({ itemId }) => itemId === thimbles.id)).toEqual({
    itemId: thimbles.id,
    amount: 0,
    short: 1,
    runs: [],
  });
  const bench = await body<Bench>('/api/bench');
  const shorts = [bench.shortThings, ...bench.runs.map((run) => run.things)];
  expect(shorts.map((short) => short.find(({ itemId }) => itemId === thimbles.id)?.short)).toEqual([1, 1, 1]);
  const [run] = bench.runs;
  for (const state of ['bought', 'weighed', 'packed']) await move(run?.run.id ?? '', state);
  expect(await onHand(thimbles.id)).toBe(3);
});
