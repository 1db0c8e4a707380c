import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { MessageChannel } from 'node:worker_threads';
import type { Piscina } from 'piscina';
import type { PaperProgress } from '../papers/setBooklet.ts';
import { Refusal } from '../services/refusal.ts';
import type { Task, TaskAnswer } from './tasks.ts';
import type { ThreadWork } from './taskWorker.ts';
import type { TaskRunner } from './workshop.ts';

/** Readers and setters of papers wait for their own kind only. */
type Pool = 'readers' | 'papers' | 'keeping';

const POOL_OF: Readonly<Record<Task['kind'], Pool>> = {
  'pattern-file': 'readers',
  drawing: 'readers',
  pdf: 'papers',
  guide: 'papers',
  booklet: 'papers',
  booklets: 'papers',
  cards: 'papers',
  keeping: 'keeping',
  'studio-file': 'keeping',
};

/** Longer nobody’s file takes; a paper of two hundred packs takes a tenth of it. */
const LIMIT_MS: Readonly<Record<Pool, number>> = {
  readers: 10_000,
  papers: 120_000,
  // A whole studio of ten lives goes out in three minutes, and comes in in four.
  keeping: 1_800_000,
};

const SETTINGS = {
  readers: { maxThreads: 1, maxQueue: 20, resourceLimits: { maxOldGenerationSizeMb: 384 } },
  // A small nursery: setting makes much that is let go at once, and would keep half as much again of it lying about.
  papers: {
    maxThreads: 2,
    maxQueue: 40,
    resourceLimits: { maxYoungGenerationSizeMb: 8, maxOldGenerationSizeMb: 512 },
  },
  keeping: { maxThreads: 1, maxQueue: 10, resourceLimits: { maxOldGenerationSizeMb: 256 } },
} as const;

/** So long a thread that has nothing to do is kept; its memory is given back then. */
const IDLE_MS = 10_000;
/** Threads give way to the one that answers, but not so far that a busy machine gives them nothing: at 10 a booklet never came. */
const NICENESS = 3;

/** Does tasks in pools of threads, each with a limit of time and memory; a thread that keeps neither is ended. */
export function poolRunner(): TaskRunner {
  const pools = new Map<Pool, Promise<Piscina>>();
  const poolOf = (name: Pool): Promise<Piscina> => {
    const pool = pools.get(name) ?? openPool(name);
    pools.set(name, pool);
    return pool;
  };
  return async (task, signal, tell) => {
    const name = POOL_OF[task.kind];
    const pool = await poolOf(name);
    const isLate = AbortSignal.timeout(LIMIT_MS[name]);
    const { port1: heard, port2: told } = new MessageChannel();
    heard.on('message', (progress: PaperProgress) => tell?.(progress));
    const work: ThreadWork = { task, told };
    try {
      return (await pool.run(work, {
        transferList: [told],
        signal: signal ? AbortSignal.any([signal, isLate]) : isLate,
      })) as TaskAnswer;
    } catch (error) {
      throw refusalOf(error, { isLate: isLate.aborted, limitMs: LIMIT_MS[name] });
    } finally {
      heard.close();
    }
  };
}

/** Loaded when the first task comes: a start is to be quick. */
async function openPool(name: Pool): Promise<Piscina> {
  const { Piscina } = await import('piscina');
  return new Piscina({
    filename: workerFile(),
    minThreads: 0,
    idleTimeout: IDLE_MS,
    niceIncrement: NICENESS,
    ...SETTINGS[name],
  });
}

/** Built, the worker lies beside the application; from source it is where it was written. */
function workerFile(): string {
  const built = fileURLToPath(new URL('./taskWorker.js', import.meta.url));
  return existsSync(built) ? built : fileURLToPath(new URL('./taskWorker.ts', import.meta.url));
}

function refusalOf(
  error: unknown,
  { isLate, limitMs }: { readonly isLate: boolean; readonly limitMs: number },
): unknown {
  if (isLate) return new Refusal({ code: 'took_too_long', limitSeconds: limitMs / 1000 });
  const { message, code } = error as { message?: string; code?: string };
  if (message === 'Task queue is at limit') return new Refusal({ code: 'too_busy' });
  // A thread that wanted more memory than it may have is ended.
  if (code === 'ERR_WORKER_OUT_OF_MEMORY')
    return new Refusal({ code: 'took_too_long', limitSeconds: limitMs / 1000 });
  return error;
}
