import { nanoid } from 'nanoid';
import { doKeepingTask, type KeepingDone, type KeepingTask } from '../db/keepingTasks.ts';
import type { ReadyPicture } from '../db/pictures.ts';
import type { BookletTask, PaperProgress } from '../papers/setBooklet.ts';
import type { CardsTask } from '../papers/cards/cardsPdf.ts';
import type { GuideTask } from '../papers/setGuide.ts';
import type { PdfTask } from '../papers/setPdf.ts';
import { readDrawing } from '../services/readPicture.ts';
import { doStudioTask, type StudioDone, type StudioTask } from '../services/studioFile/studioTasks.ts';
import { type ReadFile, readPatternFile } from '../services/readPatternFile.ts';
import { isRefusal, type RefusalReason } from '../services/refusal.ts';

/** What may be asked of a worker. */
export type Task =
  | { readonly kind: 'pattern-file'; readonly bytes: Uint8Array }
  | { readonly kind: 'drawing'; readonly bytes: Uint8Array }
  | { readonly kind: 'pdf'; readonly task: PdfTask }
  | { readonly kind: 'guide'; readonly task: GuideTask }
  | { readonly kind: 'booklet'; readonly task: BookletTask }
  | { readonly kind: 'booklets'; readonly task: BookletTask; readonly into: string }
  | { readonly kind: 'cards'; readonly task: CardsTask }
  | { readonly kind: 'keeping'; readonly task: KeepingTask }
  | { readonly kind: 'studio-file'; readonly task: StudioTask };

/** What comes of it. */
export interface Done {
  readonly 'pattern-file': ReadFile;
  readonly drawing: ReadyPicture;
  readonly pdf: Uint8Array;
  /** Null: it has no such page. */
  readonly guide: Uint8Array | null;
  readonly booklet: Uint8Array;
  readonly booklets: null;
  readonly cards: Uint8Array;
  readonly keeping: KeepingDone;
  readonly 'studio-file': StudioDone;
}

export type TellProgress = (progress: PaperProgress) => void;

/** A refusal is a value on its way out of a worker: what is thrown there loses what it is. */
export type TaskAnswer =
  | { readonly ok: true; readonly value: Done[Task['kind']] }
  | { readonly ok: false; readonly reason: RefusalReason };

const newId = (): string => nanoid(12);

/** Does a task here and now. @param tell how far it has come, of those that can say so */
export async function doTask(task: Task, tell?: TellProgress): Promise<TaskAnswer> {
  try {
    return { ok: true, value: await done(task, tell) };
  } catch (error) {
    if (isRefusal(error)) return { ok: false, reason: error.reason };
    throw error;
  }
}

async function done(task: Task, tell?: TellProgress): Promise<Done[Task['kind']]> {
  switch (task.kind) {
    case 'pattern-file':
      return readPatternFile(Buffer.from(task.bytes), newId);
    case 'drawing':
      return readDrawing(Buffer.from(task.bytes));
    case 'keeping':
      return doKeepingTask(task.task);
    case 'studio-file':
      return doStudioTask(task.task, newId);
    case 'pdf': {
      // What sets papers is a third of a second to load, and readers never need it.
      const { setPdf } = await import('../papers/setPdf.ts');
      return setPdf(task.task);
    }
    case 'booklet': {
      const { setBooklet } = await import('../papers/setBooklet.ts');
      return setBooklet(task.task);
    }
    case 'booklets': {
      const { setBooklets } = await import('../papers/setBooklet.ts');
      await setBooklets(task.task, task.into, tell);
      return null;
    }
    case 'cards': {
      const { cardsPdf } = await import('../papers/cards/cardsPdf.ts');
      return cardsPdf(task.task);
    }
    case 'guide': {
      const { setGuide } = await import('../papers/setGuide.ts');
      return setGuide(task.task);
    }
  }
}
