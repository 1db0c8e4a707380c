import { afterEach, describe, expect, test } from '@jest/globals';
import type { OpenedRun, StoredPattern } from '@lanakit/core/api';
import type { Run } from '@lanakit/core/run';
import type { Fibre } from '@lanakit/core/shelf';
import { request } from '../support/request.ts';
import { everyDeed } from '../support/everyDeed.ts';
import { live } from '../support/generatedStudio.ts';
import {
  bringIn,
  everythingIn,
  filesOf,
  itemsOf,
  manyStudios,
  onHandG,
  pack,
  packedClass,
  read,
} from '../support/openFiles.ts';
import { add, addFibre, addPattern, ballPattern, publish, runInput, type Studio } from '../support/studio.ts';

const { studioOf, closeAll } = manyStudios();
afterEach(closeAll);

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

  test('nor a pattern whose wool is called otherwise here, nor one that came as a second', async () => {
    const [from, into] = [studioOf('a'), studioOf('b')];
    const { patternId, fibreId } = await packedClass(from);
    const here = await addFibre(into, {}, 100);
    const mapping = [{ id: fibreId, itemId: here.id }];
    const bring = async () => bringIn(into, (await read(into, await filesOf(from))).id, mapping);
    expect(await bring()).toMatchObject({ counts: { pattern: 1, run: 1 }, movements: 2 });
    expect(await bring()).toMatchObject({ counts: { pattern: 0, run: 0 }, movements: 0 });
    await request(from.app)
      .put(`/api/patterns/${patternId}`)
      .set('If-Match', '"1"')
      .send(ballPattern(fibreId, { title: 'Ball, larger' }))
      .expect(200);
    expect(await bring()).toMatchObject({ counts: { pattern: 1 } });
    expect(await bring()).toMatchObject({ counts: { pattern: 0 } });
    expect(await itemsOf(into, '/patterns')).toHaveLength(2);
  });

  test('a copy that was worked on apart: what is here stays, a changed pattern comes as a second, a class packed there is planned', async () => {
    const from = studioOf('a');
    const fibre = await addFibre(from, {}, 400);
    const pattern = await addPattern(from, ballPattern(fibre.id));
    const into = studioOf('b');
    await bringIn(into, (await read(into, await filesOf(from))).id);
    const revisionId = await publish(from, pattern);
    const run = await add<Run>(from, '/runs', runInput(revisionId));
    await pack(from, run.id);
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
