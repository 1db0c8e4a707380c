import type { ItemUse } from '@lanakit/core/api';
import type { HistoryQueries } from './history.ts';
import type { Db } from './openDatabase.ts';
import { whole } from './whole.ts';
import { sealOf, unsealed } from './sealed.ts';
import { softDelete } from './softDelete.ts';
import type { SoundReader } from './sound.ts';

export type ItemKind = 'fibre' | 'blend' | 'finding' | 'needle' | 'tool' | 'supplier';

/** What every item has; its kind's own properties stand beside. */
export interface StoredItem {
  readonly id: string;
  readonly version: number;
  readonly archived: boolean;
}

/** An item as it is written. `links` are the items it names. */
export interface ItemWrite {
  readonly kind: ItemKind;
  readonly name: string;
  readonly input: { readonly archived: boolean };
  readonly links: readonly string[];
}

interface ItemRow {
  id: string;
  version: number;
  kind: ItemKind;
  properties: string;
  properties_seal: number | null;
  is_archived: 0 | 1;
}

const SELECT = `SELECT id, version, kind, properties, properties_seal, is_archived FROM item WHERE deleted_at IS NULL`;

/** Every query on what is on the shelf, whatever its kind; prepared once. */
export function itemQueries(db: Db, sound: SoundReader, history: HistoryQueries) {
  const selectAll = db.prepare<[ItemKind], ItemRow>(
    `${SELECT} AND kind = ? ORDER BY name COLLATE NOCASE, id`,
  );
  const selectOne = db.prepare<[ItemKind, string], ItemRow>(`${SELECT} AND kind = ? AND id = ?`);
  const selectAny = db.prepare<[string], { kind: ItemKind; name: string }>(
    `SELECT kind, name FROM item WHERE id = ? AND deleted_at IS NULL`,
  );
  const insertRow = db.prepare(`
    INSERT INTO item (id, kind, name, properties, properties_seal, is_archived, created_at, updated_at)
    VALUES (@id, @kind, @name, @properties, @seal, @isArchived, @at, @at)`);
  const updateRow = db.prepare(`
    UPDATE item SET version = version + 1, name = @name, properties = @properties, properties_seal = @seal,
      is_archived = @isArchived,
      updated_at = @at
    WHERE id = @id AND kind = @kind AND version = @version AND deleted_at IS NULL`);
  const selectBefore = db.prepare<[string, number], { version: number; at: string; document: string }>(`
    SELECT version, updated_at AS at,
      json_set(properties, '$.archived', json(CASE WHEN is_archived = 1 THEN 'true' ELSE 'false' END)) AS document
    FROM item WHERE id = ? AND version = ? AND json_valid(properties)`);
  const clearLinks = db.prepare(`DELETE FROM item_link WHERE item_id = ?`);
  const insertLink = db.prepare(`INSERT OR IGNORE INTO item_link (item_id, names_id) VALUES (?, ?)`);
  const selectPatternUses = db.prepare<
    { itemId: string },
    { patternId: string; title: string; revisionNumber: number | null }
  >(`
    SELECT p.id AS patternId, p.title, NULL AS revisionNumber
    FROM pattern_item u JOIN pattern p INDEXED BY pattern_there ON p.id = u.pattern_id AND p.deleted_at IS NULL
    WHERE u.item_id = @itemId
    UNION ALL
    SELECT r.pattern_id, r.title, r.number
    FROM revision_item u JOIN revision r ON r.id = u.revision_id WHERE u.item_id = @itemId
    ORDER BY 2, 3`);
  const selectGaugeUses = db.prepare<{ gauge: number }, { patternId: string; title: string }>(`
    SELECT p.id AS patternId, p.title
    FROM pattern_gauge g JOIN pattern p INDEXED BY pattern_there ON p.id = g.pattern_id AND p.deleted_at IS NULL
    WHERE g.gauge = @gauge ORDER BY 2`);
  const selectLinkUses = db.prepare<[string], { itemId: string; name: string; kind: 'blend' | 'supplier' }>(`
    SELECT i.id AS itemId, i.name, i.kind FROM item_link l JOIN item i ON i.id = l.item_id
    WHERE l.names_id = ? AND i.deleted_at IS NULL ORDER BY i.kind, i.name`);

  const noteLinks = (id: string, links: readonly string[]) => {
    clearLinks.run(id);
    for (const namesId of links) insertLink.run(id, namesId);
  };
  const columnsOf = ({ kind, name, input }: ItemWrite) => {
    const { archived, ...rest } = input;
    const properties = JSON.stringify(rest);
    return { kind, name: name.trim(), properties, seal: sealOf(properties), isArchived: archived ? 1 : 0 };
  };

  return {
    /** @typeParam T what the kind's schema checked when it was written */
    all: <T>(kind: ItemKind): (T & StoredItem)[] =>
      sound.rows('item', {
        all: () => selectAll.all(kind),
        byId: (id) => selectOne.get(kind, id),
        read: (row) => itemOf<T>(row),
      }),
    find: <T>(kind: ItemKind, id: string): (T & StoredItem) | null => {
      const row = selectOne.get(kind, id);
      return row ? itemOf<T>(row) : null;
    },
    /** Of any kind. */
    kindOf: (id: string): { kind: ItemKind; name: string } | null => selectAny.get(id) ?? null,
    insert: whole(db, (id: string, write: ItemWrite, at: string) => {
      insertRow.run({ ...columnsOf(write), id, at });
      noteLinks(id, write.links);
    }),
    /** False when the version is no longer the stored one; nothing is written then. */
    update: whole(db, (id: string, version: number, write: ItemWrite, at: string): boolean => {
      const before = selectBefore.get(id, version);
      const isWritten = updateRow.run({ ...columnsOf(write), id, version, at }).changes === 1;
      if (!isWritten) return false;
      noteLinks(id, write.links);
      if (before) history.keep('item', id, before, at);
      return true;
    }),
    /** Where it is used: patterns and revisions, blends, suppliers who offer it. */
    uses: (itemId: string): ItemUse[] => [
      ...selectPatternUses.all({ itemId }).map((use) => ({ kind: 'pattern' as const, ...use })),
      ...selectLinkUses.all(itemId),
    ],
    /** The drafts that ask for this gauge: in a step, their school or their table of stages. */
    usesOfGauge: (gauge: number): ItemUse[] =>
      selectGaugeUses
        .all({ gauge })
        .map((use) => ({ kind: 'pattern' as const, ...use, revisionNumber: null })),
    ...softDelete(db, 'item'),
  };
}

const itemOf = <T>(row: ItemRow): T & StoredItem =>
  ({
    ...unsealed<T>(row.properties, row.properties_seal),
    id: row.id,
    version: row.version,
    archived: row.is_archived === 1,
  }) satisfies StoredItem;
