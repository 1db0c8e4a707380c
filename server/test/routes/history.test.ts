import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { HistoryEntry, HistoryState, OpenedRun } from '@lanakit/core/api';
import type { Pattern } from '@lanakit/core/pattern';
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

const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;
let studio: Studio;
let nowMs = 0;
beforeEach(() => {
  nowMs = Date.UTC(2026, 10, 24, 10);
  studio = openStudio(undefined, () => new Date(nowMs));
});
afterEach(() => studio.close());

const entries = async (kind: string, id: string) =>
  (
    (await request(studio.app).get(`/api/history/${kind}/${id}`).expect(200)).body as {
      items: HistoryEntry[];
    }
  ).items;
const state = async <T>(kind: string, id: string, entry: HistoryEntry | undefined) =>
  (await request(studio.app).get(`/api/history/${kind}/${id}/states/${entry?.id}`).expect(200)).body as T;
const now = async (kind: string, id: string) =>
  (await request(studio.app).get(`/api/history/${kind}/${id}/now`).expect(200)).body as HistoryState;
const put = (path: string, version: number, body: object) =>
  request(studio.app).put(`/api${path}`).set('If-Match', `"${version}"`).send(body);
const goBack = (kind: string, id: string, entry: HistoryEntry | undefined, version: number) =>
  request(studio.app)
    .post(`/api/history/${kind}/${id}/states/${entry?.id}/go-back`)
    .set('If-Match', `"${version}"`)
    .send({});
/** Saves titles one after another, so long apart. */
async function written(titles: readonly string[], apartMs: number) {
  const { id } = await addPattern(studio, ballPattern(null, { title: titles[0] ?? '' }));
  for (const [at, title] of titles.slice(1).entries()) {
    nowMs += apartMs;
    await put(`/patterns/${id}`, at + 1, ballPattern(null, { title })).expect(200);
  }
  return id;
}
const titlesOf = async (id: string) =>
  Promise.all(
    (await entries('pattern', id)).map(async (entry) => (await state<Pattern>('pattern', id, entry)).title),
  );

describe('what was before', () => {
  test('each state of a pattern that lasted, the last first, with when it began', async () => {
    const id = await written(['one', 'two', 'three'], 10 * MINUTE_MS);
    expect(await titlesOf(id)).toEqual(['two', 'one']);
    expect(await entries('pattern', id)).toMatchObject([
      { version: 2, at: '2026-11-24T10:10:00.000Z', isLost: false },
      { version: 1, at: '2026-11-24T10:00:00.000Z', isLost: false },
    ]);
    expect(await now('pattern', id)).toMatchObject({
      name: 'three',
      version: 3,
      document: { title: 'three' },
    });
  });
  test('what was only passed through in one go of writing is kept once; what lasted before and after it stays', async () => {
    const id = await written(['a', 'ab', 'abc', 'abcd', 'abcde'], 1000);
    nowMs += 10 * MINUTE_MS;
    await put(`/patterns/${id}`, 5, ballPattern(null, { title: 'later' })).expect(200);
    expect(await titlesOf(id)).toEqual(['abcde', 'abcd']);
  });
  test('gone back to, it is a change like any other, and can be gone back from', async () => {
    const id = await written(['one', 'two'], 10 * MINUTE_MS);
    nowMs += 10 * MINUTE_MS;
    const [first] = await entries('pattern', id);
    await goBack('pattern', id, first, 1).expect(409);
    await goBack('pattern', id, first, 2).expect(200);
    expect(await now('pattern', id)).toMatchObject({ version: 3, name: 'one' });
    expect(await titlesOf(id)).toContain('two');
  });
  test('of a run, and of a thing of the shelf', async () => {
    const fibre = await addFibre(studio, { name: 'Moss' }, 300);
    const revisionId = await publish(studio, await addPattern(studio, ballPattern(fibre.id)));
    const run = (
      await request(studio.app)
        .post('/api/runs')
        .send(runInput(revisionId, { seats: 8 }))
        .expect(201)
    ).body as OpenedRun;
    nowMs += MINUTE_MS;
    await put(`/runs/${run.id}`, 1, runInput(revisionId, { seats: 30 })).expect(200);
    await put(`/fibres/${fibre.id}`, 1, fibreInput({ name: 'Thrift', archived: true })).expect(200);
    const [ofRun] = await entries('run', run.id);
    const [ofFibre] = await entries('item', fibre.id);
    expect(await state('run', run.id, ofRun)).toMatchObject({ seats: 8 });
    expect(await state('item', fibre.id, ofFibre)).toMatchObject({ name: 'Moss', archived: false });
    nowMs += MINUTE_MS;
    await goBack('run', run.id, ofRun, 2).expect(200);
    await goBack('item', fibre.id, ofFibre, 2).expect(200);
    expect((await now('run', run.id)).document).toMatchObject({ seats: 8 });
    expect(await now('item', fibre.id)).toMatchObject({ name: 'Moss', document: { archived: false } });
    // How much there is of it is the ledger's.
    expect((await request(studio.app).get(`/api/fibres/${fibre.id}`)).body).toMatchObject({ onHandG: 300 });
  });
  test('what lost a conflict lies there too, and is no state that ever was', async () => {
    const id = await written(['one', 'theirs'], 10 * MINUTE_MS);
    await put(`/patterns/${id}`, 1, ballPattern(null, { title: 'mine' })).expect(409);
    const [lost] = await entries('pattern', id);
    expect(lost).toMatchObject({ isLost: true, version: 1 });
    expect(await state('pattern', id, lost)).toMatchObject({ title: 'mine' });
    nowMs += MINUTE_MS;
    await goBack('pattern', id, lost, 2).expect(200);
    expect(await now('pattern', id)).toMatchObject({ name: 'mine' });
  });
  test('the same checks as for any change', async () => {
    const fibre = await addFibre(studio);
    const { id } = await addPattern(studio, ballPattern(fibre.id));
    nowMs += MINUTE_MS;
    await put(`/patterns/${id}`, 1, ballPattern(null)).expect(200);
    await request(studio.app).delete(`/api/fibres/${fibre.id}`).set('If-Match', '"1"').expect(204);
    const [entry] = await entries('pattern', id);
    // It would name what is on the shelf no longer, and no longer named it.
    const refused = await goBack('pattern', id, entry, 2).expect(422);
    expect(refused.body).toMatchObject({ code: 'content_invalid' });
  });
  test.each([
    '/history/cloud/x',
    '/history/pattern/none/now',
    '/history/pattern/none/states/1',
    '/history/item/x/states/abc',
  ])('nothing of the kind: %s', async (path) => {
    await request(studio.app).get(`/api${path}`).expect(404);
  });
});

test('with age it stands further apart, and the last of each span stays', async () => {
  const titles = Array.from({ length: 200 }, (_, at) => `state ${at}`);
  const id = await written(titles, 20 * MINUTE_MS);
  const { history } = studio.deps.store;
  const count = async () => (await entries('pattern', id)).length;
  expect(await count()).toBe(199);
  history.thin(new Date(nowMs));
  const [of2Days, hours] = [2 * 24 * 3, Math.ceil((199 - 2 * 24 * 3) / 3)];
  expect(Math.abs((await count()) - of2Days - hours)).toBeLessThanOrEqual(2);
  history.thin(new Date(nowMs + 30 * DAY_MS));
  expect(await count()).toBeLessThanOrEqual(4);
  history.thin(new Date(nowMs + 400 * DAY_MS));
  expect(await count()).toBe(1);
  expect(await titlesOf(id)).toEqual(['state 198']);
});
