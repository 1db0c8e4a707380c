import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { blankMakingPiece, blankMakingStep, fillIn, makingTable } from '../../src/logbook/index.ts';
import { bag, making } from '../support/makings.ts';

const NAMES = {
  line: (id: string) => `wool ${id}`,
  piece: (id: string) => `piece ${id}`,
  step: (id: string) => `=step ${id}`,
};
const EMPTY = making('m', {
  lines: [bag('a', 'core', 0, 0, { beforeG: null, afterG: null })],
  pieces: [blankMakingPiece('p')],
  steps: [blankMakingStep('s')],
});
const HEAD =
  'What,Key,Name,Before (g),After (g),Came to it (g),Pulled off (g),Rolled across (mm),Felted across (mm),Finished (mm),Weighs (g),Minutes';

const grams = fc.option(fc.integer({ min: 0, max: 500_000 }).map((milli) => milli / 1000));

describe('a page as a table', () => {
  test('filled in by hand it is what was filled in: read back it is the same, whatever was', () => {
    fc.assert(
      fc.property(grams, grams, grams, grams, grams, (beforeG, afterG, massG, minutes, wholeG) => {
        const full = making('m', {
          ...EMPTY,
          lines: [bag('a', 'core', 0, 0, { beforeG, afterG })],
          pieces: [blankMakingPiece('p', { massG, rolledMm: 30 })],
          steps: [blankMakingStep('s', { minutes })],
          wholeG,
        });
        expect(fillIn(EMPTY, makingTable(full, NAMES)).making).toEqual(full);
      }),
    );
  });
  test('a spreadsheet of another country fills it in as well', () => {
    const csv = `${HEAD.replaceAll(',', ';')}\nwool;a;;50,5;41,25;;;;;;;\nstep;s;;;;;;;;;;12,5\n`;
    const { making: filled, taken, unread } = fillIn(EMPTY, csv);
    expect(filled.lines[0]).toMatchObject({ beforeG: 50.5, afterG: 41.25, addedG: null });
    expect(filled.steps[0]?.minutes).toBe(12.5);
    expect([taken, unread]).toEqual([2, []]);
  });
  test('what is empty leaves what stands on the page', () => {
    const page = making('m', { ...EMPTY, lines: [bag('a', 'core', 50, 40)] });
    expect(fillIn(page, `${HEAD}\nwool,a,,,38,,,,,,,\n`).making.lines[0]).toMatchObject({
      beforeG: 50,
      afterG: 38,
    });
  });
  test.each([
    ['a row of nothing on the page', 'wool,zz,,1,1,,,,,,,', { line: 2, code: 'not_on_page', key: 'zz' }],
    ['a kind nobody knows', 'glue,a,,1,1,,,,,,,', { line: 2, code: 'not_on_page', key: 'a' }],
    ['a number that is none', 'wool,a,,much,41,,,,,,,', expect.objectContaining({ line: 2, code: 'cells' })],
  ])('%s is told with its line, and the rest is taken', (_, row, unread) => {
    const filled = fillIn(EMPTY, `${HEAD}\n${row}\nstep,s,,,,,,,,,,9\n`);
    expect(filled.unread).toEqual([unread]);
    expect(filled.making.steps[0]?.minutes).toBe(9);
  });
});
