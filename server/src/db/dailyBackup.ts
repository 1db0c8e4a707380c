import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { backupFolder, backupsIn, makeBackup, type BackupResult } from './backups.ts';
import type { Db } from './openDatabase.ts';

const DAY_MS = 24 * 3_600_000;

/** A day after the last one, if anything was written since. */
export const isBackupDue = (newestAt: string | null, writtenAtMs: number, nowMs: number): boolean =>
  newestAt === null || (nowMs - Date.parse(newestAt) >= DAY_MS && writtenAtMs > Date.parse(newestAt));

/** When the database or its log was last written. */
function writtenAtMs(dataDir: string): number {
  const files = ['lanakit.sqlite', 'lanakit.sqlite-wal'].map((name) => join(dataDir, name));
  return Math.max(0, ...files.filter((file) => existsSync(file)).map((file) => statSync(file).mtimeMs));
}

/** Makes the backup of the day where one is due; null where none is. */
export async function backUpDaily(db: Db, dataDir: string, now: Date): Promise<BackupResult | null> {
  const folder = backupFolder(dataDir);
  const newest = backupsIn(folder)[0]?.at ?? null;
  if (!isBackupDue(newest, writtenAtMs(dataDir), now.getTime())) return null;
  return makeBackup(db, folder, now, 'daily');
}
