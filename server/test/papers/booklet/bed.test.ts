import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { foldedPlaces } from '../../../src/papers/booklet/bed.ts';

/** Sheets in one pile, the outermost first, folded: what a reader comes upon, leaf by leaf. */
function readThrough(sheets: number): string[] {
  const front = (sheet: number) => 2 * sheet;
  const back = (sheet: number) => 2 * sheet + 1;
  const inward = Array.from({ length: sheets }, (_each, sheet) => [`${front(sheet)} right`, `${back(sheet)} left`]);
  const outward = Array.from({ length: sheets }, (_each, at) => [`${back(sheets - 1 - at)} right`, `${front(sheets - 1 - at)} left`]);
  return [...inward, ...outward].flat();
} // prettier-ignore

test('folded in one pile, pages are read in their order', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 80 }), (pages) => {
      const places = foldedPlaces(pages).map(({ side, isRight }) => `${side} ${isRight ? 'right' : 'left'}`);
      expect(places).toEqual(readThrough(Math.ceil(pages / 4)).slice(0, pages));
    }),
  );
});
