import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import type { Run } from '@lanakit/core/run';
import { BLANK_BLEND, type Blend } from '@lanakit/core/shelf';
import { readTable } from '@lanakit/core/tables';
import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { strToU8, type Zippable } from 'fflate';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { request } from '../support/request.ts';
import { upload } from '../support/files.ts';
import { everyDeed } from '../support/everyDeed.ts';
import { live, someDeeds } from '../support/generatedStudio.ts';
import {
  bringIn,
  everythingIn,
  filesOf,
  itemsOf,
  jsonIn,
  manyStudios,
  onHandG,
  packedClass,
  read,
  textIn,
  zipped,
} from '../support/openFiles.ts';
import { add, addFibre, addPattern, ballPattern, openStudio } from '../support/studio.ts';

const { studioOf, closeAll } = manyStudios();
afterEach(closeAll);

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

  test('a blend whose wool lies in the bin comes in, one that is mixed of itself does not', async () => {
    const [from, into] = [studioOf(), studioOf()];
    const fibre = await addFibre(from);
    const blend = (name: string, itemId: string) => ({
      ...BLANK_BLEND,
      name,
      parts: [{ itemId, parts: 1 }],
      countedNow: null,
    });
    const inner = await add<Blend>(from, '/blends', blend('Inner', fibre.id));
    await add<Blend>(from, '/blends', blend('Outer', inner.id));
    from.db.prepare(`UPDATE item SET deleted_at = '2026-11-01T10:00:00.000Z' WHERE id = ?`).run(fibre.id);
    const files = await filesOf(from);
    await bringIn(into, (await read(into, files)).id);
    expect(everythingIn(into.db)).toEqual(everythingIn(from.db));
    const circle = textIn(files, 'shelf/blends.json').replaceAll(fibre.id, inner.id);
    const spoilt = zipped({ ...files, 'shelf/blends.json': strToU8(circle) });
    const answer = await upload(studioOf(), '/studio-files', spoilt).expect(422);
    expect(answer.body).toMatchObject({ file: 'shelf/blends.json', errors: [{ code: 'blend_circular' }] });
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
