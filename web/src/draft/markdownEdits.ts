/** A text and what is selected in it. */
export interface Selected {
  readonly text: string;
  readonly from: number;
  readonly to: number;
}

const around = ({ text, from, to }: Selected, before: string, after: string): string =>
  `${text.slice(0, from)}${before}${text.slice(from, to)}${after}${text.slice(to)}`;

/** Bold, or no longer bold where it was. */
export function bold(selected: Selected): string {
  const { text, from, to } = selected;
  const isBold = text.slice(from - 2, from) === '**' && text.slice(to, to + 2) === '**';
  return isBold
    ? `${text.slice(0, from - 2)}${text.slice(from, to)}${text.slice(to + 2)}`
    : around(selected, '**', '**');
}

/** Every line of the selection as an item of a list. */
export function bulleted({ text, from, to }: Selected): string {
  const start = text.lastIndexOf('\n', from - 1) + 1;
  const next = text.indexOf('\n', to);
  const end = next < 0 ? text.length : next;
  const lines = text.slice(start, end).split('\n');
  const isList = lines.every((line) => line.startsWith('- '));
  const changed = lines.map((line) => (isList ? line.slice(2) : `- ${line}`)).join('\n');
  // A list is its own paragraph, or it would be read as the end of the sentence before.
  const gap = !isList && start > 0 && text[start - 2] !== '\n' ? '\n' : '';
  return `${text.slice(0, start)}${gap}${changed}${text.slice(end)}`;
}

/** A link on the selection, or on the name of what it leads to. */
export const linked = ({ text, from, to }: Selected, name: string, to_: string): string =>
  `${text.slice(0, from)}[${text.slice(from, to) || name}](${to_})${text.slice(to)}`;

/** As it reads without its marks, for one line of a list. */
export const plainText = (markdown: string): string =>
  markdown
    .replaceAll(/\[([^\]]*)\]\([^)]*\)/g, '$1')
    .replaceAll(/(\*\*|__)(.+?)\1/g, '$2')
    .replaceAll(/^\s*[-*]\s+/gm, '· ')
    .replaceAll(/\s+/g, ' ')
    .trim();
