import type { PageSize } from '../../run/index.ts';
import type { GuidePage } from '../guide/guidePage.ts';
import type { Swatch } from '../paper.ts';

/** Words in one hand: plain, strong, or leading somewhere in the same booklet. */
export interface TextRun {
  readonly text: string;
  readonly isStrong?: true;
  readonly isSlanted?: true;
  /** An anchor of the booklet, or an address in the web; what it leads to may be left out, and it is plain then. */
  readonly to?: string;
}
export type Words = readonly TextRun[];

/** Nothing else is ever followed: a pattern may come from anybody. */
export const isWebAddress = (to: string): boolean => /^https?:\/\/[^\s]+$/.test(to);

/** What is drawn or was photographed. */
export interface BookletPicture {
  /** In the booklet’s pictures. */
  readonly key: string;
  /** Said instead of it. */
  readonly alt: string;
  readonly caption: string;
}

interface FactRow {
  readonly label: string;
  readonly swatch: Swatch | null;
  readonly words: Words;
}

export interface BookletCell {
  readonly words: Words;
  readonly swatch: Swatch | null;
}

interface TickBox {
  /** What is beside it; empty: nothing. */
  readonly words: string;
}

export type Block =
  | { readonly is: 'words'; readonly words: Words; readonly tone: 'plain' | 'quiet' }
  | { readonly is: 'heading'; readonly text: string; readonly anchor: string | null }
  | { readonly is: 'list'; readonly items: readonly Words[]; readonly isNumbered: boolean }
  | { readonly is: 'facts'; readonly rows: readonly FactRow[] }
  | {
      readonly is: 'table';
      /** Said of it to whoever cannot see it. */
      readonly about: string;
      readonly columns: readonly { readonly title: string; readonly isNumber: boolean }[];
      readonly rows: readonly { readonly cells: readonly BookletCell[]; readonly hasBox: boolean }[];
    }
  | { readonly is: 'pictures'; readonly pictures: readonly BookletPicture[] }
  | { readonly is: 'caution'; readonly name: string; readonly words: string }
  | { readonly is: 'boxes'; readonly boxes: readonly TickBox[] }
  | SheetsBlock
  | StepBlock
  | PieceBlock;

/** Pages at true size: each is a page of its own wherever it is printed. */
interface SheetsBlock {
  readonly is: 'sheets';
  readonly anchor: string;
  /** Said instead of each. */
  readonly about: string;
  readonly page: PageSize;
  readonly sheets: readonly GuidePage[];
}

/** A step: its number hangs beside its words, and it is never parted from its cautions and pictures. */
interface StepBlock {
  readonly is: 'step';
  readonly anchor: string;
  readonly number: number;
  /** Needle, stroke, depth, time. */
  readonly marks: readonly string[];
  readonly cautions: readonly { readonly name: string; readonly words: string }[];
  readonly blocks: readonly Block[];
  readonly pictures: readonly BookletPicture[];
}

/** A piece of the figure, in a block of its own. */
interface PieceBlock {
  readonly is: 'piece';
  readonly anchor: string;
  readonly number: number;
  readonly title: string;
  /** Where it begins. */
  readonly aside: Words;
  readonly blocks: readonly Block[];
}

export interface BookletPart {
  readonly anchor: string;
  readonly title: string;
  /** Null: a part of its own; else under the part of this anchor. */
  readonly within: string | null;
  readonly blocks: readonly Block[];
}

/** Where a picture comes from: drawn here, or kept in the studio. */
export type PictureSource =
  | { readonly from: 'drawing'; readonly svg: string; readonly aspect: number }
  | { readonly from: 'studio'; readonly pictureId: string };

/** A pattern as it leaves the studio: the same for PDF, HTML and whatever else it is set in. */
export interface Booklet {
  readonly title: string;
  /** BCP 47. */
  readonly language: string;
  /** Whose it is; empty: nobody’s in particular. */
  readonly whose: string;
  /** Under the title: level, time, which of its makes. */
  readonly lines: readonly string[];
  readonly figureKey: string | null;
  readonly parts: readonly BookletPart[];
  readonly pictures: Readonly<Record<string, PictureSource>>;
  /** On every page. */
  readonly foot: string;
}

export const plain = (text: string): Words => (text === '' ? [] : [{ text }]);
export const strong = (text: string): TextRun => ({ text, isStrong: true });
export const quiet = (text: string): Block => ({ is: 'words', words: plain(text), tone: 'quiet' });
export const say = (...words: (TextRun | string)[]): Block => ({
  is: 'words',
  words: words.map((run) => (typeof run === 'string' ? { text: run } : run)),
  tone: 'plain',
});

/** All it says, as one text, in the order it is read. */
const wordsOf = (words: Words): string => words.map(({ text }) => text).join('');

export function textOfBlock(block: Block): string[] {
  switch (block.is) {
    case 'words':
      return [wordsOf(block.words)];
    case 'heading':
      return [block.text];
    case 'list':
      return block.items.map(wordsOf);
    case 'facts':
      return block.rows.map(({ label, words }) => `${label} ${wordsOf(words)}`);
    case 'table':
      return [
        ...block.columns.map(({ title }) => title),
        ...block.rows.flatMap(({ cells }) => cells.map(({ words }) => wordsOf(words))),
      ];
    case 'pictures':
      return block.pictures.map(({ caption }) => caption);
    case 'caution':
      return [`${block.name}. ${block.words}`];
    case 'boxes':
      return block.boxes.map(({ words }) => words);
    case 'sheets':
      return block.sheets.flatMap(({ items }) =>
        items.flatMap((item) => (item.kind === 'text' ? [item.text] : [])),
      );
    case 'step':
      return [
        ...block.cautions.map(({ name, words }) => `${name}. ${words}`),
        String(block.number),
        ...block.blocks.flatMap(textOfBlock),
        ...block.marks,
        ...block.pictures.map(({ caption }) => caption),
      ];
    case 'piece':
      return [`${block.number} ${block.title}`, wordsOf(block.aside), ...block.blocks.flatMap(textOfBlock)];
  }
}

export const textOfBooklet = ({ title, whose, lines, parts }: Booklet): string =>
  [title, whose, ...lines, ...parts.flatMap((part) => [part.title, ...part.blocks.flatMap(textOfBlock)])]
    .filter((text) => text !== '')
    .join('\n');
