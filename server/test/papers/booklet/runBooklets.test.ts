import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { OpenedRun } from '@lanakit/core/api';
import { BOOKLET_TERMS, type BookletTerms } from '@lanakit/core/papers';
import { NO_SURROUNDINGS } from '@lanakit/core/pattern';
import { blankSeat } from '@lanakit/core/run';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setImmediate } from 'node:timers/promises';
import type { PaperProgress } from '../../../src/papers/setBooklet.ts';
import { workshopHere } from '../../../src/workers/workshop.ts';
import { lettersOf, readPdf } from '../../support/readPdf.ts';
import { request } from '../../support/request.ts';
import {
  add,
  addFibre,
  addPattern,
  ballPattern,
  openStudio,
  publish,
  runInput,
  type Studio,
} from '../../support/studio.ts';

let studio: Studio;
let run: OpenedRun;

beforeAll(async () => {
  studio = openStudio();
  const fibre = await addFibre(studio, { name: 'Chalk' });
  const revisionId = await publish(studio, await addPattern(studio, ballPattern(fibre.id)));
  run = await add<OpenedRun>(studio, '/runs', runInput(revisionId, { seats: 3, sparePacks: 1, roster: [{ ...blankSeat(2), name: 'Ines' }] }));
}); // prettier-ignore
afterAll(() => studio.close());

const get = (query: string) =>
  request(studio.app).get(`/api/runs/${run.id}/booklets/pdf?${query}`).responseType('blob');
const read = async (query: string) => readPdf((await get(query).expect(200)).body as Buffer);

describe('booklets of a run in one file', () => {
  test('each has its front, its own count of pages and its bookmark, in the order they sit', async () => {
    const { pdf, pages, end } = await read('of=packs');
    const letters = pages.map(lettersOf);
    const starts = letters.flatMap((words, at) => (/1of\d+$/.test(words) ? [at] : []));
    expect(starts).toHaveLength(4);
    const fronts = starts.map((at) => letters[at] ?? '');
    for (const [at, whose] of ['forSeat1', 'forInes', 'forSeat3', 'spareorshown'].entries()) expect(fronts[at]).toContain(whose);
    const lengths = starts.map((at, nth) => (starts[nth + 1] ?? pages.length) - at);
    letters.forEach((words) => expect(words).toMatch(new RegExp(`of(${lengths.join('|')})$`)));
    expect((await pdf.getOutline()).map(({ title }) => title.replace(/^.*, /, ''))).toEqual(['for Seat 1', 'for Ines', 'for Seat 3', 'spare or shown']);
    for (const { items, title } of await pdf.getOutline()) expect([title, items.length > 2]).toEqual([title, true]);
    await end();
  });
  test('a link of a booklet leads into that booklet', async () => {
    const { pdf, pages, end } = await read('of=packs');
    const first = pages.map((page, at) => (/1of\d+$/.test(lettersOf(page)) ? at : -1)).filter((at) => at >= 0);
    const bookletOf = (page: number) => first.filter((at) => at <= page).length;
    let links = 0;
    for (const [at, { page }] of pages.entries())
      for (const { subtype, dest } of (await page.getAnnotations()) as { subtype: string; dest?: string }[]) {
        if (subtype !== 'Link' || typeof dest !== 'string') continue;
        const ref: unknown = (await pdf.getDestination(dest))?.[0];
        expect(bookletOf(await pdf.getPageIndex(ref as Parameters<typeof pdf.getPageIndex>[0]))).toBe(bookletOf(at));
        links += 1;
      }
    expect(links).toBeGreaterThan(8);
    await end();
  });
  test('one pack’s alone, and each kind once', async () => {
    const alone = await read('of=2');
    expect(lettersOf(alone.pages[0] ?? { items: [] })).toContain('forInes');
    const kinds = await read('of=kinds');
    expect(lettersOf(kinds.pages[0] ?? { items: [] })).toContain('4copies:forSeat1,Ines,Seat3,1spareorshown');
    await Promise.all([alone.end(), kinds.end()]);
  });
  test.each<[string, number]>([
    ['of=9', 404],
    ['of=zero', 400],
    ['of=-1', 400],
    ['of=packs&terms={', 400],
  ])('%s is refused', async (query, status) => {
    await get(query).expect(status);
  });
  test('what lies in the bag is what is weighed for it', async () => {
    const { pages, end } = await read('of=1');
    const csv = (await request(studio.app).get(`/api/runs/${run.id}/papers/contents/csv`).expect(200)).text;
    const grams = /,(\d+\.\d+)/.exec(csv)?.[1];
    expect(grams).toBeDefined();
    expect(pages.map(lettersOf).join('')).toContain(`${grams}g`);
    await end();
  });
}); // prettier-ignore

test('it is told after each how far it has come', async () => {
  const told: PaperProgress[] = [];
  const terms: BookletTerms = { ...BOOKLET_TERMS.teach, parts: ['needs'] };
  const document = ballPattern(null);
  const request0 = { whole: document, build: document, what: [], notes: [], terms, needles: [], packed: null, surroundings: NO_SURROUNDINGS, sources: { suppliers: [], blends: [] }, translation: null };
  const dir = mkdtempSync(join(tmpdir(), 'lanakit-booklets-'));
  const into = join(dir, 'three.pdf');
  await workshopHere().setBooklets(
    () => ({ title: 'Three', requests: [request0], booklets: ['a', 'b', 'c'].map((whose) => ({ request: 0, whose })), wool: { fibres: new Map(), findings: new Map(), handMeasures: [], learnt: null }, pictures: new Map(), form: 'pdf', at: '2026-11-30T10:00:00Z' }),
    into,
    { tell: (progress) => told.push(progress) },
  );
  expect(told).toEqual([1, 2, 3].map((done) => ({ done, of: 3 })));
  expect(readFileSync(into).subarray(-6).toString()).toBe('%%EOF\n');
  rmSync(dir, { recursive: true });
}); // prettier-ignore

describe('the file it is sent from', () => {
  const lying = () => readdirSync(join(studio.dir, 'arrivals'));
  test('is gone when it has been sent', async () => {
    await get('of=1').expect(200);
    // The answer is heard of before its connection closes; where it stays, this never ends.
    while (lying().length > 0) await setImmediate();
  });
  test('is gone when nobody waits for it any more', async () => {
    const control = new AbortController();
    control.abort();
    await expect(studio.services.booklets.ofRun(run.id, { of: 'packs' }, BOOKLET_TERMS.teach, { signal: control.signal })).rejects.toThrow();
    expect(lying()).toEqual([]);
  });
}); // prettier-ignore
