import { writeTable } from '@lanakit/core/tables';
import type { WriteLogPage } from '@lanakit/core/api';
import { type WritesAsked, WRITES_KEPT_DAYS } from '../db/index.ts';
import type { ServiceDeps } from './deps.ts';
import { answering } from './refusal.ts';

export type WriteLogService = ReturnType<typeof writeLogService>;

const MOST_IN_FILE = 100_000;

/** Who did what. @param wordsOf what an operation does */
export function writeLogService({ store }: ServiceDeps) {
  return answering({
    page(asked: WritesAsked, wordsOf: (operation: string) => string): WriteLogPage {
      const { items, total } = store.writeLog.page(asked);
      return {
        items: items.map(({ operation, ...line }) => ({ ...line, what: wordsOf(operation) })),
        total,
        devices: store.writeLog.devices(),
        keptDays: WRITES_KEPT_DAYS,
      };
    },
    csv(asked: WritesAsked, wordsOf: (operation: string) => string) {
      const { items } = store.writeLog.page({ ...asked, offset: 0, limit: MOST_IN_FILE });
      const rows = items.map(({ at, device, role, operation, subject }) => [
        at,
        device,
        role ?? 'by itself',
        wordsOf(operation),
        subject,
      ]);
      const text = writeTable(['when (UTC)', 'device', 'as', 'what', 'of what'], rows);
      return { bytes: Buffer.from(text, 'utf8'), mime: 'text/csv; charset=utf-8', name: 'who-did-what.csv' };
    },
  });
}
