import Database from 'better-sqlite3';
import { accessSync, constants, mkdirSync } from 'node:fs';
import { basename, join } from 'node:path';
import { backupFolder, backupsIn, makeBackupAtOnce } from './backups.ts';
import { databaseFault, type DatabaseFault } from './databaseFault.ts';
import { migrate, type NewerDatabase } from './migrate.ts';
import { MIGRATIONS } from './migrations/index.ts';

export type Db = Database.Database;

export type OpenRefusal =
  | NewerDatabase
  | { readonly code: 'data_dir_unwritable'; readonly dataDir: string; readonly reason: string }
  | {
      readonly code: 'database_unreadable';
      readonly file: string;
      readonly reason: string;
      /** The name of the newest; null where there is none. */
      readonly lastBackup: string | null;
    }
  | {
      readonly code: Exclude<DatabaseFault['code'], 'database_damaged'>;
      readonly dataDir: string;
      readonly reason: string;
    }
  /** It would have been brought forward, and cannot be copied first. */
  | { readonly code: 'backup_failed'; readonly folder: string; readonly reason: string };

export type OpenResult = { ok: true; db: Db } | { ok: false; refusal: OpenRefusal };

/**
 * Opens (and makes, and migrates) the studio's database; one that is brought forward is backed up first. Never throws: what is
 * wrong comes back as a refusal.
 */
export function openDatabase(dataDir: string, now = new Date()): OpenResult {
  try {
    mkdirSync(dataDir, { recursive: true, mode: 0o700 });
    accessSync(dataDir, constants.W_OK | constants.R_OK);
  } catch (error) {
    return { ok: false, refusal: { code: 'data_dir_unwritable', dataDir, reason: reasonOf(error) } };
  }
  let db: Db | null = null;
  try {
    db = new Database(join(dataDir, 'lanakit.sqlite'));
    db.pragma('journal_mode = WAL');
    // Every acknowledged write is on the disk, also when the power goes.
    db.pragma('synchronous = FULL');
    // What is forgotten is not left in pages that are free: there are names of persons among it.
    db.pragma('secure_delete = ON');
    db.pragma('foreign_keys = ON');
    db.pragma('busy_timeout = 2000');
    const version = db.pragma('user_version', { simple: true }) as number;
    if (version > 0 && version < MIGRATIONS.length) {
      const folder = backupFolder(dataDir);
      const made = makeBackupAtOnce(db, folder, now, 'before-migration');
      if (!made.ok) {
        db.close();
        return { ok: false, refusal: { code: 'backup_failed', folder, reason: made.reason } };
      }
    }
    const migrated = migrate(db);
    if (migrated.ok) return { ok: true, db };
    db.close();
    return { ok: false, refusal: migrated.refusal };
  } catch (error) {
    db?.close();
    return { ok: false, refusal: refusalOf(error, dataDir) };
  }
}

/** Whatever else keeps a file from being opened is a damage of it. */
function refusalOf(error: unknown, dataDir: string): OpenRefusal {
  const fault = databaseFault(error);
  if (fault && fault.code !== 'database_damaged') return { code: fault.code, dataDir, reason: fault.reason };
  const newest = backupsIn(backupFolder(dataDir))[0];
  return {
    code: 'database_unreadable',
    file: join(dataDir, 'lanakit.sqlite'),
    reason: reasonOf(error),
    lastBackup: newest ? basename(newest.file) : null,
  };
}

const reasonOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));
