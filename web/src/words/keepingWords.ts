import type { BackupContents, BackupName, DamagedThing, Keeping } from '@lanakit/core/api';
import dayjs from 'dayjs';
import { counted, showDay } from './show.ts';

export const REASONS: Readonly<Record<BackupName['reason'], string>> = {
  daily: 'of the day',
  asked: 'asked for',
  'before-migration': 'before a newer Lanakit',
  'before-restore': 'before something was put back',
};

/** `Sat 28 Nov, 07:41`, as the clock here has it. */
export function showMoment(at: string): string {
  const moment = dayjs(at);
  return `${showDay(moment.format('YYYY-MM-DD'))}, ${moment.format('HH:mm')}`;
}

/** `today, 07:41`; `9 days ago`. */
function showAgo(at: string, now: string): string {
  const days = dayjs(now).startOf('day').diff(dayjs(at).startOf('day'), 'day');
  const time = dayjs(at).format('HH:mm');
  if (days <= 0) return `today, ${time}`;
  return days === 1 ? `yesterday, ${time}` : `${days} days ago`;
}

export const showSize = (bytes: number): string =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

const KINDS: Readonly<Record<string, readonly [single: string, several: string]>> = {
  pattern: ['pattern', 'patterns'],
  run: ['run', 'runs'],
  item: ['thing on the shelf', 'things on the shelf'],
  technique: ['technique', 'techniques'],
  making: ['page of the logbook', 'pages of the logbook'],
  commission: ['thing asked for', 'things asked for'],
};

export const kindWords = (kind: string): string => KINDS[kind]?.[0] ?? kind;

export const countsWords = ({ counts }: Pick<BackupContents, 'counts'>): string =>
  Object.entries(counts)
    .map(([kind, count]) => counted(count, KINDS[kind]?.[0] ?? kind, KINDS[kind]?.[1] ?? kind))
    .join(', ');

const DAMAGED: Readonly<Record<string, string>> = {
  pattern: 'A pattern',
  revision: 'A published revision',
  technique: 'A technique',
  making: 'A page of the logbook',
  commission: 'Something asked for',
  learnt: 'What was learnt',
  run: 'A run',
  item: 'A thing on the shelf',
  lot: 'A lot',
  movement: 'The ledger',
  hand_measure: 'What your wisp, pinch and tuft weigh',
  needle_tap: 'Counts of needles',
  needle_closing: 'Closed counts of needles',
};

const damagedWords = ({ table, name }: DamagedThing): string =>
  `${DAMAGED[table] ?? table}${name === null || name === '' ? '' : `, “${name}”,`} cannot be read`;

/** A day that is over without a backup may be one on which nothing was done; a week is not. */
const LATE_DAYS = 8;

/** Until the first is made, soon after the first start. */
const NONE_YET: KeepingLine = { tone: 'quiet', words: 'No backup yet; the first is made in a minute' };

interface KeepingLine {
  readonly tone: 'quiet' | 'amber' | 'red';
  readonly words: string;
}

/** How safe the studio is, in a line each; the worst first. */
export function keepingLines(keeping: Keeping): KeepingLine[] {
  const [last] = keeping.backups;
  const damage: KeepingLine[] = [
    ...(keeping.fileFault === null
      ? []
      : [{ tone: 'red', words: 'The studio’s file is damaged. What can be read is shown.' } as const]),
    ...keeping.damaged.map((thing): KeepingLine => ({ tone: 'red', words: `${damagedWords(thing)}.` })),
  ];
  const faults: KeepingLine[] = [
    ...(keeping.backupFault === null
      ? []
      : [{ tone: 'red', words: `The last backup could not be made: ${keeping.backupFault}.` } as const]),
    ...(keeping.secondPlace?.fault == null
      ? []
      : [
          {
            tone: 'amber',
            words: `The second place could not be reached: ${keeping.secondPlace.fault}.`,
          } as const,
        ]),
  ];
  if (!last) return [...damage, ...faults, ...(faults.length > 0 ? [] : [NONE_YET])];
  const isLate = dayjs(keeping.now).diff(dayjs(last.at), 'day') >= LATE_DAYS;
  const words = `Last good backup ${showAgo(last.at, keeping.now)}${keeping.secondPlace ? '' : ', on this disk only'}`;
  return [...damage, ...faults, { tone: isLate ? 'amber' : 'quiet', words }];
}
