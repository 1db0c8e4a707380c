import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { FirstClassMade, StoredPattern } from '@lanakit/core/api';
import { type FirstClassInput, SHELF_KINDS, START_BODIES } from '@lanakit/core/starts';
import { request } from '../support/request.ts';
import { openStudio, type Studio } from '../support/studio.ts';

let studio: Studio;
beforeEach(() => {
  studio = openStudio();
});
afterEach(() => studio.close());

const post = (path: string, body: object, key?: string) => {
  const asked = request(studio.app).post(`/api/starts${path}`);
  return (key === undefined ? asked : asked.set('Idempotency-Key', key)).send(body);
};
const all = async (path: string) =>
  (await request(studio.app).get(`/api${path}`).expect(200)).body as {
    items: { name: string; onHandG?: number | null; onHand?: number | null }[];
  };
const input = (more: Partial<FirstClassInput> = {}): FirstClassInput => ({
  title: 'Harbour seal',
  bodyId: 'sits',
  heightMm: 120,
  main: { from: 'new', colourId: 'slate' },
  second: { from: 'new', colourId: 'chalk' },
  class: { people: 11, date: '2026-12-12' },
  ...more,
}); // prettier-ignore

describe('from an empty studio', () => {
  test.each(START_BODIES.map(({ id }) => [id]))(
    '%s: wool, a revision and a class of eleven, whose packs all have their grams',
    async (bodyId) => {
      const made = (await post('/first-class', input({ bodyId })).expect(201)).body as FirstClassMade;
      const opened = await request(studio.app)
        .get(`/api/runs/${made.runId ?? ''}`)
        .expect(200);
      expect(opened.text).toContain(made.revisionId);
      const csv = await request(studio.app)
        .get(`/api/runs/${made.runId ?? ''}/papers/labels/csv`)
        .expect(200);
      const rows = csv.text.trim().split('\n').slice(1);
      expect(rows.filter((row) => row.includes('Seat 11')).length).toBeGreaterThan(0);
      for (const row of rows) expect(row).toMatch(/\d/);
    },
  );
  test('the pattern alone, where nobody comes yet', async () => {
    const made = (await post('/first-class', input({ class: null })).expect(201)).body as FirstClassMade;
    expect(made).toMatchObject({ revisionId: null, runId: null });
    expect((await all('/runs')).items).toEqual([]);
    const { document } = (await request(studio.app).get(`/api/patterns/${made.patternId}`).expect(200))
      .body as StoredPattern;
    expect(document).toMatchObject({
      title: 'Harbour seal',
      finishedHeight: { value: 120, unit: 'mm' },
    });
  });
  test.each<[string, Partial<FirstClassInput>, string]>([
    ['a day there is not', { class: { people: 11, date: '2026-02-31' } }, '/class/date'],
    ['nobody', { class: { people: 0, date: '2026-12-12' } }, '/class/people'],
    ['without a name', { title: '' }, '/title'],
    ['wool that is not there', { main: { from: 'shelf', fibreId: 'x' } }, '/main/fibreId'],
  ])('%s: refused beside its field, and nothing of it is kept', async (_name, more, pointer) => {
    const answer = await post('/first-class', input(more)).expect(422);
    expect(
      (answer.body as { errors: { pointer: string }[] }).errors.map((problem) => problem.pointer),
    ).toContain(pointer);
    expect((await all('/fibres')).items).toEqual([]);
    expect((await all('/patterns')).items).toEqual([]);
  });
  test('a second figure takes the wool of the first', async () => {
    await post('/first-class', input()).expect(201);
    await post('/first-class', input({ title: 'Another', bodyId: 'face' })).expect(201);
    const names = (await all('/fibres')).items.map(({ name }) => name);
    expect(names.toSorted()).toEqual(['Chalk', 'Core, white', 'Slate', 'Soot']);
  });
  test('sent twice with one key it is made once', async () => {
    const first = (await post('/first-class', input(), 'seal-0123456789').expect(201)).body as FirstClassMade;
    const again = (await post('/first-class', input(), 'seal-0123456789').expect(201)).body as FirstClassMade;
    expect(again).toEqual(first);
    expect((await all('/runs')).items).toHaveLength(1);
  });
});

describe('a shelf that is ticked', () => {
  test('every kind there is, counted and not', async () => {
    const picks = SHELF_KINDS.map(({ id, hasColours }, at) => ({ kindId: id, colourId: hasColours ? 'plum' : null, onHand: at % 2 === 0 ? 10 + at : null }));
    const answer = await post('/shelf', { picks }).expect(201);
    expect((answer.body as { ids: string[] }).ids).toHaveLength(SHELF_KINDS.length);
    const fibres = (await all('/fibres')).items;
    expect(fibres.find(({ name }) => name === 'Core, white')?.onHandG).toBe(10);
    expect(fibres.find(({ name }) => name === 'Core, natural grey')?.onHandG).toBeNull();
    const places = await Promise.all(['/fibres', '/findings', '/needles', '/tools'].map(async (path) => (await all(path)).items.length));
    expect(places.reduce((sum, count) => sum + count, 0)).toBe(SHELF_KINDS.length);
  });
  test.each([
    ['of a kind there is not', 400, { kindId: 'x', colourId: null, onHand: null }],
    ['in a colour there is not', 400, { kindId: 'carded', colourId: 'x', onHand: null }],
    ['less than nothing', 422, { kindId: 'carded', colourId: 'plum', onHand: -4 }],
  ])('%s: refused, and nothing is kept', async (_name, status, pick) => {
    await post('/shelf', { picks: [{ kindId: 'core-white', colourId: null, onHand: 50 }, pick] }).expect(status);
    expect((await all('/fibres')).items).toEqual([]);
  });
}); // prettier-ignore
