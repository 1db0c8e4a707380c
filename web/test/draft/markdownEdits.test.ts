import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { bold, bulleted, linked, plainText } from '../../src/draft/markdownEdits.ts';

/** A text with a selection in it, written with | at both its ends. */
function marked(text: string) {
  const [before = '', inside = '', after = ''] = text.split('|');
  return { text: before + inside + after, from: before.length, to: before.length + inside.length };
}

const words = fc.stringMatching(/^[a-z ,.]{0,20}$/);
const selections = fc.tuple(words, words, words).map(([before, inside, after]) => ({
  text: before + inside + after,
  from: before.length,
  to: before.length + inside.length,
}));

describe('bold', () => {
  test.each([
    ['a word', 'felt it |firm| all round', 'felt it **firm** all round'],
    ['nothing selected', 'felt |it'.replace('|', '||'), 'felt ****it'],
    ['what is bold already', 'felt it **|firm|** all round', 'felt it firm all round'],
    ['a star beside it is not bold', 'felt *|it|*', 'felt ***it***'],
  ])('%s', (_name, before, after) => {
    expect(bold(marked(before))).toBe(after);
  });
  test('twice is as before', () => {
    fc.assert(
      fc.property(selections, (selected) => {
        const { from, to } = selected;
        expect(bold({ text: bold(selected), from: from + 2, to: to + 2 })).toBe(selected.text);
      }),
    );
  });
});

describe('a list', () => {
  test.each([
    ['one line', '|roll it|', '- roll it'],
    ['wherever in the line the hand is', 'roll i||t', '- roll it'],
    ['several lines, each an item', 'ro|ll it\nfelt| it', '- roll it\n- felt it'],
    ['only the lines that are selected', 'first\n\n|second|\nthird', 'first\n\n- second\nthird'],
    ['after a sentence it is a paragraph of its own', 'Take:\n|chalk|', 'Take:\n\n- chalk'],
    ['what is a list already is none afterwards', '|- roll it\n- felt it|', 'roll it\nfelt it'],
    ['half a list becomes one altogether', '|- roll it\nfelt it|', '- - roll it\n- felt it'],
  ])('%s', (_name, before, after) => {
    expect(bulleted(marked(before))).toBe(after);
  });
  test('twice is as before, where it stood by itself', () => {
    const lines = fc.array(fc.stringMatching(/^[a-z]{1,8}$/), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(lines, (ownLine) => {
        const text = ownLine.join('\n');
        const list = bulleted({ text, from: 0, to: text.length });
        expect(list.split('\n')).toEqual(ownLine.map((line) => `- ${line}`));
        expect(bulleted({ text: list, from: 0, to: list.length })).toBe(text);
      }),
    );
  });
});

test.each([
  ['on what is selected', 'as in |step 3|', 'as in [step 3](#s3)'],
  ['on nothing, by its name', 'as in ||', 'as in [Roll the body](#s3)'],
])('a link %s', (_name, before, after) => {
  expect(linked(marked(before), 'Roll the body', '#s3')).toBe(after);
});

describe('in one line', () => {
  test.each([
    ['bold', 'felt it **firm**', 'felt it firm'],
    ['a link', 'see [step 3](#s3) first', 'see step 3 first'],
    ['a list', 'Take:\n\n- chalk\n- moss', 'Take: · chalk · moss'],
    ['what is only a star', '5 * 4 mm', '5 * 4 mm'],
  ])('%s', (_name, markdown, plain) => {
    expect(plainText(markdown)).toBe(plain);
  });
  test('whatever was made bold or linked reads as before', () => {
    fc.assert(
      fc.property(selections, (selected) => {
        fc.pre(selected.text.slice(selected.from, selected.to).trim() !== '');
        expect(plainText(bold(selected))).toBe(plainText(selected.text));
        expect(plainText(linked(selected, 'name', '#s'))).toBe(plainText(selected.text));
      }),
    );
  });
});
