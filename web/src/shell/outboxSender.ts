import { useEffect } from 'react';
import { ApiProblem, errorWords } from '../api/client.ts';
import type { Notice } from './Notice.tsx';
import type { Outbox, Waiting } from '../draft/outbox.ts';

interface Sending<T> {
  readonly outbox: Outbox<T>;
  /** Sends one and shows what came of it. */
  readonly send: (waiting: Waiting<T>) => Promise<void>;
  /** The server will not have it: said, and shown as the server has it. */
  readonly refused: (problem: ApiProblem) => Promise<void>;
  readonly say: (notice: Notice) => void;
  /** What is kept meanwhile, as a sentence begins: “What is ticked”. */
  readonly subject: string;
}

/** Outboxes that are being emptied. */
const busy = new WeakSet<object>();

/** Sends what waits, one after another in its order, until nothing does or it cannot be reached. */
export function outboxSender<T>({ outbox, send, refused, say, subject }: Sending<T>): () => Promise<void> {
  const sendFirst = async (waiting: Waiting<T>): Promise<void> => {
    try {
      await send(waiting);
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      await refused(error);
    }
    outbox.done(waiting.key);
  };
  const sendAll = async (): Promise<void> => {
    if (busy.has(outbox)) return;
    busy.add(outbox);
    try {
      for (let [next] = outbox.waiting; next; [next] = outbox.waiting) await sendFirst(next);
    } catch (error) {
      say({
        text: `${errorWords(error)} ${subject} is kept on this device, and sent as soon as it can be.`,
        isProblem: true,
        action: { label: 'Try again', run: () => void sendAll() },
      });
    } finally {
      busy.delete(outbox);
    }
  };
  return sendAll;
}

/** So often it is tried again while something waits. */
const AGAIN_MS = 5000;

/** Sends what waits when the page opens, when the network comes back, and now and then. */
export function useOutbox<T>(outbox: Outbox<T>, sendAll: () => Promise<void>): void {
  useEffect(() => {
    const sendWaiting = () => {
      if (outbox.waiting.length > 0) void sendAll();
    };
    sendWaiting();
    const timer = setInterval(sendWaiting, AGAIN_MS);
    window.addEventListener('online', sendWaiting);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', sendWaiting);
    };
  }, [outbox, sendAll]);
}
