import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cellWords, makePaper } from '../../src/papers/index.ts';
import type { Caution, Pattern } from '../../src/pattern/index.ts';
import { blankSeat } from '../../src/run/index.ts';
import { CAUTION_NAMES } from '../../src/words/index.ts';
import { cautionsOf } from '../../src/writing/index.ts';
import { bird, classOf, coastWool, duo, kitsOf, sourceOf } from '../support/coast.ts';
import { step } from '../support/writing.ts';

/** Steps with these cautions said of them by hand. */
const withSteps = (all: readonly (readonly Caution[])[]): Pattern => ({
  ...bird,
  links: [],
  sessions: [],
  steps: all.map((added, at) =>
    step(`s${at}`, 'check', [], {
      text: 'Look at it',
      needle: { by: 'none' },
      cautions: { added: [...added], dismissed: [] },
    }),
  ),
});
const paperOf = (pattern: Pattern, more = {}) => {
  const designs = new Map([['bird-1', pattern]]);
  return makePaper('risks', sourceOf(classOf({ seats: 2, sparePacks: 0, ...more }), designs));
};
const rowsOf = (paper: ReturnType<typeof paperOf>, title: string) =>
  (paper.sections.find((each) => each.title === title)?.rows ?? []).map(({ cells, note }) => [
    ...cells.map(cellWords),
    note,
  ]);

/** `1–4, 7` as the numbers it stands for, told apart by hand. */
const numbersIn = (text: string): number[] =>
  text.split(', ').flatMap((span) => {
    const [from = 0, to = from] = span.split('–').map(Number);
    return Array.from({ length: to - from + 1 }, (_, at) => from + at);
  });

describe('risks of a class', () => {
  const cautions: readonly Caution[] = [
    'needle',
    'blade',
    'hot',
    'glue',
    'wire-end',
    'small-part',
    'allergy',
    'irreversible',
  ];
  test('each that hurts is named with just the steps it is at, and none other', () => {
    fc.assert(
      fc.property(fc.array(fc.subarray([...cautions]), { minLength: 1, maxLength: 9 }), (all) => {
        const pattern = withSteps(all);
        const told = cautionsOf(pattern, coastWool);
        const rows = rowsOf(paperOf(pattern), 'What can hurt');
        for (const caution of cautions) {
          const at = pattern.steps.flatMap(({ id }, index) =>
            told.get(id)?.includes(caution) ? [index + 1] : [],
          );
          const row = rows.find(([name]) => name === CAUTION_NAMES[caution]);
          if (at.length === 0 || caution === 'irreversible') expect(row).toBeUndefined();
          else expect(numbersIn(row?.[2] ?? '')).toEqual(at);
        }
      }),
    );
  });
  test('what is done first is there for each of them, and whose word goes before it', () => {
    const paper = paperOf(withSteps([['needle', 'hot']]));
    const first = rowsOf(paper, 'If it happens').map(([what]) => what);
    expect(first).toEqual(expect.arrayContaining(['A prick', 'A tip left in the skin', 'A burn']));
    expect(first).not.toContain('Glue on the skin');
    expect(JSON.stringify(paper)).toContain('no medical or legal advice');
  });
  test('who must not touch what is told by the seat, and by no name', () => {
    const paper = paperOf(bird, { roster: [{ ...blankSeat(2), name: 'Mara', avoids: ['lanolin'] }] });
    expect(JSON.stringify(rowsOf(paper, 'Before they sit down'))).toContain('seat 2: no');
    expect(JSON.stringify(paper)).not.toContain('Mara');
  });
  test('boxes have no room', () => {
    expect(makePaper('risks', sourceOf(kitsOf([duo()]))).sections).toEqual([]);
  });
});
