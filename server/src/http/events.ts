import type { Response } from 'express';
import type { Reply } from './route.ts';

/** A connection that nothing goes over is cut by whatever lies between; and who is shut out is noticed by then. */
const HEARTBEAT_MS = 10_000;

/**
 * Server-sent events (HTML Standard, 9.2): one JSON a message, until whoever listens has gone or is shut out.
 * @param isStillIn asked before each
 */
export function sendEvents(
  response: Response,
  events: NonNullable<Reply['events']>,
  isStillIn: () => boolean,
): void {
  // Packed it would wait until there is enough to pack.
  response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform' });
  response.flushHeaders();
  const write = (text: string) => {
    if (isStillIn()) response.write(text);
    else response.end();
  };
  const stop = events((event) => write(`data: ${JSON.stringify(event)}\n\n`));
  const heartbeat = setInterval(() => write(': still here\n\n'), HEARTBEAT_MS);
  heartbeat.unref();
  response.on('close', () => {
    clearInterval(heartbeat);
    stop();
  });
}
