import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { NetworkState, OpenedRun, PackReading, SessionState, WriteLogPage } from '@lanakit/core/api';
import { blankSeat, type Run, seatKeyOf, seatsOf } from '@lanakit/core/run';
import type { Test } from 'supertest';
import { allRoutes } from '../../src/createApp.ts';
import { simulatedDevices } from '../../src/devices/index.ts';
import { studioDoor } from '../../src/http/studioDoor.ts';
import type { Route } from '../../src/http/route.ts';
import { bodyOf } from '../support/request.ts';
import { type Agent, codesOf, nobody, opened, type Opened } from '../support/opened.ts';
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

/** Written down once more, and by hand: what a role may is decided here, and not by what the routes happen to say. */
const ANYBODY_MAY = [
  'GET /health',
  'GET /session',
  'POST /session',
  'DELETE /session',
  'POST /session/pairing',
  'POST /session/pack',
];
const LEARNER_MAY = [...ANYBODY_MAY, 'GET /pack', 'POST /pack/hand', 'GET /pack/hand', 'GET /pictures/:id'];
const HELPER_MAY = [
  ...LEARNER_MAY,
  'GET /runs',
  'GET /runs/:id',
  'GET /runs/:id/promised',
  'GET /runs/:id/ticks',
  'POST /runs/:id/ticks',
  'GET /runs/:id/tray',
  'POST /runs/:id/tray/taps',
  'POST /runs/:id/tray/close',
  'POST /runs/:id/tray/reopen',
  'POST /runs/:id/tray/resolve',
  'GET /runs/:id/class-day',
  'GET /runs/:id/class-day/events',
  'POST /runs/:id/class-day/events',
  'GET /runs/:id/took',
  'GET /runs/:id/news',
  'POST /pictures',
  'GET /revisions/:id',
  'GET /promised',
  'GET /fibres',
  'GET /blends',
  'GET /findings',
  'GET /needles',
  'GET /tools',
  'GET /hand-measures',
  'GET /learnt',
  'GET /needle-evidence',
  'POST /stock/counts',
  'GET /scales',
  'POST /scales',
  'DELETE /scales/:id',
  'GET /scales/:id/readings',
  'POST /scales/:id/commands',
  'POST /scales/:id/acts',
  'GET /scanners',
  'GET /scanners/:id/scans',
  'POST /scanners/:id/acts',
  'GET /printers',
  'GET /printers/:id/state',
  'POST /printers/:id/jobs',
  'DELETE /printers/:id/jobs',
  'POST /printers/:id/acts',
  'GET /label-codes/:code',
];

let studio: Studio;
let studioOpened: Opened;
let run: Run;
beforeEach(async () => {
  studio = openStudio();
  const { id: fibreId } = await addFibre(studio, { note: 'from the back shelf' });
  const { id: otherId } = await addFibre(studio, { name: 'Unused moss', colour: '#556b2f' });
  expect(otherId).not.toBe(fibreId);
  const revisionId = await publish(studio, await addPattern(studio, ballPattern(fibreId)));
  run = await add<Run>(
    studio,
    '/runs',
    runInput(revisionId, {
      seats: 3,
      learnerDays: 7,
      cost: { ...runInput(revisionId).cost, hourlyWageMinor: 2400 },
      roster: [
        { ...blankSeat(1), name: 'Anouk Verhalen', note: 'sits by the window' },
        { ...blankSeat(2), name: 'Ben Toller', isLeftHanded: true, avoids: ['lanolin'] },
      ],
    }),
  );
  studioOpened = await opened(studio);
});
afterEach(() => studio.close());

const operationOf = ({ method, path }: Route) => `${method.toUpperCase()} ${path}`;
const routes = () => allRoutes(studio.services, studioDoor({ owner: null }), simulatedDevices());
const ask = (who: Agent, { method, path }: Route): Test =>
  who[method](`/api${path.replaceAll(/:(\w+)/g, 'x')}`).send(method === 'get' ? undefined : {});
const codeOf = (answer: { body: unknown }) => (answer.body as { code?: string } | null)?.code;

describe('every route is for those it says, and for nobody else', () => {
  const learner = async () => {
    const { items } = await codesOf(studioOpened.owner, run.id);
    return studioOpened.withCode(items[0]?.code ?? '');
  };
  test.each([
    ['nobody', () => Promise.resolve(nobody(studioOpened.app)), ANYBODY_MAY, 'not_logged_in'],
    ['a learner', learner, LEARNER_MAY, 'not_for_role'],
    ['a helper', () => studioOpened.pair('Tablet'), HELPER_MAY, 'not_for_role'],
    ['the owner', () => Promise.resolve(studioOpened.owner), null, ''],
    ['a paired owner', () => studioOpened.pair('Laptop', true, 'owner'), null, ''],
  ])('%s', async (_who, letIn, may, refusal) => {
    const who = await letIn();
    const all = routes();
    expect(all.length).toBeGreaterThan(110);
    // Who goes is nobody afterwards.
    const inOrder = all.toSorted(
      (a, b) => Number(operationOf(a) === 'DELETE /session') - Number(operationOf(b) === 'DELETE /session'),
    );
    for (const route of inOrder) {
      const answer = await ask(who, route);
      const isRefused =
        answer.status === (refusal === 'not_logged_in' ? 401 : 403) && codeOf(answer) === refusal;
      expect([operationOf(route), isRefused]).toEqual([
        operationOf(route),
        may !== null && !may.includes(operationOf(route)),
      ]);
    }
  });
  test('every operation that is named here is there', () => {
    const there = routes().map(operationOf);
    expect(HELPER_MAY.filter((operation) => !there.includes(operation))).toEqual([]);
  });
});

/** Every value anywhere in an answer, with the key it stands under. */
function* values(body: unknown, key = ''): Generator<readonly [key: string, value: unknown]> {
  if (typeof body !== 'object' || body === null) {
    yield [key, body];
    return;
  }
  for (const [inner, value] of Object.entries(body) as [string, unknown][])
    yield* values(value, Array.isArray(body) ? key : inner);
}

const PATHS = () => [
  '/runs',
  `/runs/${run.id}`,
  `/runs/${run.id}/promised`,
  `/runs/${run.id}/ticks`,
  `/runs/${run.id}/tray`,
  `/revisions/${run.revisionId}`,
  '/promised',
  '/fibres',
  '/blends',
  '/findings',
  '/needles',
  '/tools',
  '/hand-measures',
  '/needle-evidence',
];

describe('a helper', () => {
  const seen = async (who: Agent) => {
    const all: unknown[] = [];
    for (const path of PATHS()) all.push(bodyOf(await who.get(`/api${path}`).expect(200)));
    return all;
  };
  test('sees no price and no name, and all that packs are weighed by', async () => {
    const all = await seen(await studioOpened.pair('Tablet'));
    const text = JSON.stringify(all);
    for (const word of ['Anouk', 'Toller', 'window', '2400']) expect(text).not.toContain(word);
    for (const [key, value] of values(all))
      if (/minor|price|wage/i.test(key)) expect([key, value]).toEqual([key, null]);
    const owners = await seen(studioOpened.owner);
    expect(JSON.stringify(owners)).toContain('Anouk Verhalen');
    // What is not told is the only difference.
    const { roster } = all[1] as Run;
    expect(roster).toEqual([
      { ...blankSeat(1) },
      { ...blankSeat(2), isLeftHanded: true, avoids: ['lanolin'] },
    ]);
    expect(all[2]).toEqual(owners[2]);
  });
  test('sees none either in what was written down of a run that is bought', async () => {
    const tablet = await studioOpened.pair('Tablet');
    await studioOpened.owner
      .post(`/api/runs/${run.id}/state`)
      .set('If-Match', '"1"')
      .send({ to: 'bought', anyway: true })
      .expect(200);
    const answer = await tablet.get(`/api/runs/${run.id}`).expect(200);
    expect(bodyOf<OpenedRun>(answer).frozen).not.toBeNull();
    const all = await seen(tablet);
    for (const word of ['Anouk', 'Toller', 'window', '2400']) expect(JSON.stringify(all)).not.toContain(word);
    for (const [key, value] of values(all))
      if (/minor|price|wage/i.test(key)) expect([key, value]).toEqual([key, null]);
  });
  test('weighs the same seats as whoever sees who sits there', async () => {
    const tablet = await studioOpened.pair('Tablet');
    const marks = async (who: Agent) => {
      const opened = bodyOf<OpenedRun>(await who.get(`/api/runs/${run.id}`).expect(200));
      return seatsOf(opened).map(({ seat }) => `packed|seat ${seatKeyOf(seat, opened.roster)}`);
    };
    expect(await marks(tablet)).toEqual(await marks(studioOpened.owner));
  });
  test('sees names where its owner lets it, and still no price; and no more once that is taken back', async () => {
    const tablet = await studioOpened.pair('Tablet', true);
    const text = JSON.stringify(await seen(tablet));
    expect(text).toContain('Anouk Verhalen');
    expect(text).not.toContain('2400');
    const { devices } = bodyOf<NetworkState>(await studioOpened.owner.get('/api/network').expect(200));
    const device = devices.find(({ name }) => name === 'Tablet');
    await studioOpened.owner
      .put(`/api/network/devices/${device?.id}`)
      .send({ name: 'Tablet at the scale', seesNames: false })
      .expect(204);
    expect(JSON.stringify(await seen(tablet))).not.toContain('Anouk');
  });
  test('is answered without names also where the same was sent before', async () => {
    const tablet = await studioOpened.pair('Tablet');
    const tick = { key: 'tick-1', mark: 'packed:seat-1', isDone: true, massG: 0 };
    for (let at = 0; at < 2; at++)
      await tablet.post(`/api/runs/${run.id}/ticks`).set('Idempotency-Key', 'once').send(tick).expect(200);
  });
  test('shut out, its next request is refused, whatever it was in the middle of', async () => {
    const tablet = await studioOpened.pair('Tablet');
    await tablet.get('/api/runs').expect(200);
    const { devices } = bodyOf<NetworkState>(await studioOpened.owner.get('/api/network').expect(200));
    const device = devices.find(({ name }) => name === 'Tablet');
    expect(device).toMatchObject({ role: 'helper', came: 'paired', isThis: false });
    await studioOpened.owner.delete(`/api/network/devices/${device?.id}`).expect(204);
    const tick = { key: 'tick-2', mark: 'packed:seat-1', isDone: true, massG: 0 };
    expect(codeOf(await tablet.post(`/api/runs/${run.id}/ticks`).send(tick).expect(401))).toBe(
      'not_logged_in',
    );
    expect(studio.deps.store.runs.ticks(run.id)).toEqual([]);
    await studioOpened.owner.delete(`/api/network/devices/${device?.id}`).expect(404);
  });
});

describe('a learner', () => {
  test('sees the pattern of one pack, and nothing else of the studio', async () => {
    const { items, url } = await codesOf(studioOpened.owner, run.id);
    expect(items.map(({ number }) => number)).toEqual([1, 2, 3]);
    expect(url).toBe('http://studio:4310');
    const phone = await studioOpened.withCode((items[1]?.code ?? '').toLowerCase().replace('-', ' '));
    const reading = (await phone.get('/api/pack').expect(200)).body as PackReading;
    expect(reading).toMatchObject({
      number: 2,
      isLeftHanded: true,
      className: 'Saturday',
      until: '2026-12-12',
    });
    expect(reading.fibres.map(({ name }) => name)).toEqual(['Chalk']);
    const text = JSON.stringify(reading);
    for (const word of ['Anouk', 'Toller', 'window', 'moss', '2400', 'back shelf', 'lanolin'])
      expect(text).not.toContain(word);
    for (const [key, value] of values(reading))
      if (/minor|price|onHand|wage/i.test(key)) expect([key, value]).toEqual([key, null]);
    await phone.get('/api/pictures/anything').expect(404);
  });
  test.each([
    ['the class says not at all', { learnerDays: null }],
    ['its days are over', { date: '2026-11-10', learnerDays: 7 }],
    ['its seat is gone', { seats: 1, roster: [] }],
  ])('sees nothing any more when %s, by the code and by the session it had', async (_what, change) => {
    const { items } = await codesOf(studioOpened.owner, run.id);
    const code = items[2]?.code ?? '';
    const phone = await studioOpened.withCode(code);
    await phone.get('/api/pack').expect(200);
    const { id: _id, version, state: _state, ...input } = run;
    await studioOpened.owner
      .put(`/api/runs/${run.id}`)
      .set('If-Match', `"${version}"`)
      .send({
        ...runInput(run.revisionId),
        ...Object.fromEntries(
          Object.keys(runInput('')).map((key) => [key, input[key as keyof typeof input]]),
        ),
        ...change,
      })
      .expect(200);
    await phone.get('/api/pack').expect(401);
    expect(codeOf(await nobody(studioOpened.app).post('/api/session/pack').send({ code }).expect(401))).toBe(
      'code_wrong',
    );
  });
  test('sees nothing by a code that was ended; new ones are others', async () => {
    const { items } = await codesOf(studioOpened.owner, run.id);
    const phone = await studioOpened.withCode(items[0]?.code ?? '');
    await studioOpened.owner.delete(`/api/runs/${run.id}/codes`).expect(204);
    await phone.get('/api/pack').expect(401);
    const again = await codesOf(studioOpened.owner, run.id);
    expect(again.items.map(({ code }) => code)).not.toEqual(items.map(({ code }) => code));
  });
  test('who guesses is slowed down, and keeps the owner from nothing', async () => {
    const stranger = nobody(studioOpened.app);
    for (let at = 0; at < 5; at++)
      await stranger
        .post('/api/session/pack')
        .send({ code: `AAAAA-AAAA${at + 2}` })
        .expect(401);
    const slowed = await stranger.post('/api/session/pack').send({ code: 'AAAAA-AAAAA' }).expect(429);
    expect(Number(slowed.get('Retry-After'))).toBeGreaterThan(0);
    const { wrongTries } = bodyOf<SessionState>(await studioOpened.owner.get('/api/session').expect(200));
    expect(wrongTries).toBe(5);
    await nobody(studioOpened.app)
      .post('/api/session')
      .send({ passphrase: 'four green felted pears' })
      .expect(204);
  });
});

describe('who did what', () => {
  const log = async (query = '') =>
    (await studioOpened.owner.get(`/api/write-log${query}`).expect(200)).body as WriteLogPage;
  test('is a line for every write that was done, with device and role; none for what was refused or only read', async () => {
    const tablet = await studioOpened.pair('Tablet');
    const before = (await log()).total;
    await tablet.get('/api/fibres').expect(200);
    await tablet.put(`/api/runs/${run.id}`).send({}).expect(403);
    await studioOpened.owner.post('/api/runs').send({}).expect(400);
    expect((await log()).total).toBe(before);
    await tablet
      .post(`/api/runs/${run.id}/ticks`)
      .send({ key: 'tick-1', mark: 'packed:seat-1', isDone: true, massG: 0 })
      .expect(200);
    const { items, total, devices } = await log();
    expect(total).toBe(before + 1);
    expect(items[0]).toMatchObject({
      device: 'Tablet',
      role: 'helper',
      what: 'Something is weighed or packed, or is not after all',
      subject: 'Saturday',
    });
    expect(devices).toContain('Tablet');
    expect((await log('?device=Tablet')).total).toBe(1);
    expect((await log('?from=2026-11-25')).total).toBe(0);
    expect((await log('?to=2026-11-24&limit=1')).items).toHaveLength(1);
    await studioOpened.owner.get('/api/write-log?limit=501').expect(400);
    const csv = await studioOpened.owner.get('/api/write-log/csv?device=Tablet').expect(200);
    expect(csv.text.split('\n').filter((line) => line.includes('Saturday'))).toHaveLength(1);
  });
  test('is there with what was written, or not at all: undone together, and not to be changed', async () => {
    const { db } = studio;
    const lines = () => db.prepare('SELECT count(*) AS n FROM write_log').get() as { n: number };
    const before = lines().n;
    // A tick whose key was used for something else is undone, its line with it.
    const tick = { key: 'tick-9', mark: 'packed:seat-1', isDone: true, massG: 0 };
    await studioOpened.owner.post(`/api/runs/${run.id}/ticks`).send(tick).expect(200);
    await studioOpened.owner
      .post(`/api/runs/${run.id}/ticks`)
      .send({ ...tick, isDone: false })
      .expect(409);
    expect(lines().n).toBe(before + 1);
    expect(() => db.exec("UPDATE write_log SET device = 'nobody'")).toThrow('not changed');
    db.prepare("INSERT INTO write_log (at, device, operation) VALUES (?, 'x', 'x')").run(
      new Date().toISOString(),
    );
    expect(() => db.exec("DELETE FROM write_log WHERE device = 'x'")).toThrow('is kept');
  });
});
