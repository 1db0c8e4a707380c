import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { OpenedRun } from '@lanakit/core/api';
import Database from 'better-sqlite3';
import { join } from 'node:path';
import { unpacked } from '../../src/db/packed.ts';
import { BLANK_PLAN, blankSeat, type ClassPlan, type Run } from '@lanakit/core/run';
import { readCalendar } from '../support/readCalendar.ts';
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
let revisionId: string;
let fibreId: string;
beforeEach(async () => {
  studio = openStudio();
  fibreId = (await addFibre(studio, {}, 250)).id;
  revisionId = await publish(studio, await addPattern(studio, ballPattern(fibreId)));
});
afterEach(() => studio.close());

const day = (more: Partial<ClassPlan> = {}): ClassPlan => ({
  ...BLANK_PLAN,
  sessions: [
    { id: 'one', date: null, startsAt: '14:00', minutes: 120 },
    { id: 'two', date: '2026-12-12', startsAt: '10:15', minutes: 90 },
  ],
  rows: [{ id: 'w', kind: 'talk', name: 'Welcome', sessionId: 'one', atMinute: 5, minutes: 10, stepIds: [], groups: 1 }],
  ...more,
}); // prettier-ignore
const plan = async (more: Parameters<typeof runInput>[1]): Promise<Run> =>
  (await request(studio.app).post('/api/runs').send(runInput(revisionId, more)).expect(201)).body as Run;

describe('the day of a class', () => {
  test('is kept as it was said', async () => {
    const run = await plan({ plan: day() });
    const answer = await request(studio.app).get(`/api/runs/${run.id}`).expect(200);
    expect((answer.body as OpenedRun).plan).toEqual(day());
  });
  test.each([
    ['no minutes', { sessions: [{ id: 'one', date: null, startsAt: '14:00', minutes: 0 }], rows: [] }, '/plan/sessions/0/minutes'],
    ['no clock', { sessions: [{ id: 'one', date: null, startsAt: 'noon', minutes: 60 }], rows: [] }, '/plan/sessions/0/startsAt'],
    ['a talk nowhere', { sessions: [] }, '/plan/rows/0/sessionId'],
  ])('refused: %s, beside its cause', async (_what, more, pointer) => {
    const answer = await request(studio.app).post('/api/runs').send(runInput(revisionId, { plan: day(more) })).expect(422);
    expect((answer.body as { errors: { pointer: string }[] }).errors.map((error) => error.pointer)).toContain(pointer);
  }); // prettier-ignore
  test('as a calendar: each sitting on the room’s clock, and the day its work begins', async () => {
    const run = await plan({ name: 'Owls', date: '2026-12-05', plan: day() });
    const { text } = await request(studio.app).get(`/api/runs/${run.id}/calendar`).expect(200);
    expect(text).toContain('DTSTART:20261205T140000\r\n');
    expect(text).toContain('DTSTART:20261212T101500\r\n');
    expect(text).toContain('DURATION:PT120M');
    expect(text).toContain('SUMMARY:Owls\\, 1');
    expect(text).toMatch(/14:05 Welcome/);
    expect(text).toContain('SUMMARY:Begin Owls');
    const events = readCalendar(text);
    expect(events.length).toBeGreaterThanOrEqual(3);
    expect(events.find(({ summary }) => summary === 'Owls, 1')).toMatchObject({
      start: '2026-12-05T14:00:00',
      end: '2026-12-05T16:00:00',
    });
  });
  test('of a class at home the day to post by is in it', async () => {
    const run = await plan({ name: 'Owls', date: '2026-12-05', plan: day({ isRemote: true, postDays: 6 }) });
    const { text } = await request(studio.app).get(`/api/runs/${run.id}/calendar`).expect(200);
    expect(text).toMatch(
      /SUMMARY:Post the packs of Owls[\s\S]*DTSTART;VALUE=DATE:20261129|DTSTART;VALUE=DATE:20261129[\s\S]*Post the packs/,
    );
  });
  test.each(['run-sheet', 'homework'])('%s is set as PDF and told as a table', async (name) => {
    const run = await plan({ plan: day() });
    const pdf = await request(studio.app)
      .get(`/api/runs/${run.id}/papers/${name}/pdf`)
      .buffer(true)
      .expect(200);
    expect(pdf.headers['content-type']).toContain('application/pdf');
    await request(studio.app).get(`/api/runs/${run.id}/papers/${name}/csv`).expect(200);
  });
});

describe('a seat that makes something of its own', () => {
  test('is packed from that, and the run is pinned to it', async () => {
    const other = await publish(
      studio,
      await addPattern(studio, { ...ballPattern(fibreId), title: 'Little ball' }),
    );
    const roster = [{ ...blankSeat(2), revisionId: other }];
    const run = await plan({ seats: 3, sparePacks: 0, roster });
    const answer = await request(studio.app).get(`/api/runs/${run.id}`).expect(200);
    expect((answer.body as OpenedRun).designs.map(({ title }) => title)).toEqual(['Ball', 'Little ball']);
    const csv = await request(studio.app).get(`/api/runs/${run.id}/papers/room/csv`).expect(200);
    expect(csv.text).toContain('Little ball: as written');
  });
  test('of a revision there is not it is refused', async () => {
    const roster = [{ ...blankSeat(2), revisionId: 'gone' }];
    await request(studio.app).post('/api/runs').send(runInput(revisionId, { roster })).expect(422);
  });
});

describe('who came is forgotten', () => {
  const roster = [{ ...blankSeat(1), name: 'Marga Winterling', note: 'sits by the window', avoids: ['lanolin' as const], isLeftHanded: true }];
  const everywhere = (): string => {
    const db = new Database(join(studio.deps.dataDir, 'lanakit.sqlite'), { readonly: true });
    const rows = (sql: string) => JSON.stringify(db.prepare(sql).all());
    const history = db.prepare<[], Buffer>(`SELECT document FROM history WHERE kind = 'run'`).pluck().all();
    const words = [rows('SELECT document, frozen, name FROM run'), ...history.map((packed) => unpacked(packed))].join('\n');
    db.close();
    return words;
  };
  test('in the run, in what was written down of it, and in all that it ever was; what each made stays', async () => {
    const run = await plan({ name: 'Owls', seats: 2, roster });
    const { body: changed } = (await request(studio.app).put(`/api/runs/${run.id}`).set('If-Match', '"1"').send(runInput(revisionId, { name: 'Owls', seats: 3, roster })).expect(200)) as { body: OpenedRun };
    await request(studio.app).post(`/api/runs/${run.id}/state`).set('If-Match', `"${changed.version}"`).send({ to: 'bought', anyway: true }).expect(200);
    expect(everywhere()).toContain('Marga');
    const answer = await request(studio.app).post(`/api/runs/${run.id}/people-forgotten`).set('If-Match', `"${changed.version + 1}"`).expect(200);
    const after = answer.body as OpenedRun;
    expect(after.roster).toEqual([{ ...blankSeat(1) }]);
    expect(after.frozen?.input.roster).toEqual([{ ...blankSeat(1) }]);
    expect(after.seats).toBe(3);
    for (const word of ['Marga', 'Winterling', 'window', 'lanolin']) expect(everywhere()).not.toContain(word);
    const { body: found } = (await request(studio.app).get('/api/found?search=Marga').expect(200)) as { body: { items?: unknown[] } };
    expect(JSON.stringify(found)).not.toContain('Marga');
  });
  test('by who has seen it as it is; otherwise nothing is forgotten', async () => {
    const run = await plan({ name: 'Owls', seats: 2, roster });
    await request(studio.app).post(`/api/runs/${run.id}/people-forgotten`).set('If-Match', '"7"').expect(409);
    await request(studio.app).post(`/api/runs/${run.id}/people-forgotten`).expect(428);
    expect(everywhere()).toContain('Marga');
  });
}); // prettier-ignore
