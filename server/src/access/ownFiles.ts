import {
  chmodSync,
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';

/**
 * What says who may come in lies beside the studio and not in it, so that no backup and no file that leaves carries it away,
 * and no backup put back lets in whom somebody shut out. Only who runs Lanakit may read it. Written beside and put in place:
 * whole, or as before.
 */
export function keepOwnFile(dataDir: string, name: string, value: unknown): void {
  mkdirSync(dataDir, { recursive: true, mode: 0o700 });
  const file = join(dataDir, name);
  const beside = `${file}.new`;
  writeFileSync(beside, JSON.stringify(value), { mode: 0o600 });
  chmodSync(beside, 0o600);
  const open = openSync(beside, 'r');
  fsyncSync(open);
  closeSync(open);
  renameSync(beside, file);
}

/** @returns null: there is none, or it cannot be read */
export function readOwnFile(dataDir: string, name: string): unknown {
  const file = join(dataDir, name);
  if (!existsSync(file)) return null;
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as unknown;
  } catch {
    return null;
  }
}
