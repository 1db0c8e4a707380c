import { describe, expect, test } from '@jest/globals';
import {
  blankCommission,
  buildWanted,
  checkCommission,
  type CommissionInput,
  patternsAnswering,
  sizeWanted,
} from '../../src/commissions/index.ts';
import { mm, part, pattern, shapes } from '../support/make.ts';

const asked = (more: Partial<CommissionInput> = {}): CommissionInput => ({
  ...blankCommission('A hare', '2026-11-30'),
  ...more,
});

describe('what cannot be written down so', () => {
  test.each<[string, Partial<CommissionInput>, string[]]>([
    ['half of it is enough', {}, []],
    ['no name', { title: ' ' }, ['title_empty /title']],
    ['no such day', { byDay: '2026-02-30' }, ['date_not_read /byDay']],
    ['none of it', { count: 0 }, ['number_out_of_range /count']],
    ['as tall as a house', { height: { value: 9, unit: 'in' } }, []],
    ['taller than felt stands', { height: mm(9000) }, ['size_too_large /height']],
    ['no height at all', { height: mm(0) }, ['size_not_positive /height']],
    ['begun after it is wanted', { byDay: '2026-12-01', beginsOn: '2026-12-02' }, ['by_before_begin /beginsOn']],
  ])('%s', (_what, more, problems) => {
    expect(checkCommission(asked(more)).map(({ code, pointer }) => `${code} ${pointer}`)).toEqual(problems);
  }); // prettier-ignore
});

describe('as large as it is wanted', () => {
  const hare = pattern([part('body', shapes.ball(40), { core: 'chalk' })], { finishedHeight: mm(120) });
  test.each<[string, CommissionInput['height'], ReturnType<typeof sizeWanted>]>([
    ['as it is', null, { kind: 'size', fraction: 1 }],
    ['half as tall again', mm(180), { kind: 'size', fraction: 1.5 }],
    ['a hundred times', mm(1900), { kind: 'too_far', fraction: 1900 / 120 }],
  ])('%s', (_what, height, size) => {
    expect(sizeWanted({ height }, hare)).toEqual(size);
  });
  test('a pattern that does not say its height cannot be sized, and says so', () => {
    const untold = { ...hare, finishedHeight: null };
    expect(sizeWanted({ height: mm(180) }, untold)).toEqual({ kind: 'unknown' });
    expect(buildWanted({ height: mm(180) }, untold)).toBeNull();
    expect(buildWanted({ height: null }, untold)).toBe(untold);
  });
  test('a ball half as large again', () => {
    const [body] = buildWanted({ height: mm(180) }, hare)?.parts ?? [];
    expect(body?.shape).toEqual(shapes.ball(60));
  });
});

describe('which pattern answers it', () => {
  const patterns = [
    { id: 'hare', title: 'Sitting hare', others: ['ear', 'foot'] },
    { id: 'owl', title: 'Owl in a tree', others: ['wing', 'foot'] },
    { id: 'puffin', title: 'Harbour puffin', others: ['wing', 'beak'] },
  ];
  test.each<[string, string, string, string[]]>([
    ['by its title', 'A hare for a nursery', '', ['hare']],
    ['several of them', 'Two hares', '', ['hare']],
    ['by a piece, the rarer word first', 'something with a beak and wings', '', ['puffin', 'owl']],
    ['by what was said', 'a present', 'she loves owls', ['owl']],
    ['not by a word of any sentence', 'a present with some', 'in the year', []],
    ['by none', 'a dragon', 'green', []],
    ['case and accents do not matter', 'HÄRE'.replace('Ä', 'A'), '', ['hare']],
  ])('%s', (_what, title, words, ids) => {
    expect(patternsAnswering(asked({ title, words }), patterns).map(({ id }) => id)).toEqual(ids);
  });
});
