import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern } from '../../src/engine/index.ts';
import { patternFromMarkdown, patternMarkdown } from '../../src/files/index.ts';
import {
  BLANK_STEP,
  blankCut,
  checkPattern,
  type Part,
  type Pattern,
  type Step,
} from '../../src/pattern/index.ts';
import { reshape, SHAPE_KINDS, SHAPE_SIZES, type ShapeKind } from '../../src/shapes/index.ts';
import { FIRMNESSES } from '../../src/shelf/index.ts';
import { fibre, mm, part, pattern, shapes, shelf } from '../support/make.ts';

const wool = shelf(fibre('core', { name: 'Straw', arealGPerM2: 300 }), fibre('slate', { name: 'Slate' }));
const newIds = () => {
  let at = 0;
  return () => `id-${(at += 1)}`;
};
const outAndIn = (pattern: Pattern): Pattern =>
  patternFromMarkdown(patternMarkdown(pattern, estimatePattern(pattern, wool), wool, 'pattern'), newIds())
    .pattern;
const step = (id: string, more: Partial<Step> = {}): Step => ({
  ...BLANK_STEP,
  id,
  text: `Do ${id}.`,
  ...more,
});

/** What of a piece Markdown carries. */
const carried = ({ name, count, firmness, shape, exactness }: Part) => ({
  name,
  count,
  firmness,
  shape,
  exactness,
});

describe('Markdown out and in', () => {
  test('a check with its how, where it sends back to, a decision, what recalls it, a cue', () => {
    const ownPattern = pattern([part('body', shapes.ball(40))], {
      steps: [
        step('a', { partIds: ['body'], act: { kind: 'decide', question: 'Which way does the *wrap* run?', answers: ['left', 'right'] } }),
        step('b', { cue: 'it springs back', recallsStepId: 'a', checks: [{ id: 'c', look: 'the seam', how: 'against the light', pass: 'nothing shows', remedy: 'more wool', returnToStepId: 'a' }, { id: 'd', look: 'the weight', how: '', pass: '', remedy: 'start anew', returnToStepId: null }] }),
      ],
    });
    const [first, second] = outAndIn(ownPattern).steps;
    expect(first?.act).toEqual({ kind: 'decide', question: 'Which way does the *wrap* run?', answers: ['left', 'right'] });
    expect(second).toMatchObject({ text: 'Do b.', cue: 'it springs back', recallsStepId: first?.id });
    expect(second?.checks).toMatchObject([
      { look: 'the seam', how: 'against the light', pass: 'nothing shows', remedy: 'more wool', returnToStepId: first?.id },
      { look: 'the weight', how: '', pass: '', remedy: 'start anew', returnToStepId: null },
    ]);
  });
  test('cuts by their length or their sides, as they were typed', () => {
    const length = (name: string, count: number, value: number, unit: 'mm' | 'in' = 'mm') => ({ ...blankCut(name, 'length'), name, count, length: { value, unit } }) as Pattern['cuts'][number];
    const ownPattern = pattern([], {
      cuts: [length('leg wire', 2, 273.5), length('cord', 1, 6.375, 'in'), { ...blankCut('p', 'panel'), name: 'wall', count: 3, length: { value: 3, unit: 'in' }, width: mm(65) } as Pattern['cuts'][number], { ...blankCut('w', 'whisker'), name: 'whisker', count: 6, span: mm(80) } as Pattern['cuts'][number]],
    });
    expect(outAndIn(ownPattern).cuts.map((cut) => [cut.kind, cut.name, cut.count, 'length' in cut && cut.length, 'width' in cut && cut.width])).toEqual([
      ['length', 'leg wire', 2, mm(273.5), false],
      ['length', 'cord', 1, { value: 6.375, unit: 'in' }, false],
      ['panel', 'wall', 3, { value: 3, unit: 'in' }, mm(65)],
      ['length', 'whisker', 6, mm(100), false],
    ]);
  });
  test('pieces of every shape, size by size, with how exactly each is meant', () => {
    const lengths = fc.oneof(
      fc.integer({ min: 40, max: 4000 }).map((tenths) => ({ value: tenths / 10, unit: 'mm' }) as const),
      fc.integer({ min: 4, max: 200 }).map((sixteenths) => ({ value: sixteenths / 16, unit: 'in' }) as const),
    );
    const pieces = fc
      .record({
        kind: fc.constantFrom(...SHAPE_KINDS.filter((kind) => kind !== 'flat-outline')),
        name: fc.constantFrom('Body', 'Left *wing*', 'Ear; inner', 'Horn 2'),
        count: fc.oneof(fc.integer({ min: 1, max: 60 }), fc.constant({ low: 24, high: 32 })),
        firmness: fc.constantFrom(...FIRMNESSES),
        sizes: fc.array(fc.option(lengths, { nil: null }), { minLength: 3, maxLength: 3 }),
        is: fc.constantFrom('exact', 'free', null),
      })
      .map(({ kind, sizes, is, ...more }): Part => {
        const names = SHAPE_SIZES[kind as ShapeKind];
        const shape = { ...reshape({ kind: 'by-count' }, kind), ...Object.fromEntries(names.map((name, at) => [name, sizes[at] ?? null])) };
        const [first] = names;
        const isSaid = first !== undefined && is !== null && sizes[0] !== null;
        return { ...part('p', shape), ...more, exactness: isSaid ? [{ size: first, is }] : [] };
      });
    fc.assert(
      fc.property(pieces, fc.boolean(), (piece, showsBothUnits) => {
        const again = outAndIn(pattern([piece], { showsBothUnits }));
        expect(again.parts.map(carried)).toEqual([carried(piece)]);
      }),
      { numRuns: 150 },
    );
  });
  test('a list within a step stays in it, and no line of ours becomes a step', () => {
    const ownPattern = pattern([part('body', shapes.ball(40), { coat: 'slate' })], {
      title: 'A & *b*',
      steps: [step('a', { text: 'Take both:\n- the left\n- the right', partIds: ['body'], repeat: { times: 2, notes: ['left', 'right'] } }), step('b', { partIds: ['body'], stage: 'coat' })],
    });
    const again = outAndIn(ownPattern);
    expect(again.title).toBe('A & *b*');
    expect(again.steps.map(({ text, stage }) => [text, stage])).toEqual([['Take both:\n- the left\n- the right', 'core'], ['Do b.', 'coat']]);
    expect(checkPattern(again)).toEqual([]);
  });
  test.each([
    ['somebody’s own list', '# Bear\n\n- Roll it\n- Felt it\n', ['Roll it', 'Felt it'], 0],
    ['numbers in brackets', '# Bear\n\n## Steps\n\n1) Roll\n2) Felt\n', ['Roll', 'Felt'], 0],
    ['a heading called Pieces that is not ours', '# Bear\n\n## Pieces\n\nTwo ears\n\n## Steps\n\n1. Roll\n', ['Roll'], 0],
    ['what we wrote before 0.7', '# Bear\n\n## Core\n\n1. Roll\n   **Check** the size: it fits If not: more\n   Stop or change: it springs back\n   You decided in step 1: left\n2. Felt\n', ['Roll', 'Felt'], 0],
    ['a mark of ours before any step is words like others, for who begins', '**Check:** nothing\n\n1. Roll\n', ['Roll'], 0],
  ])('of other texts: %s', (_name, text, texts, parts) => {
    const read = patternFromMarkdown(text, newIds()).pattern;
    expect(read.steps.map((readStep) => readStep.text)).toEqual(texts);
    expect(read.parts).toHaveLength(parts);
  });
}); // prettier-ignore

describe('plain text without any marks of Markdown', () => {
  const read = (text: string) => patternFromMarkdown(text, counter()).pattern;
  const counter = () => {
    let next = 0;
    return () => `id${(next += 1)}`;
  };
  test.each<[string, string, string, string, readonly string[]]>([
    ['its first line alone is the title, what stands before the numbers goes before', 'Little owl\n\nFor a morning.\n\n1. Roll it.\n2) Felt it.\n', 'Little owl', 'For a morning.', ['Roll it.', 'Felt it.']],
    ['paragraphs are steps', 'OWL\r\n\r\nRoll it tight.\r\n\r\nFelt it.\r\n', 'OWL', '', ['Roll it tight.', 'Felt it.']],
    ['a first line that is a sentence is a step', 'Roll it tight.\n\nFelt it.\n', 'Brought in', '', ['Roll it tight.', 'Felt it.']],
    ['a first line that goes on is a step', 'Roll it\ntight and felt it\n\nTurn it.\n', 'Brought in', '', ['Roll it\ntight and felt it', 'Turn it.']],
    ['bullets at once', 'A fish\n- Roll it\n- Felt it\n', 'A fish', '', ['Roll it', 'Felt it']],
    ['a preface that has no room before the steps stays among them', `${'Long '.repeat(130).trim()}\n\n1. Roll it\n`, 'Brought in', '', ['Long '.repeat(130).trim(), 'Roll it']],
    ['a line alone is a step, for it is all there is', 'Roll it\n', 'Brought in', '', ['Roll it']],
  ])('%s', (_what, text, title, prerequisites, steps) => {
    const pattern = read(text);
    expect([pattern.title, pattern.prerequisites]).toEqual([title, prerequisites]);
    expect(pattern.steps.map((step) => step.text.replaceAll(/\s+/g, ' '))).toEqual(steps.map((each) => each.replaceAll(/\s+/g, ' ')));
  });
}); // prettier-ignore
