import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { numbersTwice, type PatternNamed, surroundingsOf } from '../../src/pattern/index.ts';

type Named = PatternNamed['related'][number];
const named = (id: string, more: Partial<PatternNamed> = {}): PatternNamed => ({
  id,
  title: id.toUpperCase(),
  series: null,
  related: [],
  ...more,
});
const to = (relation: Named['relation'], patternId: string | null, more: Partial<Named> = {}): Named => ({
  id: `${relation}-${patternId}`,
  relation,
  patternId,
  title: 'as it was written',
  where: '',
  ...more,
});
const titles = (list: readonly { readonly title: string }[]) => list.map(({ title }) => title);

describe('what is made before, what goes with it', () => {
  const ball = named('ball');
  const pear = named('pear', { related: [to('before', 'ball', { where: 'https://felt.example/ball' })] });
  const wren = named('wren', { related: [to('before', 'pear'), to('companion', 'nest'), to('companion', null, { title: 'A twig' })] });
  const nest = named('nest', { related: [to('companion', 'wren')] });
  const all = [ball, pear, wren, nest];
  test('one that is there is called what it is called now; another as it was written', () => {
    expect(surroundingsOf(pear, all).before).toEqual([{ patternId: 'ball', title: 'BALL', where: 'https://felt.example/ball' }]);
    expect(titles(surroundingsOf(wren, all).companions)).toEqual(['NEST', 'A twig']);
    expect(titles(surroundingsOf(wren, [pear]).companions)).toEqual(['as it was written', 'A twig']);
  });
  test('companions are so both ways, each once', () => {
    expect(titles(surroundingsOf(nest, all).companions)).toEqual(['WREN']);
    expect(titles(surroundingsOf(named('twig'), [...all, named('x', { related: [to('companion', 'twig')] })]).companions)).toEqual(['X']);
  });
  test('what needs it is told', () => {
    expect(titles(surroundingsOf(ball, all).neededBy)).toEqual(['PEAR']);
    expect(surroundingsOf(nest, all).neededBy).toEqual([]);
  });
  test('what it is now counts, not what is kept of it', () => {
    const now = { ...pear, title: 'Pear, large', related: [] };
    expect(surroundingsOf(now, all).before).toEqual([]);
    expect(surroundingsOf(ball, [now, wren]).neededBy).toEqual([]);
  });
  test('itself and what has no name are left out', () => {
    const odd = named('odd', { related: [to('before', 'odd'), to('before', null, { title: ' ' })] });
    expect(surroundingsOf(odd, [])).toMatchObject({ before: [], circle: ['ODD'] });
  });
}); // prettier-ignore

describe('a series', () => {
  const of = (id: string, name: string, number: number | null) => named(id, { series: { name, number } });
  test('stands in its order, what has no number last, whoever asks', () => {
    const all = [of('c', 'Wood', 3), of('z', 'Wood', null), of('a', ' Wood', 10), of('b', 'Sea', 1), of('y', 'Wood', null)];
    const { series } = surroundingsOf(of('c', 'Wood', 3), all);
    expect(series?.members.map(({ patternId, isThis }) => [patternId, isThis])).toEqual([
      ['c', true],
      ['a', false],
      ['y', false],
      ['z', false],
    ]);
  });
  test('of a blank name is none', () => {
    expect(surroundingsOf(of('a', '  ', 1), [of('b', ' ', 2)]).series).toBeNull();
  });
  test('numbers that several have are told', () => {
    const { series } = surroundingsOf(of('a', 'Wood', 2), [of('b', 'Wood', 2), of('c', 'Wood', 1)]);
    expect(series && numbersTwice(series)).toEqual([2]);
  });
}); // prettier-ignore

describe('a circle', () => {
  /** Whether a pattern is reached from itself: over all ways of at most as many steps as there are patterns (boolean matrix powers). */
  const isReached = (edges: readonly (readonly [number, number])[], count: number): boolean => {
    let reach = edges.filter(([from]) => from === 0).map(([, end]) => end);
    for (let step = 0; step < count; step++) {
      if (reach.includes(0)) return true;
      reach = [
        ...new Set(reach.flatMap((at) => edges.filter(([from]) => from === at).map(([, end]) => end))),
      ];
    }
    return false;
  };
  test('is found where there is one, and is one', () => {
    const node = fc.integer({ min: 0, max: 5 });
    fc.assert(
      fc.property(fc.array(fc.tuple(node, node), { maxLength: 10 }), (edges) => {
        const all = Array.from({ length: 6 }, (_each, at) =>
          named(`p${at}`, { related: edges.filter(([from]) => from === at).map(([, end]) => to('before', `p${end}`)) }),
        );
        const { circle } = surroundingsOf(all[0] as PatternNamed, all);
        expect(circle !== null).toBe(isReached(edges, 6));
        circle?.forEach((title, at) => {
          const next = circle[(at + 1) % circle.length];
          expect(edges).toContainEqual([Number(title.slice(1)), Number(next?.slice(1))]);
        });
      }),
    );
  }); // prettier-ignore
});
