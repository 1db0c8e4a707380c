import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { request } from '../support/request.ts';
import type { OpenedRun } from '@lanakit/core/api';
import { PAPER_NAMES } from '@lanakit/core/papers';
import { blankSeat, type BoxRecipe, type Frozen, type RunInput, type RunTick } from '@lanakit/core/run';
import type { Movement } from '@lanakit/core/shelf';
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

const plan = async (more: Partial<RunInput> = {}, status = 201): Promise<OpenedRun> => {
  const answer = await request(studio.app).post('/api/runs').send(runInput(revisionId, more)).expect(status);
  return answer.body as OpenedRun;
};
const opened = async (id: string): Promise<OpenedRun> =>
  (await request(studio.app).get(`/api/runs/${id}`).expect(200)).body as OpenedRun;
const move = async (id: string, to: string, anyway = true, status = 200) => {
  const { version } = await opened(id);
  return request(studio.app).post(`/api/runs/${id}/state`).set('If-Match', `"${version}"`).send({ to, anyway }).expect(status);
}; // prettier-ignore
const put = async (id: string, more: Partial<RunInput>) => {
  const { version } = await opened(id);
  await request(studio.app).put(`/api/runs/${id}`).set('If-Match', `"${version}"`).send(runInput(revisionId, more)).expect(200);
}; // prettier-ignore
const tick = async (id: string, mark: string, isDone = true, massG = 0, key = `${mark}${isDone}${Math.random()}`) =>
  ((await request(studio.app).post(`/api/runs/${id}/ticks`).send({ key: key.slice(0, 40), mark, isDone, massG }).expect(200)).body as { items: RunTick[] }).items; // prettier-ignore
const onHand = async (): Promise<number> =>
  ((await request(studio.app).get('/api/fibres').expect(200)).body as { items: { onHandG: number }[] }).items[0]?.onHandG ?? NaN; // prettier-ignore
const codes = (body: unknown) => (body as { errors: { wants?: string; code: string; pointer: string; message: string }[] }).errors; // prettier-ignore

const chalkG = (frozen: Frozen | null) => frozen?.plan.fibres[0]?.classG ?? NaN;

describe('from bought on', () => {
  test('numbers and inputs stay, whatever becomes of the run, the shelf or the pattern; the difference is taken when told', async () => {
    const { id } = await plan({ seats: 5, sparePacks: 0 });
    expect((await opened(id)).frozen).toBeNull();
    await move(id, 'bought');
    const was = chalkG((await opened(id)).frozen);
    await put(id, { seats: 9, sparePacks: 0 });
    await request(studio.app).put(`/api/fibres/${fibreId}`).set('If-Match', '"1"').send({ ...(await fibreInput()), densityFactor: 1.4 }).expect(200);
    const now = await opened(id);
    expect(now.seats).toBe(9);
    expect(chalkG(now.frozen)).toBe(was);
    expect(now.frozen?.input.seats).toBe(5);
    expect(now.frozen?.wool.fibres[0]?.densityFactor).toBeNull();
    expect(now.wants).toContainEqual({ wants: 'difference', count: 9 });
    // The bench and later runs go by what was kept.
    const later = await plan({ date: '2026-12-20', seats: 1, sparePacks: 0 });
    const promised = await request(studio.app).get(`/api/runs/${later.id}/promised`);
    expect(promised.body).toEqual({ items: [{ fibreId, massG: expect.closeTo(was, 6) }], things: [] });
    await request(studio.app).post(`/api/runs/${id}/replan`).set('If-Match', `"${now.version}"`).expect(200);
    const then = await opened(id);
    expect(chalkG(then.frozen)).toBeGreaterThan(was * 2);
    expect(then.wants).not.toContainEqual(expect.objectContaining({ wants: 'difference' }));
    await move(id, 'planned');
    expect((await opened(id)).frozen).toBeNull();
  });
  const fibreInput = async () => {
    const { id: _id, version: _v, lots: _l, onHandG: _o, peakG: _p, ...input } = ((await request(studio.app).get('/api/fibres')).body as { items: Record<string, unknown>[] }).items[0] ?? {};
    return input;
  };
  test('grams that are bought for are not free for a class that comes earlier', async () => {
    const held = await plan({ date: '2026-12-20', seats: 8, sparePacks: 0 });
    const soon = await plan({ date: '2026-12-01', seats: 8, sparePacks: 0 });
    const promisedTo = async (id: string) => ((await request(studio.app).get(`/api/runs/${id}/promised`)).body as { items: unknown[] }).items.length;
    expect([await promisedTo(soon.id), await promisedTo(held.id)]).toEqual([0, 1]);
    await move(held.id, 'bought');
    expect([await promisedTo(soon.id), await promisedTo(held.id)]).toEqual([1, 0]);
  });
  test.each([
    ['planned runs take no new numbers', [], 422],
    ['nor what is packed', ['bought', 'weighed', 'packed'], 422],
  ])('%s', async (_name, states, status) => {
    const { id } = await plan();
    for (const to of states) await move(id, to);
    const { version } = await opened(id);
    await request(studio.app).post(`/api/runs/${id}/replan`).set('If-Match', `"${version}"`).expect(status);
  });
  test('a run of another version is not moved', async () => {
    const { id } = await plan();
    await request(studio.app).post(`/api/runs/${id}/state`).set('If-Match', '"7"').send({ to: 'bought', anyway: true }).expect(409);
    await move(id, 'weighed', true, 422);
  });
}); // prettier-ignore

describe('one state after another', () => {
  test('each says what is missing; anyway goes on; packing takes off the shelf just what it takes, unpacking brings it back', async () => {
    const { id } = await plan({ seats: 2, sparePacks: 0 });
    await move(id, 'bought', false);
    const refused = await move(id, 'weighed', false, 422);
    expect(codes(refused.body).map(({ message }) => message)).toEqual(['2 weighings are not ticked, or ticked for another amount.']);
    const { frozen } = await opened(id);
    const massG = frozen?.plan.groups[0]?.plan.fibres[0]?.packG ?? NaN;
    for (const seat of [1, 2]) await tick(id, `seat ${seat}|figure|${fibreId}`, true, massG - 1);
    await move(id, 'weighed', false, 422);
    for (const seat of [1, 2]) await tick(id, `seat ${seat}|figure|${fibreId}`, true, massG);
    await move(id, 'weighed', false);
    await move(id, 'packed', false, 422);
    for (const seat of [1, 2]) await tick(id, `packed|seat ${seat}`);
    await move(id, 'packed', false);
    expect(await onHand()).toBeCloseTo(250 - chalkG(frozen), 6);
    const moved = (await request(studio.app).get(`/api/stock/movements/${fibreId}`)).body as { items: Movement[] };
    expect(moved.items[0]).toMatchObject({ reason: 'packed', note: 'Saturday', amount: expect.closeTo(-chalkG(frozen), 6) });
    // What is packed is no longer promised to anybody.
    expect(((await request(studio.app).get('/api/promised')).body as { items: unknown[] }).items).toEqual([]);
    await move(id, 'weighed');
    expect(await onHand()).toBeCloseTo(250, 6);
    await move(id, 'packed');
    await move(id, 'done', false);
    expect(await onHand()).toBeCloseTo(250 - chalkG(frozen), 6);
  });
  test('who has not chosen, what is short and what was never counted stand before buying', async () => {
    const { id } = await plan({ seats: 200, sparePacks: 0 });
    const refused = await move(id, 'bought', false, 422);
    expect(codes(refused.body)[0]?.message).toMatch(/1 thing is short/);
  });
}); // prettier-ignore

describe('ticks', () => {
  test('the last word on a mark holds; one sent twice counts once; two devices never lose one another’s', async () => {
    const { id } = await plan();
    await Promise.all(Array.from({ length: 12 }, (_, at) => tick(id, `seat ${at}|figure|x`, true, 2.5, `device ${at % 2} tick ${at}`)));
    expect(await tick(id, 'seat 3|figure|x', false, 2.5, 'taken back')).toHaveLength(12);
    const items = await tick(id, 'seat 3|figure|x', false, 2.5, 'taken back');
    expect(items.filter(({ isDone }) => isDone)).toHaveLength(11);
    expect(items.find(({ mark }) => mark === 'seat 3|figure|x')).toMatchObject({ mark: 'seat 3|figure|x', isDone: false, massG: 2.5, weighedG: null, device: 'this machine' });
    await tick(id, 'seat 3|figure|x', true, 3, 'again');
    const { items: now } = (await request(studio.app).get(`/api/runs/${id}/ticks`)).body as { items: RunTick[] };
    expect(now.find(({ mark }) => mark === 'seat 3|figure|x')).toMatchObject({ isDone: true, massG: 3 });
    await request(studio.app).post(`/api/runs/${id}/ticks`).send({ key: 'again', mark: 'another', isDone: true, massG: 3 }).expect(409);
    await request(studio.app).post(`/api/runs/${id}/ticks`).send({ key: 'again', mark: 'seat 3|figure|x', isDone: true, massG: 3.1 }).expect(409);
    expect(() => studio.db.exec('DELETE FROM run_tick')).toThrow('a tick cannot be deleted');
  });
  test.each([
    ['no mark', { key: 'a', mark: '', isDone: true, massG: 0 }],
    ['less than nothing', { key: 'a', mark: 'm', isDone: true, massG: -1 }],
  ])('refused: %s', async (_name, body) => {
    const { id } = await plan();
    await request(studio.app).post(`/api/runs/${id}/ticks`).send(body).expect(400);
  });
}); // prettier-ignore

describe('kits', () => {
  const recipe: BoxRecipe = { id: 'b', name: 'Two balls', boxes: 12, spares: 1, form: 'full', designs: [], needlesLeftOut: [], packaging: [] };
  const two = () => ({ ...recipe, designs: [{ revisionId, copies: 2, choices: { values: {}, colourwayId: null, swapIds: [] } }] });
  test('boxes are counted from their recipes; every revision in them is one the run is pinned to', async () => {
    const run = await plan({ kind: 'kits', recipes: [two()], seats: 1 });
    expect(run).toMatchObject({ kind: 'kits', seats: 12, sparePacks: 1, designs: [{ revisionId, title: 'Ball', isWithdrawn: false }] });
    await plan({ kind: 'kits', recipes: [{ ...two(), designs: [{ ...two().designs[0]!, revisionId: 'gone' }] }] }, 422);
    await plan({ kind: 'kits', recipes: [recipe] }, 422);
  });
  test('planned again it is a copy of its own, planned anew', async () => {
    const { id } = await plan({ kind: 'kits', recipes: [two()] });
    await move(id, 'bought');
    const copy = (await request(studio.app).post(`/api/runs/${id}/copy`).expect(201)).body as OpenedRun;
    expect(copy).toMatchObject({ name: 'Saturday, again', state: 'planned', frozen: null, seats: 12 });
    expect(copy.id).not.toBe(id);
  });
}); // prettier-ignore

describe('whose design it is', () => {
  test('without a permission a class is not planned unless a reason is written down', async () => {
    const learned = ballPattern(fibreId, { title: 'Learned', rights: { origin: 'learned', from: 'a neighbour', permissions: [], credit: 'after a neighbour' } });
    const other = await publish(studio, await addPattern(studio, learned));
    const refused = await request(studio.app).post('/api/runs').send(runInput(other)).expect(422);
    expect(codes(refused.body)[0]).toMatchObject({ code: 'permission_missing', pointer: '/rightsReason' });
    expect(codes(refused.body)[0]?.message).toContain('No permission to teach it from Learned');
    const made = await request(studio.app).post('/api/runs').send(runInput(other, { rightsReason: 'asked, yes by telephone' })).expect(201);
    const { id } = made.body as OpenedRun;
    const labels = await request(studio.app).get(`/api/runs/${id}/papers/labels/csv`).expect(200);
    expect(labels.text).toContain('after a neighbour');
    const json = await request(studio.app).get(`/api/runs/${id}/json`).expect(200);
    expect((json.body as { run: RunInput }).run.rightsReason).toBe('asked, yes by telephone');
  });
  test('a pattern that was put away since is kept by the run, and told', async () => {
    const { id, patternId } = await plan();
    await request(studio.app).put(`/api/patterns/${patternId}/archived`).send({ archived: true }).expect(200);
    expect((await opened(id)).designs[0]).toMatchObject({ isWithdrawn: true });
    await move(id, 'bought');
  });
}); // prettier-ignore

describe('papers', () => {
  test.each(PAPER_NAMES)('%s comes as PDF with its fonts, and as a table', async (name) => {
    const { id } = await plan({ seats: 3, roster: [{ ...blankSeat(1), name: 'Mara ≈ ½' }] });
    const pdf = await request(studio.app).get(`/api/runs/${id}/papers/${name}/pdf?page=letter`).responseType('blob').expect(200);
    const text = (pdf.body as Buffer).toString('latin1');
    expect(text.startsWith('%PDF-')).toBe(true);
    expect(text).toContain('SourceSans3');
    expect(text).toMatch(/MediaBox \[0 0 612 792\]/);
    const table = await request(studio.app).get(`/api/runs/${id}/papers/${name}/csv`).expect(200);
    expect(table.headers['content-disposition']).toContain(`saturday-2026-12-05-${name}.csv`);
  });
  test('labels on a sheet larger than the page are refused with what to do, and an unknown paper is not there', async () => {
    const { id } = await plan();
    const refused = await request(studio.app).get(`/api/runs/${id}/papers/labels/pdf?columns=5`).expect(422);
    expect(codes(refused.body)[0]?.message).toContain('Fewer columns, or narrower labels.');
    await request(studio.app).get(`/api/runs/${id}/papers/labels/pdf?columns=many`).expect(422);
    await request(studio.app).get(`/api/runs/${id}/papers/poem/pdf`).expect(404);
  });
}); // prettier-ignore
