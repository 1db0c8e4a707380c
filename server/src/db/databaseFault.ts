import { DamagedDocument } from './sealed.ts';

/** Why SQLite, or the disk under it, did not do it. */
export interface DatabaseFault {
  readonly code: 'disk_full' | 'disk_failed' | 'read_only' | 'database_busy' | 'database_damaged';
  /** In the words of who refused. */
  readonly reason: string;
}

const FAULTS: readonly (readonly [start: string, code: DatabaseFault['code']])[] = [
  ['SQLITE_FULL', 'disk_full'],
  ['ENOSPC', 'disk_full'],
  ['EDQUOT', 'disk_full'],
  ['SQLITE_READONLY', 'read_only'],
  ['SQLITE_PERM', 'read_only'],
  ['SQLITE_AUTH', 'read_only'],
  ['EROFS', 'read_only'],
  ['EACCES', 'read_only'],
  ['EPERM', 'read_only'],
  ['SQLITE_BUSY', 'database_busy'],
  ['SQLITE_LOCKED', 'database_busy'],
  ['SQLITE_CORRUPT', 'database_damaged'],
  ['SQLITE_NOTADB', 'database_damaged'],
  ['SQLITE_CANTOPEN', 'disk_failed'],
  ['SQLITE_IOERR', 'disk_failed'],
  ['EIO', 'disk_failed'],
  ['EFBIG', 'disk_failed'],
];

/** What kind of fault an error of SQLite or of the file system is; null for every other error. */
export function databaseFault(error: unknown): DatabaseFault | null {
  if (error instanceof DamagedDocument) return { code: 'database_damaged', reason: error.message };
  const { code: errorCode, message } = (error ?? {}) as {
    readonly code?: unknown;
    readonly message?: unknown;
  };
  if (typeof errorCode !== 'string') return null;
  const found = FAULTS.find(([start]) => errorCode === start || errorCode.startsWith(`${start}_`));
  return found ? { code: found[1], reason: typeof message === 'string' ? message : errorCode } : null;
}
