import type Database from 'better-sqlite3';
import { crc32 } from 'node:zlib';

/** What is stored is not what was written: a disk, or another program, changed it. */
export class DamagedDocument extends Error {
  constructor(reason: string) {
    super(reason);
    this.name = 'DamagedDocument';
  }
}

/** The mark a document is stored with, by which it is known again: CRC-32 of its UTF-8. */
export const sealOf = (text: string): number => crc32(text);

/**
 * A document as it was written.
 * @param seal null: it was written by somebody who knows no seals
 * @throws DamagedDocument
 */
export function unsealed<T>(text: string, seal: number | null): T {
  if (seal !== null && sealOf(text) !== seal) throw new DamagedDocument('its content was changed');
  try {
    return JSON.parse(text) as T;
  } catch {
    throw new DamagedDocument('it is no longer JSON');
  }
}

/** Every column that holds a document, with its seal. */
const SEALED_COLUMNS = [
  { table: 'pattern', column: 'document', seal: 'document_seal' },
  { table: 'revision', column: 'document', seal: 'document_seal' },
  { table: 'technique_version', column: 'document', seal: 'document_seal' },
  { table: 'run', column: 'document', seal: 'document_seal' },
  { table: 'run', column: 'frozen', seal: 'frozen_seal' },
  { table: 'item', column: 'properties', seal: 'properties_seal' },
  { table: 'lot', column: 'properties', seal: 'properties_seal' },
  { table: 'purchase_order', column: 'document', seal: 'document_seal' },
  { table: 'cutting_plan', column: 'document', seal: 'document_seal' },
  { table: 'making', column: 'document', seal: 'document_seal' },
  { table: 'making', column: 'build', seal: 'build_seal' },
  { table: 'commission', column: 'document', seal: 'document_seal' },
  { table: 'translation', column: 'document', seal: 'document_seal' },
  { table: 'learnt', column: 'document', seal: 'document_seal' },
] as const;

/** Where the seal of a document stands; null: it has none. */
export const sealColumnOf = (table: string, column: string): string | null =>
  SEALED_COLUMNS.find((sealed) => sealed.table === table && sealed.column === column)?.seal ?? null;

/** Seals every document as it stands: after a step forward has written them anew. */
export function sealAll(db: Database.Database): void {
  db.function('seal_of', { deterministic: true }, (text: unknown) =>
    typeof text === 'string' ? sealOf(text) : null,
  );
  const isThere = db.prepare<[string]>(`SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = ?`);
  for (const { table, column, seal } of SEALED_COLUMNS)
    // What came after this step was never without its seal.
    if (isThere.get(table)) db.exec(`UPDATE ${table} SET ${seal} = seal_of(${column})`);
}
