import Database from 'better-sqlite3';
import { copyFileSync, existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { faultOf } from './backups.ts';
import { migrate } from './migrate.ts';
import { MIGRATIONS } from './migrations/index.ts';

export type BackupFault =
  | { readonly code: 'not_found' }
  | { readonly code: 'backup_damaged'; readonly reason: string }
  | { readonly code: 'backup_newer'; readonly found: number; readonly known: number };

/** A backup in the form of today, to be looked into or copied from. */
interface OpenedBackup {
  /** Of a file that may be attached. */
  readonly file: string;
  readonly db: Database.Database;
  close(): void;
}

export type BackupOpened =
  { readonly ok: true; readonly opened: OpenedBackup } | { readonly ok: false; readonly fault: BackupFault };

/**
 * Opens a backup, found whole. The file itself is never touched: what is looked into is a copy, brought forward where it is
 * of an older form.
 */
export function openBackup(dataDir: string, file: string): BackupOpened {
  if (!existsSync(file)) return { ok: false, fault: { code: 'not_found' } };
  const copy = join(dataDir, `looking-${process.pid}.sqlite`);
  const discard = () => {
    for (const end of ['', '-wal', '-shm', '-journal']) rmSync(`${copy}${end}`, { force: true });
  };
  discard();
  copyFileSync(file, copy);
  const reason = faultOf(copy);
  if (reason !== null) {
    discard();
    return { ok: false, fault: { code: 'backup_damaged', reason } };
  }
  const db = new Database(copy);
  const close = () => {
    db.close();
    discard();
  };
  const migrated = migrate(db);
  if (migrated.ok) return { ok: true, opened: { file: copy, db, close } };
  close();
  const found = migrated.refusal.found;
  return { ok: false, fault: { code: 'backup_newer', found, known: MIGRATIONS.length } };
}
