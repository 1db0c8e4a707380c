import type { BackupContents, BackupName, BackupReason, Keeping, KeptKind, PutBack } from '@lanakit/core/api';
import { isAbsolute } from 'node:path';
import { backupFolder, backupsIn, isBackupDue, nameOfBackup, writtenAtMs } from '../db/index.ts';
import type { KeepingDone, KeepingTask } from '../db/keepingTasks.ts';
import type { WorkDeps } from './deps.ts';
import { answering, assertSound, Refusal } from './refusal.ts';

export type KeepingService = ReturnType<typeof keepingService>;

const SECOND_PLACE = 'second_place';
const STUDIO_ID = 'studio_id';

/** Backups made, looked into and put back, and what is known of the state of the studio’s file. */
export function keepingService({ store, work, now, newId, dataDir }: WorkDeps) {
  const folder = backupFolder(dataDir);
  let backupFault: string | null = null;
  let secondFault: string | null = null;
  let fileFault: string | null = null;
  const secondPlace = () => store.studio.fact(SECOND_PLACE);
  /** Made when it is first needed, and this studio’s for ever. */
  const studioId = (): string => {
    const known = store.studio.fact(STUDIO_ID);
    if (known !== null) return known;
    const id = newId();
    store.studio.setFact(STUDIO_ID, id, now().toISOString());
    return id;
  };
  const done = async <D extends KeepingDone['did']>(task: KeepingTask & { readonly do: D }) => {
    const result = await work.keep(task);
    if (result.did === 'nothing') throw new Refusal(result.fault);
    return result as Extract<KeepingDone, { did: D }>;
  };
  const backUp = async (reason: BackupReason): Promise<BackupName> => {
    try {
      const place = secondPlace();
      const at = now().toISOString();
      const made = await done({
        do: 'back-up',
        dataDir,
        at,
        reason,
        secondPlace: place,
        studioId: place === null ? '' : studioId(),
      });
      backupFault = null;
      secondFault = made.secondFault;
      return made.backup;
    } catch (error) {
      backupFault = faultWords(error);
      throw error;
    }
  };
  return answering({
    state(): Keeping {
      const path = secondPlace();
      return {
        now: now().toISOString(),
        folder,
        backups: backupsIn(folder).map(nameOfBackup),
        backupFault,
        secondPlace: path === null ? null : { path, fault: secondFault },
        fileFault,
        damaged: store.sound.unreadable(),
      };
    },
    backUp: () => backUp('asked'),
    /** Where one is due: a day after the last, if anything was written since. */
    async backUpDaily(): Promise<BackupName | null> {
      const newest = backupsIn(folder)[0]?.at ?? null;
      return isBackupDue(newest, writtenAtMs(dataDir), now().getTime()) ? backUp('daily') : null;
    },
    /** Looks the studio’s file through for damage. */
    async check(): Promise<void> {
      fileFault = (await done({ do: 'check', dataDir })).fault;
    },
    /** @param path of a directory on this machine; null: none */
    setSecondPlace(path: string | null): void {
      if (path !== null && !isAbsolute(path.trim())) {
        const reason = 'is not a whole path, such as /media/stick/lanakit';
        assertSound([{ code: 'field_wrong', pointer: '/path', reason }]);
      }
      store.studio.setFact(SECOND_PLACE, path?.trim() ?? null, now().toISOString());
      secondFault = null;
    },
    lookInto: async (name: string): Promise<BackupContents> =>
      (await done({ do: 'look-into', dataDir, name })).contents,
    /** @param thing null: all of it */
    async putBack(
      name: string,
      thing: { readonly kind: KeptKind; readonly id: string } | null,
    ): Promise<PutBack> {
      const { keptAs } = await done({ do: 'put-back', dataDir, name, at: now().toISOString(), thing });
      return { keptAs };
    },
  });
}

const faultWords = (error: unknown): string => {
  const reason = error instanceof Refusal && 'reason' in error.reason ? error.reason.reason : undefined;
  return reason ?? (error instanceof Error ? error.message : String(error));
};
