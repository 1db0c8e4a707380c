import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import type { BroughtIn, OpenedRun, StoredPattern, StudioThatCame } from '@lanakit/core/api';
import type { Run } from '@lanakit/core/run';
import type { Fibre } from '@lanakit/core/shelf';
import { readTable } from '@lanakit/core/tables';
import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { inflateRawSync } from 'node:zlib';
import request from 'supertest';
import type { Db } from '../../src/db/index.ts';
import { bytesOf, upload } from '../support/files.ts';
import { everyDeed, live, someDeeds } from '../support/generatedStudio.ts';
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

const open: Studio[] = [];
const studioOf = (prefix = 'id'): Studio => {
  const studio = openStudio(undefined, undefined, prefix);
  open.push(studio);
  return studio;
};
afterEach(() => {
  for (const studio of open.splice(0)) studio.close();
});

const filesOf = async (studio: Studio) =>
  unzipSync(new Uint8Array((await bytesOf(studio, '/studio-file').expect(200)).body as Buffer));
const zipped = (files: Zippable): Buffer => Buffer.from(zipSync(files));
const textIn = (files: Record<string, Uint8Array>, path: string) =>
  Buffer.from(files[path] ?? []).toString('utf8');
const jsonIn = <T>(files: Record<string, Uint8Array>, path: string) => JSON.parse(textIn(files, path)) as T;

const read = async (studio: Studio, files: Zippable): Promise<StudioThatCame> =>
  (await upload(studio, '/studio-files', zipped(files)).expect(200)).body as StudioThatCame;
const bringIn = async (studio: Studio, id: string, mapping: object[] = []): Promise<BroughtIn> =>
  (await request(studio.app).post(`/api/studio-files/${id}/brought-in`).send({ mapping }).expect(200))
    .body as BroughtIn;

/** Belongs to the studio as it is, wherever it came from. */
const ITS_OWN = ['studio_fact', 'answered_key', 'change_count'];

/** Every row of every table, read by SQL alone; of what is packed, what is in it. */
function everythingIn(db: Db): Record<string, unknown[]> {
  const tables = db.prepare<[], string>(`SELECT name FROM sqlite_master WHERE type = 'table'`).pluck().all();
  return Object.fromEntries(
    tables
      .filter((table) => !ITS_OWN.includes(table))
      .map((table) => [table, db.prepare(`SELECT * FROM "${table}"`).all().map(comparable).sort()]),
  );
}

const comparable = (row: unknown): string =>
  JSON.stringify(row, (key, value: unknown) => {
    if (key === 'document' && typeof value === 'object')
      return inflateRawSync(Buffer.from((value as { data: number[] }).data)).toString('utf8');
    return value;
  });

/** The packed ball: a fibre, its pattern, a class that is packed, and a tick. */
async function packedClass(
  studio: Studio,
  runName = 'Saturday',
): Promise<{ runId: string; patternId: string; fibreId: string }> {
  const fibre = await addFibre(studio, {}, 400);
  const pattern = await addPattern(studio, ballPattern(fibre.id));
  const revisionId = await publish(studio, pattern);
  const run = await add<Run>(studio, '/runs', runInput(revisionId, { name: runName }));
  for (const [at, to] of (['bought', 'weighed', 'packed'] as const).entries())
    await request(studio.app)
      .post(`/api/runs/${run.id}/state`)
      .set('If-Match', `"${at + 1}"`)
      .send({ to, anyway: true })
      .expect(200);
  await request(studio.app)
    .post(`/api/runs/${run.id}/ticks`)
    .send({ key: `k-${run.id}`, mark: `seat 1|one|${fibre.id}`, isDone: true, massG: 9 })
    .expect(200);
  return { runId: run.id, patternId: pattern.id, fibreId: fibre.id };
}

const itemsOf = async <T>(studio: Studio, path: string): Promise<T[]> =>
  ((await request(studio.app).get(`/api${path}`).expect(200)).body as { items: T[] }).items;
const onHandG = async (studio: Studio) =>
  (await itemsOf<Fibre>(studio, '/fibres')).map((fibre) => [fibre.name, fibre.onHandG]);

describe('a studio as open files', () => {
  test('whatever was done in it, into an empty studio it comes in the same', async () => {
    await fc.assert(
      fc.asyncProperty(someDeeds(), async (deeds) => {
        const [from, into] = [openStudio(), openStudio()];
        try {
          await live(from, deeds);
          await bringIn(into, (await read(into, await filesOf(from))).id);
          expect(everythingIn(into.db)).toEqual(everythingIn(from.db));
        } finally {
          from.close();
          into.close();
        }
      }),
      { numRuns: 5, endOnFailure: true },
    );
  }, 120_000);

  test('with something in every table it comes in the same, and nothing of its coming is left', async () => {
    const [from, into] = [studioOf(), studioOf()];
    await live(from, everyDeed());
    const all = everythingIn(from.db);
    expect(Object.keys(all).filter((table) => all[table]?.length === 0)).toEqual([]);
    const came = await read(into, await filesOf(from));
    expect(came.isEmptyHere).toBe(true);
    await bringIn(into, came.id);
    expect(everythingIn(into.db)).toEqual(all);
    expect(into.db.pragma('integrity_check')).toEqual([{ integrity_check: 'ok' }]);
    expect(readdirSync(join(into.dir, 'arrivals'))).toEqual([]);
  });

  test('is read without Lanakit: every JSON as its schema says, the ledger adding up to what is there', async () => {
    const studio = studioOf();
    await live(studio, everyDeed());
    const files = await filesOf(studio);
    const ajv = new Ajv2020({ strict: false, discriminator: true });
    const schemas = Object.keys(files).filter((path) => path.startsWith('schemas/'));
    for (const path of schemas) {
      const name = path.slice('schemas/'.length, -'.schema.json'.length);
      const target = Object.keys(files).find(
        (file) => file.endsWith('.json') && file.replaceAll('/', '-') === `${name}.json`,
      );
      if (target)
        expect([target, ajv.validate(jsonIn<object>(files, path), jsonIn(files, target))]).toEqual([
          target,
          true,
        ]);
    }
    expect(schemas.length).toBeGreaterThan(20);
    const milli = new Map<string, number>();
    for (const { cells } of readTable(textIn(files, 'ledger.csv'), ',').rows) {
      const id = cells.get('itemid') ?? '';
      milli.set(id, (milli.get(id) ?? 0) + Math.round(Number(cells.get('amount')) * 1000));
    }
    const sums = studio.db
      .prepare<[], { item_id: string; milli: number }>('SELECT item_id, milli FROM on_hand')
      .all();
    expect(Object.fromEntries(milli)).toEqual(
      Object.fromEntries(sums.map((row) => [row.item_id, row.milli])),
    );
  });

  test('what a disk has damaged is left out and named, with what is nothing without it; all the rest comes in', async () => {
    const [from, into] = [studioOf(), studioOf()];
    await addPattern(from, ballPattern(null));
    const { runId, patternId } = await packedClass(from);
    const { runId: soundRunId } = await packedClass(from, 'Sunday');
    from.db.pragma('ignore_check_constraints = ON');
    from.db.prepare(`UPDATE pattern SET document = '{"title": tru' WHERE id = ?`).run(patternId);
    const files = await filesOf(from);
    const { leftOut } = jsonIn<{ leftOut: { sheet: string; id: string }[] }>(files, 'studio.json');
    expect(leftOut).toContainEqual({ sheet: 'patterns', id: patternId });
    expect(leftOut).toContainEqual({ sheet: 'runs', id: runId });
    expect(new Set(leftOut.map(({ sheet }) => sheet))).toEqual(
      new Set(['patterns', 'revisions', 'runs', 'run-withdrawals', 'ticks']),
    );
    const came = await read(into, files);
    expect(came.counts).toMatchObject({ pattern: 2, run: 1, item: 2 });
    await bringIn(into, came.id);
    expect((await itemsOf<Run>(into, '/runs')).map(({ id }) => id)).toEqual([soundRunId]);
    // The ledger says what it said.
    expect(await onHandG(into)).toEqual(await onHandG(from));
  });

  test('unpacked, laid out otherwise by another program, and packed again with its directory, it is read', async () => {
    const [from, into] = [studioOf(), studioOf()];
    await live(from, everyDeed());
    const files = Object.entries(await filesOf(from)).map(([path, bytes]) => {
      const isJson = path.endsWith('.json') && !path.startsWith('schemas');
      const text = isJson && JSON.stringify(JSON.parse(Buffer.from(bytes).toString('utf8')), null, 3);
      return [`my studio/${path}`, text ? strToU8(text) : bytes] as const;
    });
    await bringIn(into, (await read(into, Object.fromEntries(files))).id);
    expect(everythingIn(into.db)).toEqual(everythingIn(from.db));
  });
});

describe('a studio brought into another', () => {
  test('finds the wool of its names, brings its stock along in lots of its own, and its packed class as it is', async () => {
    const [from, into] = [studioOf('a'), studioOf('b')];
    const there = await packedClass(from);
    const here = await addFibre(into, {}, 100);
    const came = await read(into, await filesOf(from));
    expect(came).toMatchObject({
      isEmptyHere: false,
      counts: { pattern: 1, run: 1, item: 1 },
      here: { pattern: 0, run: 0 },
    });
    expect(came.things).toEqual([
      {
        kind: 'fibre',
        id: there.fibreId,
        name: 'Chalk',
        preparation: 'core-batt',
        itemId: here.id,
        isSame: false,
      },
    ]);
    const mapping = came.things.map(({ id, itemId }) => ({ id, itemId }));
    expect(await bringIn(into, came.id, mapping)).toMatchObject({
      counts: { pattern: 1, run: 1, item: 0 },
      movements: 2,
    });
    const [theirs] = await onHandG(from);
    expect(await onHandG(into)).toEqual([['Chalk', 100 + Number(theirs?.[1])]]);
    const [fibre] = await itemsOf<Fibre>(into, '/fibres');
    expect(fibre?.lots.map(({ name }) => name)).toEqual(['first lot', 'first lot (2)']);
    expect(await itemsOf<object>(into, `/runs/${there.runId}/ticks`)).toMatchObject([
      { mark: `seat 1|one|${here.id}` },
    ]);
    const [before, after] = await Promise.all([from, into].map(async (studio) => {
      const { frozen, state } = (await request(studio.app).get(`/api/runs/${there.runId}`).expect(200)).body as OpenedRun;
      return { state, fibres: frozen?.plan.fibres.map(({ fibreId: _id, lots: _lots, ...row }: Record<string, unknown>) => row) };
    })); // prettier-ignore
    expect(after).toEqual(before);
    // What it took goes back into the lot it took it from.
    await request(into.app).post(`/api/runs/${there.runId}/state`).set('If-Match', '"4"').send({ to: 'weighed', anyway: false }).expect(200); // prettier-ignore
    expect(await onHandG(into)).toEqual([['Chalk', 500]]);
  });

  test('brought in twice, nothing comes twice', async () => {
    const [from, into] = [studioOf('a'), studioOf('b')];
    await live(from, everyDeed());
    await addFibre(into, { name: 'Only here' });
    const first = await read(into, await filesOf(from));
    await bringIn(into, first.id, first.things.map(({ id, itemId }) => ({ id, itemId }))); // prettier-ignore
    const once = everythingIn(into.db);
    const again = await read(into, await filesOf(from));
    expect(again.here).toEqual(again.counts);
    expect(again.things.every(({ isSame }) => isSame)).toBe(true);
    expect(await bringIn(into, again.id)).toMatchObject({ counts: { pattern: 0, run: 0, item: 0, technique: 0 }, movements: 0 }); // prettier-ignore
    expect(everythingIn(into.db)).toEqual(once);
  });

  test('a copy that was worked on apart: what is here stays, a changed pattern comes as a second, a class packed there is planned', async () => {
    const from = studioOf('a');
    const fibre = await addFibre(from, {}, 400);
    const pattern = await addPattern(from, ballPattern(fibre.id));
    const into = studioOf('b');
    await bringIn(into, (await read(into, await filesOf(from))).id);
    const revisionId = await publish(from, pattern);
    const run = await add<Run>(from, '/runs', runInput(revisionId));
    for (const [at, to] of (['bought', 'weighed', 'packed'] as const).entries())
      await request(from.app).post(`/api/runs/${run.id}/state`).set('If-Match', `"${at + 1}"`).send({ to, anyway: true }).expect(200); // prettier-ignore
    await request(from.app).put(`/api/patterns/${pattern.id}`).set('If-Match', '"1"').send(ballPattern(fibre.id, { title: 'Ball, larger' })).expect(200); // prettier-ignore
    const came = await read(into, await filesOf(from));
    expect(came.here).toMatchObject({ item: 1, pattern: 0 });
    expect(await bringIn(into, came.id)).toMatchObject({ counts: { pattern: 1, run: 1, item: 0 }, movements: 0, backToPlanned: 1 }); // prettier-ignore
    const titles = (await itemsOf<StoredPattern>(into, '/patterns')).map(({ document }) => document.title);
    expect(titles.sort()).toEqual(['Ball', 'Ball, larger']);
    expect(await onHandG(into)).toEqual([['Chalk', 400]]);
    expect((await request(into.app).get(`/api/runs/${run.id}`).expect(200)).body).toMatchObject({ state: 'planned', frozen: null }); // prettier-ignore
  });

  test('put on the shelf where it is told to be, although one is called the same', async () => {
    const [from, into] = [studioOf('a'), studioOf('b')];
    const { fibreId } = await packedClass(from);
    await addFibre(into, {}, 100);
    const came = await read(into, await filesOf(from));
    await bringIn(into, came.id, [{ id: fibreId, itemId: null }]);
    expect(new Set(await onHandG(into))).toEqual(new Set([['Chalk', 100], ...(await onHandG(from))]));
  });

  test('ids that are taken by other things are not mixed up', async () => {
    // Both count their ids from the same number: everything that comes is called what something else is called here.
    const [from, into] = [studioOf(), studioOf()];
    await live(from, everyDeed());
    await addFibre(into, { name: 'Other' }, 7);
    await live(into, everyDeed().filter(({ does }) => !/Gone|Away|Archived/.test(does)).map((deed) => ({ ...deed, words: `here ${deed.words}` }))); // prettier-ignore
    into.db
      .exec(`UPDATE item SET created_at = '2025-01-01T00:00:00.000Z'; UPDATE lot SET created_at = '2025-01-01T00:00:00.000Z';
      UPDATE pattern SET created_at = '2025-01-01T00:00:00.000Z'; UPDATE technique SET created_at = '2025-01-01T00:00:00.000Z';
      UPDATE run SET created_at = '2025-01-01T00:00:00.000Z'`);
    const came = await read(into, await filesOf(from));
    await bringIn(into, came.id, came.things.map(({ id }) => ({ id, itemId: null }))); // prettier-ignore
    expect(into.db.pragma('foreign_key_check')).toEqual([]);
    expect(woolByName(into).filter((row) => !woolByName(from).includes(row)).every((row) => row.includes('here') || row.includes('First'))).toBe(true); // prettier-ignore
    expect(woolByName(from).filter((row) => !woolByName(into).includes(row))).toEqual([]);
  });
});

/** Which pattern names which wool, and what is there of it, by what they are called. */
const woolByName = ({ db }: Studio): string[] =>
  db
    .prepare<[], string>(
      `SELECT p.title || ' < ' || i.name || ' ' || coalesce(h.milli, 0) FROM pattern p JOIN pattern_item u ON u.pattern_id = p.id
       JOIN item i ON i.id = u.item_id LEFT JOIN on_hand h ON h.item_id = i.id
       WHERE i.id = json_extract(p.document, '$.parts[0].uses[0].fibreId')`,
    )
    .pluck()
    .all();

describe('what is no studio is refused with its place, and leaves nothing', () => {
  let sound: Zippable = {};
  beforeAll(async () => {
    const from = openStudio();
    await live(from, everyDeed());
    sound = await filesOf(from);
    from.close();
  });
  const changed = (files: Zippable, path: string, change: (text: string) => string): Zippable => ({
    ...files,
    [path]: strToU8(change(Buffer.from(files[path] as Uint8Array).toString('utf8'))),
  });
  const first = (files: Zippable, start: string, end = '.json') =>
    Object.keys(files).find((path) => path.startsWith(start) && path.endsWith(end)) ?? '';
  const without = (files: Zippable, path: string): Zippable =>
    Object.fromEntries(Object.entries(files).filter(([name]) => name !== path));
  test.each<[string, (files: Zippable) => Zippable, object]>([
    ['nothing that says what it is', (files) => without(files, 'studio.json'), { code: 'studio_not_read', file: 'studio.json' }],
    ['of a newer Lanakit', (files) => changed(files, 'studio.json', (text) => text.replace('"formatVersion": 1', '"formatVersion": 9')), { code: 'file_newer', version: 9 }],
    ['a list that is none', (files) => changed(files, 'ledger.json', () => '{}'), { code: 'studio_not_read', file: 'ledger.json' }],
    ['broken JSON', (files) => changed(files, 'ledger.json', (text) => text.slice(0, -5)), { code: 'studio_not_read', file: 'ledger.json' }],
    ['a value of another kind', (files) => changed(files, 'ledger.json', (text) => text.replace(/"amountMilli":-?\d+/, '"amountMilli":"much"')), { file: 'ledger.json', errors: [{ pointer: '/0/amountMilli' }] }],
    ['a colour that is none', (files) => changed(files, 'shelf/fibres.json', (text) => text.replace('#e6e0d2', 'chalky')), { file: 'shelf/fibres.json', errors: [{ pointer: '/0/colour' }] }],
    ['a line of nothing on the shelf', (files) => changed(files, 'ledger.json', (text) => text.replace(/"itemId":"id\d+"/, '"itemId":"gone"')), { file: 'ledger.json' }],
    ['a pattern that is not there', (files) => without(files, first(files, 'patterns/')), { code: 'studio_not_read' }],
    ['a pattern without its form', (files) => changed(files, first(files, 'patterns/'), (text) => text.replace('"parts": [', '"parts": [7, ')), { code: 'studio_not_read', errors: [{ pointer: '/parts/0' }] }],
    ['a plan that cannot be', (files) => changed(files, first(files, 'runs/'), (text) => text.replace(/"seats": \d+/, '"seats": 100000')), { code: 'studio_not_read', errors: [{ pointer: '/seats' }] }],
    ['a picture that was changed', (files) => changed(files, first(files, 'pictures/large/', '.svg'), (text) => text.replace('M0', 'M1')), { code: 'studio_not_read', reason: 'is not what its sha256 tells' }],
    ['a picture that is none', (files) => changed(files, first(files, 'pictures/large/', '.png'), () => 'GIF89a'), { code: 'studio_not_read', reason: 'is no picture of image/png' }],
    ['a technique without its newest version', (files) => changed(files, 'technique-versions.json', () => '[]'), { file: 'technique-versions.json' }],
    ['a run of a revision that is not there', (files) => changed(files, first(files, 'runs/'), (text) => text.replace(/"revisionId": "[^"]+"/, '"revisionId": "gone"')), { code: 'studio_not_read' }],
    ['a way out of it', (files) => ({ ...files, '../../etc/cron': strToU8('x') }), { code: 'archive_unsafe' }],
    ['something made to burst', (files) => ({ ...files, 'ledger.json': [new Uint8Array(50_000_000), { level: 9 }] }), { code: 'studio_not_read', file: 'ledger.json' }],
  ])('%s', async (_what, spoil, told) => {
    const into = studioOf('b');
    await packedClass(into);
    const before = everythingIn(into.db);
    const answer = await upload(into, '/studio-files', zipped(spoil(sound))).expect(422);
    expect(answer.body).toMatchObject(told);
    expect(everythingIn(into.db)).toEqual(before);
    expect(readdirSync(join(into.dir, 'arrivals'))).toEqual([]);
  }); // prettier-ignore

  test('what is no ZIP, half of one, or was never read', async () => {
    const studio = studioOf();
    await upload(studio, '/studio-files', Buffer.from('hello')).expect(422);
    const whole = zipped(await filesOf(studio));
    await upload(studio, '/studio-files', whole.subarray(0, whole.length / 2)).expect(422);
    await request(studio.app).post('/api/studio-files/never/brought-in').send({ mapping: [] }).expect(404);
    await request(studio.app)
      .post('/api/studio-files/..%2f..%2fx/brought-in')
      .send({ mapping: [] })
      .expect(404);
    expect(readdirSync(join(studio.dir, 'arrivals'))).toEqual([]);
  });
});
