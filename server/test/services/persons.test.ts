import { blankCommission, type Commission, type CommissionInput } from '@lanakit/core/commissions';
import { blankMaking, type Making } from '@lanakit/core/logbook';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { OpenedRun, Persons } from '@lanakit/core/api';
import { blankSeat, type Run, type RunInput } from '@lanakit/core/run';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { inflateRawSync } from 'node:zlib';
import { personService } from '../../src/services/personService.ts';
import { isRefusal } from '../../src/services/refusal.ts';
import { bodyOf, request } from '../support/request.ts';
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
let revisionId: string;
beforeEach(async () => {
  studio = openStudio();
  const { id } = await addFibre(studio);
  revisionId = await publish(studio, await addPattern(studio, ballPattern(id)));
});
afterEach(() => studio.close());

const ANOUK = {
  ...blankSeat(1),
  name: 'Anouk Verhalen',
  note: 'brings her own hoop',
  avoids: ['lanolin' as const],
};
const BEN = { ...blankSeat(2), name: 'Ben Toller' };
const plan = (more: Partial<RunInput> = {}) =>
  add<Run>(studio, '/runs', runInput(revisionId, { seats: 3, roster: [ANOUK, BEN], ...more }));
const found = async (name = '') =>
  (await request(studio.app).get('/api/persons').query({ name }).expect(200)).body as Persons;
const forget = (name: string) => request(studio.app).post('/api/persons/forgotten').send({ name });

/** Everything the studio’s file holds, as it stands there and with what is packed in it unpacked. */
function everything(): string {
  const tables = studio.db
    .prepare("SELECT name FROM sqlite_master WHERE type = 'table'")
    .pluck()
    .all() as string[];
  const cells = tables.flatMap((table) =>
    (studio.db.prepare(`SELECT * FROM "${table}"`).all() as object[]).flatMap(
      (row) => Object.values(row) as unknown[],
    ),
  );
  return cells.map((cell) => (Buffer.isBuffer(cell) ? unpackedOr(cell) : String(cell))).join('\n');
}
function unpackedOr(bytes: Buffer): string {
  try {
    return inflateRawSync(bytes).toString('utf8');
  } catch {
    return '';
  }
}

describe('who is named', () => {
  test('is found in every class, in the bin, in what was written down, and in how it was before', async () => {
    const first = await plan({ name: 'First' });
    await plan({ name: 'Second', date: '2026-12-06' });
    const opened = (await request(studio.app).get(`/api/runs/${first.id}`)).body as OpenedRun;
    await request(studio.app)
      .put(`/api/runs/${first.id}`)
      .set('If-Match', `"${opened.version}"`)
      .send({ ...runInput(revisionId), name: 'First', seats: 3, roster: [BEN] })
      .expect(200);
    await request(studio.app).delete(`/api/runs/${first.id}`).set('If-Match', '"2"').expect(204);
    const { items, classes } = await found('anouk');
    expect(
      items.flatMap((line) => (line.of === 'seat' ? [[line.runName, line.seat, line.isBinned]] : [])),
    ).toEqual([
      ['Second', 1, false],
      ['First', 1, true],
    ]);
    expect(classes).toBe(2);
    expect((await found('hoop')).items).toHaveLength(2);
    expect((await found('nobody')).items).toEqual([]);
  });
  test('is given theirs, and nobody else’s', async () => {
    await plan();
    const { text } = await request(studio.app)
      .get('/api/persons/file')
      .query({ name: ' anouk  verhalen' })
      .expect(200)
      .buffer();
    expect(text).toContain('brings her own hoop');
    expect(text).not.toContain('Ben');
    await request(studio.app).get('/api/persons/file').query({ name: 'Anouk' }).expect(404);
  });
  test('is forgotten everywhere in the studio’s file, and nobody with them', async () => {
    const run = await plan();
    // Named in an answer that was kept, in the history, in the bin, and in what was written down.
    await request(studio.app)
      .post('/api/runs')
      .set('Idempotency-Key', 'once')
      .send(runInput(revisionId, { name: 'Kept', seats: 3, roster: [ANOUK] }))
      .expect(201);
    await request(studio.app)
      .post(`/api/runs/${run.id}/state`)
      .set('If-Match', '"1"')
      .send({ to: 'bought', anyway: true })
      .expect(200);
    await request(studio.app)
      .put(`/api/runs/${run.id}`)
      .set('If-Match', '"2"')
      .send({ ...runInput(revisionId), seats: 3, roster: [{ ...ANOUK, note: 'hoop is here' }, BEN] })
      .expect(200);
    // And what was weighed and packed for them.
    await request(studio.app)
      .post(`/api/runs/${run.id}/ticks`)
      .send({ key: 'a', mark: 'packed|seat 1', isDone: true, massG: 0 })
      .expect(200);
    const binned = await plan({ name: 'Binned' });
    await request(studio.app).delete(`/api/runs/${binned.id}`).set('If-Match', '"1"').expect(204);
    expect(everything()).toContain('Anouk');
    expect(bodyOf(await forget('ANOUK VERHALEN').expect(200))).toEqual({ seats: 3, pages: 0 });
    expect(everything()).not.toMatch(/Anouk|hoop/);
    expect(everything()).toContain('Ben Toller');
    expect((await found('Anouk')).items).toEqual([]);
    // What the seat makes is as it was.
    const after = (await request(studio.app).get(`/api/runs/${run.id}`)).body as OpenedRun;
    expect(after.roster).toEqual([blankSeat(1), BEN]);
    await forget('Anouk Verhalen').expect(404);
  });
});

describe('who made a figure, and who asked for one', () => {
  const asked = (more: Partial<CommissionInput> = {}) =>
    add<Commission>(studio, '/commissions', {
      ...blankCommission('A hare', '2026-11-01'),
      askedBy: 'Anouk Verhalen',
      reach: 'anouk at the harbour',
      ...more,
    });
  test('is found, given theirs, and forgotten, in the bin as well and in what was answered', async () => {
    const made = await add<Making>(studio, '/makings', {
      ...blankMaking('Ball', '2026-11-01'),
      madeBy: 'Anouk Verhalen',
    });
    await request(studio.app).delete(`/api/makings/${made.id}`).set('X-Lanakit', '1').expect(204);
    const kept = await asked();
    await request(studio.app)
      .post('/api/commissions')
      .set('Idempotency-Key', 'twice')
      .send({ ...blankCommission('Another', '2026-11-02'), askedBy: 'Anouk Verhalen' })
      .expect(201);
    expect((await found('anouk')).items.map(({ of, isBinned }) => [of, isBinned])).toEqual([
      ['making', true],
      ['commission', false],
      ['commission', false],
    ]);
    // Also by how they are reached.
    expect((await found('harbour')).items).toHaveLength(1);
    const { text } = await request(studio.app)
      .get('/api/persons/file')
      .query({ name: 'anouk verhalen' })
      .buffer();
    expect(text).toContain('harbour');
    expect(bodyOf(await forget('Anouk Verhalen').expect(200))).toEqual({ seats: 0, pages: 3 });
    expect(everything()).not.toMatch(/Anouk|harbour/);
    expect((await found('somebody')).items).toEqual([]);
    const after = bodyOf<Commission>(
      await request(studio.app).get(`/api/commissions/${kept.id}`).expect(200),
    );
    expect(after).toMatchObject({ title: 'A hare', askedBy: 'somebody', reach: '' });
  });
});

describe('after a time', () => {
  const sweptAt = (day: string) => {
    const due = personService(
      { ...studio.deps, now: () => new Date(`${day}T10:00:00Z`) },
      () => undefined,
    ).forgetDue();
    return isRefusal(due) ? -1 : due;
  };
  const rule = (afterDays: number | null) =>
    request(studio.app).put('/api/persons/rule').send({ afterDays }).expect(204);
  test.each([
    ['nobody said so', null, '2028-01-01', 0],
    ['the last day is not over', 30, '2027-01-04', 0],
    ['the day after', 30, '2027-01-05', 1],
  ])('%s', async (_what, afterDays, day, count) => {
    await plan();
    await rule(afterDays);
    expect(sweptAt(day)).toBe(count);
    expect((await found()).items).toHaveLength(count === 1 ? 0 : 2);
  });
  test('counts from the last sitting; is done once; stands in the log as done by itself; and its codes end', async () => {
    const run = await plan({
      learnerDays: 400,
      plan: {
        ...runInput(revisionId).plan,
        sessions: [
          { id: 'a', date: null, startsAt: '10:00', minutes: 120 },
          { id: 'b', date: '2026-12-20', startsAt: '10:00', minutes: 120 },
        ],
      },
    });
    await request(studio.app).post(`/api/runs/${run.id}/codes`).send().expect(200);
    await rule(10);
    expect(sweptAt('2026-12-30')).toBe(0);
    expect(sweptAt('2026-12-31')).toBe(1);
    expect(sweptAt('2026-12-31')).toBe(0);
    expect(studio.deps.store.packCodes.of(run.id)).toEqual([]);
    const asked = { device: 'Lanakit', from: '', to: '', offset: 0, limit: 10 };
    expect(studio.deps.store.writeLog.page(asked).items).toMatchObject([{ role: null, subject: 'Saturday' }]);
  });
  test.each([-1, 3651, 0.5, 'x'])('%p days is no rule', async (afterDays) => {
    await request(studio.app).put('/api/persons/rule').send({ afterDays }).expect(400);
  });
});

test('what is forgotten is not left in the pages of the file either, nor in what is searched', async () => {
  await plan();
  await request(studio.app).get('/api/found').query({ search: 'anouk' }).expect(200);
  const searched = () => readFileSync(join(studio.dir, 'search.sqlite')).includes('anouk');
  studio.db.pragma('wal_checkpoint(TRUNCATE)');
  await forget('Anouk Verhalen').expect(200);
  studio.db.pragma('wal_checkpoint(TRUNCATE)');
  expect(readFileSync(join(studio.dir, 'lanakit.sqlite')).includes('Anouk')).toBe(false);
  expect(searched()).toBe(false);
  const answer = await request(studio.app).get('/api/found').query({ search: 'anouk' }).expect(200);
  expect(bodyOf<{ items: unknown[] }>(answer).items).toEqual([]);
});
