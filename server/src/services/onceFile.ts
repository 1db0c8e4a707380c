import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { WorkDeps } from './deps.ts';

/** Where what comes lies until it is brought in, and what goes out until it is sent. */
export const arrivalFolder = (dataDir: string): string => join(dataDir, 'arrivals');

/** A file that goes out and is gone then. */
export interface OnceFile {
  readonly path: string;
  readonly mime: string;
  readonly name: string;
}

/** Writes a file that is sent once. Where that goes wrong nothing is left of it. @returns where it lies */
export async function writtenOnce(
  { dataDir, newId }: Pick<WorkDeps, 'dataDir' | 'newId'>,
  extension: string,
  write: (path: string) => Promise<unknown>,
): Promise<string> {
  const folder = arrivalFolder(dataDir);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const path = join(folder, `${newId()}.${extension}`);
  try {
    await write(path);
    return path;
  } catch (error) {
    rmSync(path, { force: true });
    throw error;
  }
}
