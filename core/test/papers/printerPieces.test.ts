import { describe, expect, test } from '@jest/globals';
import {
  labelsInSize,
  makePaper,
  ROLL_SIZES,
  rollPieces,
  sheetPieces,
  sizeForLabels,
} from '../../src/papers/index.ts';
import { LABEL_SHEET } from '../../src/run/index.ts';
import { classOf, sourceOf } from '../support/coast.ts';

const paper = makePaper('labels', sourceOf(classOf({ seats: 3, sparePacks: 0 })));
const counter = () => {
  let at = 0;
  return () => `p${(at += 1)}`;
};

/** What a set of labels says, whatever they are: every fibre of every bag. */
const saidOn = (labels: readonly { readonly title: string; readonly lines: readonly { readonly text: string }[] }[]) =>
  labels.flatMap(({ title, lines }) => lines.map(({ text }) => `${title}: ${text}`)).toSorted(); // prettier-ignore

describe('labels for a printer', () => {
  test.each(ROLL_SIZES.map((size) => [`${size.widthMm} × ${size.heightMm}`, size] as const))(
    'on %s mm nothing of a bag is left off, and each label has its code and its own number',
    (_name, size) => {
      const pieces = rollPieces(paper, size, counter());
      const labels = pieces.flatMap((piece) => piece.labels);
      expect(saidOn(labels)).toEqual(saidOn(paper.labels));
      expect(new Set(pieces.map(({ id }) => id)).size).toBe(pieces.length);
      expect(labels.length).toBe(labelsInSize(paper, size));
    },
  );
  test('the size is the smallest on which each bag has all of it on one label', () => {
    const size = sizeForLabels(paper);
    const smaller = ROLL_SIZES.slice(
      0,
      ROLL_SIZES.findIndex((each) => each === size),
    );
    expect(size && labelsInSize(paper, size)).toBe(paper.labels.length);
    for (const each of smaller) expect(labelsInSize(paper, each)).toBeGreaterThan(paper.labels.length);
  });
  test('where no size has room for all of a bag it is the one that takes fewest; of nothing there is none', () => {
    const [label] = paper.labels;
    if (!label) throw new Error('a class has labels');
    const line = label.lines[0];
    if (!line) throw new Error('a label has a line');
    const crowded = { ...paper, labels: [{ ...label, lines: Array.from({ length: 80 }, () => line) }] };
    const sizes = ROLL_SIZES.slice(0, 2);
    const taken = sizes.map((size) => labelsInSize(crowded, size));
    expect(sizeForLabels(crowded, sizes)).toBe(sizes[taken.indexOf(Math.min(...taken))]);
    expect(Math.min(...taken)).toBeGreaterThan(1);
    expect(sizeForLabels({ ...paper, labels: [] })).toBeNull();
  });
  test('a sheet has as many as go on it, where they are printed', () => {
    const sheet = { ...LABEL_SHEET, rows: 2, columns: 1, used: 1 };
    const pieces = sheetPieces(paper, sheet, counter());
    const [first, second] = pieces;
    expect(first?.labels.length).toBe(1);
    expect(second?.labels.length).toBe(2);
    expect(first?.labels[0]?.yMm).toBeCloseTo(sheet.topMm + sheet.heightMm + sheet.gapDownMm, 6);
    expect(saidOn(pieces.flatMap(({ labels }) => labels))).toEqual(saidOn(paper.labels));
  });
});
