import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { OpenedRun, RunTicks, ScaleInfo } from '@lanakit/core/api';
import { allMarks, type Run, type RunTick, weighings, type WeighMark } from '@lanakit/core/run';
import { inForceOf } from '../../src/services/runInForce.ts';
import type { Fibre } from '@lanakit/core/shelf';
import { once } from 'node:events';
import { createServer, get } from 'node:http';
import { bodyOf, request } from '../support/request.ts';
import { opened } from '../support/opened.ts';
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
let fibre: Fibre;
let run: Run;
beforeEach(async () => {
  studio = openStudio();
  fibre = await addFibre(studio, {}, 400);
  const revisionId = await publish(studio, await addPattern(studio, ballPattern(fibre.id)));
  run = await add<Run>(studio, '/runs', runInput(revisionId, { seats: 2, sparePacks: 0 }));
});
afterEach(() => studio.close());

const tick = (body: object) => request(studio.app).post(`/api/runs/${run.id}/ticks`).send(body);
const onHandG = async () =>
  bodyOf<{ items: Fibre[] }>(await request(studio.app).get('/api/fibres')).items[0]?.onHandG ?? 0;
const move = async (to: string, version: number) =>
  bodyOf<OpenedRun>(
    await request(studio.app)
      .post(`/api/runs/${run.id}/state`)
      .set('If-Match', `"${version}"`)
      .send({ to, anyway: true })
      .expect(200),
  );

test('what the scale showed is kept beside what was wanted, with its lot, its scale, its device and its time', async () => {
  const lotId = fibre.lots[0]?.id ?? '';
  const sent = {
    key: 't1',
    mark: `seat-1|one|${fibre.id}`,
    isDone: true,
    massG: 18.6,
    weighedG: 18.4,
    lotId,
    scale: 'Window',
  };
  const { items } = bodyOf<{ items: RunTick[] }>(await tick(sent).expect(200));
  expect(items).toEqual([
    {
      mark: sent.mark,
      isDone: true,
      massG: 18.6,
      weighedG: 18.4,
      lotId,
      scale: 'Window',
      device: 'this machine',
      at: '2026-11-24T10:00:00.000Z',
    },
  ]);
  // Sent again it counts once; another weight under its key is refused.
  await tick(sent).expect(200);
  await tick({ ...sent, weighedG: 18.5 }).expect(409);
  // As a device sent it that knows of no scale.
  await tick({ key: 't2', mark: `seat-2|one|${fibre.id}`, isDone: true, massG: 18.6 }).expect(200);
  await tick({ ...sent, key: 't3', weighedG: -1 }).expect(400);
});

test('what two devices weighed both is told, who and when, until it is taken back', async () => {
  const mark = `seat-1|one|${fibre.id}`;
  const sent = { mark, isDone: true, massG: 18.6 };
  const twice = async () =>
    bodyOf<RunTicks>(await request(studio.app).get(`/api/runs/${run.id}/ticks`).expect(200)).twice;
  await tick({ ...sent, key: 'a', from: 'tablet', weighedG: 18.4 }).expect(200);
  await tick({ ...sent, key: 'a2', from: 'tablet', weighedG: 18.5 }).expect(200);
  expect(await twice()).toEqual([]);
  await tick({ ...sent, key: 'b', from: 'laptop', weighedG: 18.7 }).expect(200);
  expect(await twice()).toMatchObject([
    { mark, kept: { from: 'laptop', weighedG: 18.7, device: 'this machine', at: expect.any(String) }, lost: { from: 'tablet', weighedG: 18.5 } },
  ]);
  await tick({ ...sent, key: 'c', from: 'laptop', isDone: false }).expect(200);
  await tick({ ...sent, key: 'd', from: 'laptop', weighedG: 18.6 }).expect(200);
  expect(await twice()).toEqual([]);
}); // prettier-ignore

test('packed, the shelf gives what was really weighed: over what was planned by just so much', async () => {
  const before = await onHandG();
  let version = (await move('bought', 1)).version;
  const { packed } = inForceOf(studio.deps.store, studio.deps.store.runs.find(run.id) as Run, '2026-11-24');
  const { plan, packs, wool, input } = packed;
  const packG = plan.fibres.reduce((sum, { classG }) => sum + classG, 0);
  const [first, second] = allMarks(weighings(plan, packs, wool.fibres, input.scaleStepG));
  if (!first || !second) throw new Error('a run of two seats has two weighings');
  const weigh = (key: string, { mark, massG }: WeighMark, weighedG: number) =>
    tick({ key, mark, isDone: true, massG, weighedG }).expect(200);
  await weigh('a', first, first.massG + 0.7);
  await weigh('b', second, second.massG - 0.2);
  version = (await move('weighed', version)).version;
  await move('packed', version);
  expect(before - (await onHandG())).toBeCloseTo(packG + 0.5, 3);
});

describe('readings over the network', () => {
  test('come as events to whoever may weigh, and end where a device is shut out', async () => {
    const { app, owner, pair } = await opened(studio);
    const tablet = await pair('Tablet');
    const cookie = tablet.jar
      .getCookies({ domain: '127.0.0.1', path: '/', secure: false, script: false })
      .toValueString();
    const server = createServer(app).listen(0, '127.0.0.1');
    await once(server, 'listening');
    const { port } = server.address() as { port: number };
    const text: string[] = [];
    const isEnded = new Promise<void>((resolve) =>
      get({ port, path: '/api/scales/scale-1/readings', headers: { cookie } }, (answer) => {
        text.push(answer.headers['content-type'] ?? '');
        answer.on('data', (chunk) => text.push(String(chunk)));
        answer.on('end', resolve);
      }),
    );
    while (!text.join('').includes('"isHere":true')) await new Promise((resolve) => setTimeout(resolve, 10));
    const { items } = bodyOf<{ items: ScaleInfo[] }>(await tablet.get('/api/scales').expect(200));
    expect(items[0]?.state.isHere).toBe(true);
    const { devices } = bodyOf<{ devices: { id: string; name: string }[] }>(await owner.get('/api/network'));
    await owner
      .delete(`/api/network/devices/${devices.find(({ name }) => name === 'Tablet')?.id}`)
      .expect(204);
    await isEnded;
    expect(text[0]).toContain('text/event-stream');
    server.close();
  });
  test('of no such scale there are none', async () => {
    await request(studio.app).get('/api/scales/scale-9/readings').expect(404);
    await request(studio.app).post('/api/scales/scale-9/commands').send({ command: 'tare' }).expect(404);
    await request(studio.app).post('/api/scales/scale-1/acts').send({ act: 'put', massG: -1 }).expect(400);
    await request(studio.app).post('/api/scales/scale-1/acts').send({ act: 'fly' }).expect(400);
  });
});
