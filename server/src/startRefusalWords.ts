import type { ConfigRefusal } from './config.ts';
import type { OpenRefusal } from './db/index.ts';

export type StartRefusal =
  | ConfigRefusal
  | OpenRefusal
  | { readonly code: 'cannot_listen'; readonly reason: string; readonly host: string; readonly port: number };

/** Why it did not start and what to do. */
export function startRefusalWords(refusal: StartRefusal): string {
  switch (refusal.code) {
    case 'port_not_read':
      return `PORT is “${refusal.text}”; give a number from 0 to 65535.`;
    case 'data_dir_unwritable':
      return (
        `The data directory ${refusal.dataDir} cannot be written (${refusal.reason}). ` +
        'Allow writing there, or name another with LANAKIT_DATA=/path.'
      );
    case 'database_unreadable':
      return (
        `The database ${refusal.file} cannot be read (${refusal.reason}). Nothing was changed. ` +
        'Move it aside to begin anew, or name another directory with LANAKIT_DATA=/path.'
      );
    case 'backup_failed':
      return (
        `This Lanakit would bring the studio forward, but no backup of it could be made in ${refusal.folder} ` +
        `(${refusal.reason}). Nothing was changed. Make room on the disk, or allow writing there, and start again.`
      );
    case 'database_newer':
      return (
        `The database is of a newer Lanakit (version ${refusal.found}; this one knows ${refusal.known}). ` +
        'Nothing was changed. Start the newer Lanakit, or name another directory with LANAKIT_DATA=/path.'
      );
    case 'cannot_listen':
      return refusal.reason === 'EADDRINUSE'
        ? `Port ${refusal.port} on ${refusal.host} is in use, perhaps by another Lanakit. Stop that one, or choose another with PORT=4311.`
        : `It cannot listen on ${refusal.host}:${refusal.port} (${refusal.reason}). Change LANAKIT_HOST or PORT.`;
  }
}
