import { type RunInput, runOfToday } from '@lanakit/core/run';
import type { Database } from 'better-sqlite3';
import { sealOf, unsealed } from '../sealed.ts';

interface Row {
  readonly id: string;
  readonly document: string;
  readonly document_seal: number | null;
  readonly frozen: string | null;
  readonly frozen_seal: number | null;
}

/** Runs, and what was written down of them, with what is usual for all that was not known of them yet. */
export function bringRunsForward(db: Database): void {
  const ids = db.prepare<[], string>('SELECT id FROM run').pluck().all();
  const select = db.prepare<[string], Row>(
    'SELECT id, document, document_seal, frozen, frozen_seal FROM run WHERE id = ?',
  );
  const writeDocument = db.prepare('UPDATE run SET document = ?, document_seal = ? WHERE id = ?');
  const writeFrozen = db.prepare('UPDATE run SET frozen = ?, frozen_seal = ? WHERE id = ?');
  for (const id of ids) {
    const row = select.get(id);
    if (!row) continue;
    const document = brought(row.document, row.document_seal, (kept) => runOfToday(kept));
    if (document !== null) writeDocument.run(document, sealOf(document), id);
    const frozen = row.frozen === null ? null : brought(row.frozen, row.frozen_seal, withInputOfToday);
    if (frozen !== null) writeFrozen.run(frozen, sealOf(frozen), id);
  }
}

const withInputOfToday = (kept: object): object =>
  'input' in kept ? { ...kept, input: runOfToday(kept.input as Partial<RunInput>) } : kept;

/** What cannot be read any more is left as it is, and told where it is asked for. */
function brought(text: string, seal: number | null, change: (kept: object) => object): string | null {
  try {
    return JSON.stringify(change(unsealed<object>(text, seal)));
  } catch {
    return null;
  }
}
