import Database from 'better-sqlite3';
import { existsSync } from 'node:fs';
import { basename, join } from 'node:path';
import { readConfig } from './config.ts';
import {
  backupFolder,
  backupsIn,
  holdStudio,
  makeBackup,
  restoreBackup,
  type RestoreResult,
} from './db/index.ts';

/** `npm run backup` makes one and lists all; `npm run restore` lists them; with a file it puts that one in place. */
async function main([what, file]: readonly string[]): Promise<number> {
  const config = readConfig({ ...process.env, PORT: '0' });
  if ('code' in config) return 1;
  const { dataDir } = config;
  if (what === 'backup') return backUp(dataDir);
  if (file === undefined) {
    list(dataDir);
    console.log('\nPut one of them in place: npm run restore -- NAME (with Lanakit stopped)');
    return 0;
  }
  const path = file.includes('/') ? file : join(backupFolder(dataDir), file);
  const held = holdStudio(dataDir);
  const restored: RestoreResult = held.ok
    ? restoreBackup(dataDir, path, new Date())
    : held.refusal.code === 'studio_in_use'
      ? { ok: false, code: 'in_use' }
      : { ok: false, code: 'not_kept', reason: held.refusal.reason };
  console.log(restoredWords(restored, path));
  return restored.ok ? 0 : 1;
}

async function backUp(dataDir: string): Promise<number> {
  const studio = join(dataDir, 'lanakit.sqlite');
  if (!existsSync(studio)) {
    console.error(`There is no studio in ${dataDir} yet.`);
    return 1;
  }
  const db = new Database(studio);
  try {
    const made = await makeBackup(db, backupFolder(dataDir), new Date(), 'asked');
    if (!made.ok) {
      console.error(`No backup was made: ${made.reason}`);
      return 1;
    }
    console.log(`Backed up, and found whole: ${made.backup.file}`);
    list(dataDir);
    return 0;
  } finally {
    db.close();
  }
}

function list(dataDir: string): void {
  for (const { at, reason, sizeBytes, file } of backupsIn(backupFolder(dataDir)))
    console.log(
      `${at.slice(0, 16).replace('T', ' ')} UTC  ${(sizeBytes / 1e6).toFixed(1)} MB  ${reason}  ${basename(file)}`,
    );
}

function restoredWords(restored: RestoreResult, path: string): string {
  if (restored.ok)
    return `${path} is in place.${restored.keptAs === null ? '' : ` What was there lies in ${restored.keptAs}.`}`;
  switch (restored.code) {
    case 'in_use':
      return 'Nothing was changed: Lanakit is running on this studio. Stop it, and restore then.';
    case 'backup_damaged':
      return `Nothing was changed: ${path} cannot be restored (${restored.reason}). Take another.`;
    case 'not_kept':
      return `Nothing was changed: what is there could not be kept first (${restored.reason}). Is the disk full?`;
  }
}

process.exitCode = await main(process.argv.slice(2));
