import type { Request, RequestHandler } from 'express';
import { createWriteStream, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { nanoid } from 'nanoid';
import { HttpProblem } from './problems.ts';

/** What came into a file, by request: not everything that is sent may be held. */
const arrived = new WeakMap<Request, string>();

export const fileOf = (request: Request): string => arrived.get(request) ?? '';

/** Writes what is sent into a file as it comes. @param folder where; @param mostBytes more is refused */
export function arriveInFile(folder: string, mostBytes: number): RequestHandler {
  return async (request, response, next) => {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    const file = join(folder, `${nanoid(12)}.part`);
    arrived.set(request, file);
    // Whoever takes it moves it; what nobody took goes.
    response.on('close', () => rmSync(file, { force: true }));
    try {
      await pipeline(request, atMost(mostBytes), createWriteStream(file, { mode: 0o600 }));
    } catch (error) {
      rmSync(file, { force: true });
      throw error;
    }
    next();
  };
}

function atMost(mostBytes: number): Transform {
  let bytes = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      if (bytes > mostBytes) done(new HttpProblem('body_too_large'));
      else done(null, chunk);
    },
  });
}
