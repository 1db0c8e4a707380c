import type { LearningState, MakingPage } from '@lanakit/core/api';
import { blankMaking, blankMakingLine, type Making, type MakingInput } from '@lanakit/core/logbook';
import type { Fibre } from '@lanakit/core/shelf';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { NamedRun, StoredPattern } from '@lanakit/core/api';
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
import { bodyOf, request } from '../support/request.ts';

let studio: Studio;
let fibre: Fibre;
let stored: StoredPattern;
let patternId: string;

beforeEach(async () => {
  studio = openStudio();
  fibre = await addFibre(studio);
  stored = await addPattern(studio, ballPattern(fibre.id));
  patternId = stored.id;
});
afterEach(() => studio.close());

/** A ball of 60 mm, firm: 16.965 g as anybody would expect. */
const EXPECTED_G = 0.15 * (Math.PI / 6) * 216;

const page = (tookG: number, more: Partial<MakingInput> = {}): MakingInput => ({
  ...blankMaking('Ball', '2026-11-01'),
  patternId,
  lines: [blankMakingLine('l', { of: 'fibre', fibreId: fibre.id, beforeG: 500, afterG: 500 - tookG })],
  ...more,
});
const begin = async (input: MakingInput): Promise<Making> =>
  bodyOf<Making>(await request(studio.app).post('/api/makings').send(input).expect(201));
const read = async (id: string): Promise<MakingPage> =>
  bodyOf<MakingPage>(await request(studio.app).get(`/api/makings/${id}/page`).expect(200));
const learning = async (): Promise<LearningState> =>
  bodyOf<LearningState>(await request(studio.app).get('/api/learning').expect(200));
const take = () => request(studio.app).post('/api/learning/take').set('X-Lanakit', '1').expect(200);
const choose = (id: string, choice: string | null) =>
  request(studio.app).put(`/api/learning/evidence/${id}`).send({ choice });

const heavy = EXPECTED_G * 1.12;

describe('a making', () => {
  test('is kept with its pattern as it was, whatever becomes of that', async () => {
    const { id } = await begin(page(heavy));
    await request(studio.app)
      .delete(`/api/patterns/${patternId}`)
      .set('If-Match', `"${stored.version}"`)
      .expect(204);
    const kept = await read(id);
    expect(kept.hasPattern).toBe(false);
    expect(kept.build?.parts).toHaveLength(1);
    expect(kept.evidence[0]?.expected).toBeCloseTo(EXPECTED_G, 6);
    // Written on, it is still of what it was made of.
    await request(studio.app)
      .put(`/api/makings/${id}`)
      .set('If-Match', '"1"')
      .send(page(heavy, { words: 'done' }))
      .expect(200);
    expect((await read(id)).evidence[0]?.expected).toBeCloseTo(EXPECTED_G, 6);
  });
  test('in another size is held against that size', async () => {
    const { id } = await begin(page(heavy * 8));
    await request(studio.app)
      .put(`/api/makings/${id}`)
      .set('If-Match', '"1"')
      .send(page(heavy * 8, { sizeFraction: 2 }))
      .expect(200);
    const [each] = (await read(id)).evidence;
    expect((each?.expected ?? 0) / EXPECTED_G).toBeCloseTo(8, 1);
  });
  test('saved by two, the second is told, with both', async () => {
    const { id } = await begin(page(heavy));
    const put = (words: string) =>
      request(studio.app).put(`/api/makings/${id}`).set('If-Match', '"1"').send(page(heavy, { words }));
    await put('mine').expect(200);
    const refused = await put('theirs').expect(409);
    expect(refused.body).toMatchObject({ code: 'version_conflict', theirs: { words: 'mine', version: 2 } });
  });
  test('that cannot be is refused beside its cause', async () => {
    const refused = await request(studio.app)
      .post('/api/makings')
      .send(page(1, { date: '2026-13-01' }))
      .expect(422);
    expect(refused.body).toMatchObject({ errors: [{ pointer: '/date' }] });
  });
  test('deleted, it lies in the bin, counts no longer, and comes back', async () => {
    const { id } = await begin(page(heavy));
    await request(studio.app).delete(`/api/makings/${id}`).set('X-Lanakit', '1').expect(204);
    expect((await learning()).evidence).toEqual([]);
    const bin = bodyOf<{ items: { id: string; path: string }[] }>(
      await request(studio.app).get('/api/bin').expect(200),
    );
    expect(bin.items).toMatchObject([{ id, path: '/makings', kind: 'making' }]);
    await request(studio.app).post(`/api/makings/${id}/restore`).set('X-Lanakit', '1').expect(200);
    expect((await learning()).evidence).toHaveLength(1);
  });
  test('of somebody who is forgotten keeps what it took, and not their name', async () => {
    const { id } = await begin(page(heavy, { madeBy: 'Ada' }));
    await request(studio.app).post('/api/persons/forgotten').send({ name: 'ada' }).expect(200);
    expect((await read(id)).making).toMatchObject({ madeBy: 'somebody', lines: [{ beforeG: 500 }] });
  });
});

describe('what is learnt', () => {
  const three = async () => {
    for (const words of ['1', '2', '3']) await begin(page(heavy, { words }));
  };
  test('changes nothing before it is taken, and says what it would', async () => {
    await three();
    const state = await learning();
    expect(state).toMatchObject({ takenAt: null, fresh: 3, patterns: [{ patternId }] });
    const [change] = state.patterns;
    expect(change?.was.likelyG).toBeCloseTo(EXPECTED_G, 6);
    expect(change?.now.likelyG).toBeCloseTo(EXPECTED_G * 1.1095, 1);
    const { learnt } = bodyOf<{ learnt: unknown }>(await request(studio.app).get('/api/learnt').expect(200));
    expect(learnt).toBeNull();
  });
  test('taken, it is in force in every pattern, and for whoever asks for it', async () => {
    await three();
    await take();
    const state = await learning();
    expect(state).toMatchObject({ fresh: 0, patterns: [], runs: [] });
    expect(state.takenAt).not.toBeNull();
    const { learnt } = bodyOf<{ learnt: { felted: { fibreId: string; ln: number }[] } }>(
      await request(studio.app).get('/api/learnt').expect(200),
    );
    expect(Math.exp(learnt.felted[0]?.ln ?? 0)).toBeCloseTo(1.1095, 3);
  });
  test('what a run was planned with stays; planned anew it follows', async () => {
    const run = await add<NamedRun>(studio, '/runs', runInput(await publish(studio, stored)));
    const gramsOf = async (): Promise<number> => {
      const opened = bodyOf<{ version: number; frozen: { plan: { fibres: { classG: number }[] } } | null }>(
        await request(studio.app).get(`/api/runs/${run.id}`).expect(200),
      );
      return opened.frozen?.plan.fibres[0]?.classG ?? Number.NaN;
    };
    await request(studio.app)
      .post(`/api/runs/${run.id}/state`)
      .set('If-Match', `"${run.version}"`)
      .send({ to: 'bought', anyway: true })
      .expect(200);
    const planned = await gramsOf();
    await three();
    expect((await learning()).runs).toMatchObject([{ runId: run.id, isKept: true }]);
    await take();
    expect(await gramsOf()).toBe(planned);
  });
  test('an odd one is asked about; meant so or left out it is as its maker says', async () => {
    await three();
    const { id } = await begin(page(99));
    const odd = (await learning()).evidence.find((each) => each.isOdd);
    expect(odd?.id).toBe(`${id}:l`);
    expect((await read(id)).questions).toEqual([]);
    await choose(`${id}:l`, 'left-out').expect(200);
    expect((await learning()).evidence.find((each) => each.id === `${id}:l`)).toMatchObject({
      isLeftOut: true,
      isOdd: false,
    });
    await choose(`${id}:l`, 'meant').expect(200);
    expect((await learning()).evidence.find((each) => each.id === `${id}:l`)).toMatchObject({ counts: true });
    await choose(`${id}:l`, null).expect(200);
    await choose('nobody:x', 'meant').expect(404);
  });
  test('of a damaged page nothing is taken, and the others count', async () => {
    await three();
    studio.db.prepare(`UPDATE making SET document = replace(document, '500', '900') WHERE rowid = 1`).run();
    expect((await learning()).evidence).toHaveLength(2);
  });
  test('how long a weighing counts is kept', async () => {
    await three();
    await request(studio.app).put('/api/learning/terms').send({ halfLifeMonths: 12 }).expect(200);
    expect(await learning()).toMatchObject({ halfLifeMonths: 12 });
    await request(studio.app).put('/api/learning/terms').send({ halfLifeMonths: 0 }).expect(400);
  });
});

test('what was taken is kept for good', async () => {
  await begin(page(heavy));
  await take();
  expect(() => studio.db.prepare(`UPDATE learnt SET taken_at = ''`).run()).toThrow('is not changed');
});
