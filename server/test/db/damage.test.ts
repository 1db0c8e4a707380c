import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { BLANK_STEP } from '@lanakit/core/pattern';
import Database from 'better-sqlite3';
import {
  closeSync,
  copyFileSync,
  mkdtempSync,
  openSync,
  readFileSync,
  rmSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { request } from '../support/request.ts';
import {
  addFibre,
  addPattern,
  ballPattern,
  openStudio,
  publish,
  runInput,
  type Studio,
} from '../support/studio.ts';

const TITLES = ['Wren', 'Heron', 'Otter', 'Vole', 'Toad', 'Newt'];
const LISTS = [
  '/patterns',
  '/fibres',
  '/blends',
  '/findings',
  '/needles',
  '/tools',
  '/suppliers',
  '/techniques',
  '/revisions',
  '/runs',
  '/bench',
  '/promised',
];

let original: string;
const dirs: string[] = [];
const freshDir = () => {
  const dir = mkdtempSync(join(tmpdir(), 'lanakit-damage-'));
  dirs.push(dir);
  return dir;
};

/** A studio of long patterns, each its own pages of the file, and two runs ahead. */
beforeAll(async () => {
  const studio = openStudio(freshDir());
  const fibre = await addFibre(studio, {}, 5000);
  for (const title of TITLES) {
    const steps = Array.from({ length: 12 }, (_, at) => ({
      ...BLANK_STEP,
      id: `s${at}`,
      text: `Step ${at} of ${title}. `.repeat(20),
    }));
    const pattern = await addPattern(studio, {
      ...ballPattern(fibre.id, { title, prerequisites: `Before the ${title}` }),
      steps,
    });
    if (!['Wren', 'Toad'].includes(title)) continue;
    const revisionId = await publish(studio, pattern);
    await request(studio.app)
      .post('/api/runs')
      .send(runInput(revisionId, { name: title }))
      .expect(201);
  }
  studio.db.pragma('wal_checkpoint(TRUNCATE)');
  original = join(freshDir(), 'lanakit.sqlite');
  copyFileSync(join(studio.dir, 'lanakit.sqlite'), original);
  studio.close();
});
afterAll(() => dirs.forEach((dir) => rmSync(dir, { recursive: true, force: true })));

/** The studio with its file changed, opened. */
function damaged(change: (file: string) => void): Studio {
  const dir = freshDir();
  const file = join(dir, 'lanakit.sqlite');
  copyFileSync(original, file);
  change(file);
  return openStudio(dir);
}

const PAGE_BYTES = 4096;

const zeroPage = (number: number) => (file: string) => {
  const handle = openSync(file, 'r+');
  writeSync(handle, Buffer.alloc(PAGE_BYTES), 0, PAGE_BYTES, (number - 1) * PAGE_BYTES);
  closeSync(handle);
};

interface Page {
  readonly number: number;
  readonly of: string;
  readonly kind: string;
}

/** Every page that is of a table or an index. */
function pages(): Page[] {
  const db = new Database(original, { readonly: true });
  const all = db
    .prepare<[], Page>(`SELECT pageno AS number, name AS "of", pagetype AS kind FROM dbstat ORDER BY pageno`)
    .all();
  db.close();
  return all.filter(({ number }) => number > 1);
}

const get = (studio: Studio, path: string) => request(studio.app).get(`/api${path}`);

const patternsOf = async (studio: Studio): Promise<string[]> =>
  (
    (await get(studio, '/patterns').expect(200)).body as { items: { document: { title: string } }[] }
  ).items.map(({ document }) => document.title);
const unreadablePatterns = ({ deps }: Studio) =>
  deps.store.sound.unreadable().filter(({ table }) => table === 'pattern');

describe('a page of noughts, whichever it is, takes along no more than what lies in it', () => {
  // One of every table and index, and every page of patterns.
  const seen = new Set<string>();
  test.each([
    ['patterns', (page: Page) => page.of === 'pattern'],
    [
      'everything else',
      ({ of, kind }: Page) =>
        of !== 'pattern' && of !== 'sqlite_schema' && kind === 'leaf' && !seen.has(of) && seen.add(of),
    ],
  ])('%s', async (_name, isMeant) => {
    const tried = pages().filter(isMeant);
    expect(tried.length).toBeGreaterThan(5);
    for (const { number, of, kind } of tried) {
      const studio = damaged(zeroPage(number));
      for (const path of LISTS)
        expect([of, kind, path, (await get(studio, path)).status]).toEqual([of, kind, path, 200]);
      const titles = await patternsOf(studio);
      // What is not listed is told of.
      expect(titles.length + unreadablePatterns(studio).length).toBe(TITLES.length);
      if (of !== 'pattern') expect(titles).toHaveLength(TITLES.length);
      if (kind === 'overflow') expect(titles).toHaveLength(TITLES.length - 1);
      studio.close();
    }
  });
  test('what is known of the tables themselves: it is said at the start', () => {
    const [schema] = pages().filter(({ of }) => of === 'sqlite_schema');
    expect(() => damaged(zeroPage(schema?.number ?? 0))).toThrow('database_unreadable');
  });
});

describe('a byte that turned into another', () => {
  /** Turns a letter of a text that stands once in the file. */
  const turn = (text: string) => (file: string) => {
    const bytes = readFileSync(file);
    const at = bytes.indexOf(text);
    expect(bytes.indexOf(text, at + 1)).toBe(-1);
    bytes[at] = (bytes[at] ?? 0) ^ 0x10;
    writeFileSync(file, bytes);
  };
  test('within a pattern is noticed, although it is still JSON: that one is left out, and named', async () => {
    const studio = damaged(turn('Before the Otter'));
    expect((await patternsOf(studio)).sort()).toEqual(TITLES.filter((title) => title !== 'Otter').sort());
    const [otter] = unreadablePatterns(studio);
    expect(otter?.name).toBe('Otter');
    const opened = await get(studio, `/patterns/${otter?.id}`).expect(500);
    expect(opened.body).toMatchObject({ code: 'database_damaged' });
    for (const path of LISTS) await get(studio, path).expect(200);
    studio.close();
  });
  test('what can be read again is no longer told of', async () => {
    const studio = damaged(turn('Before the Vole'));
    await patternsOf(studio);
    const [vole] = unreadablePatterns(studio);
    const document = { ...ballPattern(null, { title: 'Vole' }) };
    studio.deps.store.patterns.update(vole?.id ?? '', 1, document, '2026-11-25');
    expect(await patternsOf(studio)).toContain('Vole');
    expect(unreadablePatterns(studio)).toEqual([]);
    studio.close();
  });
});
