import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type {
  ClassDay,
  ClassEvents,
  ClassTook,
  LearningState,
  LogbookLine,
  LogbookPage,
  OpenedRun,
} from '@lanakit/core/api';
import type { ClassAct, ClassEventInput } from '@lanakit/core/classDay';
import { BLANK_STEP } from '@lanakit/core/pattern';
import { BLANK_PLAN, type Run, weighings } from '@lanakit/core/run';
import type { Fibre } from '@lanakit/core/shelf';
import { once } from 'node:events';
import { createServer, get } from 'node:http';
import { inForceOf } from '../../src/services/runInForce.ts';
import { bodyOf, request } from '../support/request.ts';
import { add, addFibre, addPattern, ballPattern, NOW, openStudio, publish, runInput, type Studio } from '../support/studio.ts'; // prettier-ignore

let studio: Studio;
let fibre: Fibre;
let run: Run;
let events = 0;

beforeEach(async () => {
  studio = openStudio();
  events = 0;
  fibre = await addFibre(studio, {}, 400);
  const document = ballPattern(fibre.id);
  const partIds = document.parts.map(({ id }) => id);
  const steps = [
    { ...BLANK_STEP, id: 'roll', text: 'Roll it.', partIds, minutes: 10, leaves: 'rolled' as const },
    { ...BLANK_STEP, id: 'felt', text: 'Felt it.', partIds, minutes: 20, leaves: 'felted' as const },
  ];
  const revisionId = await publish(studio, await addPattern(studio, { ...document, steps }));
  run = await add<Run>(
    studio,
    '/runs',
    runInput(revisionId, {
      seats: 3,
      sparePacks: 0,
      date: '2026-11-24',
      plan: {
        ...BLANK_PLAN,
        sessions: [{ id: 'one', date: null, startsAt: '10:00', minutes: 120 }],
        rows: [{ id: 'hello', kind: 'talk', name: 'Welcome', sessionId: 'one', atMinute: 0, minutes: 5, stepIds: [], groups: 1 }],
      },
    }),
  ); // prettier-ignore
});
afterEach(() => studio.close());

const eventOf = (what: ClassAct, more: Partial<ClassEventInput> = {}): ClassEventInput => ({
  key: `event-${++events}`,
  at: NOW.toISOString(),
  seen: 0,
  from: 'tablet',
  what,
  ...more,
});
const send = (event: object) => request(studio.app).post(`/api/runs/${run.id}/class-day/events`).send(event);
const happens = async (what: ClassAct, more: Partial<ClassEventInput> = {}) =>
  bodyOf<ClassEvents>(await send(eventOf(what, more)).expect(200));
const day = async () =>
  bodyOf<ClassDay>(await request(studio.app).get(`/api/runs/${run.id}/class-day`).expect(200));
const took = async () =>
  bodyOf<ClassTook>(await request(studio.app).get(`/api/runs/${run.id}/took`).expect(200));
const onHandG = async () =>
  bodyOf<{ items: Fibre[] }>(await request(studio.app).get('/api/fibres')).items[0]?.onHandG ?? 0;
const move = async (to: string, status = 200, anyway = true) => {
  const { version } = bodyOf<OpenedRun>(await request(studio.app).get(`/api/runs/${run.id}`).expect(200));
  return request(studio.app).post(`/api/runs/${run.id}/state`).set('If-Match', `"${version}"`).send({ to, anyway }).expect(status);
}; // prettier-ignore

describe('a class on its day', () => {
  test('is planned as its run sheet is: what is taught when, who makes which pieces', async () => {
    const { plan, items, now } = await day();
    expect(items).toEqual([]);
    expect(now).toBe(NOW.toISOString());
    expect(plan.sittings[0]?.entries.map(({ id, kind, from }) => [id, kind, from])).toEqual([
      ['one:hello', 'talk', 600],
      ['one:roll', 'step', expect.any(Number)],
      ['one:felt', 'step', expect.any(Number)],
    ]);
    const [roll, felt] = plan.sittings[0]?.entries.slice(1) ?? [];
    expect(roll?.to).toBeLessThanOrEqual((felt?.from ?? 0) + 1e-6);
    expect(plan.makes[0]?.pieces[0]?.marks.map(({ state, stepId }) => [state, stepId])).toEqual([
      ['rolled', 'roll'],
      ['felted', 'felt'],
    ]);
    expect(plan.seats.map(({ key, makeAt }) => [key, makeAt])).toEqual([['1', 0], ['2', 0], ['3', 0]]); // prettier-ignore
  });
  test('without a time there is no run of show, and the room is there all the same', async () => {
    run = await add<Run>(studio, '/runs', { ...runInput(run.revisionId, { seats: 2 }) });
    const { plan } = await day();
    expect(plan.sittings).toEqual([]);
    expect(plan.makes[0]?.pieces[0]?.marks.map(({ by }) => by)).toEqual([null, null]);
  });
});

describe('what happens', () => {
  test('is kept in the order in which it came in; whoever sends is told what they did not know of', async () => {
    await happens({ act: 'sitting', sessionId: 'one', does: 'begin' });
    await happens({ act: 'help', seatKey: '2', isWanted: true });
    const { items } = await happens({ act: 'here', seatKey: '3', isHere: false }, { seen: 1 });
    expect(items.map(({ seq, what }) => [seq, what.act])).toEqual([[2, 'help'], [3, 'here']]); // prettier-ignore
    expect((await day()).items.map(({ what, device }) => [what.act, device])).toEqual([
      ['sitting', 'this machine'],
      ['help', 'this machine'],
      ['here', 'this machine'],
    ]);
  });
  test('sent twice it counts once; another thing under its key is refused', async () => {
    const event = eventOf({ act: 'help', seatKey: '2', isWanted: true });
    await send(event).expect(200);
    await send(event).expect(200);
    expect((await day()).items.length).toBe(1);
    await send({ ...event, what: { act: 'help', seatKey: '1', isWanted: true } }).expect(409);
  });
  test('a clock that is ahead does not have the last word for ever', async () => {
    const { items } = await happens({ act: 'help', seatKey: '1', isWanted: true }, { at: '2031-01-01T00:00:00.000Z' });
    expect(items[0]?.at).toBe(NOW.toISOString());
    const earlier = '2026-11-24T09:12:00.000Z';
    expect((await happens({ act: 'help', seatKey: '1', isWanted: false }, { at: earlier })).items.at(-1)?.at).toBe(earlier);
  }); // prettier-ignore
  test('once kept it cannot be changed, also not in the file itself', async () => {
    await happens({ act: 'help', seatKey: '1', isWanted: true });
    expect(() => studio.db.prepare("UPDATE class_event SET at = ''").run()).toThrow('is not changed');
    expect(() => studio.db.prepare('DELETE FROM class_event').run()).toThrow('is kept');
  });
  test.each<[string, object, number]>([
    ['of what nobody knows', { act: 'dance' }, 400],
    ['without what it is of', { act: 'piece', seatKey: '1' }, 400],
    ['a state no piece has', { act: 'piece', seatKey: '1', partId: 'p', state: 'baked' }, 400],
    ['wool that is nothing', { act: 'left', fibreId: 'f', seatKey: null, massG: 0 }, 400],
    ['of a fibre that is not there', { act: 'left', fibreId: 'nobody', seatKey: null, massG: 2 }, 422],
    [
      'a photo that is not there',
      { act: 'photo', pictureId: 'none', seatKey: null, permission: 'none' },
      422,
    ],
  ])('%s is refused, and nothing is kept', async (_name, what, status) => {
    await send({ ...eventOf({ act: 'help', seatKey: '1', isWanted: true }), what }).expect(status);
    expect((await day()).items).toEqual([]);
  });
  test('of a run that is gone, or of boxes, there is no such day', async () => {
    await request(studio.app).get('/api/runs/nobody/class-day').expect(404);
    await request(studio.app).get('/api/runs/nobody/took').expect(404);
  });
});

describe('left over', () => {
  const back = (massG: number) => happens({ act: 'left', fibreId: fibre.id, seatKey: null, massG });

  test('goes onto the shelf into the lot it came from, once; taken back it goes off again', async () => {
    for (const to of ['bought', 'weighed', 'packed']) await move(to);
    const packedG = await onHandG();
    await back(5.5);
    await back(1.25);
    expect(await onHandG()).toBeCloseTo(packedG + 6.75, 6);
    const last = (await day()).items.at(-1);
    await happens({ act: 'back', key: last?.key ?? '' });
    expect(await onHandG()).toBeCloseTo(packedG + 5.5, 6);
    // However often something else happens with wool, it went off once.
    for (const massG of [2, 3]) {
      await back(massG);
      await happens({ act: 'back', key: (await day()).items.at(-1)?.key ?? '' });
      expect(await onHandG()).toBeCloseTo(packedG + 5.5, 6);
    }
    // Not packed after all: all of it is back, and what came back is not there twice.
    await move('weighed');
    expect(await onHandG()).toBeCloseTo(400, 6);
    await move('packed');
    expect(await onHandG()).toBeCloseTo(packedG + 5.5, 6);
  });
  test('before the run is called packed it waits, and is told', async () => {
    await back(3);
    expect(await onHandG()).toBeCloseTo(400, 6);
    expect(await took()).toMatchObject({
      isOnShelf: false,
      items: [{ leftG: 3, weighedG: null, tookG: null }],
    });
    for (const to of ['bought', 'weighed']) await move(to);
    expect(await onHandG()).toBeCloseTo(400, 6);
    await move('packed');
    const [row] = (await took()).items;
    expect(await onHandG()).toBeCloseTo(400 - (row?.plannedG ?? 0) + 3, 6);
  });
  test('more than it ever had cannot come back to the shelf from it', async () => {
    for (const to of ['bought', 'weighed', 'packed']) await move(to);
    await back(5000);
    expect(await onHandG()).toBeCloseTo(400, 6);
  });
});

test('a class is not closed unasked while a sharp thing is out, something is hot, or a tip is missing', async () => {
  for (const to of ['bought', 'weighed', 'packed']) await move(to);
  await happens({ act: 'sharp', key: 'scissors', pile: 'out', amount: 2 });
  await happens({ act: 'heat', key: 'iron', isOn: true });
  await happens({ act: 'tip', tipId: 't', seatKey: '1', needleId: null, note: '' });
  const refused = JSON.stringify((await move('done', 422, false)).body);
  for (const words of ['2 sharps beside', '1 tool is still hot', '1 tip of broken needles was'])
    expect(refused).toContain(words);
  await happens({ act: 'sharp', key: 'scissors', pile: 'in', amount: 2 });
  await happens({ act: 'heat', key: 'iron', isOn: false });
  await happens({ act: 'tip-found', tipId: 't', where: 'in the mat' });
  await move('done', 200, true);
});

test('a class that was taught has its page in the logbook, and others have none', async () => {
  const lines = async () =>
    bodyOf<{ items: LogbookLine[] }>(await request(studio.app).get('/api/logbook').expect(200)).items;
  expect(await lines()).toEqual([]);
  await request(studio.app).get(`/api/logbook/${run.id}`).expect(404);
  await happens({ act: 'finished', seatKey: '2', isFinished: true });
  await happens({ act: 'left', fibreId: fibre.id, seatKey: null, massG: 2 });
  await happens({ act: 'said', sort: 'idea', revisionId: run.revisionId, stepId: 'felt', partId: null, seatKey: null, text: 'two wisps' });
  expect(await lines()).toMatchObject([{ runId: run.id, isClosed: false, seats: 3, finished: 1, notes: 1, wool: { tookG: null } }]);
  for (const to of ['bought', 'weighed', 'packed', 'done']) await move(to);
  const page = bodyOf<LogbookPage>(await request(studio.app).get(`/api/logbook/${run.id}`).expect(200));
  expect(page).toMatchObject({ isClosed: true, making: { notes: [{ text: 'two wisps', stepId: 'felt' }], needles: null } });
  // The same numbers as in front of the class.
  expect(page.making.wool).toEqual((await took()).items);
}); // prettier-ignore

test('a class that is closed teaches: what it took against what as many figures come to, and its minutes against the slowest of three', async () => {
  const { packed } = inForceOf(studio.deps.store, run, run.date);
  const marks = weighings(packed.plan, packed.packs, packed.wool.fibres, run.scaleStepG).flatMap(({ bags }) =>
    bags.flatMap((bag) => bag.marks),
  );
  // Before everything is weighed, everybody is finished and what was left is back, it teaches nothing, and says why.
  for (const seatKey of ['1', '2', '3']) await happens({ act: 'finished', seatKey, isFinished: true });
  const at = (minutes: number) => ({ at: new Date(NOW.getTime() - (60 - minutes) * 60_000).toISOString() });
  await happens({ act: 'sitting', sessionId: 'one', does: 'begin' }, at(0));
  await happens({ act: 'entry', entryId: 'one:felt', does: 'begin' }, at(10));
  await happens({ act: 'entry', entryId: 'one:felt', does: 'has-it' }, at(55));
  for (const { mark, massG } of marks)
    await request(studio.app).post(`/api/runs/${run.id}/ticks`).send({ key: mark.slice(-40), mark, isDone: true, massG }).expect(200);
  const learning = async () => bodyOf<LearningState>(await request(studio.app).get('/api/learning').expect(200));
  for (const to of ['bought', 'weighed', 'packed', 'done']) await move(to);
  expect((await learning()).untaught.map(({ why }) => why)).toEqual([{ code: 'left_not_weighed' }]);
  const weighedG = marks.reduce((sum, { massG }) => sum + massG, 0);
  await happens({ act: 'left', fibreId: fibre.id, seatKey: null, massG: 4 });
  const { evidence, untaught } = await learning();
  expect(untaught).toEqual([]);
  // Three balls of 60 mm, firm: 0.15 g/cm³.
  const ballG = 0.15 * (Math.PI / 6) * 216;
  const wool = evidence.find(({ kind }) => kind === 'class');
  expect(wool?.expected).toBeCloseTo(3 * ballG, 6);
  expect(wool?.found).toBeCloseTo(weighedG - 4, 6);
  // Of twenty of the author’s: the slowest of three is 3 ÷ (2·√π) σ behind the middle, which Blom’s rule meets within a hundredth.
  const minutes = evidence.find(({ kind }) => kind === 'minutes');
  expect(minutes?.found).toBeCloseTo(45, 6);
  const pace = { practised: 1.2, some: 1.6, 'first-timer': 2.2 }[run.skill];
  const slowest = 20 * pace * Math.exp((Math.hypot(0.25, 0.3) * 3) / (2 * Math.sqrt(Math.PI)));
  expect(Math.abs((minutes?.expected ?? 0) / slowest - 1)).toBeLessThan(0.01);
}); // prettier-ignore

test('whoever looks at a class is told of it as soon as another device does something', async () => {
  const server = createServer(studio.app).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as { port: number };
  const heard: string[] = [];
  const line = get({ port, host: '127.0.0.1', path: `/api/runs/${run.id}/news`, headers: { host: `127.0.0.1:${port}` } });
  const [answer] = (await once(line, 'response')) as [NodeJS.ReadableStream];
  answer.on('data', (bytes: Buffer) => heard.push(...bytes.toString('utf8').split('\n').filter((text) => text.startsWith('data: '))));
  const until = async (count: number) => {
    while (heard.length < count) await once(answer, 'data');
  };
  await until(1);
  await happens({ act: 'help', seatKey: '1', isWanted: true });
  await until(2);
  await request(studio.app).post(`/api/runs/${run.id}/ticks`).send({ key: 't', mark: 'packed|seat-1', isDone: true, massG: 0 }).expect(200);
  await until(3);
  line.destroy();
  server.close();
  expect(heard.map((text) => JSON.parse(text.slice(6)) as unknown)).toEqual([{ what: 'all' }, { what: 'class-day' }, { what: 'ticks' }]);
}); // prettier-ignore
