import type { Learnt } from '@lanakit/core/learning';
import type { Db } from './openDatabase.ts';
import { sealOf, unsealed } from './sealed.ts';
import type { SoundReader } from './sound.ts';

/** What was learnt, and what from, as it was taken. */
export interface TakenDocument {
  readonly learnt: Learnt;
  /** What counted in it. */
  readonly evidenceIds: readonly string[];
}

export interface Taken extends TakenDocument {
  readonly id: number;
  readonly takenAt: string;
}

export const EVIDENCE_CHOICES = ['left-out', 'meant'] as const;
/** `done`: a question of a class that is worked off. */
export type EvidenceChoice = (typeof EVIDENCE_CHOICES)[number] | 'done';

interface TakenRow {
  id: number;
  taken_at: string;
  document: string;
  document_seal: number | null;
}

/** What was learnt and taken: added to, the last is in force; and what of what was weighed is left out, or meant so. */
export function learntQueries(db: Db, sound: SoundReader) {
  const selectLast = db.prepare<[], TakenRow>('SELECT * FROM learnt ORDER BY id DESC LIMIT 1');
  const selectAll = db.prepare<[], { takenAt: string; evidence: number }>(`
    SELECT taken_at AS takenAt, 
      CASE WHEN json_valid(document) THEN json_array_length(document, '$.evidenceIds') ELSE 0 END AS evidence FROM learnt ORDER BY id DESC`);
  const insert = db.prepare(
    'INSERT INTO learnt (taken_at, document, document_seal) VALUES (@at, @document, @seal)',
  );
  const choices = db.prepare<[], { evidence_id: string; choice: EvidenceChoice }>(
    'SELECT evidence_id, choice FROM evidence_choice ORDER BY evidence_id',
  );
  const choose = db.prepare(`
    INSERT INTO evidence_choice (evidence_id, choice, at) VALUES (@id, @choice, @at)
    ON CONFLICT (evidence_id) DO UPDATE SET choice = @choice, at = @at`);
  const unchoose = db.prepare('DELETE FROM evidence_choice WHERE evidence_id = ?');
  const read = (row: TakenRow | undefined): Taken | null =>
    row
      ? { id: row.id, takenAt: row.taken_at, ...unsealed<TakenDocument>(row.document, row.document_seal) }
      : null;
  return {
    /** In force; null: nothing was ever taken. What cannot be read is as if nothing were. */
    last: (): Taken | null => sound.firstOf('learnt', [() => read(selectLast.get())], null),
    /** Every time something was taken, the last first, and how much counted in it. */
    all: (): { takenAt: string; evidence: number }[] => sound.firstOf('learnt', [() => selectAll.all()], []),
    take: (taken: TakenDocument, at: string): void => {
      const document = JSON.stringify(taken);
      insert.run({ at, document, seal: sealOf(document) });
    },
    choices: (): ReadonlyMap<string, EvidenceChoice> =>
      new Map(choices.all().map(({ evidence_id: id, choice }) => [id, choice])),
    /** @param choice null: as usual */
    choose: (id: string, choice: EvidenceChoice | null, at: string): void => {
      if (choice === null) unchoose.run(id);
      else choose.run({ id, choice, at });
    },
  };
}
