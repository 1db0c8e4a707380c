import type { HistoryEntry, KeptKind } from '@lanakit/core/api';
import type { Db } from './openDatabase.ts';
import { packed, unpacked } from './packed.ts';

/** How something was, from when. */
export interface State {
  readonly version: number;
  /** ISO 8601, UTC. */
  readonly at: string;
  /** JSON. */
  readonly document: string;
}

interface EntryRow {
  readonly id: number;
  readonly version: number;
  readonly at: string;
  readonly livedMs: number;
  readonly isLost: 0 | 1;
}

/** What was so for a shorter time was only passed through while somebody wrote. */
const PASSING_MS = 30_000;
/** Of what was passed through one is kept for so long a time of writing. */
const BURST_MS = 5 * 60_000;

const DAY_MS = 24 * 3_600_000;
/** All of two days; then the last of each hour for two weeks, of each day for ninety, of each week for ever. */
const THINNED = [
  { olderDays: 2, youngerDays: 14, span: '%Y-%m-%d %H' },
  { olderDays: 14, youngerDays: 90, span: '%Y-%m-%d' },
  { olderDays: 90, youngerDays: 100_000, span: '%Y %W' },
] as const;
const LOST_KEPT_DAYS = 90;

/** Every query on what was before. */
export function historyQueries(db: Db) {
  const insert = db.prepare(`
    INSERT INTO history (kind, thing_id, version, at, lived_ms, is_lost, document)
    VALUES (@kind, @id, @version, @at, @livedMs, @isLost, @document)`);
  const SELECT = 'SELECT id, version, at, lived_ms AS livedMs, is_lost AS isLost FROM history';
  const selectLast = db.prepare<[KeptKind, string], EntryRow>(
    `${SELECT} WHERE kind = ? AND thing_id = ? AND is_lost = 0 ORDER BY id DESC LIMIT 1`,
  );
  const selectAll = db.prepare<[KeptKind, string], EntryRow>(
    `${SELECT} WHERE kind = ? AND thing_id = ? ORDER BY at DESC, id DESC LIMIT 500`,
  );
  const selectDocument = db.prepare<[KeptKind, string, number], { document: Buffer }>(
    'SELECT document FROM history WHERE kind = ? AND thing_id = ? AND id = ?',
  );
  const remove = db.prepare('DELETE FROM history WHERE id = ?');
  const removeOf = db.prepare('DELETE FROM history WHERE kind = ? AND thing_id = ?');
  const removeLost = db.prepare('DELETE FROM history WHERE is_lost = 1 AND at < ?');
  const thin = db.prepare<{ from: string; to: string; span: string }>(`
    DELETE FROM history WHERE is_lost = 0 AND at >= @from AND at < @to AND id NOT IN (
      SELECT max(id) FROM history WHERE is_lost = 0 AND at >= @from AND at < @to
      GROUP BY kind, thing_id, strftime(@span, at))`);
  return {
    /** What something was until now. */
    keep: (kind: KeptKind, id: string, { version, at, document }: State, now: string): void => {
      // Where a clock was set back, or told nothing, it lived no time that is known.
      const livedMs = Math.max(0, Date.parse(now) - Date.parse(at) || 0);
      const last = selectLast.get(kind, id);
      const isBurst = last && last.livedMs < PASSING_MS && Date.parse(at) - Date.parse(last.at) < BURST_MS;
      if (isBurst && livedMs < PASSING_MS) remove.run(last.id);
      insert.run({ kind, id, version, at, livedMs, isLost: 0, document: packed(document) });
    },
    /** What somebody would have made of it, and was too late with. */
    keepLost: (kind: KeptKind, id: string, version: number, document: string, at: string): void => {
      insert.run({ kind, id, version, at, livedMs: 0, isLost: 1, document: packed(document) });
    },
    /** The last first. */
    all: (kind: KeptKind, id: string): HistoryEntry[] =>
      selectAll
        .all(kind, id)
        .map(({ isLost, livedMs: _lived, ...row }) => ({ ...row, isLost: isLost === 1 })),
    /** Nothing of how it was is kept any more. */
    forget: (kind: KeptKind, id: string): void => void removeOf.run(kind, id),
    document: (kind: KeptKind, id: string, entryId: number): unknown => {
      const row = selectDocument.get(kind, id, entryId);
      return row ? (JSON.parse(unpacked(row.document)) as unknown) : null;
    },
    /** Takes away what stands too close together for its age. */
    thin: (now: Date): void => {
      const daysAgo = (days: number) => new Date(Math.max(0, now.getTime() - days * DAY_MS)).toISOString();
      for (const { olderDays, youngerDays, span } of THINNED)
        thin.run({ from: daysAgo(youngerDays), to: daysAgo(olderDays), span });
      removeLost.run(daysAgo(LOST_KEPT_DAYS));
    },
  };
}

export type HistoryQueries = ReturnType<typeof historyQueries>;
