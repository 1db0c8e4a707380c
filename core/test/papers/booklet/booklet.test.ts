import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern } from '../../../src/engine/index.ts';
import {
  type Block,
  BOOKLET_ENDS,
  BOOKLET_PARTS,
  BOOKLET_TERMS,
  bookletOf,
  guideOf,
  missingInBooklet,
  type BookletTerms,
  textOfBlock,
  textOfBooklet,
  troublesOf,
} from '../../../src/papers/index.ts';
import { BLANK_STEP, OWN_RIGHTS, type Pattern } from '../../../src/pattern/index.ts';
import { piecesToMake } from '../../../src/reading/index.ts';
import { pieceLines } from '../../../src/words/index.ts';
import { bird, coastWool } from '../../support/coast.ts';
import { part, pattern, shapes } from '../../support/make.ts';
import { booklet, request, spaced } from '../../support/bookletRequest.ts';

const blocksOf = (made: ReturnType<typeof booklet>) => made.parts.flatMap(({ blocks }) => blocks);
const stepsIn = (made: ReturnType<typeof booklet>) =>
  blocksOf(made).filter((block): block is Extract<Block, { is: 'step' }> => block.is === 'step');

describe('a pattern as a booklet', () => {
  test('has every step in its order, with its words, its needle and its time', () => {
    const steps = stepsIn(booklet());
    expect(steps.map(({ number }) => number)).toEqual(bird.steps.map((_step, at) => at + 1));
    steps.forEach((step, at) => {
      const text = spaced(textOfBlock(step).join(' '));
      expect(text).toContain(bird.steps[at]?.text ?? '');
      const minutes = bird.steps[at]?.minutes;
      if (typeof minutes === 'number') expect(text).toContain(`${minutes} min`);
    });
  });
  test('tells every piece as it is told on the screen, line by line', () => {
    const pieces = blocksOf(booklet()).filter((block) => block.is === 'piece');
    const told = piecesToMake(bird, bird, estimatePattern(bird, coastWool), coastWool);
    expect(pieces).toHaveLength(told.length);
    told.forEach((piece, at) => {
      const text = spaced(textOfBlock(pieces[at] as Block).join(' '));
      for (const line of pieceLines(piece, bird, coastWool))
        expect(text).toContain(spaced(line.kind === 'wool' ? line.grams : line.text));
    });
  });
  test('names every fibre it takes with its grams, and every bought thing', () => {
    const text = spaced(textOfBooklet(booklet()));
    for (const { fibreId } of estimatePattern(bird, coastWool).fibres)
      expect(text).toContain(coastWool.fibres.get(fibreId)?.name ?? 'missing');
    for (const { findingId } of bird.findings)
      expect(text).toContain(coastWool.findings.get(findingId ?? '')?.name ?? 'missing');
  });
  test('has what is chosen, in the order it is chosen in, and nothing twice', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([...BOOKLET_PARTS]), (parts) => {
        const anchors = booklet(bird, { parts }).parts.filter(({ within }) => within === null).map(({ anchor }) => anchor);
        expect(anchors).toEqual(parts.filter((name) => anchors.includes(name)));
        expect(new Set(anchors).size).toBe(anchors.length);
      }),
      { numRuns: 15 },
    );
  }); // prettier-ignore
  test('every link to a step or a piece leads to one that is there', () => {
    const made = booklet(bird);
    const anchors = new Set([
      ...made.parts.map(({ anchor }) => anchor),
      ...blocksOf(made).flatMap((block) => ('anchor' in block ? [block.anchor] : [])),
    ]);
    const links = JSON.stringify(made.parts).match(/"to":"([^"]+)"/g) ?? [];
    expect(links.length).toBeGreaterThan(0);
    for (const link of links) expect(anchors).toContain(/"to":"([^"]+)"/.exec(link)?.[1]);
  }); // prettier-ignore
  test('words are explained that stand in it, and no others', () => {
    const glossary = (parts: BookletTerms['parts']) =>
      booklet(bird, { parts }).parts.find(({ anchor }) => anchor === 'glossary');
    expect(spaced(textOfBlock(glossary(['pieces', 'glossary'])?.blocks[0] as Block).join(' '))).toContain(
      'Core',
    );
    expect(glossary(['glossary'])).toBeUndefined();
  });
  test.each(BOOKLET_ENDS)('to %s it is whole, and reads as its reader holds it', (end) => {
    const made = bookletOf({ ...request(), terms: BOOKLET_TERMS[end] }, coastWool);
    expect(made.parts.map(({ title }) => title)).toContain(end === 'teach' ? 'In the bag' : 'You need');
    expect(stepsIn(made)).toHaveLength(bird.steps.length);
  });
  test('the figure together is drawn on its front, and pictures are there once each', () => {
    const made = booklet({ ...bird, drawnStepIds: bird.steps.map(({ id }) => id) });
    expect(made.pictures[made.figureKey ?? '']).toMatchObject({ from: 'drawing' });
    for (const { pictures } of stepsIn(made))
      for (const { key, alt } of pictures) {
        expect(made.pictures[key]).toBeDefined();
        expect(alt).not.toBe('');
      }
    expect(Object.keys(booklet(bird, { hasPictures: false }).pictures)).toEqual(['figure']);
  });
});

describe('an author’s Markdown', () => {
  const stepOf = (text: string) => {
    const [first] = stepsIn(booklet({ ...bird, joins: [], sessions: [], steps: bird.steps.slice(0, 1).map((step) => ({ ...step, text })) }));
    return first?.blocks ?? [];
  };
  test.each<[string, string, readonly object[]]>([
    ['strong words', 'Roll it **tight**.', [{ is: 'words', words: [{ text: 'Roll it ' }, { text: 'tight', isStrong: true }, { text: '.' }] }]],
    ['slanted words', '_Not_ yet', [{ is: 'words', words: [{ text: 'Not', isSlanted: true }, { text: ' yet' }] }]],
    ['a list', '- one\n- two', [{ is: 'list', isNumbered: false, items: [[{ text: 'one' }], [{ text: 'two' }]] }]],
    ['numbers', '1. one\n2. two', [{ is: 'list', isNumbered: true }]],
    ['no markup of its own', 'a <b>b</b>', [{ is: 'words', words: [{ text: 'a <b>b</b>' }] }]],
  ])('%s', (_what, text, blocks) => {
    expect(stepOf(text).slice(0, blocks.length)).toMatchObject(blocks);
  });
}); // prettier-ignore

describe('what may go wrong', () => {
  const ids = (build: Parameters<typeof troublesOf>[0]) => troublesOf(build).map(({ id }) => id);
  test('a bare ball has no coat to show through, no legs to wobble and no face', () => {
    const ball = pattern([part('ball', shapes.ball(40), { core: 'chalk' })]);
    expect(ids(ball)).toEqual(['thin', 'baggy', 'ridges', 'dents']);
  });
  test('a coat can be bare, a flat piece curls, eyes can be crooked', () => {
    const figure = pattern(
      [
        part('body', shapes.ball(40), { core: 'chalk', coat: 'slate' }),
        part('fin', shapes.flat(30, 20, 4), { core: 'slate' }),
      ],
      { findings: [{ id: 'e', findingId: 'eye', partId: 'body', count: 2, placement: null }] },
    );
    expect(ids(figure)).toEqual(expect.arrayContaining(['bare', 'curls', 'crooked']));
  });
});

test('a step without words keeps its number, and is told as missing', () => {
  const bare = {
    ...bird,
    steps: bird.steps.map((step, at) =>
      at === 1
        ? {
            ...step,
            text: ' ',
            act: BLANK_STEP.act,
            partIds: [],
            joinIds: [],
            cue: '',
            checks: [],
            repeat: null,
          }
        : step,
    ),
  };
  const [, second] = stepsIn(booklet(bare));
  expect(second?.number).toBe(2);
  expect(textOfBlock(second as Block).join(' ')).toContain('Nothing is said of it yet.');
  expect(missingInBooklet(bare, BOOKLET_TERMS.sell)).toContainEqual({ kind: 'no-words', steps: [2] });
});

describe('what may be in it besides', () => {
  const techniques = [
    {
      id: 'u1',
      techniqueId: 't',
      name: 'Wound limb',
      version: 2,
      partIds: ['leg'],
      values: [],
      rights: { ...OWN_RIGHTS, credit: 'After a drawing of the demo' },
    },
    {
      id: 'u2',
      techniqueId: 't',
      name: 'Wound limb',
      version: 2,
      partIds: ['wing'],
      values: [],
      rights: OWN_RIGHTS,
    },
    {
      id: 'u3',
      techniqueId: 'other',
      name: 'Never used',
      version: 1,
      partIds: [],
      values: [],
      rights: OWN_RIGHTS,
    },
  ];
  const taught: Pattern = {
    ...bird,
    techniques,
    steps: bird.steps.map((step, at) => ({
      ...step,
      technique: at === 1 ? { useId: 'u1', index: 0 } : at === 3 ? { useId: 'u2', index: 0 } : null,
    })),
  };
  test('a technique is printed whole once, with every step it is used in; each of those leads to it', () => {
    const made = booklet(taught);
    const [told] = made.parts.filter(({ anchor }) => anchor === 'techniques');
    expect(told?.blocks.filter(({ is }) => is === 'heading')).toHaveLength(1);
    const text = told?.blocks.flatMap(textOfBlock).join('\n') ?? '';
    expect(text).toContain(taught.steps[1]?.text);
    expect(text).toContain('In step 2; step 4');
    expect(text).toContain('After a drawing of the demo');
    const leading = stepsIn(made).filter(({ blocks }) =>
      JSON.stringify(blocks).includes('"to":"technique-t"'),
    );
    expect(leading.map(({ number }) => number)).toEqual([2, 4]);
  });
  test('left out, it is neither printed nor led to', () => {
    expect(textOfBooklet(booklet(taught, { parts: ['steps'] }))).not.toContain('Wound limb');
  });
  test('the guide in it is the guide itself, in words that say how to print it', () => {
    const made = booklet(bird, { parts: ['guide'], page: 'letter' });
    const [sheets] = blocksOf(made).filter((block) => block.is === 'sheets');
    const guide = guideOf(
      { title: `${bird.title}: guide at true size`, builds: [{ build: bird, whole: bird, forWhom: '' }] },
      coastWool,
      'letter',
    );
    expect(sheets?.is === 'sheets' && sheets.sheets).toEqual(guide.pages);
    expect(textOfBooklet(made)).toContain('of Letter at true size');
  });
  test('both units: every size of a piece has the other beside it, and a fraction of an inch is right', () => {
    const sizes = (hasBothUnits: boolean) =>
      blocksOf(booklet(bird, { parts: ['pieces'], hasBothUnits }))
        .flatMap(textOfBlock)
        .join('\n');
    expect(sizes(false)).not.toMatch(/\bin\b\)/);
    const told = [
      ...spaced(sizes(true)).matchAll(
        /(?<![×\d.–] ?)(\d+) mm[^(\n]*\((\d+)? ?(?:(\d+)\/(\d+)|([¼½¾⅛⅜⅝⅞]))? ?in/g,
      ),
    ];
    expect(spaced(sizes(true))).toMatch(/mm.*\(.*in.*\)/);
    for (const [, mm, whole = '0', over, under] of told) {
      if (over === undefined) continue;
      expect(Math.abs(Number(whole) + Number(over) / Number(under) - Number(mm) / 25.4)).toBeLessThanOrEqual(
        1 / 16,
      );
    }
  });
});
