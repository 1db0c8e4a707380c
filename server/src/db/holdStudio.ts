import Database from 'better-sqlite3';
import { chmodSync, existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { backupFolder } from './backups.ts';
import { databaseFault } from './databaseFault.ts';

/** The studio is this process’s alone until it is let go, or the process ends however it ends. */
interface Hold {
  release(): void;
}

export type HoldRefusal =
  | { readonly code: 'studio_in_use'; readonly dataDir: string }
  | { readonly code: 'data_dir_unwritable'; readonly dataDir: string; readonly reason: string };

export type HoldResult =
  { readonly ok: true; readonly hold: Hold } | { readonly ok: false; readonly refusal: HoldRefusal };

const OWNER_ONLY = 0o700;

/**
 * Takes a data directory, made where it is not there, for this process. A lock of SQLite on a file of its own: the system
 * lets it go with the process, so none is ever left behind.
 */
export function holdStudio(dataDir: string): HoldResult {
  let lock: Database.Database | null = null;
  try {
    mkdirSync(dataDir, { recursive: true, mode: OWNER_ONLY });
    keepToOwner(dataDir);
    lock = new Database(join(dataDir, 'lanakit.lock'), { timeout: 0 });
    lock.pragma('locking_mode = EXCLUSIVE');
    lock.exec('BEGIN EXCLUSIVE');
    const held = lock;
    discardLeftovers(dataDir);
    return { ok: true, hold: { release: () => held.close() } };
  } catch (error) {
    lock?.close();
    if (databaseFault(error)?.code === 'database_busy')
      return { ok: false, refusal: { code: 'studio_in_use', dataDir } };
    const reason = error instanceof Error ? error.message : String(error);
    return { ok: false, refusal: { code: 'data_dir_unwritable', dataDir, reason } };
  }
}

/** Rosters lie in it. A directory that was somebody’s before is left as it is. */
function keepToOwner(dataDir: string): void {
  if (!existsSync(join(dataDir, 'lanakit.sqlite'))) return;
  try {
    chmodSync(dataDir, OWNER_ONLY);
  } catch {
    // Of another owner, or on a disk without rights: whose it is, decides.
  }
}

/** What somebody was at when the process ended: a backup looked into, one not yet found whole. It is whoever holds the studio’s. */
function discardLeftovers(dataDir: string): void {
  for (const folder of [dataDir, backupFolder(dataDir)]) {
    if (!existsSync(folder) || !statSync(folder).isDirectory()) continue;
    for (const name of readdirSync(folder).filter((file) => LEFTOVER.test(file)))
      rmSync(join(folder, name), { force: true });
  }
}

const LEFTOVER = /^(?:looking|unchecked|arriving)-\d+\.sqlite(?:-wal|-shm|-journal)?$/;
