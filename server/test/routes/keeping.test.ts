import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type {
  BackupContents,
  BackupName,
  Keeping,
  OpenedRun,
  PackCodes,
  PutBack,
  StoredPattern,
  WriteLogPage,
} from '@lanakit/core/api';
import type { Fibre } from '@lanakit/core/shelf';
import Database from 'better-sqlite3';
import { mkdirSync, readdirSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { OWN_RIGHTS, type Pattern } from '@lanakit/core/pattern';
import { byGauge } from '@lanakit/core/shelf';
import { request } from '../support/request.ts';
import { isRefusal } from '../../src/services/index.ts';
import { photo } from '../support/files.ts';
import { backupFolder, migrate } from '../../src/db/index.ts';
import { MIGRATIONS } from '../../src/db/migrations/index.ts';
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
let day = 0;
beforeEach(() => void (studio = openStudio(undefined, () => new Date(Date.UTC(2026, 10, 24, 10, day++)))));
afterEach(() => studio.close());

const get = async <T>(path: string): Promise<T> =>
  (await request(studio.app).get(`/api${path}`).expect(200)).body as T;
const post = (path: string, body: object = {}) => request(studio.app).post(`/api${path}`).send(body);
const backUp = async () => (await post('/backups').expect(201)).body as BackupName;
const lookInto = (name: string) => get<BackupContents>(`/backups/${name}`);
const putBack = async (name: string, thing: object | null) =>
  (await post(`/backups/${name}/put-back`, { thing }).expect(200)).body as PutBack;
const remove = (path: string, version: number) =>
  request(studio.app).delete(`/api${path}`).set('If-Match', `"${version}"`).expect(204);
const save = (path: string, version: number, body: object) =>
  request(studio.app).put(`/api${path}`).set('If-Match', `"${version}"`).send(body).expect(200);
const named = ({ differences }: BackupContents) =>
  differences.map(({ is, kind, name }) => `${is} ${kind} ${name}`).sort();

/** A fibre, a pattern, a run of it; backed up; then one of each is made, one changed, one deleted. */
async function lived() {
  const wool = await addFibre(studio, { name: 'Chalk' }, 250);
  const spare = await addFibre(studio, { name: 'Moss' }, 40);
  const wren = await addPattern(studio, ballPattern(wool.id, { title: 'Wren' }));
  const otter = await addPattern(studio, ballPattern(wool.id, { title: 'Otter' }));
  const revisionId = await publish(studio, wren);
  const run = (await post('/runs', runInput(revisionId, { name: 'Saturday' })).expect(201)).body as OpenedRun;
  const backup = await backUp();
  await save(`/patterns/${wren.id}`, wren.version, ballPattern(null, { title: 'Wren, unpicked' }));
  await remove(`/patterns/${otter.id}`, otter.version);
  await remove(`/fibres/${spare.id}`, spare.version);
  await addPattern(studio, ballPattern(null, { title: 'Newt' }));
  await save(`/runs/${run.id}`, run.version, runInput(revisionId, { name: 'Saturday', seats: 30 }));
  await post('/stock/counts', { counts: [{ itemId: wool.id, lotId: wool.lots[0]?.id, amount: 90 }] }).expect(
    200,
  );
  await post(`/runs/${run.id}/ticks`, { key: 't', mark: 'm', isDone: true, massG: 1 }).expect(200);
  return { wool, spare, wren, otter, run, backup };
}

describe('what a backup holds, and what putting it back would do, by name', () => {
  test('made since, changed since, deleted since', async () => {
    const { backup } = await lived();
    const contents = await lookInto(backup.name);
    expect(contents).toMatchObject({
      ...backup,
      counts: { pattern: 2, run: 1, item: 2, technique: 0 },
      movementsLost: 1,
      ticksLost: 1,
    });
    expect(named(contents)).toEqual([
      'back item Moss',
      'back pattern Otter',
      'changed pattern Wren, unpicked',
      'changed run Saturday',
      'lost pattern Newt',
    ]);
  });
  test('right after it was made there is nothing to tell', async () => {
    await addFibre(studio);
    const { name } = await backUp();
    expect(await lookInto(name)).toMatchObject({ differences: [], movementsLost: 0, ticksLost: 0 });
  });
  test('looked into, neither it nor the studio is changed, and nothing is left lying about', async () => {
    const { backup } = await lived();
    const before = readdirSync(studio.dir).sort();
    await lookInto(backup.name);
    expect(readdirSync(studio.dir).sort()).toEqual(before);
    expect(named(await lookInto(backup.name))).toHaveLength(5);
  });
});

describe('put back', () => {
  test('all of it: everything is as it was, what was there is a backup of its own, and that can be put back the same way', async () => {
    const { backup, wool, wren } = await lived();
    const { keptAs } = await putBack(backup.name, null);
    expect(await lookInto(backup.name)).toMatchObject({ differences: [], movementsLost: 0, ticksLost: 0 });
    expect(await get<StoredPattern>(`/patterns/${wren.id}`)).toMatchObject({
      document: { title: 'Wren' },
      revision: { number: 1 },
    });
    expect(await get<Fibre>(`/fibres/${wool.id}`)).toMatchObject({ onHandG: 250 });
    // Guards stand again.
    expect(() => studio.db.exec('DELETE FROM movement')).toThrow('cannot be deleted');
    expect(studio.db.pragma('foreign_keys', { simple: true })).toBe(1);
    expect(named(await lookInto(keptAs))).toContain('back pattern Newt');
    await putBack(keptAs, null);
    expect(await get<Fibre>(`/fibres/${wool.id}`)).toMatchObject({ onHandG: 90 });
    expect(await get<StoredPattern>(`/patterns/${wren.id}`)).toMatchObject({
      document: { title: 'Wren, unpicked' },
    });
  });
  test('who did what is not put back with it, and no code of a pack opens anything again', async () => {
    const { id: fibreId } = await addFibre(studio);
    const revisionId = await publish(studio, await addPattern(studio, ballPattern(fibreId)));
    const run = (await post('/runs', runInput(revisionId, { learnerDays: 7 })).expect(201)).body as OpenedRun;
    const codes = await post(`/runs/${run.id}/codes`).expect(200);
    const [{ code } = { code: '' }] = (codes.body as PackCodes).items;
    await post('/session/pack', { code }).expect(204);
    const backup = await backUp();
    await addFibre(studio, { name: 'After it' });
    const before = await get<WriteLogPage>('/write-log');
    await putBack(backup.name, null);
    const after = await get<WriteLogPage>('/write-log');
    // All that was done stays told, and that it was put back as well.
    expect(after.items.slice(-before.total)).toEqual(
      before.items.map((line) => ({ ...line, subject: expect.any(String) })),
    );
    expect(after.items[0]?.what).toMatch(/back/i);
    await post('/session/pack', { code }).expect(401);
  });
  test('one pattern that was deleted, one that was changed: the rest stays', async () => {
    const { backup, wren, otter, wool } = await lived();
    await putBack(backup.name, { kind: 'pattern', id: otter.id });
    await putBack(backup.name, { kind: 'pattern', id: wren.id });
    const now = await get<StoredPattern>(`/patterns/${wren.id}`);
    expect(now).toMatchObject({ document: { title: 'Wren' } });
    // A version of its own: who has it open is told.
    expect(now.version).toBeGreaterThan(wren.version + 1);
    expect(named(await lookInto(backup.name))).toEqual([
      'back item Moss',
      'changed run Saturday',
      'lost pattern Newt',
    ]);
    expect(await get<Fibre>(`/fibres/${wool.id}`)).toMatchObject({ onHandG: 90 });
    await save(`/patterns/${wren.id}`, now.version, ballPattern(wool.id, { title: 'Wren again' }));
  });
  test('one pattern, with the pictures and needles it named then', async () => {
    const picture = await studio.services.pictures.bringIn(await photo().png().toBuffer());
    if (isRefusal(picture)) throw picture;
    const fibre = await addFibre(studio);
    const whole: Pattern = {
      ...ballPattern(fibre.id, { title: 'Wren' }),
      pictures: [{ id: picture.id, name: 'shot', alt: '', rights: OWN_RIGHTS }],
      stageNeedles: [{ stage: 'core', needle: byGauge(38) }],
    };
    const wren = await addPattern(studio, whole);
    const { name } = await backUp();
    await save(`/patterns/${wren.id}`, 1, ballPattern(null, { title: 'Wren, bare' }));
    const { pictures, items, lists } = studio.deps.store;
    expect(pictures.sweep('2100-01-01')).toBe(1);
    expect([items.usesOfGauge(38).length, lists.unknown(9).total]).toEqual([0, 1]);
    await putBack(name, { kind: 'pattern', id: wren.id });
    expect(pictures.sweep('2100-01-01')).toBe(0);
    expect(pictures.bytes(picture.id, 'large')).not.toBeNull();
    expect([items.usesOfGauge(38).length, lists.unknown(9).total]).toEqual([1, 0]);
  });
  test('one run: its plan, while it is planned', async () => {
    const { backup, run } = await lived();
    await putBack(backup.name, { kind: 'run', id: run.id });
    const now = await get<OpenedRun>(`/runs/${run.id}`);
    expect(now.seats).toBe(run.seats);
    await request(studio.app)
      .post(`/api/runs/${run.id}/state`)
      .set('If-Match', `"${now.version}"`)
      .send({ to: 'bought', anyway: true })
      .expect(200);
    const refused = await post(`/backups/${backup.name}/put-back`, {
      thing: { kind: 'run', id: run.id },
    }).expect(409);
    expect(refused.body).toMatchObject({ code: 'run_has_left', state: 'bought' });
  });
  test('one fibre: what it is like, not how much there is of it', async () => {
    const { backup, spare, wool } = await lived();
    await putBack(backup.name, { kind: 'item', id: spare.id });
    expect(await get<Fibre>(`/fibres/${spare.id}`)).toMatchObject({ name: 'Moss', onHandG: 40 });
    await putBack(backup.name, { kind: 'item', id: wool.id });
    expect(await get<Fibre>(`/fibres/${wool.id}`)).toMatchObject({ onHandG: 90 });
  });
  test('into a studio that never had them: with what they cannot be without', async () => {
    const { backup, wren, run, wool } = await lived();
    const empty = openStudio(undefined, () => new Date('2026-12-01'));
    const folder = backupFolder(empty.dir);
    mkdirSync(folder);
    new Database(join(backupFolder(studio.dir), backup.name), { readonly: true })
      .prepare('VACUUM INTO ?')
      .run(join(folder, backup.name));
    const back = (thing: object) =>
      request(empty.app).post(`/api/backups/${backup.name}/put-back`).send({ thing }).expect(200);
    await back({ kind: 'run', id: run.id });
    await back({ kind: 'pattern', id: wren.id });
    await back({ kind: 'item', id: wool.id });
    const opened = await request(empty.app).get(`/api/runs/${run.id}`).expect(200);
    expect(opened.body).toMatchObject({ name: 'Saturday', state: 'planned', patternTitle: 'Wren' });
    expect((await request(empty.app).get('/api/bench').expect(200)).body).toMatchObject({
      runs: [{ unknownCount: 0 }],
    });
    expect(empty.db.pragma('foreign_key_check')).toEqual([]);
    empty.close();
  });
  test.each<[string, string, () => void | Promise<void>]>([
    ['one that is not there', 'not_found', () => undefined],
    [
      'one that was cut short',
      'backup_damaged',
      async () => {
        const { name } = await backUp();
        truncateSync(join(backupFolder(studio.dir), name), 20_000);
      },
    ],
    [
      'one of a newer Lanakit',
      'backup_newer',
      async () => {
        const db = new Database(join(backupFolder(studio.dir), (await backUp()).name));
        db.pragma('user_version = 999');
        db.close();
      },
    ],
  ])('refused: %s', async (_name, code, make) => {
    await addFibre(studio);
    await make();
    const [name = 'lanakit-2026-01-01T000000000Z-daily.sqlite'] = (
      await get<Keeping>('/keeping')
    ).backups.map((backup) => backup.name);
    const answer = await post(`/backups/${name}/put-back`, { thing: null });
    expect(answer.body).toMatchObject({ code });
    expect(await get('/fibres')).toMatchObject({ items: [{ name: 'Chalk' }] });
  });
  test('one of an older form is brought forward, and the file stays as it is', async () => {
    await addFibre(studio);
    const folder = backupFolder(studio.dir);
    mkdirSync(folder, { recursive: true });
    const name = 'lanakit-2026-01-01T000000000Z-daily.sqlite';
    const old = new Database(join(folder, name));
    migrate(old, MIGRATIONS.slice(0, 11));
    old.exec(
      `INSERT INTO item (id, kind, name, properties, created_at, updated_at) VALUES ('x', 'tool', 'Snips', '{"sort":"tool"}', '', '')`,
    );
    old.close();
    expect(named(await lookInto(name))).toEqual(['back item Snips', 'lost item Chalk']);
    await putBack(name, null);
    expect(await get('/fibres')).toEqual({ items: [] });
    expect(await get('/tools')).toMatchObject({ items: [{ id: 'x' }] });
    const after = new Database(join(folder, name), { readonly: true });
    expect(after.pragma('user_version', { simple: true })).toBe(11);
    after.close();
  });
});

describe('kept', () => {
  test('a backup is told of, newest first', async () => {
    await addFibre(studio);
    const [first, second] = [await backUp(), await backUp()];
    expect(await get<Keeping>('/keeping')).toMatchObject({
      folder: backupFolder(studio.dir),
      backups: [second, first],
      backupFault: null,
      secondPlace: null,
      fileFault: null,
      damaged: [],
    });
  });
  test('each is copied to the second place; where that is gone the backup is made all the same, and it is said', async () => {
    await addFibre(studio);
    const place = join(studio.dir, 'stick');
    await request(studio.app).put('/api/keeping/second-place').send({ path: place }).expect(204);
    const { name } = await backUp();
    const [directory = ''] = readdirSync(place);
    expect(directory).toMatch(/^studio-/);
    expect(readdirSync(join(place, directory))).toEqual([name]);
    rmSync(place, { recursive: true });
    writeFileSync(place, 'not a directory');
    await backUp();
    const { secondPlace, backups } = await get<Keeping>('/keeping');
    expect(backups).toHaveLength(2);
    expect(secondPlace).toMatchObject({ path: place, fault: expect.stringMatching(/EEXIST|ENOTDIR/) });
    await request(studio.app).put('/api/keeping/second-place').send({ path: 'stick' }).expect(422);
    await request(studio.app).put('/api/keeping/second-place').send({ path: null }).expect(204);
    expect((await get<Keeping>('/keeping')).secondPlace).toBeNull();
  });
  test('studios that share a second place each thin their own copies', async () => {
    const other = openStudio(undefined, undefined, 'other');
    const place = join(studio.dir, 'shared');
    const neighbour = join(place, 'studio-of-a-neighbour');
    mkdirSync(neighbour, { recursive: true });
    // As old as backups that are thinned away.
    for (const at of ['2025-01-01T000000000Z', '2025-01-01T010000000Z', '2025-01-01T020000000Z'])
      writeFileSync(join(neighbour, `lanakit-${at}-daily.sqlite`), '');
    const before = readdirSync(neighbour);
    for (const each of [studio, other]) {
      await request(each.app).put('/api/keeping/second-place').send({ path: place }).expect(204);
      await request(each.app).post('/api/backups').send({}).expect(201);
    }
    other.close();
    expect(readdirSync(place)).toHaveLength(3);
    expect(readdirSync(neighbour)).toEqual(before);
  });
  test('one that could not be made says why, until one is', async () => {
    await addFibre(studio);
    writeFileSync(backupFolder(studio.dir), 'not a directory');
    await post('/backups').expect(507);
    expect((await get<Keeping>('/keeping')).backupFault).toMatch(/EEXIST|ENOTDIR/);
    rmSync(backupFolder(studio.dir));
    await backUp();
    expect((await get<Keeping>('/keeping')).backupFault).toBeNull();
  });
  test('the backup of the day is made once, and again a day after the last write', async () => {
    await addFibre(studio);
    const { keeping } = studio.services;
    expect(await keeping.backUpDaily()).toMatchObject({ reason: 'daily' });
    expect(await keeping.backUpDaily()).toBeNull();
  });
  test('the studio’s own file is looked through', async () => {
    await addFibre(studio);
    await studio.services.keeping.check();
    expect((await get<Keeping>('/keeping')).fileFault).toBeNull();
  });
});
