import { closeSync, openSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import PDFDocument from 'pdfkit';
import { FONTS } from './lines.ts';
import type { Sheet } from './sheetOf.ts';

const FILES: Readonly<Record<(typeof FONTS)[keyof typeof FONTS], string>> = {
  Plain: '400Regular',
  Strong: '600SemiBold',
  Slanted: '400Regular_Italic',
  StrongSlanted: '600SemiBold_Italic',
};

const fontFile = (weight: string): string =>
  join(
    dirname(createRequire(import.meta.url).resolve('@expo-google-fonts/source-sans-3/package.json')),
    weight,
    `SourceSans3_${weight}.ttf`,
  );

/** Empty, its fonts in it: tagged, and PDF/A-2a (ISO 19005-2). */
export function newDocument(
  { title, language }: { readonly title: string; readonly language: string },
  { widthPt, heightPt }: Sheet,
  at: Date,
): PDFKit.PDFDocument {
  const doc = new PDFDocument({
    size: [widthPt, heightPt],
    margin: 0,
    autoFirstPage: false,
    // None of its own: one that is opened beside the same one under its name is opened anew for every word.
    font: '',
    bufferPages: true,
    pdfVersion: '1.7',
    subset: 'PDF/A-2a',
    tagged: true,
    lang: language,
    displayTitle: true,
    info: { Title: title, Creator: 'Lanakit', Producer: 'Lanakit', CreationDate: at, ModDate: at },
  });
  for (const [name, weight] of Object.entries(FILES)) doc.registerFont(name, fontFile(weight));
  doc.font(FONTS.plain);
  return doc;
}

/** Small pieces are put together as they come: a million of them take more room than what is in them. */
const BLOCK_BYTES = 1_000_000;

/** Block by block, as it is made; @returns when it has been ended */
const gathered = (doc: PDFKit.PDFDocument, keep: (block: Buffer) => void): Promise<void> =>
  new Promise((resolve, reject) => {
    let pieces: Buffer[] = [];
    let bytes = 0;
    const close = () => {
      keep(Buffer.concat(pieces));
      [pieces, bytes] = [[], 0];
    };
    doc.on('data', (piece: Buffer) => {
      pieces.push(piece);
      bytes += piece.length;
      if (bytes >= BLOCK_BYTES) close();
    });
    doc.on('end', () => {
      close();
      resolve();
    });
    doc.on('error', reject);
  });

/** All of it, when it has been ended. */
export async function finished(doc: PDFKit.PDFDocument): Promise<Buffer> {
  const blocks: Buffer[] = [];
  await gathered(doc, (block) => blocks.push(block));
  return Buffer.concat(blocks);
}

/** All of it in a file that is not there yet: a large one is never whole in memory. */
export async function writtenTo(doc: PDFKit.PDFDocument, path: string): Promise<void> {
  const file = openSync(path, 'wx', 0o600);
  try {
    // At once: nothing else is done on the thread that sets.
    await gathered(doc, (block) => writeFileSync(file, block));
  } finally {
    closeSync(file);
  }
}
