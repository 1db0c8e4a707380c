import type { Booklet, BookletTerms } from '@lanakit/core/papers';
import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { StudioPictures } from './bookletImages.ts';
import { contentsMarkup, frontMarkup, type MarkupSources, partMarkup } from './bookletMarkup.ts';
import { BOOKLET_STYLE, TICK_SCRIPT } from './bookletStyle.ts';
import { element, escaped } from './html.ts';
import { htmlSources } from './htmlSources.ts';

/**
 * A booklet as one file of HTML: pictures and fonts in it, nothing is fetched, boxes are ticked and stay so on that device. It
 * prints as it reads.
 */
export async function bookletHtml(
  booklet: Booklet,
  terms: BookletTerms,
  pictures: StudioPictures,
): Promise<Buffer> {
  const anchors = new Set(anchorsIn(booklet));
  const sources: MarkupSources = {
    ...(await htmlSources(booklet, terms, pictures)),
    canTick: true,
    sheet: (svg, alt) =>
      element('div', { class: 'trueSize', role: 'img', 'aria-label': alt, tabindex: '0' }, svg),
    hrefOf: (anchor) => (anchors.has(anchor) ? `#${anchor}` : null),
  };
  const body = [
    frontMarkup(booklet, sources),
    contentsMarkup(booklet, sources),
    element('main', {}, ...booklet.parts.map((part) => partMarkup(part, sources))),
    element('footer', {}, escaped(booklet.foot)),
  ].join('\n');
  return Buffer.from(await page(booklet, terms, body), 'utf8');
}

async function page(
  { title, language }: Booklet,
  { type, ink }: BookletTerms,
  body: string,
): Promise<string> {
  const fonts = await fontFaces(body);
  // What was ticked belongs to this booklet as it is, and to no other of the same name.
  const name = createHash('sha1').update(body).digest('hex').slice(0, 12);
  return `<!doctype html>
<html lang="${language}" data-booklet="${name}" class="${type} ${ink}">
<head>
<meta charset="utf-8"/>
<meta name="viewport" content="width=device-width, initial-scale=1"/>
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; img-src data:; font-src data:; style-src 'unsafe-inline'; script-src 'unsafe-inline'"/>
<meta name="generator" content="Lanakit"/>
<title>${escaped(title)}</title>
<style>${fonts}${BOOKLET_STYLE}</style>
</head>
<body>
${body}
<script>${TICK_SCRIPT}</script>
</body>
</html>
`;
}

const anchorsIn = ({ parts }: Booklet): string[] =>
  parts.flatMap(({ anchor, blocks }) => [
    anchor,
    ...blocks.flatMap((block) => ('anchor' in block && block.anchor !== null ? [block.anchor] : [])),
  ]);

/** Letters in all weights, upright and slanted; those beyond western Europe’s only where the booklet has some. */
async function fontFaces(body: string): Promise<string> {
  const root = dirname(
    createRequire(import.meta.url).resolve('@fontsource-variable/source-sans-3/package.json'),
  );
  const face = async (script: keyof typeof RANGES, style: 'normal' | 'italic') => {
    const bytes = await readFile(join(root, 'files', `source-sans-3-${script}-wght-${style}.woff2`));
    return `@font-face{font-family:"Source Sans 3";font-style:${style};font-weight:200 900;src:url(data:font/woff2;base64,${bytes.toString('base64')}) format("woff2");unicode-range:${RANGES[script]}}`;
  };
  const scripts = HAS_MORE_LETTERS.test(body) ? (['latin', 'latin-ext'] as const) : (['latin'] as const);
  const faces = scripts.flatMap((script) => [face(script, 'normal'), face(script, 'italic')]);
  return (await Promise.all(faces)).join('');
}

const HAS_MORE_LETTERS = /[\u0100-\u024f]/;
const RANGES = {
  latin: 'U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD',
  'latin-ext': 'U+0100-024F,U+1E00-1EFF,U+20A0-20AB,U+2C60-2C7F',
} as const; // prettier-ignore
