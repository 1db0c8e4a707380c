import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { Bench, Promised } from '@lanakit/core/api';
import { estimatePattern, onlyFibres, woolOnShelf } from '@lanakit/core/engine';
import { blankUse } from '@lanakit/core/pattern';
import { BLANK_BLEND, blankLot, type Blend, type Fibre, NO_OVERRIDES } from '@lanakit/core/shelf';
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

const get = async <T>(path: string): Promise<T> =>
  (await request(studio.app).get(`/api${path}`).expect(200)).body as T;
const plan = async (fibreId: string, seats: number, date = '2026-12-05') => {
  const revisionId = await publish(
    studio,
    await addPattern(studio, ballPattern(fibreId, { title: `Ball of ${fibreId}` })),
  );
  await request(studio.app)
    .post('/api/runs')
    .send(runInput(revisionId, { seats, sparePacks: 0, date }))
    .expect(201);
};
const blendOf = (...parts: [string, number][]) =>
  add<Blend>(studio, '/blends', {
    ...BLANK_BLEND,
    name: 'Tide',
    parts: parts.map(([itemId, part]) => ({ itemId, parts: part })),
    countedNow: null,
  });

/** 60 mm ball, firm: π/6·6³ cm³ × 0.15 g/cm³. */
const BALL_G = (Math.PI / 6) * 216 * 0.15;
const packG = (massG: number) => Math.ceil((massG * 1.1) / 0.1 - 1e-9) / 10;

describe('a blend is wool like any other', () => {
  test('a class in a blend promises the blend, and says what of it is short', async () => {
    const [plum, brine] = [
      await addFibre(studio, { name: 'Plum' }),
      await addFibre(studio, { name: 'Brine' }),
    ];
    const blend = await blendOf([plum.id, 3], [brine.id, 1]);
    const from = [
      { itemId: plum.id, lotId: plum.lots[0]?.id, massG: 75 },
      { itemId: brine.id, lotId: brine.lots[0]?.id, massG: 25 },
    ];
    await request(studio.app)
      .post(`/api/blends/${blend.id}/lots`)
      .send({ name: 'a', note: '', place: '', from })
      .expect(201);
    await plan(blend.id, 6);
    const { items } = await get<{ items: Promised[] }>('/promised');
    expect(items).toMatchObject([{ itemId: blend.id }]);
    expect(items[0]?.amount).toBeCloseTo(6 * packG(BALL_G), 6);
    const { runs } = await get<Bench>('/bench');
    expect(runs[0]?.short).toMatchObject([{ fibreId: blend.id }]);
    expect(runs[0]?.short[0]?.shortG).toBeCloseTo(6 * packG(BALL_G) - 100, 6);
  });
  test('its density is the mean of its fibres’, by mass', async () => {
    const dense = await addFibre(studio, { name: 'Dense', densityFactor: 1.4 });
    const plain = await addFibre(studio, { name: 'Plain' });
    const blend = await blendOf([dense.id, 1], [plain.id, 1]);
    const { shelf } = studio.deps.store;
    const fibres = shelf.fibres();
    const estimate = estimatePattern(
      ballPattern(blend.id),
      onlyFibres(woolOnShelf(fibres, shelf.blends(fibres))),
    );
    expect(estimate.total.likelyG).toBeCloseTo(BALL_G * 1.2, 9);
  });
  test('of a fibre whose lot in use has another colour, it has that colour', async () => {
    const fibre = await addFibre(studio, { colour: '#6b7d36' });
    const blend = await blendOf([fibre.id, 1]);
    const lot = fibre.lots[0];
    const overrides = { ...NO_OVERRIDES, colour: '#b3262b' };
    await request(studio.app)
      .put(`/api/lots/${lot?.id}`)
      .set('If-Match', '"1"')
      .send({ ...blankLot('first lot'), overrides })
      .expect(200);
    expect((await get<Blend>(`/blends/${blend.id}`)).asFibre?.colour).toBe('#b3262b');
  });
});

describe('the lot in use', () => {
  const receive = (id: string, name: string, densityFactor: number, receivedG: number) =>
    request(studio.app)
      .post(`/api/lots/of/${id}`)
      .send({ ...blankLot(name), overrides: { ...NO_OVERRIDES, densityFactor }, receivedG })
      .expect(201);
  test('decides what a class takes; when it is used up the next one does', async () => {
    const fibre = await addFibre(studio, {}, 0);
    await receive(fibre.id, 'old', 1, 30);
    await receive(fibre.id, 'new', 1.2, 500);
    await plan(fibre.id, 4);
    const promisedG = async () => (await get<{ items: Promised[] }>('/promised')).items[0]?.amount;
    expect(await promisedG()).toBeCloseTo(4 * packG(BALL_G), 6);
    const old = (await get<Fibre>(`/fibres/${fibre.id}`)).lots.find(({ name }) => name === 'old');
    await request(studio.app)
      .post('/api/stock/counts')
      .send({ counts: [{ itemId: fibre.id, lotId: old?.id, amount: 0 }] })
      .expect(200);
    expect(await promisedG()).toBeCloseTo(4 * packG(BALL_G * 1.2), 6);
  });
});

describe('measured properties reach the wool', () => {
  test.each([
    ['a measured hiding constant', { hidingGPerM2: 160 }, 2],
    ['none: our default', {}, 1],
  ])('%s', async (_name, more, times) => {
    const core = await addFibre(studio, { name: 'Core', colour: '#1d1c1e' });
    const coat = await addFibre(studio, { name: 'Coat', preparation: 'carded', colour: '#777777', ...more });
    const shelf = woolOnShelf(studio.deps.store.shelf.fibres(), []);
    const ball = ballPattern(core.id);
    const parts = ball.parts.map((part) => ({
      ...part,
      uses: [...part.uses, blankUse('coat', 'coat', coat.id)],
    }));
    const estimate = estimatePattern({ ...ball, parts }, onlyFibres(shelf));
    const coatUse = estimate.parts[0]?.uses[1];
    const plain = estimatePattern(
      { ...ball, parts },
      onlyFibres(new Map([...shelf].map(([id, fibre]) => [id, { ...fibre, hidingGPerM2: null }]))),
    );
    const plainUse = plain.parts[0]?.uses[1];
    if (coatUse?.kind !== 'known' || plainUse?.kind !== 'known') throw new Error('both are known');
    expect(coatUse.pieceG).toBeCloseTo(times * plainUse.pieceG, 9);
  });
});
