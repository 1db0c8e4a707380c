import type {
  CommissionLine,
  CommissionPage,
  SeasonsState,
  StoredPattern,
  YearState,
} from '@lanakit/core/api';
import { blankCommission, type Commission, type CommissionInput } from '@lanakit/core/commissions';
import { blankMaking, blankMakingLine, blankMakingStep, type Making } from '@lanakit/core/logbook';
import { BLANK_STEP } from '@lanakit/core/pattern';
import type { Fibre } from '@lanakit/core/shelf';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
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
import { bodyOf, request } from '../support/request.ts';

let studio: Studio;
let fibre: Fibre;
let stored: StoredPattern;

/** A ball of 60 mm, firm: 16.965 g; timed: two hours. */
beforeEach(async () => {
  studio = openStudio();
  fibre = await addFibre(studio);
  stored = await addPattern(studio, {
    ...ballPattern(fibre.id),
    title: 'Sitting hare',
    steps: [{ ...BLANK_STEP, id: 's', text: 'Felt it', stage: 'core', minutes: 120 }],
  });
});
afterEach(() => studio.close());

const asked = (more: Partial<CommissionInput> = {}): CommissionInput => ({
  ...blankCommission('A hare for a nursery', '2026-11-01'),
  ...more,
});
const begin = (more: Partial<CommissionInput> = {}) => add<Commission>(studio, '/commissions', asked(more));
const page = async (id: string): Promise<CommissionPage> =>
  bodyOf<CommissionPage>(await request(studio.app).get(`/api/commissions/${id}/page`).expect(200));
const list = async (): Promise<readonly CommissionLine[]> =>
  bodyOf<{ items: CommissionLine[] }>(await request(studio.app).get('/api/commissions').expect(200)).items;
const year = async (of: string): Promise<YearState> =>
  bodyOf<YearState>(await request(studio.app).get('/api/year').query({ year: of }).expect(200));

describe('what somebody asks for', () => {
  test('is written on, kept against another’s change, deleted, and comes back', async () => {
    const { id } = await begin();
    const put = (version: number, more: Partial<CommissionInput>) =>
      request(studio.app).put(`/api/commissions/${id}`).set('If-Match', `"${version}"`).send(asked(more));
    await put(1, { agreedMinor: 9000 }).expect(200);
    await put(1, { agreedMinor: 100 }).expect(409);
    expect((await page(id)).commission).toMatchObject({ agreedMinor: 9000, version: 2 });
    await request(studio.app).delete(`/api/commissions/${id}`).set('X-Lanakit', '1').expect(204);
    expect(await list()).toEqual([]);
    expect(bodyOf<{ items: unknown[] }>(await request(studio.app).get('/api/bin')).items).toMatchObject([
      { kind: 'commission', path: '/commissions', name: 'A hare for a nursery' },
    ]);
    await request(studio.app).post(`/api/commissions/${id}/restore`).set('X-Lanakit', '1').expect(200);
    expect(await list()).toHaveLength(1);
  });
  test.each<[string, Partial<CommissionInput>, string]>([
    ['no name', { title: '' }, 'title_empty'],
    ['no such day', { byDay: '2026-02-31' }, 'date_not_read'],
    ['begun when it is wanted already', { byDay: '2026-12-01', beginsOn: '2026-12-05' }, 'by_before_begin'],
  ])('%s: refused with words, and nothing is kept', async (_what, more, code) => {
    const answer = await request(studio.app).post('/api/commissions').send(asked(more)).expect(422);
    expect(JSON.stringify(answer.body)).toContain(code);
    expect(await list()).toEqual([]);
  });
  test('the pattern that may answer it is proposed; once it is chosen, the shelf says whether there is enough', async () => {
    const { id } = await begin();
    expect((await page(id)).answers).toEqual([{ id: stored.id, title: 'Sitting hare', words: ['hare'] }]);
    expect((await page(id)).enough).toBeNull();
    const chosen = await begin({ patternId: stored.id, count: 3 });
    expect((await page(chosen.id)).enough).not.toBeNull();
  });
  test('days of a class and of what has its place are taken for all others, and not for itself', async () => {
    const revisionId = await publish(studio, stored);
    const run = await add<{ id: string }>(studio, '/runs', runInput(revisionId, { date: '2027-01-09' }));
    // Two hours fill a day at the table.
    const first = await begin({ patternId: stored.id, byDay: '2027-01-20', beginsOn: '2027-01-11', state: 'agreed' });
    const second = await begin({ patternId: stored.id, byDay: '2027-01-12' });
    const taken = (await page(second.id)).taken;
    expect(taken).toContainEqual({ day: '2027-01-09', name: expect.any(String), ofId: run.id, of: 'class' });
    expect(taken).toContainEqual({ day: '2027-01-11', name: 'A hare for a nursery', ofId: first.id, of: 'commission' });
    expect((await page(first.id)).taken.map(({ day }) => day)).not.toContain('2027-01-11');
    const lines = await list();
    // Wanted by the 12th, and the 11th is taken, the 10th a Sunday, the 9th a class and packing before it.
    expect(lines.find(({ id }) => id === second.id)?.place?.beginBy).toMatch(/^2027-01-0[1-8]$/);
  });
  test('put away, it takes no days', async () => {
    await begin({ patternId: stored.id, byDay: '2027-01-20', beginsOn: '2027-01-11', state: 'declined' });
    const second = await begin({ patternId: stored.id });
    expect((await page(second.id)).taken).toEqual([]);
  });
}); // prettier-ignore

describe('a year', () => {
  const making = (more: Partial<Making> = {}) =>
    add<Making>(studio, '/makings', {
      ...blankMaking('Hare', '2026-11-05'),
      patternId: stored.id,
      isDone: true,
      lines: [blankMakingLine('l', { of: 'fibre', fibreId: fibre.id, beforeG: 100, afterG: 82 })],
      steps: [blankMakingStep('s', { stepId: 's', minutes: 150 })],
      ...more,
    });
  test('what was made for somebody counts once, with what was agreed for it', async () => {
    const { id } = await making();
    await making({ title: 'Another', date: '2026-11-07' });
    await begin({
      patternId: stored.id,
      state: 'handed-over',
      handedOverOn: '2026-11-20',
      agreedMinor: 9000,
      makings: [{ makingId: id }],
    });
    const { year: told } = await year('2026');
    expect(told.works.map(({ kind }) => kind)).toEqual(['making', 'commission']);
    expect(told.all).toMatchObject({
      figures: 2,
      woolG: { known: 36, unknownCount: 0 },
      minutes: { known: 300 },
      takingsMinor: { known: 9000 },
    });
    // 2.5 h, and 16.965 g of wool at its price.
    const material = (told.works[1]?.materialMinor.known ?? 0);
    expect(material).toBeCloseTo((16.965 * (fibre.pricePer100gMinor ?? 0)) / 100, 1);
    expect(told.all.hourMinor).toBeCloseTo((9000 - material) / 2.5, 6);
  });
  test('what came in for a class is said afterwards; before, it is unknown and not nought', async () => {
    const revisionId = await publish(studio, stored);
    const run = await add<{ id: string; version: number }>(studio, '/runs', runInput(revisionId, { date: '2026-03-14', seats: 4 }));
    let version = run.version;
    for (const to of ['bought', 'weighed', 'packed', 'done']) {
      const answer = await request(studio.app).post(`/api/runs/${run.id}/state`).set('If-Match', `"${version}"`).send({ to, anyway: true }).expect(200);
      ({ version } = bodyOf<{ version: number }>(answer));
    }
    const before = (await year('2026')).year;
    expect(before.all).toMatchObject({ figures: 4, takingsMinor: { known: 0, unknownCount: 1 }, hourMinor: null });
    await request(studio.app).put(`/api/runs/${run.id}/takings`).send({ minor: 24_000 }).expect(200);
    expect((await year('2026')).year.all.takingsMinor).toEqual({ known: 24_000, unknownCount: 0 });
    await request(studio.app).put(`/api/runs/${run.id}/takings`).send({ minor: -1 }).expect(400);
    await request(studio.app).put(`/api/runs/${run.id}/takings`).send({ minor: null }).expect(200);
    expect((await year('2026')).year.all.takingsMinor).toEqual({ known: 0, unknownCount: 1 });
    const seasons = bodyOf<SeasonsState>(await request(studio.app).get('/api/seasons').expect(200));
    expect(seasons.lines).toMatchObject([{ title: 'Sitting hare', total: 4, peak: 4 }]);
  });
  test('an unfinished page is no figure yet; a picture of a finished one is in the gallery', async () => {
    await making({ isDone: false });
    expect((await year('2026')).year.works).toEqual([]);
    expect(bodyOf<{ items: unknown[] }>(await request(studio.app).get('/api/gallery').expect(200)).items).toEqual([]);
  });
}); // prettier-ignore
