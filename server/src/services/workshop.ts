import type { KeepingDone, KeepingTask } from '../db/keepingTasks.ts';
import type { ReadyPicture } from '../db/pictures.ts';
import type { BookletTask, PaperProgress } from '../papers/setBooklet.ts';
import type { CardsTask } from '../papers/cards/cardsPdf.ts';
import type { GuideTask } from '../papers/setGuide.ts';
import type { PdfTask } from '../papers/setPdf.ts';
import type { StudioDone, StudioTask } from './studioFile/studioTasks.ts';
import type { ReadFile } from './readPatternFile.ts';

/** Everything that takes long and may be given anything: away from the thread that answers, a few at a time. */
export interface Workshop {
  /** Backups made, looked into and put back, one after the other. @throws Refusal took_too_long, too_busy */
  keep(task: KeepingTask): Promise<KeepingDone>;
  /** The whole studio out and in, one after the other with backups. @throws Refusal what is wrong, took_too_long, too_busy */
  studioFile(task: StudioTask): Promise<StudioDone>;
  /** @throws Refusal what is wrong with the file, took_too_long, too_busy */
  readPatternFile(bytes: Buffer): Promise<ReadFile>;
  /** @throws Refusal what is wrong with the picture, took_too_long, too_busy */
  readPicture(bytes: Buffer): Promise<ReadyPicture>;
  /**
   * @param make what is set, worked out when its turn comes: until then it takes no room
   * @param signal nobody waits for it any more
   */
  setPdf(make: () => PdfTask, signal?: AbortSignal): Promise<Buffer>;
  /** The same of a booklet. */
  setBooklet(make: () => BookletTask, signal?: AbortSignal): Promise<Buffer>;
  /** Booklets of a run. @param into the file they are written to: not there yet, and to be taken away where it throws */
  setBooklets(make: () => BookletTask, into: string, watched: Watched): Promise<void>;
  /** The same of cards. */
  setCards(make: () => CardsTask, signal?: AbortSignal): Promise<Buffer>;
  /** The same of a guide; null: it has no such page. */
  setGuide(make: () => GuideTask, signal?: AbortSignal): Promise<Buffer | null>;
}

/** Somebody who waits. */
export interface Watched {
  /** Aborted when nobody does any more. */
  readonly signal?: AbortSignal;
  /** How far it has come. */
  readonly tell?: (progress: PaperProgress) => void;
}
