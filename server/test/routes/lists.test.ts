import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type {
  Bench,
  Found,
  PageOf,
  PatternLine,
  RevisionLine,
  RunLine,
  StoredPattern,
} from '@lanakit/core/api';
import { estimatePattern, woolOnShelf } from '@lanakit/core/engine';
import { BLANK_STEP, missingForPublishing, type Pattern, stepTotals } from '@lanakit/core/pattern';
import fc from 'fast-check';
import { request } from '../support/request.ts';
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
beforeEach(() => {
  day = 0;
  // Each write a minute later: what was changed last is known.
  studio = openStudio(undefined, () => new Date(Date.UTC(2026, 10, 24, 10, day++)));
});
afterEach(() => studio.close());

const get = async <T>(path: string, status = 200): Promise<T> =>
  (await request(studio.app).get(`/api${path}`).expect(status)).body as T;
const titles = async (query: string) => {
  const { total, items } = await get<PageOf<PatternLine>>(`/pattern-lines?${query}`);
  return [total, ...items.map(({ title }) => title)];
};

describe('patterns by page', () => {
  test('the last changed first or by title, only those put away, only those with something unknown', async () => {
    const fibre = await addFibre(studio);
    const [wren] = [await addPattern(studio, ballPattern(fibre.id, { title: 'Wren' }))];
    await addPattern(studio, ballPattern(null, { title: 'otter' }));
    const heron = await addPattern(studio, ballPattern(fibre.id, { title: 'Heron' }));
    expect(await titles('')).toEqual([3, 'Heron', 'otter', 'Wren']);
    expect(await titles('order=title')).toEqual([3, 'Heron', 'otter', 'Wren']);
    await request(studio.app).put(`/api/patterns/${wren.id}`).set('If-Match', '"1"').send(ballPattern(fibre.id, { title: 'Wren' })).expect(200); // prettier-ignore
    expect(await titles('')).toEqual([3, 'Wren', 'Heron', 'otter']);
    expect(await titles('unknown=true')).toEqual([1, 'otter']);
    await request(studio.app).put(`/api/patterns/${heron.id}/archived`).send({ archived: true }).expect(200);
    expect(await titles('')).toEqual([2, 'Wren', 'otter']);
    expect(await titles('archived=true')).toEqual([1, 'Heron']);
    await request(studio.app).delete(`/api/patterns/${wren.id}`).set('If-Match', '"2"').expect(204);
    expect(await titles('')).toEqual([1, 'otter']);
  });

  test('a line tells what the pattern itself tells', async () => {
    const fibre = await addFibre(studio);
    const pattern = await addPattern(studio, ballPattern(fibre.id, { title: 'Wren' }));
    await publish(studio, pattern);
    const [line] = (await get<PageOf<PatternLine>>('/pattern-lines')).items;
    const { document } = await get<StoredPattern>(`/patterns/${pattern.id}`);
    const wool = { fibres: woolOnShelf([fibre], []), findings: new Map(), handMeasures: [], learnt: null };
    const { lowG, likelyG, highG } = estimatePattern(document, wool).total;
    expect(line).toMatchObject({
      total: { lowG, likelyG, highG, unknownCount: 0 },
      minutes: { known: stepTotals(document).minutes.known },
      revisionNumber: 1,
      unknownCount: missingForPublishing(document).length,
      parts: 1,
      isWoolOnly: true,
    });
    expect(line?.figure).toMatchObject({
      kind: 'together',
      wool: { [fibre.id]: { colour: fibre.colour } },
      drawn: { box: { bottomMm: 0, topMm: 60 } },
    });
  });

  test('its time and its wool are of one make as the options stand: what is for another choice is in neither', async () => {
    const fibre = await addFibre(studio, { name: 'Chalk' });
    const plain = ballPattern(fibre.id);
    const tuft = { ...(plain.parts[0] as Pattern['parts'][number]), id: 'tuft', name: 'Tuft', uses: [] };
    const step = (id: string, minutes: number) => ({ ...BLANK_STEP, id, text: id, minutes });
    const values = [
      { id: 'yes', name: 'yes', things: [{ kind: 'part' as const, id: 'tuft' }, { kind: 'step' as const, id: 'tufting' }] },
      { id: 'no', name: 'no', things: [] },
    ];
    const document: Pattern = {
      ...plain,
      parts: [...plain.parts, tuft],
      steps: [step('rolling', 30), step('tufting', 45)],
      options: [{ id: 'o', name: 'a tuft', kind: 'extra', values, defaultValueId: 'no' }],
    };
    await addPattern(studio, document);
    const [line] = (await get<PageOf<PatternLine>>('/pattern-lines')).items;
    expect(line).toMatchObject({ minutes: { known: 30, unknownCount: 0 }, steps: 2, parts: 2 });
  }); // prettier-ignore
  test('pages put together are the list, whatever it is called, searched and sorted', async () => {
    const words = fc.constantFrom(
      'Pear',
      'pear',
      'Übermut',
      'ubermut',
      'Sea otter',
      'Otter, small',
      'Ωmega',
      "it's 50 %",
      '_x_',
    );
    await fc.assert(
      fc.asyncProperty(
        fc.array(words, { maxLength: 9 }),
        fc.constantFrom('', 'pear', 'otter sea', 'ÜBER', '%', '_', "'", 'ω'),
        fc.integer({ min: 1, max: 4 }),
        fc.constantFrom('changed', 'title'),
        async (names, search, limit, order) => {
          studio.close();
          studio = openStudio(undefined, () => new Date(Date.UTC(2026, 10, 24, 10, day++)));
          for (const title of names) studio.services.patterns.begin(ballPattern(null, { title }));
          const plain = (text: string) =>
            text
              .normalize('NFKD')
              .replaceAll(/\p{Mark}/gu, '')
              .toLowerCase();
          const wanted = names
            .map((title, at) => ({ title, at }))
            .filter(({ title }) => search.split(' ').every((word) => plain(title).includes(plain(word))));
          const found: string[] = [];
          for (let offset = 0; offset === found.length; offset += limit) {
            const query = new URLSearchParams({
              search,
              order,
              offset: String(offset),
              limit: String(limit),
            });
            const page = await get<PageOf<PatternLine>>(`/pattern-lines?${query.toString()}`);
            expect(page.total).toBe(wanted.length);
            found.push(...page.items.map(({ title }) => title));
            if (page.items.length < limit) break;
          }
          expect(found.toSorted()).toEqual(wanted.map(({ title }) => title).sort());
          if (order === 'changed') expect(found).toEqual(wanted.reverse().map(({ title }) => title));
        },
      ),
      { numRuns: 25 },
    );
  });

  test.each([
    ['/pattern-lines?limit=0', 'limit'],
    ['/pattern-lines?limit=201', 'limit'],
    ['/pattern-lines?offset=-1', 'offset'],
    ['/pattern-lines?offset=1e9', 'offset'],
    ['/pattern-lines?order=size', 'order'],
    [`/pattern-lines?search=${'x'.repeat(300)}`, 'search'],
    ['/runs?when=never', 'when'],
    [`/revisions?ids=${'x,'.repeat(200)}`, 'ids'],
  ])('%s is refused by its name', async (path, field) => {
    expect(await get(path, 400)).toMatchObject({ code: 'query_invalid', field });
  });
});

describe('runs, revisions, and whatever is found', () => {
  test('ahead by day, behind the last first; by what they are called', async () => {
    const fibre = await addFibre(studio);
    const pattern = await addPattern(studio, ballPattern(fibre.id, { title: 'Wren' }));
    const revisionId = await publish(studio, pattern);
    for (const [name, date] of [['Later', '2026-12-09'], ['Sooner', '2026-12-01'], ['Long ago', '2026-01-01'], ['Been', '2026-11-01']] as const)
      await request(studio.app).post('/api/runs').send(runInput(revisionId, { name, date })).expect(201); // prettier-ignore
    const names = async (query: string) =>
      (await get<PageOf<RunLine>>(`/runs?${query}`)).items.map(({ name }) => name);
    expect(await names('')).toEqual(['Sooner', 'Later']);
    expect(await names('when=behind')).toEqual(['Been', 'Long ago']);
    expect(await names('when=behind&search=AGO')).toEqual(['Long ago']);
    expect((await get<PageOf<RunLine>>('/runs?limit=1')).total).toBe(2);
    expect((await get<PageOf<RunLine>>('/runs')).items[0]).toMatchObject({
      titles: ['Wren'],
      revisionNumber: 1,
      seats: 8,
    });
    const found = await get<PageOf<Found>>('/found?search=wren');
    expect(found.items).toMatchObject([{ kind: 'pattern', id: pattern.id }]);
    expect((await get<PageOf<Found>>('/found?search=chalk')).items).toMatchObject([
      { kind: 'fibre', detail: 'core-batt' },
    ]);
    expect((await get<PageOf<Found>>('/found?search=later')).items).toMatchObject([
      { kind: 'run', detail: '2026-12-09' },
    ]);
    expect((await get<PageOf<Found>>('/found?search=%20')).items).toEqual([]);
    for (const search of ['wren', 'Wren, revision 1', 'revision 1'])
      expect(await get<PageOf<RevisionLine>>(`/revisions?search=${search}`)).toMatchObject({ total: 1 });
    expect(await get<PageOf<RevisionLine>>('/revisions?search=revision%202')).toMatchObject({ total: 0 });
    expect(await get<PageOf<RevisionLine>>(`/revisions?ids=${revisionId},gone`)).toMatchObject({ total: 1, items: [{ id: revisionId, title: 'Wren' }] }); // prettier-ignore
  });

  test('the bench shows the next, and tells how many there are', async () => {
    for (let at = 0; at < 9; at++) await addPattern(studio, ballPattern(null, { title: `Half ${at}` }));
    const { unfinished } = await get<Bench>('/bench');
    expect([unfinished.total, unfinished.items.length]).toEqual([9, 6]);
    expect(unfinished.items[0]).toMatchObject({ title: 'Half 8', missingCount: 1 });
    const revisionId = await publish(
      studio,
      await addPattern(studio, ballPattern((await addFibre(studio)).id)),
    );
    for (let at = 0; at < 33; at++) studio.services.runs.plan(runInput(revisionId, { name: `Run ${at}` }));
    const bench = await get<Bench>('/bench');
    expect([bench.runsAhead, bench.runs.length]).toEqual([33, 30]);
    // All of them want their wool, also those that are not shown.
    expect(bench.short[0]?.shortG).toBeCloseTo(33 * (bench.runs[0]?.classG ?? 0) - 100, 6);
  });
});

test('what a pattern names is found without reading it, and follows it', async () => {
  const fibre = await addFibre(studio);
  const pattern = await addPattern(studio, ballPattern(fibre.id, { title: 'Wren' }));
  const count = (table: string) =>
    studio.db.prepare<[], number>(`SELECT count(*) FROM ${table}`).pluck().get();
  const with38 = {
    ...ballPattern(fibre.id),
    stageNeedles: [{ stage: 'core', needle: { by: 'gauge', gauge: 38, profile: null } }],
  };
  await request(studio.app)
    .put(`/api/patterns/${pattern.id}`)
    .set('If-Match', '"1"')
    .send(with38)
    .expect(200);
  expect(count('pattern_gauge')).toBe(1);
  expect(studio.deps.store.items.usesOfGauge(38)).toMatchObject([{ patternId: pattern.id }]);
  await request(studio.app).put(`/api/patterns/${pattern.id}`).set('If-Match', '"2"').send(ballPattern(fibre.id)).expect(200); // prettier-ignore
  expect(count('pattern_gauge')).toBe(0);
});
