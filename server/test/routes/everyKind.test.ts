import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import {
  BLANK_BLEND,
  BLANK_FIBRE,
  BLANK_FINDING,
  BLANK_NEEDLE,
  BLANK_SUPPLIER,
  BLANK_TOOL,
  blankLot,
  type Fibre,
  type Movement,
} from '@lanakit/core/shelf';
import { request } from '../support/request.ts';
import { ITEM_KINDS } from '../../src/services/itemKinds.ts';
import { add, addFibre, openStudio, type Studio } from '../support/studio.ts';

let studio: Studio;
let wool: Fibre;
beforeAll(async () => {
  studio = openStudio();
  wool = await addFibre(studio, { name: 'Wool' });
});
afterAll(() => studio.close());

interface Stored {
  readonly id: string;
  readonly version: number;
  readonly archived: boolean;
  readonly note: string;
}

/** One of every kind, and something that cannot be one. */
const KINDS = () => {
  const parts = [{ itemId: wool.id, parts: 1 }];
  const offers = [{ itemId: wool.id, packAmount: 100, priceMinor: 540, reference: '' }];
  return {
    fibre: { input: { ...BLANK_FIBRE, name: 'Moss' }, bad: { name: ' ' }, pointer: '/name' },
    blend: { input: { ...BLANK_BLEND, name: 'Tide', parts }, bad: { parts: [] }, pointer: '/parts' },
    finding: {
      input: { ...BLANK_FINDING, name: 'Bead' },
      bad: { measure: { ...BLANK_FINDING.measure, piecesPerPack: 0 } },
      pointer: '/measure/piecesPerPack',
    },
    needle: { input: { ...BLANK_NEEDLE, gauge: 38 }, bad: { gauge: 50 }, pointer: '/gauge' },
    tool: { input: { ...BLANK_TOOL, name: 'Pliers' }, bad: { priceMinor: -1 }, pointer: '/priceMinor' },
    supplier: {
      input: { ...BLANK_SUPPLIER, name: 'Two Piers', offers },
      bad: { offers: [{ itemId: 'gone', packAmount: 1, priceMinor: 1, reference: '' }] },
      pointer: '/offers/0/itemId',
    },
  } as const;
};

describe.each(Object.values(ITEM_KINDS))('$kind', (spec) => {
  const path = `/api${spec.path}`;
  const counted = spec.stock === 'none' ? {} : { countedNow: null };
  const kindOf = () => KINDS()[spec.kind];
  const make = () => add<Stored>(studio, spec.path, { ...kindOf().input, ...counted });

  test('is put there, found, listed, changed with its version, deleted and brought back', async () => {
    const made = await make();
    expect((await request(studio.app).get(`${path}/${made.id}`).expect(200)).headers['etag']).toBe('"1"');
    const listed = (await request(studio.app).get(path).expect(200)).body as { items: Stored[] };
    expect(listed.items.map(({ id }) => id)).toContain(made.id);
    const changed = await request(studio.app)
      .put(`${path}/${made.id}`)
      .set('If-Match', '"1"')
      .send({ ...kindOf().input, note: 'by the window', archived: true })
      .expect(200);
    expect(changed.body).toMatchObject({ version: 2, note: 'by the window', archived: true });
    await request(studio.app).delete(`${path}/${made.id}`).set('If-Match', '"2"').expect(204);
    await request(studio.app).get(`${path}/${made.id}`).expect(404);
    const back = await request(studio.app).post(`${path}/${made.id}/restore`).expect(200);
    expect(back.body).toMatchObject({ note: 'by the window', archived: true });
    await request(studio.app).post(`${path}/${made.id}/restore`).expect(404);
  });

  test('is refused beside its field when it cannot be, new or changed, alone or among others', async () => {
    const { input, bad, pointer } = kindOf();
    const wrong = { ...input, ...bad };
    const made = await make();
    const pointers = (answer: { body: unknown }) =>
      (answer.body as { errors: { pointer: string }[] }).errors.map((error) => error.pointer);
    expect(
      pointers(
        await request(studio.app)
          .post(path)
          .send({ ...wrong, ...counted })
          .expect(422),
      ),
    ).toEqual([pointer]);
    const changed = await request(studio.app)
      .put(`${path}/${made.id}`)
      .set('If-Match', '"1"')
      .send(wrong)
      .expect(422);
    expect(pointers(changed)).toEqual([pointer]);
    const several = await request(studio.app)
      .put(path)
      .send({
        items: [
          { id: made.id, version: 1, input },
          { id: made.id, version: 2, input: wrong },
        ],
      })
      .expect(422);
    expect(pointers(several)).toEqual([`/items/1/input${pointer}`]);
    expect((await request(studio.app).get(`${path}/${made.id}`)).body).toMatchObject({ version: 1 });
  });

  test('a field it has not, a version that is gone, a version not said', async () => {
    const made = await make();
    const { input } = kindOf();
    await request(studio.app)
      .post(path)
      .send({ ...input, ...counted, smell: 'sheep' })
      .expect(400);
    await request(studio.app).put(`${path}/${made.id}`).send(input).expect(428);
    const conflict = await request(studio.app)
      .put(`${path}/${made.id}`)
      .set('If-Match', '"9"')
      .send(input)
      .expect(409);
    expect(conflict.body).toMatchObject({ code: 'version_conflict', theirs: { id: made.id, version: 1 } });
    await request(studio.app).delete(`${path}/${made.id}`).set('If-Match', '"9"').expect(409);
    await request(studio.app).get(`${path}/gone/uses`).expect(404);
  });

  test('counted with what is there of it, if it is kept in stock at all', async () => {
    const answer = await request(studio.app)
      .post(path)
      .send({ ...kindOf().input, countedNow: 7.5 });
    if (spec.stock === 'none') expect(answer.status).toBe(400);
    else {
      const { id } = answer.body as Stored;
      const { items } = (await request(studio.app).get(`/api/stock/movements/${id}`).expect(200)).body as {
        items: Movement[];
      };
      expect(items).toMatchObject([{ amount: 7.5, reason: 'counted' }]);
      expect(items[0]?.lotId === null).toBe(spec.stock === 'pieces');
    }
  });

  test('what is read is what is possible: nothing stored fails its own check', () => {
    for (const item of spec.all(studio.deps.store) as (Stored & { parts?: unknown })[]) {
      expect(spec.check(item, item.id, studio.deps.store)).toEqual([]);
    }
  });
});

describe('addresses that name nothing', () => {
  test.each([
    ['get', '/api/stock/movements/gone', undefined, 404],
    ['post', '/api/lots/of/gone', { ...blankLot('spring'), receivedG: null }, 404],
    ['put', '/api/lots', { lots: [{ id: 'gone', version: 1, input: blankLot('a') }] }, 404],
    [
      'post',
      '/api/blends/gone/lots',
      { name: 'a', note: '', place: '', from: [{ itemId: 'x', lotId: 'y', massG: 1 }] },
      404,
    ],
    ['post', '/api/imports/gone/undo', undefined, 404],
    [
      'post',
      '/api/stock/movements',
      { itemId: 'gone', lotId: null, reason: 'received', amount: 1, note: '' },
      422,
    ],
    ['post', '/api/stock/counts', { counts: [] }, 400],
    ['put', '/api/fibres', { items: [] }, 400],
  ] as const)('%s %s', async (method, path, body, status) => {
    const agent = request(studio.app);
    await agent[method](path)
      .send(body ?? {})
      .expect(status);
  });
});

describe('how much is taken at once', () => {
  test('an import of 2 MB is; a fibre of 2 MB is not', async () => {
    const note = 'x'.repeat(380);
    const creates = Array.from({ length: 3000 }, (_, i) => ({
      kind: 'fibre',
      input: { ...BLANK_FIBRE, name: `F${i}`, note },
    }));
    const body = { fileName: 'long.csv', creates, updates: [], counts: [] };
    expect(JSON.stringify(body).length).toBeGreaterThan(2_000_000);
    const done = await request(studio.app).post('/api/imports').send(body).expect(201);
    expect(done.body).toMatchObject({ created: 3000 });
    await request(studio.app)
      .post(`/api/imports/${(done.body as { id: string }).id}/undo`)
      .expect(200);
    await request(studio.app)
      .post('/api/fibres')
      .send({ ...BLANK_FIBRE, note: 'x'.repeat(2_000_000) })
      .expect(413);
  });
});
