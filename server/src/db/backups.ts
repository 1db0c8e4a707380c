import Database from 'better-sqlite3';
import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { join } from 'node:path';
import { backupName, type BackupReason, readBackupName, thinnedBackups } from './backupNames.ts';

type Connection = Database.Database;

/** A copy of the whole studio, found whole when it was made. */
export interface Backup {
  readonly file: string;
  /** ISO 8601, UTC. */
  readonly at: string;
  readonly reason: BackupReason;
  readonly sizeBytes: number;
}

export type BackupResult =
  { readonly ok: true; readonly backup: Backup } | { readonly ok: false; readonly reason: string };

export const backupFolder = (dataDir: string): string => join(dataDir, 'backups');

/** The newest first; what is not ours is left out. */
export function backupsIn(folder: string): Backup[] {
  if (!existsSync(folder) || !statSync(folder).isDirectory()) return [];
  return readdirSync(folder)
    .flatMap((name) => {
      const read = readBackupName(name);
      const file = join(folder, name);
      return read ? [{ ...read, file, sizeBytes: statSync(file).size }] : [];
    })
    .sort((a, b) => (a.at < b.at ? 1 : -1));
}

/** Copies the database as it is at one moment, a little at a time: it is read and written meanwhile. */
export async function makeBackup(
  db: Connection,
  folder: string,
  at: Date,
  reason: BackupReason,
): Promise<BackupResult> {
  const unchecked = uncheckedIn(folder);
  try {
    prepare(folder, unchecked);
    await db.backup(unchecked);
    return checked(unchecked, folder, at, reason);
  } catch (error) {
    return { ok: false, reason: reasonOf(error) };
  } finally {
    discard(unchecked);
  }
}

/** The same in one go, for who must not go on before it is there: a migration. */
export function makeBackupAtOnce(
  db: Connection,
  folder: string,
  at: Date,
  reason: BackupReason,
): BackupResult {
  const unchecked = uncheckedIn(folder);
  try {
    prepare(folder, unchecked);
    db.prepare('VACUUM INTO ?').run(unchecked);
    return checked(unchecked, folder, at, reason);
  } catch (error) {
    return { ok: false, reason: reasonOf(error) };
  } finally {
    discard(unchecked);
  }
}

const uncheckedIn = (folder: string): string => join(folder, `unchecked-${process.pid}.sqlite`);

/** Where the folder cannot be one there is nothing to discard. */
function discard(file: string): void {
  if (existsSync(file)) rmSync(file, { force: true });
}

function prepare(folder: string, unchecked: string): void {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  discard(unchecked);
}

/** Only what is whole, and on the disk, gets a backup's name. */
function checked(unchecked: string, folder: string, at: Date, reason: BackupReason): BackupResult {
  const fault = faultOf(unchecked);
  if (fault !== null) return { ok: false, reason: fault };
  flush(unchecked);
  const file = join(folder, backupName(at, reason));
  renameSync(unchecked, file);
  flush(folder);
  thinBackups(folder, at);
  return { ok: true, backup: { file, at: at.toISOString(), reason, sizeBytes: statSync(file).size } };
}

/** What SQLite finds wrong with a copy, which becomes one file without a log beside it; null when it is whole. */
export function faultOf(file: string): string | null {
  let db: Connection | null = null;
  try {
    db = new Database(file, { fileMustExist: true });
    db.pragma('journal_mode = DELETE');
    const found = db.pragma('integrity_check(1)', { simple: true });
    if (found !== 'ok') return String(found);
    const [broken] = db.pragma('foreign_key_check') as readonly { readonly table: string }[];
    return broken ? `${broken.table} names something that is not there` : null;
  } catch (error) {
    return reasonOf(error);
  } finally {
    db?.close();
  }
}

/** What SQLite finds wrong with the studio’s file while it is in use, looked at as quickly as may be; null: nothing. */
export function fileFaultOf(file: string): string | null {
  let db: Connection | null = null;
  try {
    db = new Database(file, { readonly: true, fileMustExist: true });
    const found = db.pragma('quick_check(1)', { simple: true });
    return found === 'ok' ? null : String(found);
  } catch (error) {
    return reasonOf(error);
  } finally {
    db?.close();
  }
}

/** On the disk, not only on its way there. */
export function flush(path: string): void {
  const handle = openSync(path, 'r');
  fsyncSync(handle);
  closeSync(handle);
}

/** Takes away what need not be kept any longer. */
export function thinBackups(folder: string, now: Date): void {
  const named = backupsIn(folder).map(({ at, reason }) => ({
    at,
    reason,
    name: backupName(new Date(at), reason),
  }));
  for (const name of thinnedBackups(named, now)) rmSync(join(folder, name), { force: true });
}

const reasonOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));
