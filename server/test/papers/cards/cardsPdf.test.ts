import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { OpenedRun } from '@lanakit/core/api';
import { CARD_TERMS, cardSizeMm, cardsOfRun, type CardTerms, textOfBooklet } from '@lanakit/core/papers';
import { paperSourceOf } from '../../../src/services/paperSourceOf.ts';
import { bare, blindly, lettersOf, readPdf } from '../../support/readPdf.ts';
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

const PT = 72 / 25.4;
let studio: Studio;
let run: OpenedRun;

beforeAll(async () => {
  studio = openStudio();
  const fibre = await addFibre(studio, { name: 'Chalk & “foam”' });
  const revisionId = await publish(studio, await addPattern(studio, ballPattern(fibre.id)));
  run = await add<OpenedRun>(studio, '/runs', runInput(revisionId, { seats: 3, sparePacks: 1 }));
});
afterAll(() => studio.close());

const get = (terms: Partial<CardTerms> | string) =>
  request(studio.app)
    .get(`/api/runs/${run.id}/cards/pdf?terms=${encodeURIComponent(typeof terms === 'string' ? terms : JSON.stringify({ ...CARD_TERMS.kits, ...terms }))}`)
    .responseType('blob'); // prettier-ignore

describe('cards on sheets', () => {
  test.each<[string, Partial<CardTerms>]>([
    ['for a small box', {}],
    ['for a narrow one', { boxWidthMm: 64, boxHeightMm: 90 }],
    ['for a large one, on Letter', { boxWidthMm: 180, boxHeightMm: 250, page: 'letter' }],
    ['saving ink, each kind once', { ink: 'saving', of: 'kinds' }],
  ])('%s: every word is there, inside of a leaf, and read blind card by card', async (_what, more) => {
    const terms = { ...CARD_TERMS.kits, ...more };
    const { pages, end } = await readPdf((await get(more).expect(200)).body as Buffer);
    const cards = cardsOfRun(paperSourceOf(studio.deps.store, run, '2026-11-24'), terms);
    const { widthMm, heightMm } = cardSizeMm(terms);
    const all = pages.map(lettersOf).join('');
    for (const { card } of cards)
      for (const line of textOfBooklet(card).split('\n').filter((each) => each.length > 3 && each.length < 40)) expect(all).toContain(bare(line));
    for (const { page, items } of pages) {
      const [, , , height] = page.view as [number, number, number, number];
      for (const { str, transform, width } of items) {
        if (str.trim() === '' || str.includes('if printed at 100')) continue;
        const [x, y] = [Number(transform[4]), height - Number(transform[5])];
        const into = (at: number, sizeMm: number) => (at - 7.5 * PT) % (sizeMm * PT);
        // From the corner of its own leaf it never comes nearer to an edge than 3 mm.
        expect([str, into(x, widthMm) >= 3 * PT, into(x, widthMm) + width <= (widthMm - 3) * PT, into(y, heightMm) >= 3 * PT]).toEqual([str, true, true, true]);
      }
    }
    const heard = (await Promise.all(pages.map(({ page }) => blindly(page)))).map(bare);
    const titles = cards.map(({ card }) => bare(card.title));
    for (const title of titles) expect(heard.join('')).toContain(title);
    await end();
  }); // prettier-ignore
  test.each<[string, string, number]>([
    ['a box there is none of', JSON.stringify({ ...CARD_TERMS.kits, boxWidthMm: 9 }), 400],
    ['no terms', '{', 400],
    ['nothing chosen', JSON.stringify({ ...CARD_TERMS.kits, cards: [] }), 404],
  ])('%s is refused', async (_what, terms, status) => {
    await get(terms).expect(status);
  });
});
