import { createHash } from 'node:crypto';
import { checkPattern, type Pattern, type PatternOfAnyFormat, upgradePattern } from '@lanakit/core/pattern';
import type { Problem } from '@lanakit/core/problems';
import { checkCommission, type CommissionInput } from '@lanakit/core/commissions';
import { checkMaking, type MakingInput } from '@lanakit/core/logbook';
import { checkRun, type RunInput, runOfToday } from '@lanakit/core/run';
import {
  type BlendInput,
  checkBlend,
  checkFibre,
  checkFinding,
  checkNeedle,
  checkSupplier,
  checkTool,
  type FibreInput,
  type FindingInput,
  type NeedleInput,
  type SupplierInput,
  type ToolInput,
} from '@lanakit/core/shelf';
import { checkTechnique, type TechniqueInput } from '@lanakit/core/writing';
import { bringTogether, NamesNothing } from '../../db/bringTogether.ts';
import { openDatabase } from '../../db/openDatabase.ts';
import { apartColumns, rowWriter, type RowWriter } from '../../db/sheetRows.ts';
import { type ApartValue, type Sheet, type SheetColumn, type SheetRow, SHEETS } from '../../db/sheets.ts';
import { type FormCheck, formCheck } from '../formCheck.ts';
import { createStore, type Db } from '../../db/index.ts';
import { sanitizeDrawing } from '../readPicture.ts';
import { Refusal } from '../refusal.ts';
import { MANIFEST, NEWEST_STUDIO_FORMAT, STUDIO_FORMAT } from './format.ts';
import { type Archive, openArchive } from './openArchive.ts';
import { documentSchema, rowSchema } from './sheetSchema.ts';

/**
 * Reads a studio out of its open files into a database of its own, everything checked as if it were written anew. Nothing
 * of the studio that is open is touched.
 * @param into a directory that is empty
 * @throws Refusal studio_not_read, file_newer, archive_unsafe
 */
export async function readStudioFile(zipFile: string, into: string): Promise<void> {
  const archive = await openArchive(zipFile);
  try {
    assertOurs(await archive.json(MANIFEST));
    const opened = openDatabase(into);
    if (!opened.ok) throw new Refusal({ code: 'backup_not_made', reason: opened.refusal.code });
    try {
      await bringTogether(opened.db, async () => {
        for (const sheet of SHEETS) await readSheet(archive, sheet, rowWriter(opened.db, sheet));
        assertWhole(opened.db);
      });
    } catch (error) {
      if (!(error instanceof NamesNothing)) throw error;
      throw new Refusal({ code: 'studio_not_read', file: sheetOf(error.table), reason: error.message });
    } finally {
      opened.db.close();
    }
  } finally {
    archive.close();
  }
}

/** The file that says what is told by a table; sums and links follow from it. */
const sheetOf = (table: string): string => {
  const told = FOLLOWS_FROM[table] ?? table;
  return `${SHEETS.find((sheet) => sheet.table === told)?.name ?? told}.json`;
};

const FOLLOWS_FROM: Readonly<Record<string, string>> = {
  on_hand: 'movement',
  lot_on_hand: 'movement',
  item_link: 'item',
  pattern_item: 'pattern',
  revision_item: 'revision',
  run_revision: 'run',
};

/** What no row can tell by itself. @throws Refusal studio_not_read */
function assertWhole(db: Db): void {
  // What a damaged shelf no longer has is named by nobody.
  db.exec('DELETE FROM item_link WHERE names_id NOT IN (SELECT id FROM item)');
  assertBlends(createStore(db).items.all<BlendInput>('blend'));
  const lost = db
    .prepare<[], string>(
      `SELECT id FROM technique t
       WHERE NOT EXISTS (SELECT 1 FROM technique_version v WHERE v.technique_id = t.id AND v.version = t.version)`,
    )
    .pluck()
    .get();
  if (lost !== undefined)
    throw new Refusal({
      code: 'studio_not_read',
      file: 'technique-versions.json',
      reason: `has no newest version of ${lost}`,
    });
}

/** What it is mixed of may lie in the bin; that it is mixed of itself would never come to an end. */
function assertBlends(blends: readonly (BlendInput & { readonly id: string })[]): void {
  const byId = new Map(blends.map((blend) => [blend.id, blend]));
  for (const blend of blends) {
    const problems = checkBlend(
      blend,
      blend.id,
      (id) => byId.get(id)?.parts,
      (id) => byId.get(id)?.name ?? '',
    );
    assertFits('shelf/blends.json', problems, `/${blend.id}`);
  }
}

function assertOurs(manifest: unknown): void {
  const { format, formatVersion } = manifest as { format?: unknown; formatVersion?: unknown };
  if (format !== STUDIO_FORMAT || typeof formatVersion !== 'number')
    throw new Refusal({ code: 'studio_not_read', file: MANIFEST, reason: 'is no studio’s' });
  if (formatVersion > NEWEST_STUDIO_FORMAT)
    throw new Refusal({ code: 'file_newer', version: formatVersion, newest: NEWEST_STUDIO_FORMAT });
}

async function readSheet(archive: Archive, sheet: Sheet, write: RowWriter): Promise<void> {
  const file = `${sheet.name}.json`;
  if (!archive.has(file)) return;
  const checkRow = formCheck(rowSchema(sheet));
  const apart = apartColumns(sheet).map((column) => ({
    column,
    check: formCheck(documentSchema(sheet, column)),
  }));
  let at = 0;
  for await (const value of archive.rows(file)) {
    assertFits(file, checkRow(value), `/${at}`);
    const row = withNulls(sheet, value as SheetRow);
    assertFits(file, problemsOfRow(sheet, row), `/${at}`);
    const values: Record<string, ApartValue> = {};
    for (const { column, check } of apart)
      values[column.key] = await apartValue(archive, row, column, (document) =>
        checkedDocument(sheet, column, check, document),
      );
    try {
      write(row, values);
    } catch (error) {
      throw new Refusal({ code: 'studio_not_read', file, reason: `row ${at + 1}: ${wordsOf(error)}` });
    }
    at += 1;
  }
}

/** What is not said in a row is nothing. */
const withNulls = ({ columns }: Sheet, row: SheetRow): SheetRow => ({
  ...Object.fromEntries(columns.flatMap(({ key, canBeNull }) => (canBeNull ? [[key, null]] : []))),
  ...row,
});

const wordsOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/** @throws Refusal studio_not_read */
function assertFits(file: string, problems: readonly Problem[], at = ''): void {
  if (problems.length === 0) return;
  throw new Refusal({
    code: 'studio_not_read',
    file,
    reason: 'does not have the form asked for',
    problems: problems.map((problem) => ({ ...problem, pointer: at + problem.pointer })),
  });
}

function problemsOfRow({ name, itemKind }: Sheet, row: SheetRow): readonly Problem[] {
  if (name === 'technique-versions') return checkTechnique(row['document'] as TechniqueInput);
  if (itemKind === null) return [];
  const check = CHECKS[itemKind];
  return check?.({ ...(row['properties'] as object), archived: row['isArchived'] } as never) ?? [];
}

/** Of what can be told by itself. */
const CHECKS: Readonly<Record<string, (input: never) => readonly Problem[]>> = {
  fibre: (input: FibreInput) => checkFibre(input),
  finding: (input: FindingInput) => checkFinding(input),
  needle: (input: NeedleInput) => checkNeedle(input),
  tool: (input: ToolInput) => checkTool(input),
  supplier: (input: SupplierInput) => checkSupplier(input),
};

/** What stands in a file of its own. */
async function apartValue(
  archive: Archive,
  row: SheetRow,
  column: SheetColumn,
  checked: (document: unknown) => { readonly document: unknown; readonly problems: readonly Problem[] },
): Promise<ApartValue> {
  const path = row[column.key];
  if (typeof path !== 'string') return null;
  if (column.is === 'bytes') {
    const bytes = await archive.bytes(path);
    assertPicture(path, row, column.key, bytes);
    return bytes;
  }
  const { document, problems } = checked(await archive.json(path));
  assertFits(path, problems);
  return JSON.stringify(document);
}

/** Patterns and plans of an earlier Lanakit are brought forward. */
function checkedDocument(sheet: Sheet, { key }: SheetColumn, check: FormCheck, found: unknown) {
  const document = broughtForward(sheet, key, found);
  const problems = check(document);
  return { document, problems: problems.length > 0 ? problems : soundness(sheet, key, document) };
}

function broughtForward({ name }: Sheet, key: string, found: unknown): unknown {
  if (typeof found !== 'object' || found === null) return found;
  try {
    if (isPattern(name, key)) return upgradePattern(found as PatternOfAnyFormat);
    return name === 'runs' && key === 'document' ? runOfToday(found) : found;
  } catch {
    // What cannot be brought forward does not fit today’s form either, and is told by that.
    return found;
  }
}

function soundness({ name }: Sheet, key: string, document: unknown): readonly Problem[] {
  if (isPattern(name, key)) return checkPattern(document as Pattern);
  if (key !== 'document') return [];
  if (name === 'commissions') return checkCommission(document as CommissionInput);
  if (name === 'makings') return checkMaking(document as MakingInput);
  return name === 'runs' ? checkRun(document as RunInput) : [];
}

/** A draft, a revision, or what a making is of. */
const isPattern = (sheet: string, key: string): boolean =>
  key === 'build' || (key === 'document' && (sheet === 'patterns' || sheet === 'revisions'));

/** Known by what is in it: what is not what its row tells has been changed. A drawing may hold nothing that runs. */
function assertPicture(path: string, row: SheetRow, key: string, bytes: Buffer): void {
  const mime = String(row['mime']);
  const refuse = (reason: string) => new Refusal({ code: 'studio_not_read', file: path, reason });
  if (!LOOKS[mime]?.(bytes)) throw refuse(`is no picture of ${mime}`);
  if (key === 'large' && createHash('sha256').update(bytes).digest('hex') !== row['sha256'])
    throw refuse('is not what its sha256 tells');
  if (mime === 'image/svg+xml' && sanitizeDrawing(bytes.toString('utf8')) !== bytes.toString('utf8'))
    throw refuse('holds more than a drawing');
}

const beginsWith =
  (...marks: readonly number[]) =>
  (bytes: Buffer): boolean =>
    marks.every((mark, at) => bytes[at] === mark);

const LOOKS: Readonly<Record<string, (bytes: Buffer) => boolean>> = {
  'image/jpeg': beginsWith(0xff, 0xd8, 0xff),
  'image/png': beginsWith(0x89, 0x50, 0x4e, 0x47),
  'image/webp': beginsWith(0x52, 0x49, 0x46, 0x46),
  'image/svg+xml': (bytes) => bytes.subarray(0, 2000).includes('<svg'),
};
