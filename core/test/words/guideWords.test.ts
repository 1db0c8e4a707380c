import { describe, expect, test } from '@jest/globals';
import { estimatePattern } from '../../src/engine/index.ts';
import { guidePieces } from '../../src/figure/index.ts';
import { blankCut, blankSegment, type Cut, type Pattern, straightOut } from '../../src/pattern/index.ts';
import { guideLines, guideSigns, guideTitle, notInGuideWords, stretchWords } from '../../src/words/index.ts';
import { WOOL } from '../support/engine.ts';
import { mm, part, pattern, shapes, use } from '../support/make.ts';
import { placement } from '../support/places.ts';
import { joined } from '../support/writing.ts';

const of = (build: Pattern) =>
  guidePieces([{ build, whole: build, estimate: estimatePattern(build, WOOL), findings: WOOL.findings }]);
const wordsOf = (build: Pattern, name: string): string[] => {
  const found = of(build).pieces.find(({ piece }) => guideTitle(piece).includes(name));
  if (!found) throw new Error(`nothing is called ${name}`);
  return [guideTitle(found.piece), ...guideLines(found.piece, build)];
};

describe('what stands under a drawing', () => {
  test('a coated ball: rolled, felted before its coat, finished; each with its line', () => {
    const words = wordsOf(pattern([part('body', shapes.ball(60), { coat: 'coat', count: 3 })]), 'body');
    expect(words[0]).toBe('1 body ×3');
    expect(words[1]).toMatch(/^Roll up to \d+ mm: dashed\.$/);
    expect(words[2]).toMatch(/^Felt to \d+ mm, before its coat: dotted\.$/);
    expect(words[3]).toBe('Finished, with its coat 60 mm: solid.');
  });
  test('no coat: felted is finished', () => {
    const words = wordsOf(pattern([part('body', shapes.limb(60, 12))]), 'body');
    expect(words.filter((line) => line.includes('solid'))).toEqual(['Felt to 60 × 12 mm: solid.']);
    expect(words.join(' ')).not.toContain('coat');
  });
  test('a flat piece with what is turned in, and none', () => {
    const flat = (margin: number) =>
      wordsOf(pattern([part('leaf', shapes.flat(50, 30, 3), { margin: mm(margin) })]), 'leaf')[1];
    expect(flat(6)).toBe('Lay out to the dashed line, 6 mm all round to turn in.');
    expect(flat(0)).toBe('Lay out to the line.');
  });
  test('deeper than it is wide, and how many nobody knows', () => {
    const words = wordsOf(pattern([part('body', shapes.ellipsoid(60, 40, 20), { count: null })]), 'body');
    expect(words[0]).toBe('1 body, how many is not said');
    expect(words.join(' ')).toContain('Beside it from the side, 20 mm deep.');
  });
  test('in inches where the pattern is, and in both where it says so', () => {
    const inches = { lengthUnit: 'in' as const };
    const ball = [part('body', shapes.ball(50.8))];
    expect(wordsOf(pattern(ball, inches), 'body').at(-1)).toBe('Felt to 2 in: solid.');
    expect(wordsOf(pattern(ball, { ...inches, showsBothUnits: true }), 'body').at(-1)).toBe(
      'Felt to 2 in (51 mm): solid.',
    );
  });
  test('wool that is laid on, and hair', () => {
    const words = (shape: Parameters<typeof part>[1]) => wordsOf(pattern([part('p', shape)]), 'p')[1];
    expect(words(shapes.patch(30, 20))).toBe('Lay it in the dashed line, 30 × 20 mm.');
    expect(words(shapes.fringe(40, 25))).toBe('Its line along the upper edge, 25 × 40 mm.');
  });
});

describe('marks', () => {
  const build = pattern(
    [
      part('body', shapes.ball(60), {
        uses: [
          use('core', 'c', 'core'),
          use('dot', 'spots', 'dark', {
            diameter: mm(5),
            count: 2,
            words: 'spots',
            placement: placement('mirror', [straightOut(30, 0.6)]),
          }),
          use('line', 'mouth', 'dark', {
            length: mm(16),
            placement: placement('each', [straightOut(0, 0.35)]),
          }),
        ],
      }),
      part('arm', shapes.limb(30, 8), { count: 2 }),
    ],
    {
      joins: [
        joined('arm', 'body', {
          looseEnd: null,
          sink: mm(3),
          slot: { length: mm(9), depth: mm(4) },
          placement: placement('mirror', [straightOut(90, 0.5)]),
        }),
      ],
    },
  );
  test('pieces by their numbers, everything else by letters, each once', () => {
    const words = wordsOf(build, 'body');
    expect(words.filter((line) => line.endsWith('joins arm.'))).toEqual(['2 here joins arm.']);
    expect(words).toContain('a dot: spots.');
    expect(words).toContain('b line.');
    expect(words).toContain('Snip a slot along the short heavy line.');
    expect(wordsOf(build, 'arm')).toContain('In its place as deep as the thin line.');
  });
  test('signs stand in the order of the marks; alike things have one letter', () => {
    const found = of(build).pieces[0]?.piece;
    const marks = found?.kind === 'part' ? found.marks : [];
    const signs = guideSigns(marks, build);
    expect(signs.filter((sign) => sign === 'a')).toHaveLength(2);
    expect(signs.filter((sign) => sign === '2')).toHaveLength(2);
    expect(signs).toHaveLength(marks.length);
  });
});

describe('what is cut', () => {
  const cutOf = (kind: Parameters<typeof blankCut>[1], more: object): Cut =>
    Object.assign(blankCut('c', kind), { name: 'thing' }, more);
  const cut = (kind: Parameters<typeof blankCut>[1], more: object) =>
    wordsOf(pattern([], { cuts: [cutOf(kind, more)] }), 'thing');
  test.each([
    ['panel', { length: mm(50), width: mm(40) }, ['Cut 40 × 50 mm: solid.']],
    ['tube-panel', { height: mm(40), diameter: mm(30) }, ['Cut 40 × 105 mm: solid.', 'Dashed: as far as this under the other edge.']],
    ['pouch-square', { base: mm(40), wall: mm(20) }, ['Cut along the solid line, fold along the dashed ones.']],
    ['cone-panel', { bottomDiameter: mm(30), topDiameter: mm(40), height: mm(25), overlap: null }, ['Cut along the solid line.', 'Arcs of 76 mm and 102 mm, 70.6°.']],
    ['cone-panel', { bottomDiameter: mm(30), topDiameter: mm(0), height: mm(25), overlap: null }, ['Cut along the solid line.', expect.stringMatching(/^An arc of 29 mm, /)]],
    ['length', { length: mm(120) }, ['Cut 120 mm.']],
  ] as const)('%s', (kind, more, lines) => {
    expect(cut(kind, more).slice(1)).toEqual(lines);
  }); // prettier-ignore
  test('a handle and a wire say where they bend', () => {
    expect(cut('handle', { diameter: mm(80), tuck: mm(12) }).at(-1)).toBe(
      '12 mm tucked in, 126 mm straight, 12 mm tucked in.',
    );
    const segments = [
      { ...blankSegment(), name: 'left leg', length: mm(60) },
      { ...blankSegment(), length: mm(30) },
    ];
    expect(cut('wire', { segments }).at(-1)).toBe(
      '8 mm curled back, 60 mm left leg, 30 mm straight, 8 mm curled back, 4 mm to spare.',
    );
    expect(stretchWords({ is: 'winding', name: '', fromMm: 0, toMm: 3 })).toBe('wound round');
  });
});

test('why something is not drawn', () => {
  const build = pattern([part('tail', { kind: 'ball', diameter: null }), part('seeds', shapes.byCount())], {
    cuts: [blankCut('w', 'length')],
  });
  expect(of(build).missing.map(notInGuideWords)).toEqual([
    '1 tail: not drawn, its size is not known yet.',
    '2 seeds: it has no size of its own.',
    'cut to a length: not drawn, its size is not known yet.',
  ]);
});
