import type { BroughtIn, StudioThatCame } from '@lanakit/core/api';
import { mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { basename, join } from 'node:path';
import type { ThingMapping } from '../db/arrivalFates.ts';
import type { WorkDeps } from './deps.ts';
import { arrivalFolder, type OnceFile, writtenOnce } from './onceFile.ts';
import { answering, Refusal } from './refusal.ts';
import { type StudioDone, type StudioTask, ZIP_NAME } from './studioFile/studioTasks.ts';

export type StudioFileService = ReturnType<typeof studioFileService>;

/** What was read and not brought in is kept so long. */
const KEPT_MS = 24 * 3_600_000;

/** The whole studio out as open files, and in again. */
export function studioFileService({ work, now, newId, dataDir }: WorkDeps) {
  const folder = arrivalFolder(dataDir);
  const done = async <D extends StudioDone['did']>(task: StudioTask & { readonly do: D }) =>
    (await work.studioFile(task)) as Extract<StudioDone, { did: D }>;
  const placeOf = (id: string): string => {
    if (!/^[A-Za-z0-9_-]{1,40}$/.test(id)) throw new Refusal({ code: 'not_found' });
    return join(folder, id);
  };
  const discard = (place: string) => rmSync(place, { recursive: true, force: true });
  return answering({
    async write(): Promise<OnceFile> {
      const at = now().toISOString();
      const path = await writtenOnce({ dataDir, newId }, 'zip', (to) =>
        done({ do: 'write', dataDir, to, at }),
      );
      return { path, mime: 'application/zip', name: `lanakit-studio-${at.slice(0, 10)}.zip` };
    },
    /** @param file of what was sent; gone afterwards */
    async read(file: string): Promise<StudioThatCame> {
      const id = newId();
      const place = placeOf(id);
      mkdirSync(place, { recursive: true, mode: 0o700 });
      renameSync(file, join(place, ZIP_NAME));
      try {
        return { id, ...(await done({ do: 'read', dataDir, place })).came };
      } catch (error) {
        discard(place);
        throw error;
      }
    },
    /** @param mapping what each thing of the shelf is here; null: it is put on this shelf */
    async bringIn(id: string, mapping: readonly ThingMapping[]): Promise<BroughtIn> {
      const place = placeOf(id);
      const { brought } = await done({ do: 'bring-in', dataDir, place, at: now().toISOString(), mapping });
      discard(place);
      return brought;
    },
    /** What came and was never brought in. */
    sweep(): void {
      for (const name of namesIn(folder)) {
        const place = join(folder, basename(name));
        if (now().getTime() - statSync(place).mtimeMs > KEPT_MS) discard(place);
      }
    },
  });
}

function namesIn(folder: string): readonly string[] {
  try {
    return readdirSync(folder);
  } catch {
    // Nothing ever came.
    return [];
  }
}
