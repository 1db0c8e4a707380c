import type { MessagePort } from 'node:worker_threads';
import { transferableSymbol, valueSymbol } from 'piscina';
import { doTask, type Task, type TaskAnswer } from './tasks.ts';

/** What a thread is given: what to do, and where to tell how far it has come. */
export interface ThreadWork {
  readonly task: Task;
  readonly told: MessagePort;
}

/** A file is handed over as it is, where nothing else lies beside it in memory; a copy of a large one is as large. */
function handedOver(answer: TaskAnswer): TaskAnswer {
  const value = answer.ok ? answer.value : null;
  if (!(value instanceof Uint8Array) || value.byteLength !== value.buffer.byteLength) return answer;
  return Object.defineProperties(answer, {
    [transferableSymbol]: { value: [value.buffer] },
    [valueSymbol]: { value: { ok: true, value: new Uint8Array(value.buffer) } },
  });
}

/** What runs in each thread of the pools. */
export default async function work({ task, told }: ThreadWork): Promise<TaskAnswer> {
  try {
    const answer = await doTask(task, (progress) => told.postMessage(progress));
    return handedOver(answer);
  } finally {
    told.close();
  }
}
