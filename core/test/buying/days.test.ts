import { describe, expect, test } from '@jest/globals';
import { BUYING_TERMS, checkBuyingTerms, orderBy, prepareBy } from '../../src/buying/index.ts';

const terms = { ...BUYING_TERMS, hoursADay: 3, restDays: [0], marginDays: 0 };

describe('the day by which goods have to be there', () => {
  test.each([
    // 2027-02-06 is a Saturday.
    ['nothing to prepare', '2027-02-06', false, 0, terms, '2027-02-06'],
    ['three hours on the day before', '2027-02-06', false, 180, terms, '2027-02-05'],
    ['a minute more is another day', '2027-02-06', false, 181, terms, '2027-02-04'],
    ['over a Sunday', '2027-02-08', false, 180, terms, '2027-02-06'],
    [
      'over holidays',
      '2027-02-06',
      false,
      180,
      { ...terms, holidays: [{ from: '2027-02-02', to: '2027-02-05', name: 'away' }] },
      '2027-02-01',
    ],
    ['posted four days before', '2027-02-06', true, 180, { ...terms, postDays: 4 }, '2027-02-01'],
    ['with a margin', '2027-02-06', false, 180, { ...terms, marginDays: 2 }, '2027-02-03'],
    [
      'where the margin falls on a day of rest',
      '2027-02-09',
      false,
      180,
      { ...terms, marginDays: 1 },
      '2027-02-06',
    ],
    ['over a leap day', '2028-03-01', false, 180, terms, '2028-02-29'],
  ] as const)('%s', (_name, date, isPosted, minutes, given, wanted) => {
    expect(prepareBy({ date, isPosted }, minutes, { ...given, restDays: [...given.restDays] } as never)).toBe(
      wanted,
    );
  });

  test('where every day is a holiday it comes to an end', () => {
    const away = { ...terms, holidays: [{ from: '1990-01-01', to: '2090-01-01', name: '' }] };
    expect(prepareBy({ date: '2027-02-06', isPosted: false }, 60, away) < '2027-02-06').toBe(true);
  });

  test('ordered so many days before; where nobody says how long it takes, nobody knows by when', () => {
    expect(orderBy('2027-03-02', 5)).toBe('2027-02-25');
    expect(orderBy('2027-03-02', null)).toBeNull();
  });

  test('what is wrong with what was typed is said where it is', () => {
    const wrong = {
      ...terms,
      hoursADay: 0,
      holidays: [
        { from: '2027-02-30', to: '2027-03-01', name: '' },
        { from: '2027-03-05', to: '2027-03-01', name: '' },
      ],
    };
    expect(checkBuyingTerms(wrong).map(({ code, pointer }) => [code, pointer])).toEqual([
      ['number_out_of_range', '/hoursADay'],
      ['day_not_read', '/holidays/0/from'],
      ['days_reversed', '/holidays/1/to'],
    ]);
  });
});
