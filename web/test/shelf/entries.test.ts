import { describe, expect, test } from '@jest/globals';
import { BLANK_FIBRE, BLANK_NEEDLE, blankLot, type Fibre } from '@lanakit/core/shelf';
import {
  fibreEntry,
  groupsOf,
  inOrder,
  lookThrough,
  needleEntry,
  type Entry,
  type Looking,
} from '../../src/shelf/entries.ts';

const fibre = (name: string, more: Partial<Fibre> = {}, promisedG = 0): Entry =>
  fibreEntry(
    { ...BLANK_FIBRE, id: name, version: 1, name, lots: [], onHandG: null, peakG: 0, ...more },
    promisedG,
  );
const lot = (place: string) => ({ ...blankLot('spring'), id: place, version: 1, onHandG: 5, place });

const shelf = [
  fibre('Moss', { otherNames: ['olive'], colour: '#6b7d36', onHandG: 18, lots: [lot('drawer 10')] }, 20),
  fibre('Chalk', {
    preparation: 'tops',
    otherNames: ['roving'],
    colour: '#efe9dc',
    onHandG: 58,
    lots: [lot('drawer 2')],
  }),
  fibre('Buoy red', { colour: '#b3262b', kind: 'hill cross' }),
  fibre('Gone', { archived: true, onHandG: 3 }),
];
const looking: Looking = {
  text: '',
  shown: 'all',
  sorts: [],
  sortBy: 'name',
  isDescending: false,
  groupBy: 'none',
};
const names = (entries: readonly Entry[]) => entries.map(({ name }) => name);

describe('looking through the shelf', () => {
  test.each<[string, Partial<Looking>, string[]]>([
    ['everything in use', {}, ['Buoy red', 'Chalk', 'Moss']],
    ['by another name', { text: 'OLIVE' }, ['Moss']],
    ['by its place', { text: 'drawer 2' }, ['Chalk']],
    ['every word must be there', { text: 'hill red' }, ['Buoy red']],
    ['words that no one thing has', { text: 'hill olive' }, []],
    ['short for what runs will take', { shown: 'short' }, ['Moss']],
    ['never counted', { shown: 'uncounted' }, ['Buoy red']],
    ['archived', { shown: 'archived' }, ['Gone']],
    ['of one sort', { sorts: ['tops'] }, ['Chalk']],
  ])('%s', (_name, change, expected) => {
    const wanted = { ...looking, ...change };
    expect(names(lookThrough(inOrder(shelf, wanted), wanted))).toEqual(expected);
  });
  test.each<[string, Partial<Looking>, string[]]>([
    ['most wanted', { sortBy: 'promised', isDescending: true }, ['Moss', 'Buoy red', 'Chalk', 'Gone']],
    ['least first, and the unknown before it', { sortBy: 'onHand' }, ['Buoy red', 'Gone', 'Moss', 'Chalk']],
    ['round the colour circle, greys first', { sortBy: 'colour' }, ['Chalk', 'Gone', 'Buoy red', 'Moss']],
    ['by place, drawer 2 before drawer 10', { sortBy: 'place' }, ['Buoy red', 'Gone', 'Chalk', 'Moss']],
  ])('in order: %s', (_name, change, expected) => {
    expect(names(inOrder(shelf, { ...looking, ...change }))).toEqual(expected);
  });
});

test('on shelves: every thing on one, in its order', () => {
  const groups = groupsOf(inOrder(shelf, looking), 'place');
  expect(groups.map(({ name }) => name)).toEqual(['drawer 2', 'drawer 10', 'no place yet']);
  expect(groups.flatMap(({ entries }) => entries)).toHaveLength(shelf.length);
  expect(groupsOf(shelf, 'none')).toHaveLength(1);
});

test('a needle of unknown gauge and reach stands on the shelf by what is known of it', () => {
  const needle = { ...BLANK_NEEDLE, id: 'n', version: 1, sizeWord: 'large', onHand: 3, peak: 3 };
  expect(needleEntry(needle, undefined)).toMatchObject({
    name: 'large',
    sub: 'reach unknown',
    unit: 'piece',
  });
});
