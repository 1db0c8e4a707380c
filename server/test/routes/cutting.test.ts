import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { Buying, Cutting } from '@lanakit/core/api';
import { CUTTING_TERMS, type CuttingInput, type CuttingPlan } from '@lanakit/core/cutting';
import { blankCut, type Pattern } from '@lanakit/core/pattern';
import { BLANK_FINDING, type Finding } from '@lanakit/core/shelf';
import { request } from '../support/request.ts';
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
beforeEach(() => {
  studio = openStudio();
});
afterEach(() => studio.close());

const getOne = async <T>(path: string): Promise<T> =>
  (await request(studio.app).get(`/api${path}`).expect(200)).body as T;
const tick = (plan: CuttingPlan, stock: number, isDone: boolean) =>
  request(studio.app)
    .post(`/api/cutting/plans/${plan.id}/ticks`)
    .set('If-Match', `"${plan.version}"`)
    .send({ stock, isDone });

/** Stems of 30 cm, and a class of four whose ball has a whisker of 130 mm twice. */
async function stemsAndClass(onHandM: number) {
  const stem = await add<Finding>(studio, '/findings', {
    ...BLANK_FINDING,
    name: 'Stem',
    measure: { by: 'length', sort: 'stem', diameterMm: null, linearGPerM: null, metresPerPack: 0.3 },
    countedNow: onHandM,
  });
  const fibre = await addFibre(studio, {}, 900);
  const whisker = {
    ...blankCut('w', 'length'),
    name: 'whisker',
    findingId: stem.id,
    count: 2,
    length: { value: 130, unit: 'mm' },
  } as Pattern['cuts'][number];
  const revisionId = await publish(
    studio,
    await addPattern(studio, ballPattern(fibre.id, { cuts: [whisker] })),
  );
  const run = await add<{ id: string }>(
    studio,
    '/runs',
    runInput(revisionId, { seats: 4, sparePacks: 0, date: '2026-12-12' }),
  );
  return { stem, run };
}

/** Two to a stem of 300, 40 of each left over. */
function planOf({ things }: Cutting, more: Partial<CuttingInput> = {}): CuttingInput {
  const [thing] = things;
  const [piece] = thing?.pieces ?? [];
  if (!thing || !piece) throw new Error('nothing is to be cut');
  const part = { yMm: 0, widthMm: 0, isTurned: false, isKept: false };
  return {
    itemId: thing.finding.id,
    pieces: [{ ...piece, count: undefined } as never].map(({ key, name, runId, lengthMm, widthMm }) => ({
      key,
      name,
      runId,
      lengthMm,
      widthMm,
    })),
    terms: { ...CUTTING_TERMS, offcutFromMm: 35 },
    stocks: [0, 1].map(() => ({
      source: 'whole' as const,
      offcutId: null,
      lengthMm: 300,
      widthMm: 0,
      cuts: [],
      parts: [
        { ...part, kind: 'piece' as const, key: piece.key, xMm: 0, lengthMm: piece.lengthMm },
        {
          ...part,
          kind: 'rest' as const,
          key: null,
          xMm: piece.lengthMm,
          lengthMm: 300 - piece.lengthMm - 40,
          isKept: true,
        },
      ],
    })),
    ...more,
  };
}

describe('what is cut to size', () => {
  test('is asked for by run, and less by what is cut; offcuts go back to the shelf, and waste leaves it', async () => {
    const { stem, run } = await stemsAndClass(1.2);
    const before = await getOne<Cutting>('/cutting');
    expect(before.things[0]?.pieces).toMatchObject([{ runId: run.id, lengthMm: 130, count: 8 }]);
    const plan = await add<CuttingPlan>(studio, '/cutting/plans', planOf(before));
    const cut = (await tick(plan, 0, true).expect(200)).body as CuttingPlan;
    expect(cut.done[0]?.wasteAmount).toBeCloseTo(0.04, 9);
    const after = await getOne<Cutting>('/cutting');
    expect(after.things[0]?.pieces[0]?.count).toBe(7);
    const finding = await getOne<Finding>(`/findings/${stem.id}`);
    expect(finding.onHand).toBeCloseTo(1.16, 6);
    expect(finding.cutFrom?.offcuts).toMatchObject([{ lengthMm: 130, widthMm: 0 }]);
    expect(finding.cutFrom?.cutPieces).toEqual([{ lengthMm: 130, widthMm: 0, count: 1 }]);
    // Ticked twice it is cut once; taken back the shelf is as it was.
    const again = (await tick(cut, 0, true).expect(200)).body as CuttingPlan;
    expect(again.version).toBe(cut.version);
    const back = (await tick(cut, 0, false).expect(200)).body as CuttingPlan;
    expect(back.done).toEqual([]);
    const whole = await getOne<Finding>(`/findings/${stem.id}`);
    expect(whole.onHand).toBeCloseTo(1.2, 6);
    expect(whole.cutFrom?.offcuts).toEqual([]);
  });

  test('an offcut is cut once; what was cut of it stays, though its plan is put away', async () => {
    const { stem } = await stemsAndClass(1.2);
    const first = await add<CuttingPlan>(studio, '/cutting/plans', planOf(await getOne<Cutting>('/cutting')));
    await tick(first, 0, true).expect(200);
    const [offcut] = (await getOne<Finding>(`/findings/${stem.id}`)).cutFrom?.offcuts ?? [];
    const of = planOf(await getOne<Cutting>('/cutting'));
    const [stock] = of.stocks;
    if (!stock || !offcut) throw new Error('no offcut');
    const fromOffcut = {
      ...of,
      stocks: [
        {
          ...stock,
          source: 'offcut' as const,
          offcutId: offcut.id,
          lengthMm: 130,
          parts: stock.parts.slice(0, 1),
        },
      ],
    };
    const [cut, tooLate] = [
      await add<CuttingPlan>(studio, '/cutting/plans', fromOffcut),
      await add<CuttingPlan>(studio, '/cutting/plans', fromOffcut),
    ];
    const done = (await tick(cut, 0, true).expect(200)).body as CuttingPlan;
    await tick(tooLate, 0, true).expect(409);
    await request(studio.app)
      .delete(`/api/cutting/plans/${cut.id}`)
      .set('If-Match', `"${done.version}"`)
      .expect(204);
    await request(studio.app).delete(`/api/cutting/plans/${tooLate.id}`).set('If-Match', '"1"').expect(204);
    const { plans, things } = await getOne<Cutting>('/cutting');
    expect(plans.map(({ id }) => id)).toEqual([first.id, cut.id]);
    expect(things[0]?.pieces[0]?.count).toBe(6);
  });

  test('what has to be bought counts what is cut already, and what lies there in pieces', async () => {
    // Eight of 130 from stems of 300: four stems. Four are there, and nothing is bought.
    await stemsAndClass(1.2);
    const toBuy = async () =>
      (await getOne<Buying>('/buying')).wants.find(({ unit }) => unit === 'm')?.runs[0]?.short ?? 0;
    expect(await toBuy()).toBe(0);
    // One of them is cut to one piece, and what is left of it is too short for another.
    const wanted = planOf(await getOne<Cutting>('/cutting'));
    const stocks = wanted.stocks.slice(0, 1).map((stock) => ({ ...stock, parts: stock.parts.slice(0, 1) }));
    const plan = await add<CuttingPlan>(studio, '/cutting/plans', { ...wanted, stocks });
    await tick(plan, 0, true).expect(200);
    expect(await toBuy()).toBeCloseTo(0.3, 6);
  });

  test.each([
    [
      'outside its stick',
      { parts: [{ kind: 'piece', key: null, xMm: 290, lengthMm: 130 }] },
      '/stocks/0/parts/0',
    ],
    ['of nobody', { parts: [{ kind: 'piece', key: 'nobody', xMm: 0, lengthMm: 130 }] }, '/stocks/0/parts/0'],
  ])('a plan with a piece %s is refused', async (_name, { parts }, pointer) => {
    await stemsAndClass(1.2);
    const wanted = planOf(await getOne<Cutting>('/cutting'));
    const whole = parts.map((part) => ({ yMm: 0, widthMm: 0, isTurned: false, isKept: false, ...part }));
    const stocks = [{ ...wanted.stocks[0], parts: whole }];
    const refused = await request(studio.app)
      .post('/api/cutting/plans')
      .send({ ...wanted, stocks })
      .expect(422);
    expect((refused.body as { errors: { pointer: string }[] }).errors[0]?.pointer).toBe(pointer);
  });

  test('what is still to be bought is not cut; come, it is', async () => {
    const { stem } = await stemsAndClass(0.2);
    const asked = await getOne<Cutting>('/cutting');
    const given = planOf(asked);
    const plan = await add<CuttingPlan>(studio, '/cutting/plans', {
      ...given,
      stocks: given.stocks.map((stock) => ({ ...stock, source: 'bought' as const })),
    });
    const refused = await tick(plan, 0, true).expect(409);
    expect(refused.body).toMatchObject({ code: 'not_bought_yet' });
    expect((await getOne<Finding>(`/findings/${stem.id}`)).onHand).toBeCloseTo(0.2, 9);
    await request(studio.app)
      .post('/api/stock/movements')
      .send({ itemId: stem.id, lotId: null, amount: 0.6, reason: 'received', note: '' })
      .expect(201);
    expect((await tick(plan, 0, true).expect(200)).body).toMatchObject({ done: [{ stock: 0 }] });
  });

  test('what one pack takes is told, and whether it is kept together', async () => {
    await stemsAndClass(1.2);
    const asked = await getOne<Cutting>('/cutting');
    const [thing] = asked.things;
    expect(thing?.packs).toEqual([{ packs: 4, pieces: [{ key: thing?.pieces[0]?.key, count: 2 }] }]);
    await request(studio.app)
      .put('/api/cutting/terms')
      .send({ ...CUTTING_TERMS, keepsPacksTogether: true })
      .expect(200);
    expect((await getOne<Cutting>('/cutting')).terms.keepsPacksTogether).toBe(true);
  });

  test('felt that is used as wool is cut from its sheets; what is wasted leaves its lot by the gram, and comes back', async () => {
    const felt = await addFibre(
      studio,
      { name: 'Felt sheet', preparation: 'felt', arealGPerM2: 300, sheetLengthMm: 300, sheetWidthMm: 200 },
      54,
    );
    const pattern = ballPattern(felt.id, {});
    const leaf = {
      ...pattern.parts[0],
      shape: {
        kind: 'flat-ellipse',
        length: { value: 140, unit: 'mm' },
        width: { value: 90, unit: 'mm' },
        thickness: { value: 2, unit: 'mm' },
      },
    } as Pattern['parts'][number];
    const revisionId = await publish(studio, await addPattern(studio, { ...pattern, parts: [leaf] }));
    await add(studio, '/runs', runInput(revisionId, { seats: 4, sparePacks: 0, date: '2026-12-12' }));
    const { things, sheetsUnknown } = await getOne<Cutting>('/cutting');
    expect(sheetsUnknown).toEqual([]);
    expect(things[0]?.finding).toMatchObject({ id: felt.id, measure: { by: 'area' }, onHand: 1800 });
    expect(things[0]?.pieces).toMatchObject([{ lengthMm: 140, widthMm: 90, count: 4 }]);
    const [piece] = things[0]?.pieces ?? [];
    if (!piece) throw new Error('nothing is to be cut');
    const { count: _count, ...planned } = piece;
    const part = { isTurned: false, isKept: false };
    const plan = await add<CuttingPlan>(studio, '/cutting/plans', {
      itemId: felt.id,
      pieces: [planned],
      terms: CUTTING_TERMS,
      stocks: [
        {
          source: 'whole',
          offcutId: null,
          lengthMm: 300,
          widthMm: 200,
          cuts: [],
          parts: [0, 1].flatMap((x) =>
            [0, 1].map((y) => ({
              ...part,
              kind: 'piece',
              key: piece.key,
              xMm: x * 140,
              yMm: y * 90,
              lengthMm: 140,
              widthMm: 90,
            })),
          ),
        },
      ],
    });
    const cut = (await tick(plan, 0, true).expect(200)).body as CuttingPlan;
    // 600 cm² less four of 126 are 96 cm² of 0.03 g.
    expect(cut.done[0]?.wasteAmount).toBeCloseTo(96, 6);
    const onHandG = async () => (await getOne<{ onHandG: number }>(`/fibres/${felt.id}`)).onHandG;
    expect(await onHandG()).toBeCloseTo(54 - 2.88, 6);
    expect((await getOne<Cutting>('/cutting')).things[0]?.pieces).toEqual([]);
    await tick(cut, 0, false).expect(200);
    expect(await onHandG()).toBeCloseTo(54, 6);
  });

  test('felt of which nobody has said how large its sheets are is told, not planned', async () => {
    const felt = await addFibre(studio, { name: 'Odd felt', preparation: 'felt', arealGPerM2: 300 }, 54);
    const pattern = ballPattern(felt.id, {});
    const disc = {
      ...pattern.parts[0],
      shape: {
        kind: 'flat-ellipse',
        length: { value: 40, unit: 'mm' },
        width: { value: 40, unit: 'mm' },
        thickness: { value: 2, unit: 'mm' },
      },
    } as Pattern['parts'][number];
    const revisionId = await publish(studio, await addPattern(studio, { ...pattern, parts: [disc] }));
    await add(studio, '/runs', runInput(revisionId, { seats: 3, sparePacks: 0, date: '2026-12-12' }));
    const { things, sheetsUnknown } = await getOne<Cutting>('/cutting');
    expect(things).toEqual([]);
    expect(sheetsUnknown).toEqual([{ id: felt.id, name: 'Odd felt', pieceCount: 3 }]);
  });

  test('how she cuts is kept, within its bounds', async () => {
    const put = (body: object) => request(studio.app).put('/api/cutting/terms').send(body);
    await put({ ...CUTTING_TERMS, kerfMm: 2 }).expect(200);
    await put({ ...CUTTING_TERMS, kerfMm: -1 }).expect(422);
    expect((await getOne<Cutting>('/cutting')).terms.kerfMm).toBe(2);
  });
});
