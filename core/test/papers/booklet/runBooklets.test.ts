import { describe, expect, test } from '@jest/globals';
import {
  BOOKLET_TERMS,
  bookletOf,
  runBooklets,
  type RunBookletsAsked,
  textOfBooklet,
} from '../../../src/papers/index.ts';
import { blankSeat, type RunInput } from '../../../src/run/index.ts';
import { classOf, coastDesigns, coastWool, duo, kitsOf, sourceOf } from '../../support/coast.ts';

const made = (input: RunInput, asked: RunBookletsAsked) => {
  const { toPack, plan, packs, wool } = sourceOf(input);
  return runBooklets({ designs: coastDesigns, packed: { input, toPack, plan, packs, wool }, revisionNumbers: new Map([['bird-1', 3]]), needles: [], surroundings: new Map() }, BOOKLET_TERMS.teach, asked);
}; // prettier-ignore
const titlesOf = ({ requests, booklets }: ReturnType<typeof made>) =>
  booklets.map(({ request, whose }) => `${requests[request]?.build.title} ${whose}`);

const six = classOf({
  roster: [
    { ...blankSeat(2), name: 'Ines', isLeftHanded: true },
    { ...blankSeat(3), sizeFraction: 1.5 },
  ],
});

describe('booklets of a run', () => {
  test('every seat has its own in the order they sit, what is spare last', () => {
    const all = made(six, { of: 'packs' });
    expect(all.booklets.map(({ whose }) => whose)).toEqual(['for Seat 1', 'for Ines', 'for Seat 3', 'for Seat 4', 'for Seat 5', 'for Seat 6', 'spare or shown']);
    expect(all.requests).toHaveLength(3);
  });
  test('each kind once tells how often it is printed, and for whom', () => {
    expect(made(six, { of: 'kinds' }).booklets.map(({ whose }) => whose).toSorted()).toEqual([
      '1 copy: for Ines',
      '1 copy: for Seat 3',
      '5 copies: for Seat 1, Seat 4, Seat 5, Seat 6, 1 spare or shown',
    ]);
  });
  test('of two designs in a box each has one, box by box', () => {
    const titles = titlesOf(made(kitsOf([duo({ boxes: 2, spares: 0 })]), { of: 'packs' }));
    expect(titles).toEqual(['Bird Box 1', 'Pear Box 1', 'Bird Box 2', 'Pear Box 2'].map((each) => expect.stringMatching(new RegExp(`^${each}$`, 'i'))));
  });
  test.each([1, 2, 6])('the booklet of pack %i is that of the whole file', (number) => {
    const all = made(six, { of: 'packs' });
    const alone = made(six, { of: 'pack', number });
    const [booklet] = alone.booklets;
    const place = all.booklets.find(({ whose }) => whose === booklet?.whose);
    const wordsOf = (request: (typeof all.requests)[number] | undefined) => request && textOfBooklet(bookletOf(request, coastWool));
    expect(wordsOf(alone.requests[0])?.replaceAll(/\s+/g, ' ')).toBe(wordsOf(all.requests[place?.request ?? -1])?.replaceAll(/\s+/g, ' '));
  });
  test('a pack that there is none of has none', () => {
    expect(made(six, { of: 'pack', number: 9 }).booklets).toEqual([]);
  });
}); // prettier-ignore
