import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  BLANK_STEP,
  blankPart,
  blankPattern,
  blankStep,
  checkPattern,
  comparePatterns,
  duplicateItem,
  fibresUsed,
  missingForPublishing,
  moveItem,
  type Part,
  type Pattern,
  type Step,
  strangeFibres,
} from '../../src/pattern/index.ts';
import { mm, part, pattern, shapes } from '../support/make.ts';

const step = (id: string, more: Partial<Step> = {}): Step => ({ ...BLANK_STEP, id, text: id, ...more });

describe('what may not be stored', () => {
  const rows: [name: string, pattern: Pattern, code: string, pointer: string][] = [
    ['an empty title', pattern([], { title: '  ' }), 'title_empty', '/title'],
    ['a height of nought', pattern([], { finishedHeight: mm(0) }), 'size_not_positive', '/finishedHeight'],
    ['a part without a name', pattern([part('p', shapes.ball(9), { name: '' })]), 'title_empty', '/parts/0/name'],
    ['a count of nought', pattern([part('p', shapes.ball(9), { count: 0 })]), 'number_out_of_range', '/parts/0/count'],
    ['two and a half pieces', pattern([part('p', shapes.ball(9), { count: 2.5 })]), 'not_whole', '/parts/0/count'],
    ['a count that is no number', pattern([part('p', shapes.ball(9), { count: NaN })]), 'number_out_of_range', '/parts/0/count'],
    ['a negative size', pattern([part('p', shapes.ball(-9))]), 'size_not_positive', '/parts/0/shape/diameter'],
    ['a short limb', pattern([part('p', shapes.limb(5, 9))]), 'limb_shorter_than_wide', '/parts/0/shape/length'],
    ['a step on a stranger', pattern([], { steps: [step('s', { partIds: ['x'] })] }), 'part_not_found', '/steps/0/partIds/0'],
    ['a gauge there is not', pattern([], { steps: [step('s', { needle: { by: 'gauge', gauge: 50, profile: null } })] }), 'number_out_of_range', '/steps/0/needle/gauge'],
    ['minutes under nought', pattern([], { steps: [step('s', { minutes: -1 })] }), 'number_out_of_range', '/steps/0/minutes'],
    ['an id used twice', pattern([part('p', shapes.ball(9)), part('p', shapes.ball(8), { uses: [] })]), 'id_twice', '/parts/1/id'],
  ]; // prettier-ignore
  test.each(rows)('%s', (_name, document, code, pointer) => {
    expect(checkPattern(document)).toEqual([expect.objectContaining({ code, pointer })]);
  });
  test('an unfinished draft may be stored', () => {
    const document = pattern([blankPart('p', 'Body')], { steps: [blankStep('s', undefined)] });
    expect(checkPattern(document)).toEqual([]);
    expect(checkPattern(blankPattern('Pear'))).toEqual([]);
  });
});

describe('what is missing for publishing', () => {
  test.each([
    ['no parts', pattern([]), ['no_parts']],
    ['a part that takes no wool', pattern([{ ...part('a', shapes.ball(20)), uses: [] }]), ['no_wool']],
    ['wool and no steps', pattern([part('a', shapes.ball(20))]), []],
    ['a blank part', pattern([blankPart('p', 'Body')]), ['sizes_missing', 'fibre_missing']],
    ['a coat without a fibre', pattern([part('p', shapes.ball(9), { coat: null })]), ['fibre_missing']],
    ['nothing', pattern([part('p', shapes.ball(9))]), []],
  ])('%s', (_name, document, codes) => {
    expect(missingForPublishing(document).map(({ code }) => code)).toEqual(codes);
  });
});

test('fibres are named once, in order, and those off the shelf are found with their place', () => {
  const document = pattern([
    part('a', shapes.ball(9), { core: 'x', coat: 'y' }),
    part('b', shapes.ball(9), { core: 'y' }),
  ]);
  expect(fibresUsed(document)).toEqual(['x', 'y']);
  expect(strangeFibres(document, (id) => id === 'x')).toEqual([
    { code: 'fibre_not_found', pointer: '/parts/0/uses/1/fibreId', fibreId: 'y' },
    { code: 'fibre_not_found', pointer: '/parts/1/uses/0/fibreId', fibreId: 'y' },
  ]);
});

describe('order', () => {
  const items = ['a', 'b', 'c', 'd'].map((id) => ({ id }));
  const idsAfter = (id: string, to: number) =>
    moveItem(items, id, to)
      .map((item) => item.id)
      .join('');
  test.each([
    ['b', 0, 'bacd'],
    ['a', 3, 'bcda'],
    ['a', 99, 'bcda'],
    ['d', -5, 'dabc'],
    ['x', 1, 'abcd'],
  ])('%s to %i', (id, to, expected) => {
    expect(idsAfter(id, to)).toBe(expected);
  });
  test('moving loses and doubles nothing', () => {
    fc.assert(
      fc.property(fc.constantFrom('a', 'b', 'c', 'd'), fc.integer({ min: -2, max: 6 }), (id, to) => {
        expect([...idsAfter(id, to)].sort().join('')).toBe('abcd');
      }),
    );
  });
  test('a duplicate stands right after its original and shares nothing with it', () => {
    const parts: Part[] = [part('a', shapes.ball(9)), part('b', shapes.ball(8))];
    const doubled = duplicateItem(parts, 'a', 'a2');
    expect(doubled.map(({ id }) => id)).toEqual(['a', 'a2', 'b']);
    expect(doubled[1]?.shape).toEqual(parts[0]?.shape);
    expect(doubled[1]?.shape).not.toBe(parts[0]?.shape);
  });
});

describe('two versions of one pattern', () => {
  const base = pattern([part('a', shapes.ball(9)), part('b', shapes.ball(8))], { steps: [step('s')] });
  test('the same by value are the same, whatever the order of keys', () => {
    const shuffled = JSON.parse(JSON.stringify(base, Object.keys(flatKeys(base)).reverse())) as Pattern;
    expect(comparePatterns(base, shuffled)).toEqual([]);
  });
  test.each<[string, Pattern, unknown]>([
    ['the title', { ...base, title: 'Other' }, { kind: 'heading', name: 'title', change: 'changed' }],
    ['a part', { ...base, parts: [part('a', shapes.ball(10)), part('b', shapes.ball(8))] }, { kind: 'part', name: 'a', change: 'changed' }],
    ['a part less', { ...base, parts: base.parts.slice(0, 1) }, { kind: 'part', name: 'b', change: 'only-mine' }],
    ['a step more', { ...base, steps: [step('s'), step('t')] }, { kind: 'step', name: 't', change: 'only-theirs' }],
    ['the order', { ...base, parts: [...base.parts].reverse() }, { kind: 'part', name: '', change: 'order' }],
  ])('%s', (_name, theirs, difference) => {
    expect(comparePatterns(base, theirs)).toEqual([difference]);
  }); // prettier-ignore
});

function flatKeys(value: unknown, keys: Record<string, true> = {}): Record<string, true> {
  if (value !== null && typeof value === 'object') {
    for (const [key, inner] of Object.entries(value)) {
      if (!Array.isArray(value)) keys[key] = true;
      flatKeys(inner, keys);
    }
  }
  return keys;
}
