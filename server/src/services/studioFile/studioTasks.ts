import type { BroughtIn, StudioThatCame } from '@lanakit/core/api';
import Database from 'better-sqlite3';
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { ThingMapping } from '../../db/arrivalFates.ts';
import { backupFolder, makeBackupAtOnce } from '../../db/backups.ts';
import { isEmptyStudio, mergeStudio } from '../../db/mergeStudio.ts';
import { studioThatCame } from '../../db/studioThatCame.ts';
import { Refusal } from '../refusal.ts';
import { readStudioFile } from './readStudioFile.ts';
import { writeStudioFile } from './writeStudioFile.ts';

/** Each opens the studio for itself: it is done beside the thread that answers, and while that writes. */
export type StudioTask =
  | { readonly do: 'write'; readonly dataDir: string; readonly to: string; readonly at: string }
  /** @property place of a directory in which the ZIP lies, and in which what is read of it is kept */
  | { readonly do: 'read'; readonly dataDir: string; readonly place: string }
  | {
      readonly do: 'bring-in';
      readonly dataDir: string;
      readonly place: string;
      readonly at: string;
      readonly mapping: readonly ThingMapping[];
    };

export type StudioDone =
  | { readonly did: 'write' }
  | { readonly did: 'read'; readonly came: Omit<StudioThatCame, 'id'> }
  | { readonly did: 'bring-in'; readonly brought: BroughtIn };

/** How long the studio may be in another’s hands before it is given up. */
const WAIT_MS = 20_000;

export const ZIP_NAME = 'studio.zip';

const studioFile = (dataDir: string): string => join(dataDir, 'lanakit.sqlite');

/** @throws Refusal not_found, studio_not_read, file_newer, archive_unsafe, backup_not_made */
export async function doStudioTask(task: StudioTask, newId: () => string): Promise<StudioDone> {
  switch (task.do) {
    case 'write':
      await writeStudioFile(studioFile(task.dataDir), task.to, task.at);
      return { did: 'write' };
    case 'read':
      await readStudioFile(join(task.place, ZIP_NAME), task.place);
      rmSync(join(task.place, ZIP_NAME), { force: true });
      return withBoth(task, async (here, came) => ({ did: 'read', came: studioThatCame(here, came) }));
    case 'bring-in':
      return withBoth(task, async (here, came) => {
        backUpBefore(here, task);
        const brought = await mergeStudio(here, came, { mapping: task.mapping, newId });
        return { did: 'bring-in', brought };
      });
  }
}

/** What is there is kept first, unless there is nothing. */
function backUpBefore(
  here: Database.Database,
  { dataDir, at }: { readonly dataDir: string; readonly at: string },
): void {
  if (isEmptyStudio(here)) return;
  const made = makeBackupAtOnce(here, backupFolder(dataDir), new Date(at), 'before-restore');
  if (!made.ok) throw new Refusal({ code: 'backup_not_made', reason: made.reason });
}

async function withBoth<T>(
  { dataDir, place }: { readonly dataDir: string; readonly place: string },
  work: (here: Database.Database, came: Database.Database) => Promise<T>,
): Promise<T> {
  if (!existsSync(studioFile(place))) throw new Refusal({ code: 'not_found' });
  const here = new Database(studioFile(dataDir), { fileMustExist: true, timeout: WAIT_MS });
  const came = new Database(studioFile(place), { readonly: true, fileMustExist: true });
  try {
    here.pragma('synchronous = FULL');
    return await work(here, came);
  } finally {
    came.close();
    here.close();
  }
}
