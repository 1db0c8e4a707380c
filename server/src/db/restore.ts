import Database from 'better-sqlite3';
import { copyFileSync, existsSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { backupFolder, faultOf, flush, makeBackupAtOnce } from './backups.ts';

export type RestoreResult =
  /** `keptAs`: where what was there before lies now; null where there was nothing. */
  | { readonly ok: true; readonly keptAs: string | null }
  | { readonly ok: false; readonly code: 'in_use' }
  | { readonly ok: false; readonly code: 'backup_damaged' | 'not_kept'; readonly reason: string };

/**
 * Puts a backup in the place of the studio. What was there is kept as a backup first; a damaged one is moved aside as it
 * is. The logs that lie beside a database go with it: beside another they would be read into it.
 */
export function restoreBackup(dataDir: string, backup: string, now: Date): RestoreResult {
  if (!existsSync(backup)) return { ok: false, code: 'backup_damaged', reason: 'there is no such file' };
  const incoming = join(dataDir, 'lanakit-restoring.sqlite');
  try {
    copyFileSync(backup, incoming);
    flush(incoming);
  } catch (error) {
    rmSync(incoming, { force: true });
    return { ok: false, code: 'not_kept', reason: error instanceof Error ? error.message : String(error) };
  }
  const fault = faultOf(incoming);
  if (fault !== null) {
    rmSync(incoming, { force: true });
    return { ok: false, code: 'backup_damaged', reason: fault };
  }
  const kept = keepCurrent(dataDir, now);
  if (!kept.ok) {
    rmSync(incoming, { force: true });
    return kept;
  }
  const file = join(dataDir, 'lanakit.sqlite');
  for (const log of [`${file}-wal`, `${file}-shm`]) rmSync(log, { force: true });
  renameSync(incoming, file);
  flush(dataDir);
  return kept;
}

function keepCurrent(dataDir: string, now: Date): RestoreResult {
  const file = join(dataDir, 'lanakit.sqlite');
  if (!existsSync(file)) return { ok: true, keptAs: null };
  let db: Database.Database | null = null;
  try {
    db = new Database(file, { timeout: 200 });
    // The log can only be given up while nobody else has the database open.
    if (db.pragma('journal_mode = DELETE', { simple: true }) !== 'delete')
      return { ok: false, code: 'in_use' };
    const kept = makeBackupAtOnce(db, backupFolder(dataDir), now, 'before-restore');
    return kept.ok ? { ok: true, keptAs: kept.backup.file } : asideOf(file, now);
  } catch (error) {
    const code = (error as { code?: string }).code ?? '';
    if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED'))
      return { ok: false, code: 'in_use' };
    return asideOf(file, now);
  } finally {
    db?.close();
  }
}

/** Too damaged to be copied: whole as it is, beside the backups. */
function asideOf(file: string, now: Date): RestoreResult {
  const aside = `${file}.damaged-${now.toISOString().replaceAll(':', '')}`;
  try {
    // Its log along with it: there may be more in that than in the file.
    for (const end of ['', '-wal', '-shm'])
      if (existsSync(`${file}${end}`)) copyFileSync(`${file}${end}`, `${aside}${end}`);
    return { ok: true, keptAs: aside };
  } catch (error) {
    return { ok: false, code: 'not_kept', reason: error instanceof Error ? error.message : String(error) };
  }
}
