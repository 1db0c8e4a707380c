import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';

const DAY_MS = 24 * 3_600_000;

/** A day after the last one, if anything was written since. */
export const isBackupDue = (newestAt: string | null, writtenAtMs: number, nowMs: number): boolean =>
  newestAt === null || (nowMs - Date.parse(newestAt) >= DAY_MS && writtenAtMs > Date.parse(newestAt));

/** When the database or its log was last written. */
export function writtenAtMs(dataDir: string): number {
  const files = ['lanakit.sqlite', 'lanakit.sqlite-wal'].map((name) => join(dataDir, name));
  return Math.max(0, ...files.filter((file) => existsSync(file)).map((file) => statSync(file).mtimeMs));
}
