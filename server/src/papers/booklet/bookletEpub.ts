import { guideSvg, type Booklet, type BookletPart, type BookletTerms } from '@lanakit/core/papers';
import { createHash } from 'node:crypto';
import { ZipFile } from 'yazl';
import { bookletImages, bookletSwatches, imageDrawer, type StudioPictures } from './bookletImages.ts';
import { frontMarkup, type MarkupSources, partMarkup } from './bookletMarkup.ts';
import { EPUB_STYLE } from './bookletStyle.ts';
import { element, escaped } from './html.ts';
import type { ReadyImage } from './pen.ts';

/** A file of the book. */
interface BookFile {
  readonly path: string;
  readonly type: string;
  readonly bytes: Buffer;
  /** Read in this order; the others are only shown within these. */
  readonly isRead: boolean;
  readonly properties?: string;
}

const XHTML = 'application/xhtml+xml';

/** A booklet as EPUB 3.3: a part a file, pictures beside them, a table of contents, what it offers to those who cannot see told. */
export async function bookletEpub(
  booklet: Booklet,
  terms: BookletTerms,
  pictures: StudioPictures,
  at: Date,
): Promise<Buffer> {
  const draw = imageDrawer(terms, pictures);
  const images = await bookletImages(booklet, draw);
  const swatches = await bookletSwatches(booklet, draw);
  const named = new Map([...namesOf('picture', images), ...namesOf('swatch', swatches)]);
  const chapters = chaptersOf(booklet);
  const fileOf = new Map(chapters.flatMap(({ path, parts }) => parts.flatMap(anchorsIn).map((anchor) => [anchor, path])));
  const sourcesFor = (path: string): MarkupSources => ({
    image: (key) => {
      const [image, name] = [images.get(key), named.get(`picture ${key}`)];
      return image && name !== undefined ? { src: name, aspect: image.aspect } : null;
    },
    swatch: (key) => named.get(`swatch ${key}`) ?? null,
    canTick: false,
    sheet: (_svg, alt, at) => element('img', { src: sheetName(at), alt }),
    hrefOf: (anchor) => {
      const file = fileOf.get(anchor);
      return file === undefined ? null : `${file === path ? '' : file}#${anchor}`;
    },
  });
  const files: BookFile[] = [
    text('nav.xhtml', XHTML, navOf(booklet, fileOf), { properties: 'nav' }),
    text('style.css', 'text/css', EPUB_STYLE),
    ...chapters.map(({ path, title, parts, isFront }) =>
      text(
        path,
        XHTML,
        page(booklet, title, (isFront ? frontMarkup(booklet, sourcesFor(path)) : '') + parts.map((part) => partMarkup(part, sourcesFor(path))).join('')),
        { isRead: true },
      ),
    ),
    ...sheetFiles(booklet),
    ...imageFiles('picture', images, named),
    ...imageFiles('swatch', swatches, named),
  ];
  return zipped([
    { path: 'META-INF/container.xml', type: '', isRead: false, bytes: Buffer.from(CONTAINER) },
    { path: 'book/package.opf', type: '', isRead: false, bytes: Buffer.from(packageOf(booklet, files, at)) },
    ...files.map((file) => ({ ...file, path: `book/${file.path}` })),
  ]);
} // prettier-ignore

const text = (path: string, type: string, content: string, more: Partial<BookFile> = {}): BookFile => ({
  path,
  type,
  bytes: Buffer.from(content, 'utf8'),
  isRead: false,
  ...more,
});

const isJpeg = ({ bytes }: ReadyImage): boolean => bytes[0] === 0xff;

const namesOf = (sort: string, images: ReadonlyMap<string, ReadyImage>): [string, string][] =>
  [...images].map(([key, image], at) => [
    `${sort} ${key}`,
    `images/${sort}-${at + 1}.${isJpeg(image) ? 'jpg' : 'png'}`,
  ]);

const imageFiles = (
  sort: string,
  images: ReadonlyMap<string, ReadyImage>,
  named: ReadonlyMap<string, string>,
): BookFile[] =>
  [...images].map(([key, image]) => ({
    path: named.get(`${sort} ${key}`) ?? '',
    type: isJpeg(image) ? 'image/jpeg' : 'image/png',
    bytes: image.bytes,
    isRead: false,
  }));

const sheetName = (at: number): string => `images/guide-${at + 1}.svg`;

/** Pages at true size, as large as they say where a reader keeps to it. */
const sheetFiles = ({ parts }: Booklet): BookFile[] =>
  parts
    .flatMap(({ blocks }) =>
      blocks.flatMap((block) =>
        block.is === 'sheets' ? block.sheets.map((sheet) => guideSvg(sheet, block.page)) : [],
      ),
    )
    .map((svg, at) => text(sheetName(at), 'image/svg+xml', svg));

interface Chapter {
  readonly path: string;
  readonly title: string;
  readonly parts: readonly BookletPart[];
  readonly isFront: boolean;
}

/** The front by itself, then a file for each part with what is within it. */
function chaptersOf({ title, parts }: Booklet): Chapter[] {
  const tops = parts.filter(({ within }) => within === null);
  return [
    { path: 'front.xhtml', title, parts: [], isFront: true },
    ...tops.map((part): Chapter => ({
      path: `${part.anchor}.xhtml`,
      title: part.title,
      parts: [part, ...parts.filter(({ within }) => within === part.anchor)],
      isFront: false,
    })),
  ];
}

const anchorsIn = ({ anchor, blocks }: BookletPart): string[] => [
  anchor,
  ...blocks.flatMap((block) => ('anchor' in block && block.anchor !== null ? [block.anchor] : [])),
];

const page = (
  { language }: Booklet,
  title: string,
  body: string,
): string => `<?xml version="1.0" encoding="UTF-8"?>
<!DOCTYPE html>
<html xmlns="http://www.w3.org/1999/xhtml" xmlns:epub="http://www.idpf.org/2007/ops" lang="${language}" xml:lang="${language}">
<head><title>${escaped(title)}</title><link rel="stylesheet" type="text/css" href="style.css"/></head>
<body>${body}</body>
</html>
`;

function navOf(booklet: Booklet, fileOf: ReadonlyMap<string, string>): string {
  const { title, parts } = booklet;
  const entry = (part: BookletPart): string => {
    const inside = parts.filter(({ within }) => within === part.anchor).map(entry);
    const href = `${fileOf.get(part.anchor) ?? ''}#${part.anchor}`;
    return element(
      'li',
      {},
      element('a', { href }, escaped(part.title)),
      inside.length > 0 ? element('ol', {}, ...inside) : '',
    );
  };
  const tops = parts.filter(({ within }) => within === null).map(entry);
  return page(
    booklet,
    title,
    element(
      'nav',
      { 'epub:type': 'toc', id: 'toc' },
      element('h1', {}, 'What is in it'),
      element('ol', {}, ...tops),
    ),
  );
}

const CONTAINER = `<?xml version="1.0" encoding="UTF-8"?>
<container version="1.0" xmlns="urn:oasis:names:tc:opendocument:xmlns:container"><rootfiles><rootfile full-path="book/package.opf" media-type="application/oebps-package+xml"/></rootfiles></container>
`;

const idOf = (path: string): string => `f-${path.replaceAll(/[^A-Za-z0-9]/g, '-')}`;

function packageOf({ title, foot, language }: Booklet, files: readonly BookFile[], at: Date): string {
  const day = `${at.toISOString().slice(0, 19)}Z`;
  const name = createHash('sha1');
  for (const { bytes } of files) name.update(bytes);
  const meta = (property: string, value: string) => `<meta property="${property}">${escaped(value)}</meta>`;
  const manifest = files.map(({ path, type, properties }) =>
    `<item id="${idOf(path)}" href="${escaped(path)}" media-type="${type}"${properties === undefined ? '' : ` properties="${properties}"`}/>`).join('');
  const spine = files.filter(({ isRead }) => isRead).map(({ path }) => `<itemref idref="${idOf(path)}"/>`).join('');
  return `<?xml version="1.0" encoding="UTF-8"?>
<package xmlns="http://www.idpf.org/2007/opf" version="3.0" unique-identifier="book-id" xml:lang="${language}">
<metadata xmlns:dc="http://purl.org/dc/elements/1.1/">
<dc:identifier id="book-id">urn:sha1:${name.digest('hex')}</dc:identifier>
<dc:title>${escaped(title)}</dc:title>
<dc:language>${language}</dc:language>
${meta('dcterms:modified', day)}
${['textual', 'visual'].map((mode) => meta('schema:accessMode', mode)).join('')}
${meta('schema:accessModeSufficient', 'textual')}
${['structuralNavigation', 'tableOfContents', 'alternativeText'].map((feature) => meta('schema:accessibilityFeature', feature)).join('')}
${meta('schema:accessibilityHazard', 'none')}
${meta('schema:accessibilitySummary', foot)}
</metadata>
<manifest>${manifest}</manifest>
<spine>${spine}</spine>
</package>
`;
} // prettier-ignore

/** What it is stands first, and not compressed: so a reader knows it by its first bytes (OCF 3.3, 4.3). */
async function zipped(files: readonly BookFile[]): Promise<Buffer> {
  const zip = new ZipFile();
  const mtime = new Date(1980, 0, 1);
  zip.addBuffer(Buffer.from('application/epub+zip'), 'mimetype', { compress: false, mtime });
  for (const { path, bytes } of files) zip.addBuffer(bytes, path, { mtime });
  zip.end();
  const parts: Buffer[] = [];
  for await (const part of zip.outputStream) parts.push(part as Buffer);
  return Buffer.concat(parts);
}
