import { basename, join } from 'node:path';
import type { CertificateFault } from './access/certificate.ts';
import type { WiresFault } from './devices/readWires.ts';
import type { ConfigRefusal } from './config.ts';
import {
  backupFolder,
  backupsIn,
  type DatabaseFault,
  type HoldRefusal,
  type OpenRefusal,
} from './db/index.ts';

export type StartRefusal =
  | ConfigRefusal
  | OpenRefusal
  | HoldRefusal
  | CertificateFault
  | WiresFault
  | { readonly code: 'no_passphrase'; readonly host: string }
  | { readonly code: 'cannot_listen'; readonly reason: string; readonly host: string; readonly port: number };

/** What SQLite, or the disk, refused while it started, as a reason not to start. */
export const startRefusalOf = ({ code, reason }: DatabaseFault, dataDir: string): StartRefusal =>
  code === 'database_damaged'
    ? {
        code: 'database_unreadable',
        file: join(dataDir, 'lanakit.sqlite'),
        reason,
        lastBackup: lastBackupIn(dataDir),
      }
    : { code, dataDir, reason };

/** Why it did not start and what to do. */
export function startRefusalWords(refusal: StartRefusal): string {
  switch (refusal.code) {
    case 'port_not_read':
      return `PORT is “${refusal.text}”; give a number from 0 to 65535.`;
    case 'wires_not_read':
      return `${refusal.setting} has “${refusal.text}”; give NAME=tcp://HOST:PORT or NAME=file:/PATH, with commas between.`;
    case 'tls_half_given':
      return 'LANAKIT_TLS_CERT and LANAKIT_TLS_KEY belong together: give both, or neither.';
    case 'tls_not_read':
      return `The certificate ${refusal.file}, or its key, cannot be used (${refusal.reason}). Mend it, or make one: npm run certificate.`;
    case 'tls_over':
      return `The certificate ${refusal.file} was good until ${refusal.endedOn}. Make another: npm run certificate. Devices that trusted the old one are given the new one.`;
    case 'no_passphrase':
      return (
        `LANAKIT_HOST=${refusal.host} opens this studio to your network, and it has no passphrase yet: anybody there could read and change it. ` +
        'Set one first: npm run passphrase. Or leave LANAKIT_HOST out, and only this machine reaches it.'
      );
    case 'data_dir_unwritable':
      return (
        `The data directory ${refusal.dataDir} cannot be written (${refusal.reason}). ` +
        'Allow writing there, or name another with LANAKIT_DATA=/path.'
      );
    case 'studio_in_use':
      return (
        `Another Lanakit is running on the studio in ${refusal.dataDir}. Nothing was changed. ` +
        'Use that one, stop it, or name another directory with LANAKIT_DATA=/path.'
      );
    case 'disk_full':
      return `The disk of ${refusal.dataDir} is full (${refusal.reason}). Nothing is lost. Make room on it, and start again.`;
    case 'disk_failed':
      return `The disk of ${refusal.dataDir} cannot be written (${refusal.reason}). See that it is there and in order, and start again.`;
    case 'read_only':
      return `The studio in ${refusal.dataDir} may not be written (${refusal.reason}). Allow writing lanakit.sqlite and its directory, and start again.`;
    case 'database_busy':
      return `Another program holds the studio in ${refusal.dataDir} (${refusal.reason}). Close it, and start again.`;
    case 'database_unreadable':
      return (
        `The studio’s file ${refusal.file} is damaged and cannot be read (${refusal.reason}). Nothing was changed. ` +
        (refusal.lastBackup === null
          ? 'There is no backup of it here. Keep the file as it is, and take an expert’s advice; to work meanwhile, name another directory with LANAKIT_DATA=/path.'
          : `Put the last good backup in its place: npm run restore -- ${refusal.lastBackup}. What is there now is kept beside it.`)
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

/** The name of the newest backup; null where there is none. */
function lastBackupIn(dataDir: string): string | null {
  const newest = backupsIn(backupFolder(dataDir))[0];
  return newest ? basename(newest.file) : null;
}
