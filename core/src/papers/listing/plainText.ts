import type { Block, Booklet, Words } from '../booklet/model.ts';

const wordsOf = (words: Words): string =>
  words
    .map(({ text }) => text)
    .join('')
    .replaceAll('\u00A0', ' ');

/** A booklet as text that is pasted anywhere: headings on lines of their own, dashes before what is listed. */
export const plainText = ({ title, whose, lines, parts }: Booklet): string =>
  [
    [title, whose, ...lines].filter((line) => line !== '').join('\n'),
    ...parts.map((part) => [part.title.toUpperCase(), ...part.blocks.flatMap(linesOf)].filter((line) => line !== '').join('\n')),
  ].join('\n\n') + '\n'; // prettier-ignore

function linesOf(block: Block): string[] {
  switch (block.is) {
    case 'words':
      return [wordsOf(block.words)];
    case 'heading':
      return ['', block.text];
    case 'list':
      return block.items.map((words, at) => `${block.isNumbered ? `${at + 1}.` : '–'} ${wordsOf(words)}`);
    case 'facts':
      return block.rows.map(({ label, words }) => `${label}: ${wordsOf(words)}`);
    case 'table':
      return block.rows.map(
        ({ cells }) =>
          `– ${cells
            .map(({ words }) => wordsOf(words).replaceAll('\n', ', '))
            .filter((words) => words !== '')
            .join(', ')}`,
      );
    case 'pictures':
      return block.pictures.map(({ alt }) => `– ${alt}`);
    case 'caution':
      return [`– ${block.name}. ${block.words}`];
    case 'boxes':
      return block.boxes.map(({ words }) => `☐ ${words}`);
    case 'sheets':
      return [];
    case 'step':
      return [`${block.number}. ${block.blocks.flatMap(linesOf).join(' ')}`];
    case 'piece':
      return [`${block.number} ${block.title}`, ...block.blocks.flatMap(linesOf)];
  }
}
