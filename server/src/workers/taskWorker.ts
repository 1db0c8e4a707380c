import type { MessagePort } from 'node:worker_threads';
import { doTask, type Task, type TaskAnswer } from './tasks.ts';

/** What a thread is given: what to do, and where to tell how far it has come. */
export interface ThreadWork {
  readonly task: Task;
  readonly told: MessagePort;
}

/** What runs in each thread of the pools. */
export default async function work({ task, told }: ThreadWork): Promise<TaskAnswer> {
  try {
    return await doTask(task, (progress) => told.postMessage(progress));
  } finally {
    told.close();
  }
}
