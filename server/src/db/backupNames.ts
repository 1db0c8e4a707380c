import type { BackupReason } from '@lanakit/core/api';

export type { BackupReason };

/** Why a copy was made. */
export const BACKUP_REASONS: readonly BackupReason[] = [
  'daily',
  'asked',
  'before-migration',
  'before-restore',
];

export interface NamedBackup {
  readonly name: string;
  /** ISO 8601, UTC. */
  readonly at: string;
  readonly reason: BackupReason;
}

const NAME = /^lanakit-(\d{4}-\d{2}-\d{2})T(\d{2})(\d{2})(\d{2})(\d{3})Z-([a-z-]+)\.sqlite$/;

/** Sorts by time, and can stand in any file system: `lanakit-2026-11-28T063005120Z-daily.sqlite`. */
export const backupName = (at: Date, reason: BackupReason): string =>
  `lanakit-${at.toISOString().replaceAll(':', '').replace('.', '')}-${reason}.sqlite`;

/** Null for a file that is not one of ours. */
export function readBackupName(name: string): Omit<NamedBackup, 'name'> | null {
  const [, day, hour, minute, second, milli, reason] = NAME.exec(name) ?? [];
  if (day === undefined || !BACKUP_REASONS.includes(reason as BackupReason)) return null;
  const at = `${day}T${hour}:${minute}:${second}.${milli}Z`;
  return Number.isNaN(Date.parse(at)) ? null : { at, reason: reason as BackupReason };
}

const DAY_MS = 24 * 3_600_000;
/** So many of the newest are kept whatever they are for. */
const ALL_NEWEST = 24;
/** All of the last two days; then the last of each day for two weeks, of each week for ten, of each month for ever. */
const ALL_DAYS = 2;
const DAILY_DAYS = 14;
const WEEKLY_DAYS = 70;

/** The names that may go. What was made before a migration or a restore, or when it was asked for, stays for ten weeks. */
export function thinnedBackups(backups: readonly NamedBackup[], now: Date): string[] {
  const newestFirst = [...backups].sort((a, b) => (a.at < b.at ? 1 : -1));
  const taken = new Set<string>();
  return newestFirst.flatMap(({ name, at, reason }, index) => {
    const ageDays = (now.getTime() - Date.parse(at)) / DAY_MS;
    const isKept = ageDays < ALL_DAYS || (reason !== 'daily' && ageDays < WEEKLY_DAYS);
    const isBeforeSomething = reason === 'before-migration' || reason === 'before-restore';
    if (index === 0 || (isKept && (isBeforeSomething || index < ALL_NEWEST))) return [];
    // Of hundreds that somebody, or a program, asked for, one an hour tells as much.
    const span = isKept ? `hour ${at.slice(0, 13)}` : spanOf(at, ageDays);
    if (taken.has(span)) return [name];
    taken.add(span);
    return [];
  });
}

/** The day, week or month that one backup stands for. */
function spanOf(at: string, ageDays: number): string {
  if (ageDays < DAILY_DAYS) return `day ${at.slice(0, 10)}`;
  if (ageDays < WEEKLY_DAYS) return `week ${Math.floor(Date.parse(at) / (7 * DAY_MS))}`;
  return `month ${at.slice(0, 7)}`;
}
