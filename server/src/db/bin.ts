import type { BinnedThing } from '@lanakit/core/api';
import type { Db } from './openDatabase.ts';

export interface BinRow {
  readonly kind: BinnedThing['kind'];
  readonly id: string;
  readonly name: string;
  readonly itemKind: string | null;
  readonly deletedAt: string;
}

/** What was deleted, and can be had back. */
export function binQueries(db: Db) {
  const selectSince = db.prepare<{ since: string; limit: number }, BinRow>(`
    SELECT 'pattern' AS kind, id, title AS name, NULL AS itemKind, deleted_at AS deletedAt
    FROM pattern WHERE deleted_at >= @since
    UNION ALL SELECT 'run', id, name, NULL, deleted_at FROM run WHERE deleted_at >= @since
    UNION ALL SELECT 'item', id, name, kind, deleted_at FROM item WHERE deleted_at >= @since
    UNION ALL SELECT 'making', id, title, NULL, deleted_at FROM making WHERE deleted_at >= @since
    UNION ALL SELECT 'commission', id, title, NULL, deleted_at FROM commission WHERE deleted_at >= @since
    UNION ALL SELECT 'technique', t.id,
      CASE WHEN json_valid(v.document) THEN json_extract(v.document, '$.name') ELSE '' END, NULL, t.archived_at
    FROM technique t JOIN technique_version v ON v.technique_id = t.id AND v.version = t.version
    WHERE t.archived_at >= @since
    ORDER BY deletedAt DESC, id LIMIT @limit`);
  return {
    /** The last deleted first. */
    since: (since: string, limit: number): BinRow[] => selectSince.all({ since, limit }),
  };
}
