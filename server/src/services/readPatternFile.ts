import { findPatternFile, PatternFile, patternFromMarkdown } from '@lanakit/core/files';
import { checkPattern, type Pattern } from '@lanakit/core/pattern';
import type { Problem } from '@lanakit/core/problems';
import { LONGEST_STEP, MOST_STEPS } from '@lanakit/core/writing';
import { strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { extensionOf } from './fileNames.ts';
import { formCheck } from './formCheck.ts';
import { assertSound, Refusal } from './refusal.ts';

/** A file as it was read: its document, and the pictures that came with it under the ids it names them by. */
export interface ReadFile {
  readonly file: PatternFile;
  readonly pictures: ReadonlyMap<string, Buffer>;
}

const checkForm = formCheck(PatternFile);

const MOST_FILES = 400;
/** A pattern with every picture it may have, unpacked. */
const MOST_UNPACKED = 200_000_000;
const LARGEST_TEXT = 4_000_000;

const isZip = (bytes: Buffer): boolean => bytes.length > 3 && bytes.readUInt32LE(0) === 0x04034b50;

/**
 * Reads a pattern from JSON, ZIP or Markdown, told apart by what is in them.
 * @throws Refusal file_not_read, file_newer, archive_unsafe, content_invalid
 */
export function readPatternFile(bytes: Buffer, newId: () => string): ReadFile {
  if (isZip(bytes)) return readZip(bytes);
  const text = readText(bytes);
  if (/^\s*[{[]/.test(text)) return { file: readJson(text), pictures: new Map() };
  const { pattern, isCut } = patternFromMarkdown(text, newId);
  if (isCut) throw new Refusal({ code: 'text_too_long', mostSteps: MOST_STEPS, longestStep: LONGEST_STEP });
  return { file: wrap(pattern), pictures: new Map() };
}

function readText(bytes: Buffer): string {
  if (bytes.length > LARGEST_TEXT) throw new Refusal({ code: 'file_not_read', reason: 'too long' });
  const text = decoded(bytes);
  if (text === null || text.includes('\0')) throw new Refusal({ code: 'file_not_read', reason: 'not text' });
  if (text.trim() === '') throw new Refusal({ code: 'file_not_read', reason: 'no text' });
  return text;
}

/** Null: these bytes are no UTF-8. */
function decoded(bytes: Buffer): string | null {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return null;
  }
}

const wrap = (pattern: Pattern): PatternFile => {
  if (pattern.steps.length === 0) throw new Refusal({ code: 'file_not_read', reason: 'no steps' });
  return {
    format: 'lanakit-pattern-file',
    formatVersion: 1,
    pattern,
    shelf: { fibres: [], findings: [], needles: [] },
  };
};

function readJson(text: string): PatternFile {
  const found = findPatternFile(text);
  if (!found.ok) {
    const { refusal } = found;
    if (refusal.code === 'newer') {
      throw new Refusal({ code: 'file_newer', version: refusal.version, newest: refusal.newest });
    }
    throw new Refusal({ code: 'file_not_read', reason: refusal.code });
  }
  const problems: Problem[] = checkForm(found.value);
  if (problems.length > 0) throw new Refusal({ code: 'file_not_read', problems });
  const file = found.value as PatternFile;
  assertSound(checkPattern(file.pattern));
  return file;
}

/** Only the names we write ourselves; anything else in an archive is none of ours. */
const PICTURE_NAME = /^pictures\/([A-Za-z0-9_-]{1,40})\.(?:jpe?g|png|webp|svg)$/;

function readZip(bytes: Buffer): ReadFile {
  const unsafe = (reason: string) => new Refusal({ code: 'archive_unsafe', reason });
  let count = 0;
  let unpacked = 0;
  let entries: Record<string, Uint8Array>;
  try {
    entries = unzipSync(bytes, {
      // Looked at before anything is unpacked: what an entry claims to be, and where it wants to go.
      filter: ({ name, originalSize, size }) => {
        count += 1;
        unpacked += originalSize;
        if (count > MOST_FILES) throw unsafe('too many files');
        if (unpacked > MOST_UNPACKED || originalSize > 200 * size + 100_000)
          throw unsafe('unpacks to far too much');
        if (name.includes('..') || name.startsWith('/') || name.includes('\\'))
          throw unsafe('a path leaves it');
        return name === 'pattern.json' || PICTURE_NAME.test(name);
      },
    });
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw new Refusal({ code: 'file_not_read', reason: 'the ZIP is damaged' });
  }
  const document = entries['pattern.json'];
  if (!document) throw new Refusal({ code: 'file_not_read', reason: 'no pattern.json' });
  const pictures = new Map<string, Buffer>();
  for (const [name, content] of Object.entries(entries)) {
    const id = PICTURE_NAME.exec(name)?.[1];
    if (id !== undefined) pictures.set(id, Buffer.from(content));
  }
  return { file: readJson(readText(Buffer.from(document))), pictures };
}

export const fileText = (file: PatternFile): string => `${JSON.stringify(file, null, 2)}\n`;

/** The pattern with its pictures in one archive; pictures are packed already and only stored. */
export function zipOf(
  file: PatternFile,
  markdown: string,
  pictures: ReadonlyMap<string, { readonly mime: string; readonly bytes: Buffer }>,
): Buffer {
  const entries: Zippable = {
    'pattern.json': strToU8(fileText(file)),
    'pattern.md': strToU8(markdown),
  };
  for (const [id, { mime, bytes }] of pictures) {
    entries[`pictures/${id}.${extensionOf(mime)}`] = [bytes, { level: 0 }];
  }
  // One day for every entry: the same pattern makes the same archive.
  return Buffer.from(zipSync(entries, { mtime: new Date(Date.UTC(2000, 0, 1, 12)) }));
}
