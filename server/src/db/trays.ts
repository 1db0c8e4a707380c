import type { MissingNeedles } from '@lanakit/core/api';
import type { BreakageEvidence, Pile, Tap } from '@lanakit/core/needles';
import type { Db } from './openDatabase.ts';
import type { Signature } from './runs.ts';
import type { SoundReader } from './sound.ts';

/** One tap as it was entered. */
export interface KnownTap extends Tap {
  readonly runId: string;
  readonly note: string;
}

/** What stands with a tap. */
export interface TapFacts {
  readonly note: string;
  readonly by: Signature;
  readonly at: string;
}

interface TapRow {
  needleId: string;
  pile: Pile;
  amount: number;
}

/** Needles counted out to a class and back in: every tap, and the closing of the count. */
export function trayQueries(db: Db, sound: SoundReader) {
  const selectTaps = db.prepare<[string], TapRow>(`
    SELECT needle_id AS needleId, pile, sum(amount) AS amount FROM needle_tap WHERE run_id = ?
    GROUP BY needle_id, pile ORDER BY min(id)`);
  const selectClosed = db.prepare<[string], { at: string | null }>(
    'SELECT max(at) AS at FROM needle_closing WHERE run_id = ?',
  );
  const selectTap = db.prepare<[string], KnownTap>(
    'SELECT run_id AS runId, needle_id AS needleId, pile, amount, note FROM needle_tap WHERE tap_key = ?',
  );
  const insertTap = db.prepare(`
    INSERT INTO needle_tap (tap_key, run_id, needle_id, pile, amount, note, device, device_key, at)
    VALUES (@key, @runId, @needleId, @pile, @amount, @note, @device, @from, @at)`);
  const insertClosing = db.prepare(`
    INSERT INTO needle_closing (run_id, needle_id, exposure_minutes, at) VALUES (@runId, @needleId, @exposureMinutes, @at)`);
  const deleteClosings = db.prepare('DELETE FROM needle_closing WHERE run_id = ?');
  const selectMissing = db.prepare<[], Omit<MissingNeedles, 'needleName'>>(`
    SELECT r.id AS runId, r.name AS runName, r.date, t.needle_id AS needleId, sum(t.amount) AS missing
    FROM needle_tap t JOIN run r ON r.id = t.run_id
    WHERE t.pile = 'missing' AND r.deleted_at IS NULL
    GROUP BY r.id, t.needle_id HAVING sum(t.amount) > 0 ORDER BY r.date, r.id`);
  const selectEvidence = db.prepare<[], BreakageEvidence>(`
    SELECT json_extract(i.properties, '$.gauge') AS gauge, sum(c.exposure_minutes) AS exposureMinutes,
      sum((SELECT coalesce(sum(t.amount), 0) FROM needle_tap t
           WHERE t.run_id = c.run_id AND t.needle_id = c.needle_id AND t.pile = 'broken')) AS broken
    FROM needle_closing c JOIN item i ON i.id = c.needle_id JOIN run r ON r.id = c.run_id
    WHERE r.deleted_at IS NULL GROUP BY 1`);
  return {
    /** Sums of each pile, in the order in which needles were first tapped. */
    taps: (runId: string): Tap[] => selectTaps.all(runId),
    closedAt: (runId: string): string | null => selectClosed.get(runId)?.at ?? null,
    /** What this key tapped before; null: nothing yet. */
    tapOf: (key: string): KnownTap | null => {
      const row = selectTap.get(key);
      return row ? { ...row } : null;
    },
    tap: (key: string, runId: string, { needleId, pile, amount }: Tap, { note, by, at }: TapFacts): void => {
      insertTap.run({ needleId, pile, amount, key, runId, note, ...by, at });
    },
    close: (runId: string, needleId: string, exposureMinutes: number, at: string): void => {
      insertClosing.run({ runId, needleId, exposureMinutes, at });
    },
    reopen: (runId: string): void => {
      deleteClosings.run(runId);
    },
    missing: () => sound.firstOf('needle_tap', [() => selectMissing.all()], []),
    /** What closed counts tell of how often needles of each gauge break. */
    evidence: (): BreakageEvidence[] => sound.firstOf('needle_closing', [() => selectEvidence.all()], []),
  };
}
