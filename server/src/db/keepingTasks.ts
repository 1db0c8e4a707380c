import type { BackupContents, BackupName, KeptKind } from '@lanakit/core/api';
import Database from 'better-sqlite3';
import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { basename, join } from 'node:path';
import { contentsOf } from './backupContents.ts';
import type { BackupReason } from './backupNames.ts';
import {
  type Backup,
  backupFolder,
  type BackupResult,
  backupsIn,
  fileFaultOf,
  flush,
  makeBackupAtOnce,
  thinBackups,
} from './backups.ts';
import { type BackupFault, openBackup } from './openBackup.ts';
import { putAllBack, type PutBackFault, putOneBack } from './putBack.ts';

/** Each opens the studio for itself: it may be done beside the thread that answers, and while that writes. */
export type KeepingTask =
  | {
      readonly do: 'back-up';
      readonly dataDir: string;
      readonly at: string;
      readonly reason: BackupReason;
      readonly secondPlace: string | null;
      /** Under this its copies lie there. */
      readonly studioId: string;
    }
  | { readonly do: 'look-into'; readonly dataDir: string; readonly name: string }
  | {
      readonly do: 'put-back';
      readonly dataDir: string;
      readonly name: string;
      readonly at: string;
      readonly thing: { readonly kind: KeptKind; readonly id: string } | null;
    }
  | { readonly do: 'check'; readonly dataDir: string };

type KeepingFault =
  BackupFault | PutBackFault | { readonly code: 'backup_not_made'; readonly reason: string };

export type KeepingDone =
  | { readonly did: 'back-up'; readonly backup: BackupName; readonly secondFault: string | null }
  | { readonly did: 'look-into'; readonly contents: BackupContents }
  | { readonly did: 'put-back'; readonly keptAs: string }
  | { readonly did: 'check'; readonly fault: string | null }
  | { readonly did: 'nothing'; readonly fault: KeepingFault };

/** How long the studio may be in another’s hands before it is given up. */
const WAIT_MS = 20_000;

export function doKeepingTask(task: KeepingTask): KeepingDone {
  if (task.do === 'check') return { did: 'check', fault: fileFaultOf(studioFile(task.dataDir)) };
  const live = new Database(studioFile(task.dataDir), { fileMustExist: true, timeout: WAIT_MS });
  try {
    live.pragma('synchronous = FULL');
    switch (task.do) {
      case 'back-up':
        return backUp(live, task);
      case 'look-into':
        return lookInto(live, task);
      case 'put-back':
        return putBack(live, task);
    }
  } finally {
    live.close();
  }
}

const studioFile = (dataDir: string): string => join(dataDir, 'lanakit.sqlite');

export const nameOfBackup = ({ file, ...backup }: Backup): BackupName => ({
  ...backup,
  name: basename(file),
});

function backUp(
  live: Database.Database,
  { dataDir, at, reason, secondPlace, studioId }: Extract<KeepingTask, { do: 'back-up' }>,
): KeepingDone {
  const made = makeBackupAtOnce(live, backupFolder(dataDir), new Date(at), reason);
  if (!made.ok) return { did: 'nothing', fault: { code: 'backup_not_made', reason: made.reason } };
  const secondFault = secondPlace === null ? null : copyTo(secondPlace, studioId, made.backup, new Date(at));
  return { did: 'back-up', backup: nameOfBackup(made.backup), secondFault };
}

/** A copy of a copy, under its name only once it is there; null: it is. */
function copyTo(secondPlace: string, studioId: string, { file }: Backup, now: Date): string | null {
  // Several studios may share a place: each thins its copies, and nobody else’s.
  const place = join(secondPlace, `studio-${studioId}`);
  const [arriving, there] = [join(place, `arriving-${process.pid}.sqlite`), join(place, basename(file))];
  try {
    // Not what it lies in: a stick that is not there must not become a directory of this disk.
    for (const directory of [secondPlace, place])
      if (!existsSync(directory)) mkdirSync(directory, { mode: 0o700 });
    copyFileSync(file, arriving);
    flush(arriving);
    renameSync(arriving, there);
    thinBackups(place, now);
    return null;
  } catch (error) {
    // Where the place is no directory nothing lies in it.
    if (existsSync(arriving)) rmSync(arriving, { force: true });
    return error instanceof Error ? error.message : String(error);
  }
}

function lookInto(
  live: Database.Database,
  { dataDir, name }: Extract<KeepingTask, { do: 'look-into' }>,
): KeepingDone {
  const backup = backupsIn(backupFolder(dataDir)).find(({ file }) => basename(file) === name);
  if (!backup) return { did: 'nothing', fault: { code: 'not_found' } };
  const found = openBackup(dataDir, backup.file);
  if (!found.ok) return { did: 'nothing', fault: found.fault };
  try {
    const contents = contentsOf(live, found.opened.db);
    return { did: 'look-into', contents: { ...nameOfBackup(backup), ...contents } };
  } finally {
    found.opened.close();
  }
}

function putBack(
  live: Database.Database,
  { dataDir, name, at, thing }: Extract<KeepingTask, { do: 'put-back' }>,
): KeepingDone {
  const backup = backupsIn(backupFolder(dataDir)).find(({ file }) => basename(file) === name);
  if (!backup) return { did: 'nothing', fault: { code: 'not_found' } };
  const found = openBackup(dataDir, backup.file);
  if (!found.ok) return { did: 'nothing', fault: found.fault };
  const { file, db } = found.opened;
  try {
    const kept: BackupResult = makeBackupAtOnce(live, backupFolder(dataDir), new Date(at), 'before-restore');
    if (!kept.ok) return { did: 'nothing', fault: { code: 'backup_not_made', reason: kept.reason } };
    // Attached, it is read by another connection.
    db.close();
    const fault = thing === null ? putAllBack(live, file) : putOneBack(live, file, { ...thing, at });
    if (fault) return { did: 'nothing', fault };
    return { did: 'put-back', keptAs: basename(kept.backup.file) };
  } finally {
    found.opened.close();
  }
}
