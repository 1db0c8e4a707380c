import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  CARD_NAMES,
  type CardName,
  cardsOfRun,
  leafPlaces,
  leafSheet,
  type PaperSource,
  SHEET_EDGE_MM,
  textOfBooklet,
} from '../../../src/papers/index.ts';
import { blankSeat, placeOfCode, readLabelCode } from '../../../src/run/index.ts';
import { bird, classOf, duo, kitsOf, pear, sourceOf } from '../../support/coast.ts';

const made = (source: PaperSource, names: readonly CardName[], of: 'packs' | 'kinds' = 'packs') =>
  cardsOfRun(source, { cards: [...names], of });
const wordsOf = (source: PaperSource, name: CardName) =>
  made(source, [name]).map(({ whose, card }) => ({ whose, text: textOfBooklet(card) }));
const boxes = sourceOf(kitsOf([duo()]));

describe('what is in it', () => {
  test('every bought thing of the pattern, as many as one make takes times its makes; spares are beside it', () => {
    const [first] = wordsOf(boxes, 'contents');
    // The judge counts over the patterns themselves.
    const counts = new Map<string, number>();
    const makes = [bird, pear, pear];
    for (const { findingId, count } of makes.flatMap(({ findings }) => findings))
      if (findingId !== null && typeof count === 'number')
        counts.set(findingId, (counts.get(findingId) ?? 0) + count);
    expect(counts.size).toBeGreaterThan(0);
    const lines = first?.text.split('\n') ?? [];
    for (const [id, count] of counts) {
      const name = boxes.wool.findings.get(id)?.name ?? id;
      const at = lines.indexOf(name);
      expect([name, at >= 0]).toEqual([name, true]);
      // Where it is and for what stands under the name, how many beside it.
      expect([name, lines.slice(at, at + 3)]).toEqual([name, expect.arrayContaining([String(count)])]);
    }
    expect(first?.text).not.toContain('card-box');
  });
  test('wool is what is weighed for a pack, and all of it', () => {
    const [first] = wordsOf(boxes, 'contents');
    const portions = boxes.plan.groups[0]?.plan.fibres ?? [];
    expect(portions.length).toBeGreaterThan(2);
    for (const { fibreId } of portions) expect(first?.text).toContain(boxes.wool.fibres.get(fibreId)?.name);
    const grams = [...(first?.text.matchAll(/^(?:≈ )?(\d+\.\d+)\u00A0g$/gm) ?? [])].map(([, number]) =>
      Number(number),
    );
    const packedG = portions.reduce((sum, { packG, exactG }) => sum + (packG ?? exactG), 0);
    expect(Math.abs(grams.reduce((sum, each) => sum + each, 0) - packedG)).toBeLessThan(
      0.1 * portions.length,
    );
  });
});

describe('cards of a run', () => {
  test('every box has all of its own, in the order they are met; a trial or sample has none', () => {
    const cards = made(boxes, ['insert', 'contents', 'needles', 'sharps', 'missing']);
    const packs = boxes.packs.filter(({ kind }) => kind !== 'sample');
    expect(new Set(cards.map(({ whose }) => whose)).size).toBe(packs.length);
    const namesOf = (whose: string) => cards.filter((card) => card.whose === whose).map(({ name }) => name);
    for (const { whose } of cards)
      expect(namesOf(whose)).toEqual(
        ['insert', 'contents', 'needles', 'sharps', 'missing'].filter((name) =>
          namesOf(whose).includes(name as CardName),
        ),
      );
  });
  test('what is alike is made once, what has a code for each', () => {
    const cards = made(boxes, ['insert', 'contents', 'missing'], 'kinds');
    expect(cards.filter(({ name }) => name === 'insert')).toHaveLength(1);
    expect(cards.filter(({ name }) => name === 'contents')).toHaveLength(1);
    expect(cards.filter(({ name }) => name === 'missing')).toHaveLength(boxes.packs.length);
  });
  test('the code of the missing card is read as its pack, and no two are alike', () => {
    const places = boxes.packs.map(({ id }) => ({ packId: id, bagKeys: [] }));
    const codes = made(boxes, ['missing']).map(({ whose, card }) => {
      const signs = /[0-9A-Z]{4}-[0-9A-Z]{4}-[0-9A-Z]{4}/.exec(textOfBooklet(card))?.[0] ?? '';
      const read = readLabelCode(signs);
      expect(read.kind).toBe('code');
      return [whose, read.kind === 'code' ? placeOfCode(read.code, boxes.runId, places)?.packId : null];
    });
    expect(codes.map(([, packId]) => packId)).toEqual(boxes.packs.map(({ id }) => id));
  });
  test('certificates are for who sits there, with the hours that were planned', () => {
    const source = sourceOf(
      classOf({
        roster: [{ ...blankSeat(2), name: 'Ines' }],
        plan: {
          ...classOf().plan,
          sessions: [
            { id: 'a', date: null, startsAt: '10:00', minutes: 90 },
            { id: 'b', date: '2026-12-12', startsAt: '10:00', minutes: 60 },
          ],
        },
      }),
    );
    const all = wordsOf(source, 'certificate');
    expect(all).toHaveLength(6);
    expect(all[1]?.text).toContain('Ines');
    expect(all[1]?.text).toContain('Sat 5 Dec 2026 and Sat 12 Dec 2026');
    expect(all[1]?.text).toContain('2 h 30');
    expect(wordsOf(boxes, 'certificate')).toEqual([]);
  });
  test('every card says something, whatever is packed', () => {
    for (const source of [boxes, sourceOf(classOf()), sourceOf(kitsOf([duo({ form: 'refill' })]))])
      for (const { card } of made(source, CARD_NAMES))
        expect(textOfBooklet(card).split('\n').length).toBeGreaterThan(3);
  });
});

describe('leaves on sheets', () => {
  const leaves = fc.array(fc.integer({ min: 1, max: 7 }), { minLength: 1, maxLength: 30 });
  const sizes = fc.record({ widthMm: fc.integer({ min: 56, max: 190 }), heightMm: fc.integer({ min: 56, max: 263 }) });
  test('all of them, inside of what is printed, none on another; a fold is between two that touch', () => {
    fc.assert(
      fc.property(leaves, sizes, fc.constantFrom('a4' as const, 'letter' as const), (counts, size, page) => {
        const places = leafPlaces(counts, page, size);
        const sheet = leafSheet(page, size);
        expect(places.map(({ length }) => length)).toEqual(counts);
        const taken = new Set<string>();
        for (const card of places)
          card.forEach(({ sheet: on, xMm, yMm, isFolded }, at) => {
            if (size.widthMm + 2 * SHEET_EDGE_MM <= sheet.widthMm) expect(xMm + size.widthMm).toBeLessThanOrEqual(sheet.widthMm - SHEET_EDGE_MM + 1e-6);
            if (size.heightMm + 2 * SHEET_EDGE_MM <= sheet.heightMm) expect(yMm + size.heightMm).toBeLessThanOrEqual(sheet.heightMm - SHEET_EDGE_MM + 1e-6);
            const key = `${on} ${Math.round((xMm - SHEET_EDGE_MM) / size.widthMm)} ${Math.round((yMm - SHEET_EDGE_MM) / size.heightMm)}`;
            expect(taken.has(key)).toBe(false);
            taken.add(key);
            const before = card[at - 1];
            expect(isFolded).toBe(before !== undefined && before.sheet === on && before.yMm === yMm && Math.abs(before.xMm + size.widthMm - xMm) < 1e-6);
          });
      }),
      { numRuns: 200 },
    );
  });
  test.each<[string, 'a4' | 'letter', { widthMm: number; heightMm: number }, number]>([
    ['a postcard', 'a4', { widthMm: 105, heightMm: 148 }, 2],
    ['one that is a little smaller', 'a4', { widthMm: 97, heightMm: 141 }, 4],
    ['the same on Letter', 'letter', { widthMm: 97, heightMm: 141 }, 2],
    ['as large as a sheet holds', 'a4', { widthMm: 190, heightMm: 263 }, 1],
  ])('%s on %s', (_what, page, size, count) => {
    const { columns, rows } = leafSheet(page, size);
    expect(columns * rows).toBe(count);
  });
}); // prettier-ignore
