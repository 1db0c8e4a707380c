import { createInterface } from 'node:readline';
import { type Entry, openPromise } from 'yauzl';
import { Refusal } from '../refusal.ts';
import { MANIFEST } from './format.ts';

/** Ten times what the largest studio we reckon with has. */
const MOST_FILES = 1_000_000;
const MOST_UNPACKED = 16e9;
/** Nothing but a sheet is larger, and those are read line by line. */
const LARGEST_DOCUMENT = 24_000_000;
/** What is packed tighter was made to burst. */
const MOST_SHRUNK = 1100;

/** The files of a studio that came in as a ZIP: read one at a time, and of a sheet one row at a time. */
export interface Archive {
  readonly has: (path: string) => boolean;
  /** @throws Refusal studio_not_read */
  readonly bytes: (path: string) => Promise<Buffer>;
  readonly json: (path: string) => Promise<unknown>;
  /** The values of an array of JSON, which may be longer than what can be held. */
  readonly rows: (path: string) => AsyncIterable<unknown>;
  readonly close: () => void;
}

const notRead = (file: string, reason: string) => new Refusal({ code: 'studio_not_read', file, reason });

/** @throws Refusal studio_not_read, archive_unsafe */
export async function openArchive(zipFile: string): Promise<Archive> {
  const zip = await openPromise(zipFile, { lazyEntries: true, autoClose: false }).catch(() => {
    throw notRead('', 'is no ZIP, or a damaged one');
  });
  const close = () => zip.close();
  try {
    const entries = await entriesOf(zip);
    const base = baseOf([...entries.keys()]);
    const found = (path: string): Entry => {
      const entry = entries.get(base + path);
      if (!entry) throw notRead(path, 'is not in it');
      return entry;
    };
    const streamOf = async (path: string) =>
      zip.openReadStreamPromise(found(path)).catch(() => {
        throw notRead(path, 'is damaged');
      });
    const bytes = async (path: string): Promise<Buffer> => {
      if (found(path).uncompressedSize > LARGEST_DOCUMENT) throw notRead(path, 'is far too long');
      const chunks: Buffer[] = [];
      try {
        for await (const chunk of await streamOf(path)) chunks.push(chunk as Buffer);
      } catch (error) {
        throw error instanceof Refusal ? error : notRead(path, 'is damaged');
      }
      return Buffer.concat(chunks);
    };
    const json = async (path: string) => parsed(path, (await bytes(path)).toString('utf8'));
    async function* rows(path: string): AsyncGenerator<unknown> {
      // Written by anything else, a sheet may lie on other lines than ours; a short one is read whole.
      if (found(path).uncompressedSize < LARGEST_DOCUMENT) return yield* listIn(path, await json(path));
      try {
        for await (const line of createInterface({ input: await streamOf(path), crlfDelay: Infinity }))
          yield* rowOfLine(path, line);
      } catch (error) {
        throw error instanceof Refusal ? error : notRead(path, 'is damaged');
      }
    }
    return { has: (path) => entries.has(base + path), bytes, json, rows, close };
  } catch (error) {
    close();
    throw error;
  }
}

/** Looked at before anything is unpacked: what each claims to be, and where it wants to go. */
async function entriesOf(zip: Awaited<ReturnType<typeof openPromise>>): Promise<Map<string, Entry>> {
  const unsafe = (reason: string) => new Refusal({ code: 'archive_unsafe', reason });
  const entries = new Map<string, Entry>();
  let unpacked = 0;
  if (zip.entryCount > MOST_FILES) throw unsafe('too many files');
  try {
    for await (const entry of zip.eachEntry()) {
      unpacked += entry.uncompressedSize;
      if (unpacked > MOST_UNPACKED) throw unsafe('unpacks to far too much');
      if (entry.uncompressedSize > MOST_SHRUNK * entry.compressedSize + 100_000)
        throw unsafe('unpacks to far too much');
      if (entries.has(entry.fileName)) throw unsafe('two files of one name');
      entries.set(entry.fileName, entry);
    }
  } catch (error) {
    throw error instanceof Refusal ? error : unsafe(error instanceof Error ? error.message : String(error));
  }
  return entries;
}

/** Unpacked and packed again, everything may lie in a directory of its own. */
function baseOf(paths: readonly string[]): string {
  const [manifest] = paths
    .filter((path) => path === MANIFEST || path.endsWith(`/${MANIFEST}`))
    .sort((a, b) => a.length - b.length);
  if (manifest === undefined) throw notRead(MANIFEST, 'is not in it');
  return manifest.slice(0, -MANIFEST.length);
}

function parsed(path: string, text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\ufeff/, '')) as unknown;
  } catch {
    throw notRead(path, 'is no JSON');
  }
}

function listIn(path: string, value: unknown): unknown[] {
  if (!Array.isArray(value)) throw notRead(path, 'is no list');
  return value;
}

/** A row of a list that is written with a row on each line. */
function rowOfLine(path: string, line: string): unknown[] {
  const text = line.trim().replace(/,$/, '');
  return text === '' || text === '[' || text === ']' ? [] : [parsed(path, text)];
}
