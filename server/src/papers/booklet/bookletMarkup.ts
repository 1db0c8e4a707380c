import {
  type Block,
  type Booklet,
  type BookletPart,
  type BookletPicture,
  guideSvg,
  isWebAddress,
  type Swatch,
  type Words,
} from '@lanakit/core/papers';
import { element, escaped } from './html.ts';
import { swatchKey } from './setting.ts';

/** Where a page finds its pictures: bytes in the file itself, or files beside it. Null: there is none. */
export interface MarkupSources {
  readonly image: (key: string) => { readonly src: string; readonly aspect: number } | null;
  readonly swatch: (key: string) => string | null;
  /** Boxes can be ticked; false: they are drawn. */
  readonly canTick: boolean;
  /** A page at true size. */
  readonly sheet: (svg: string, alt: string, at: number) => string;
  /** Where an anchor lies; null: nowhere in this booklet. */
  readonly hrefOf: (anchor: string) => string | null;
}

/** A part as XHTML: the same for a page in a browser and for a reader of books. */
export function partMarkup({ anchor, title, within, blocks }: BookletPart, sources: MarkupSources): string {
  const level = within === null ? 'h2' : 'h3';
  return element(
    'section',
    { id: anchor, class: within === null ? 'part' : 'part within', 'aria-labelledby': `${anchor}-title` },
    element(level, { id: `${anchor}-title` }, escaped(title)),
    blocks
      .map((block, at) => blockMarkup(block, `${anchor}-${at}`, within === null ? 3 : 4, sources))
      .join(''),
  );
}

/** Title, what it is, the figure together. */
export const frontMarkup = ({ title, whose, lines, figureKey }: Booklet, sources: MarkupSources): string => {
  const figure = figureKey === null ? null : sources.image(figureKey);
  return element(
    'header',
    { class: 'front' },
    element(
      'div',
      {},
      element('h1', {}, escaped(title)),
      whose === '' ? '' : element('p', {}, element('strong', {}, escaped(whose))),
      ...lines.map((line) => element('p', { class: 'quiet' }, escaped(line))),
    ),
    figure === null ? '' : element('img', { src: figure.src, alt: `${title}, the figure together`, class: 'figure' }),
  );
}; // prettier-ignore

export const contentsMarkup = ({ parts }: Booklet, { hrefOf }: Pick<MarkupSources, 'hrefOf'>): string =>
  element(
    'nav',
    { 'aria-label': 'What is in it' },
    element(
      'ol',
      { class: 'contents' },
      ...parts
        .filter(({ within }) => within === null)
        .map(({ anchor, title }) =>
          element('li', {}, element('a', { href: hrefOf(anchor) ?? `#${anchor}` }, escaped(title))),
        ),
    ),
  );

function blockMarkup(block: Block, key: string, level: number, sources: MarkupSources): string {
  switch (block.is) {
    case 'words':
      return element(
        'p',
        { class: block.tone === 'quiet' ? 'quiet' : null },
        wordsMarkup(block.words, sources),
      );
    case 'heading':
      return element(`h${level}`, { id: block.anchor }, escaped(block.text));
    case 'list':
      return element(
        block.isNumbered ? 'ol' : 'ul',
        {},
        ...block.items.map((words) => element('li', {}, wordsMarkup(words, sources))),
      );
    case 'facts':
      return element(
        'dl',
        {},
        ...block.rows.map(({ label, swatch, words }) =>
          element(
            'div',
            {},
            element('dt', {}, escaped(label)),
            element('dd', {}, swatchMarkup(swatch, sources), wordsMarkup(words, sources)),
          ),
        ),
      );
    case 'table':
      return tableMarkup(block, key, sources);
    case 'pictures':
      return picturesMarkup(block.pictures, sources);
    case 'caution':
      return cautionMarkup(block);
    case 'boxes':
      return element(
        'p',
        { class: 'boxes' },
        ...block.boxes.map(({ words }, at) => boxMarkup(`${key}-box-${at}`, words, sources)),
      );
    case 'sheets':
      return sheetsMarkup(block, sources);
    case 'step':
      return stepMarkup(block, level, sources);
    case 'piece':
      return pieceMarkup(block, level, sources);
  }
}

/** True to size where a browser's millimetre is one. */
const sheetsMarkup = (
  { anchor, about, page, sheets }: Extract<Block, { is: 'sheets' }>,
  { sheet }: MarkupSources,
): string =>
  element(
    'div',
    { id: anchor, class: 'sheets' },
    ...sheets.map((each, at) =>
      sheet(guideSvg(each, page), `${about}, page ${at + 1} of ${sheets.length}`, at),
    ),
  );

const insideMarkup = (blocks: readonly Block[], key: string, level: number, sources: MarkupSources): string =>
  blocks.map((each, at) => blockMarkup(each, `${key}-${at}`, level, sources)).join('');

const stepMarkup = (block: Extract<Block, { is: 'step' }>, level: number, sources: MarkupSources): string =>
  element(
    'section',
    { id: block.anchor, class: 'step', 'aria-label': `Step ${block.number}` },
    ...block.cautions.map(cautionMarkup),
    element(
      'div',
      { class: 'body' },
      stepNumber(block.number, sources),
      element(
        'div',
        { class: 'words' },
        insideMarkup(block.blocks, block.anchor, level, sources),
        block.marks.length > 0
          ? element('p', { class: 'quiet marks' }, escaped(block.marks.join(' · ')))
          : '',
        picturesMarkup(block.pictures, sources),
      ),
    ),
  );

const pieceMarkup = (block: Extract<Block, { is: 'piece' }>, level: number, sources: MarkupSources): string =>
  element(
    'section',
    { id: block.anchor, class: 'piece' },
    element(
      'div',
      { class: 'pieceHead' },
      element(`h${level}`, {}, escaped(`${block.number} ${block.title}`)),
      block.aside.length > 0 ? element('span', { class: 'quiet' }, wordsMarkup(block.aside, sources)) : '',
    ),
    insideMarkup(block.blocks, block.anchor, level, sources),
  );

const stepNumber = (number: number, { canTick }: MarkupSources): string =>
  canTick
    ? element(
        'label',
        { class: 'number' },
        element('input', { type: 'checkbox', id: `done-${number}`, 'aria-label': `Step ${number} done` }),
        element('span', { 'aria-hidden': 'true' }, String(number)),
      )
    : element('span', { class: 'number' }, String(number));

const boxMarkup = (id: string, words: string, { canTick }: MarkupSources): string =>
  canTick
    ? element(
        'label',
        {},
        element('input', { type: 'checkbox', id, 'aria-label': words === '' ? 'done' : null }),
        ` ${escaped(words)}`,
      )
    : element('span', {}, `☐ ${escaped(words)}`);

const cautionMarkup = ({ name, words }: { readonly name: string; readonly words: string }): string =>
  element('p', { class: 'caution' }, element('strong', {}, `${escaped(name)}.`), ` ${escaped(words)}`);

function wordsMarkup(words: Words, { hrefOf }: Pick<MarkupSources, 'hrefOf'>): string {
  return words
    .map(({ text, isStrong, isSlanted, to }) => {
      const plain = escaped(text).replaceAll('\n', '<br/>');
      const slanted = isSlanted ? element('em', {}, plain) : plain;
      const strong = isStrong ? element('strong', {}, slanted) : slanted;
      const href = to === undefined ? null : isWebAddress(to) ? to : hrefOf(to);
      return href === null ? strong : element('a', { href }, strong);
    })
    .join('');
}

function swatchMarkup(swatch: Swatch | null, sources: MarkupSources): string {
  const src = swatch === null ? null : sources.swatch(swatchKey(swatch));
  return src === null ? '' : `${element('img', { src, alt: '', class: 'swatch' })} `;
}

const tableMarkup = (
  { about, columns, rows }: Extract<Block, { is: 'table' }>,
  key: string,
  sources: MarkupSources,
): string => {
  const hasBoxes = rows.some(({ hasBox }) => hasBox);
  return element(
    'div',
    { class: 'tableRoom', tabindex: '0', role: 'region', 'aria-label': about },
    element(
      'table',
      {},
      element(
        'thead',
        {},
        element(
          'tr',
          {},
          hasBoxes ? element('th', { scope: 'col' }, element('span', { class: 'hidden' }, 'There')) : '',
          ...columns.map(({ title, isNumber }, at) =>
            element(
              title === '' ? 'td' : 'th',
              { ...(title !== '' && { scope: 'col' }), class: isNumber ? 'number' : null, 'data-at': at },
              escaped(title),
            ),
          ),
        ),
      ),
      element(
        'tbody',
        {},
        ...rows.map(({ cells, hasBox }, nth) =>
          element(
            'tr',
            {},
            hasBoxes ? element('td', {}, hasBox ? boxMarkup(`${key}-row-${nth}`, '', sources) : '') : '',
            ...cells.map(({ words, swatch }, at) =>
              element(
                at === 0 ? 'th' : 'td',
                { ...(at === 0 && { scope: 'row' }), class: columns[at]?.isNumber ? 'number' : null },
                swatchMarkup(swatch, sources),
                wordsMarkup(words, sources),
              ),
            ),
          ),
        ),
      ),
    ),
  );
};

const picturesMarkup = (pictures: readonly BookletPicture[], sources: MarkupSources): string => {
  const shown = pictures.flatMap((picture) => {
    const image = sources.image(picture.key);
    return image ? [{ picture, image }] : [];
  });
  if (shown.length === 0) return '';
  return element(
    'div',
    { class: 'pictures' },
    ...shown.map(({ picture: { alt, caption }, image }) =>
      element(
        'figure',
        {},
        element('img', { src: image.src, alt }),
        caption === '' ? '' : element('figcaption', {}, escaped(caption)),
      ),
    ),
  );
};
