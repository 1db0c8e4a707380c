import { looksLikeSvg, readPhoto } from '../services/readPicture.ts';
import { Refusal } from '../services/refusal.ts';
import type { Workshop } from '../services/workshop.ts';
import { oneAfterAnother } from './oneAfterAnother.ts';
import { type Done, doTask, type Task, type TaskAnswer, type TellProgress } from './tasks.ts';

/** Does a task somewhere. @throws Refusal took_too_long, too_busy */
export type TaskRunner = (task: Task, signal?: AbortSignal, tell?: TellProgress) => Promise<TaskAnswer>;

/** Pictures that may wait while one is decoded. */
const MOST_PICTURES_WAITING = 20;
/** Whoever presses again while a backup is made need not. */
const MOST_BACKUPS_WAITING = 5;
/** Papers that are being set, and that may wait: ten of a class, for three who print. */
const PAPERS_AT_ONCE = 2;
const MOST_PAPERS_WAITING = 40;

/** The same bytes, under the name they lost between threads. */
const held = (bytes: Uint8Array): Buffer => Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);

export function workshopOf(run: TaskRunner): Workshop {
  // Decoded, a picture is a hundred times as large: one at a time.
  const pictures = oneAfterAnother(1, MOST_PICTURES_WAITING);
  const backups = oneAfterAnother(1, MOST_BACKUPS_WAITING);
  const papers = oneAfterAnother(PAPERS_AT_ONCE, MOST_PAPERS_WAITING);
  const done = async <K extends Task['kind']>(
    task: Extract<Task, { kind: K }>,
    signal?: AbortSignal,
    tell?: TellProgress,
  ) => {
    const answer = await run(task, signal, tell);
    if (!answer.ok) throw new Refusal(answer.reason);
    return answer.value as Done[K];
  };
  return {
    studioFile: (task) => backups(() => done<'studio-file'>({ kind: 'studio-file', task })),
    keep: (task) => backups(() => done<'keeping'>({ kind: 'keeping', task })),
    async readPatternFile(bytes) {
      const { file, pictures: brought } = await done<'pattern-file'>({ kind: 'pattern-file', bytes });
      // Bytes lose what they are called on their way between threads.
      return { file, pictures: new Map([...brought].map(([id, content]) => [id, Buffer.from(content)])) };
    },
    async readPicture(bytes) {
      if (!looksLikeSvg(bytes)) return pictures(() => readPhoto(bytes));
      const { large, small, ...drawing } = await done<'drawing'>({ kind: 'drawing', bytes });
      return { ...drawing, large: Buffer.from(large), small: Buffer.from(small) };
    },
    setPdf: (make, signal) =>
      papers(async () => held(await done<'pdf'>({ kind: 'pdf', task: make() }, signal)), signal),
    setBooklet: (make, signal) =>
      papers(async () => held(await done<'booklet'>({ kind: 'booklet', task: make() }, signal)), signal),
    setBooklets: (make, into, { signal, tell }) =>
      papers(async () => {
        await done<'booklets'>({ kind: 'booklets', task: make(), into }, signal, tell);
      }, signal),
    setCards: (make, signal) =>
      papers(async () => held(await done<'cards'>({ kind: 'cards', task: make() }, signal)), signal),
    setGuide: (make, signal) =>
      papers(async () => {
        const bytes = await done<'guide'>({ kind: 'guide', task: make() }, signal);
        return bytes && Buffer.from(bytes);
      }, signal),
  };
}

/** Everything on the thread that asks: for the demo, and for tests. What could not cross into a thread is found here too. */
export const workshopHere = (): Workshop =>
  workshopOf((task, _signal, tell) => doTask(structuredClone(task), tell));
