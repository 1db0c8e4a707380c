import { estimatePattern } from '@lanakit/core/engine';
import type { StoredPattern } from '@lanakit/core/api';
import { BOOKLET_TERMS, bookletOf, type BookletTerms, textOfBooklet } from '@lanakit/core/papers';
import { BLANK_STEP, NO_SURROUNDINGS, OWN_RIGHTS, type Pattern } from '@lanakit/core/pattern';
import type { Fibre } from '@lanakit/core/shelf';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { XMLValidator } from 'fast-xml-parser';
import { unzipSync } from 'fflate';
import { shelfOf } from '../../../src/services/runSources.ts';
import { photo } from '../../support/files.ts';
import { bare, blindly, readPdf, type TagNode } from '../../support/readPdf.ts';
import { roundsOf } from '../../support/pdfPaths.ts';
import { request } from '../../support/request.ts';
import { addFibre, addPattern, ballPattern, openStudio, type Studio } from '../../support/studio.ts';

let studio: Studio;
let fibre: Fibre;
let stored: StoredPattern;
let pictureId: string;

const LONG = 'Turn it a little with every stab and keep the needle straight, in and out by the same line. ';

beforeEach(async () => {
  studio = openStudio();
  fibre = await addFibre(studio, { name: 'Chalk & “foam” <b>' });
  const kept = await request(studio.app).post('/api/pictures').set('Content-Type', 'image/jpeg').set('X-Lanakit', '1').send(await photo(800, 600).jpeg().toBuffer()).expect(201);
  ({ id: pictureId } = kept.body as { id: string });
  stored = await addPattern(studio, manySteps(ballPattern(fibre.id)));
}); // prettier-ignore
afterEach(() => studio.close());

/** Two dozen steps, long and short, with a picture, a caution and a check here and there. */
const manySteps = (pattern: Pattern): Pattern => ({
  ...pattern,
  title: 'Ćwiek’s ball',
  pictures: [{ id: pictureId, name: 'A ball', alt: 'A ball on a mat', rights: OWN_RIGHTS }],
  steps: Array.from({ length: 24 }, (_each, at) => ({
    ...BLANK_STEP,
    id: `s${at}`,
    text: `Step words number ${at + 1}. ${LONG.repeat(1 + (at % 4))}`,
    partIds: ['p1'],
    stage: at < 12 ? ('core' as const) : ('finish' as const),
    minutes: 10 + at,
    pictures: at % 5 === 2 ? [{ id: `pic${at}`, pictureId, caption: `As it is after step ${at + 1}` }] : [],
    checks:
      at % 7 === 3
        ? [{ id: `c${at}`, look: 'the size', how: 'on a ruler', pass: 'it is 60 mm', remedy: 'felt on', returnToStepId: 's1' }]
        : [],
  })) as Pattern['steps'],
}); // prettier-ignore

const get = (form: string, terms: Partial<BookletTerms> = {}, more = '') =>
  request(studio.app)
    .get(
      `/api/patterns/${stored.id}/booklet/${form}?terms=${encodeURIComponent(JSON.stringify({ ...BOOKLET_TERMS.sell, ...terms }))}${more}`,
    )
    .responseType('blob');
const bytesOf = async (form: string, terms: Partial<BookletTerms> = {}) =>
  (await get(form, terms).expect(200)).body as Buffer;

const expectedText = (terms: Partial<BookletTerms> = {}): string => {
  const build = studio.deps.store.patterns.find(stored.id)?.document as Pattern;
  const made = bookletOf(
    { whole: build, build, what: ['draft, not published yet'], notes: [], terms: { ...BOOKLET_TERMS.sell, ...terms }, needles: [], packed: null, surroundings: NO_SURROUNDINGS, sources: { suppliers: [], blends: [] }, translation: null },
    shelfOf(studio.deps.store),
  );
  return textOfBooklet(made);
}; // prettier-ignore

/** Without the guide, whose pages are as large as they have to be. */
const PARTS_IN_TYPE = BOOKLET_TERMS.sell.parts.filter((name) => name !== 'guide');

describe('as PDF', () => {
  test('every word of the booklet is in it, and of the steps in their order', async () => {
    const { pages, end } = await readPdf(await bytesOf('pdf'));
    const text = bare(pages.flatMap(({ items }) => items.map(({ str }) => str)).join(' '));
    for (const line of expectedText().split('\n')) {
      // A paragraph may go on after the foot of a page: its sentences stand each by themselves.
      for (const words of line.split(/(?<=[.:;])\s/).filter((each) => each.length > 3 && each.length < 60))
        expect(text).toContain(bare(words));
    }
    const places = Array.from({ length: 24 }, (_each, at) =>
      text.indexOf(bare(`Step words number ${at + 1}.`)),
    );
    expect(places).toEqual(places.toSorted((a, b) => a - b));
    expect(places[0]).toBeGreaterThan(0);
    await end();
  });
  test('it is tagged in the order it is read: title, contents, parts; figures say what they show', async () => {
    const { pdf, pages, end } = await readPdf(await bytesOf('pdf'));
    expect(await pdf.getMarkInfo()).toMatchObject({ Marked: true });
    const tree = (await pages[0]?.page.getStructTree()) as TagNode;
    const roles = (node: TagNode): string[] => [node.role ?? '', ...(node.children ?? []).flatMap(roles)].filter((role) => role !== '');
    const order = roles(tree);
    expect(order.indexOf('H1')).toBeLessThan(order.indexOf('TOC'));
    expect(order.indexOf('TOC')).toBeLessThan(order.indexOf('H2'));
    const alts = (node: TagNode): string[] => [...(node.role === 'Figure' ? [node.alt ?? ''] : []), ...(node.children ?? []).flatMap(alts)];
    const all = await Promise.all(pages.map(async ({ page }) => alts((await page.getStructTree()) as TagNode)));
    expect(all.flat().length).toBeGreaterThan(4);
    expect(all.flat()).not.toContain('');
    await end();
  }); // prettier-ignore
  test('read blind, tag by tag, it says what the booklet says in its order', async () => {
    const { pages, end } = await readPdf(await bytesOf('pdf'));
    const read = await Promise.all(pages.map(({ page }) => blindly(page)));
    const text = bare(read.join(' '));
    const inOrder = expectedText()
      .split('\n')
      .filter((line) => /^Step words number \d+\./.test(line))
      .map((line) => bare(line.slice(0, 24)));
    const places = inOrder.map((words) => text.indexOf(words));
    expect(places).toHaveLength(24);
    expect(places).toEqual(places.toSorted((a, b) => a - b));
    expect(places[0]).toBeGreaterThan(text.indexOf(bare('Before you begin')));
    // What stands at the foot of every page is not read.
    expect(text).not.toContain(bare('Not a toy for small children.'));
    await end();
  }); // prettier-ignore
  test('bookmarks for every part, links that lead somewhere, its fonts in it, and it says that it is PDF/A', async () => {
    const bytes = await bytesOf('pdf');
    const { pdf, pages, end } = await readPdf(bytes);
    const outline = (await pdf.getOutline()).map(({ title }) => title);
    expect(outline).toEqual(expect.arrayContaining(['You need', 'Pieces', 'Steps', 'When it goes wrong']));
    const links = (await Promise.all(pages.map(({ page }) => page.getAnnotations()))).flat() as { subtype: string; dest?: string }[];
    expect(links.filter(({ subtype }) => subtype === 'Link').length).toBeGreaterThan(10);
    for (const { dest } of links) if (typeof dest === 'string') expect(await pdf.getDestination(dest)).not.toBeNull();
    const raw = bytes.toString('latin1');
    expect(raw).toContain('<pdfaid:part>2</pdfaid:part>');
    expect(raw).toContain('<pdfaid:conformance>A</pdfaid:conformance>');
    expect(raw.match(/\/FontFile2|\/FontFile3/g)?.length).toBeGreaterThanOrEqual(2);
    expect(raw).not.toMatch(/\/BaseFont \/Helvetica/);
    await end();
  }); // prettier-ignore
  test.each<[string, Partial<BookletTerms>, readonly [number, number]]>([
    ['A4', {}, [595.28, 841.89]],
    ['A5', { page: 'a5' }, [419.53, 595.28]],
    ['Letter', { page: 'letter' }, [612, 792]],
    ['two columns', { columns: 2 }, [595.28, 841.89]],
    ['large type', { type: 'large' }, [595.28, 841.89]],
    ['saving ink', { ink: 'saving' }, [595.28, 841.89]],
  ])('%s: the page is as large as it says, nothing runs out of it, and no page but the last is half empty', async (_what, terms, [across, down]) => {
    const { pages, end } = await readPdf(await bytesOf('pdf', { ...terms, parts: PARTS_IN_TYPE }));
    pages.forEach(({ page, items }, at) => {
      const [, , width, height] = page.view as [number, number, number, number];
      expect(width).toBeCloseTo(across, 1);
      expect(height).toBeCloseTo(down, 1);
      for (const { transform, width: wide } of items) {
        const [x, y] = [transform[4] as number, transform[5] as number];
        expect(x).toBeGreaterThan(20);
        expect(x + wide).toBeLessThan(across - 20);
        expect(y).toBeGreaterThan(20);
        expect(y).toBeLessThan(down - 20);
      }
      // The lowest words above the foot: what is empty is below them.
      const lowest = Math.min(...items.map(({ transform }) => transform[5] as number).filter((y) => y > down * 0.1));
      if (at < pages.length - 1) expect(lowest).toBeLessThan(down * 0.55);
    });
    const sizes = pages.flatMap(({ items }) => items.filter(({ str }) => str.includes('Step words')).map(({ height }) => height));
    if (terms.type === 'large') expect(Math.min(...sizes)).toBeGreaterThanOrEqual(18 - 1e-6);
    await end();
  }); // prettier-ignore
  test('a step a page: as many pages as steps, and each begins one', async () => {
    const { pages, end } = await readPdf(await bytesOf('pdf', { parts: ['steps'], isStepAPage: true }));
    const begun = pages.filter(({ items }) => items.some(({ str }) => str.includes('Step words number')));
    expect(begun).toHaveLength(24);
    await end();
  });
});

describe('the guide in it', () => {
  test.each<[string, Partial<BookletTerms>, readonly [number, number]]>([
    ['A5', { page: 'a5' }, [595.28, 841.89]],
    ['A5 folded', { page: 'a5-folded' }, [595.28, 841.89]],
    ['Letter', { page: 'letter' }, [612, 792]],
  ])('with %s lies on pages of its own, as large as life', async (_what, terms, [across, down]) => {
    const bytes = await bytesOf('pdf', { ...terms, parts: ['steps', 'guide'] });
    const { pages, end } = await readPdf(bytes);
    const [, , width, height] = pages.at(-1)?.page.view ?? [];
    expect([width, height]).toEqual([expect.closeTo(across, 0), expect.closeTo(down, 0)]);
    // The ball is 60 mm across.
    expect(roundsOf(bytes)).toContain(60);
    await end();
  });
  test('folded, two pages of A5 lie on each side, and every page says in order where it is', async () => {
    const { pages, end } = await readPdf(await bytesOf('pdf', { page: 'a5-folded', parts: PARTS_IN_TYPE }));
    for (const { page } of pages) expect(page.view.slice(2).map(Math.round)).toEqual([842, 595]);
    const halves = pages.flatMap(({ items }) => [false, true].map((isRight) => items.filter(({ transform }) => Number(transform[4]) > 842 / 2 === isRight).map(({ str }) => str).join('')));
    const numbers = halves.map((text) => Number(/(\d+) of \d+/.exec(text)?.[1] ?? 0));
    const count = Math.max(...numbers);
    const room = 2 * pages.length;
    // Fronts: n, 1; backs: 2, n - 1; and so on inward.
    pages.forEach((_page, side) => {
      const [outer, inner] = [room - side, side + 1].map((number) => (number > count ? 0 : number));
      expect(numbers.slice(2 * side, 2 * side + 2)).toEqual(side % 2 === 0 ? [outer, inner] : [inner, outer]);
    });
    await end();
  });
}); // prettier-ignore

describe('as one file of HTML', () => {
  test('it fetches nothing, is well-formed, and says every word', async () => {
    const html = (await bytesOf('html')).toString('utf8');
    expect(XMLValidator.validate(html.replace(/^<!doctype html>/, '').replaceAll(/<(style|script)>[\s\S]*?<\/\1>/g, ''))).toBe(true);
    expect(html).not.toMatch(/(?:src|href)="(?!data:|#)/);
    expect(html).not.toMatch(/url\((?!data:)/);
    const text = bare(html.replaceAll(/<(style|script)>[\s\S]*?<\/\1>/g, '').replaceAll(/<[^>]+>/g, '').replaceAll('&#39;', "'").replaceAll('&quot;', '"').replaceAll('&lt;', '<').replaceAll('&gt;', '>').replaceAll('&amp;', '&'));
    for (const line of expectedText().split('\n').filter((each) => each.length > 3)) expect(text).toContain(bare(line));
    // What a fibre is called runs nowhere.
    expect(html).toContain('Chalk &amp; “foam” &lt;b&gt;');
  }); // prettier-ignore
  test('no id stands twice, and every link leads to one', async () => {
    const html = (await bytesOf('html')).toString('utf8');
    const ids = [...html.matchAll(/ id="([^"]+)"/g)].map(([, id]) => id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const [, anchor] of html.matchAll(/href="#([^"]+)"/g)) expect(ids).toContain(anchor);
  });
});

describe('as EPUB', () => {
  const unzipped = async () => new Map(Object.entries(unzipSync(new Uint8Array(await bytesOf('epub')))).map(([path, bytes]) => [path, Buffer.from(bytes)]));
  test('its first bytes say what it is, uncompressed (OCF 3.3)', async () => {
    const bytes = await bytesOf('epub');
    expect(bytes.subarray(30, 58).toString('latin1')).toBe('mimetypeapplication/epub+zip');
    expect(bytes.readUInt16LE(8)).toBe(0);
  });
  test('every file is in its list, every listed one is there, and all of it is well-formed', async () => {
    const files = await unzipped();
    const opf = files.get('book/package.opf')?.toString('utf8') ?? '';
    expect(files.get('META-INF/container.xml')?.toString('utf8')).toContain('full-path="book/package.opf"');
    const listed = [...opf.matchAll(/<item id="([^"]+)" href="([^"]+)" media-type="([^"]+)"/g)];
    const paths = listed.map(([, , href]) => `book/${href ?? ''}`);
    expect(paths.toSorted()).toEqual([...files.keys()].filter((path) => path.startsWith('book/') && !path.endsWith('.opf')).toSorted());
    expect(new Set(listed.map(([, id]) => id)).size).toBe(listed.length);
    for (const [path, bytes] of files)
      if (/\.(?:xhtml|opf|xml)$/.test(path)) expect([path, XMLValidator.validate(bytes.toString('utf8'))]).toEqual([path, true]);
    for (const [, idref] of opf.matchAll(/<itemref idref="([^"]+)"/g)) expect(listed.map(([, id]) => id)).toContain(idref);
    expect(opf).toMatch(/<meta property="dcterms:modified">\d{4}-\d\d-\d\dT\d\d:\d\d:\d\dZ<\/meta>/);
    expect(opf.match(/properties="nav"/g)).toHaveLength(1);
  });
  test('every picture and every link in it leads to a file and a place that are there; nothing is fetched', async () => {
    const files = await unzipped();
    const pages = [...files].filter(([path]) => path.endsWith('.xhtml'));
    const ids = new Map(pages.map(([path, bytes]) => [path.slice(5), new Set([...bytes.toString('utf8').matchAll(/ id="([^"]+)"/g)].map(([, id]) => id))]));
    for (const [path, bytes] of pages) {
      const text = bytes.toString('utf8');
      for (const [, src] of text.matchAll(/src="([^"]+)"/g)) expect(files.has(`book/${src ?? ''}`)).toBe(true);
      for (const [, href = ''] of text.matchAll(/<a href="([^"]+)"/g)) {
        const [file, anchor] = href.split('#');
        expect(ids.get(file === '' ? path.slice(5) : (file ?? ''))?.has(anchor)).toBe(true);
      }
      expect(text).not.toMatch(/(?:src|href)="https?:/);
    }
  });
  test('read through from front to end it says every word', async () => {
    const files = await unzipped();
    const opf = files.get('book/package.opf')?.toString('utf8') ?? '';
    const hrefs = new Map([...opf.matchAll(/<item id="([^"]+)" href="([^"]+)"/g)].map(([, id, href]) => [id, href]));
    const sheets = [...files].filter(([path]) => path.endsWith('.svg')).map(([, bytes]) => bytes.toString('utf8'));
    const text = bare([...[...opf.matchAll(/<itemref idref="([^"]+)"/g)].map(([, id]) => files.get(`book/${hrefs.get(id) ?? ''}`)?.toString('utf8') ?? ''), ...sheets].join('').replaceAll(/<title>[^<]*<\/title>/g, '').replaceAll(/<[^>]+>/g, '').replaceAll('&#39;', "'").replaceAll('&quot;', '"').replaceAll('&lt;', '<').replaceAll('&gt;', '>').replaceAll('&amp;', '&'));
    for (const line of expectedText().split('\n').filter((each) => each.length > 3)) expect(text).toContain(bare(line));
  });
}); // prettier-ignore

describe('as a listing of a shop', () => {
  test('a piece of HTML that runs nothing, fetches nothing and has its pictures in it', async () => {
    const html = (await bytesOf('listing-html')).toString('utf8');
    expect(XMLValidator.validate(html)).toBe(true);
    expect(html).not.toMatch(/<(?:script|style|link)/);
    expect(html).not.toMatch(/(?:src|href)="(?!data:)/);
    expect(html.match(/<img /g)?.length).toBeGreaterThanOrEqual(2);
    expect(html).toContain('alt="A ball on a mat"');
  });
  test('the same as text', async () => {
    const text = (await bytesOf('listing-text')).toString('utf8');
    expect(text.split('\n')[0]).toBe('Ćwiek’s ball');
    expect(text).toContain('Told in: 24 steps');
    expect(text).toContain('– Chalk & “foam” <b>, core batt, about 17.0 g');
  });
});

test('the grams in it are those of the engine', async () => {
  const { total } = estimatePattern(stored.document, shelfOf(studio.deps.store));
  const html = (await bytesOf('html')).toString('utf8').replaceAll('\u00A0', ' ');
  expect(html).toContain(`about ${total.likelyG.toFixed(1)} g`);
});

test.each<[string, string, number]>([
  ['a form there is none of', 'docx', 404],
  ['terms of another form', 'pdf?terms={"page":"a3"}', 400],
  ['terms that are no JSON', 'pdf?terms={', 400],
  ['a size nobody makes', 'pdf?size=99', 400],
  ['choices of another form', 'pdf?choices=[]', 400],
])('%s is refused with words', async (_what, path, status) => {
  await request(studio.app).get(`/api/patterns/${stored.id}/booklet/${path}`).expect(status);
});
