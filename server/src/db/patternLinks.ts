import { isWoolOnly, itemsUsed, missingForPublishing, type Pattern } from '@lanakit/core/pattern';
import type Database from 'better-sqlite3';

/** What lists tell of a pattern without reading it. */
export const unknownCountOf = (pattern: Pattern): number => missingForPublishing(pattern).length;
export const woolOnlyFlag = (pattern: Pattern): 0 | 1 => (isWoolOnly(pattern) ? 1 : 0);

/** Gauges asked for anywhere in a pattern: in a step, its school or its table of stages. */
export function gaugesIn(value: unknown, gauges = new Set<number>()): ReadonlySet<number> {
  if (typeof value !== 'object' || value === null) return gauges;
  for (const [key, inner] of Object.entries(value)) {
    if (key === 'gauge' && typeof inner === 'number') gauges.add(inner);
    else gaugesIn(inner, gauges);
  }
  return gauges;
}

/** What a draft or a revision names, so that the database itself can say where a thing, a technique or a picture is used. */
export function patternLinks(db: Database.Database) {
  const clear = ['pattern_item', 'pattern_gauge', 'pattern_technique', 'pattern_among'].map((table) =>
    db.prepare(`DELETE FROM ${table} WHERE pattern_id = ?`),
  );
  const clearPictures = db.prepare('DELETE FROM picture_use WHERE owner_id = ?');
  // What a damaged shelf no longer has is named by nobody.
  const insertItem = db.prepare(
    'INSERT OR IGNORE INTO pattern_item (pattern_id, item_id) SELECT ?, id FROM item WHERE id = ?',
  );
  const insertGauge = db.prepare('INSERT INTO pattern_gauge (pattern_id, gauge) VALUES (?, ?)');
  const insertTechnique = db.prepare(
    'INSERT OR IGNORE INTO pattern_technique (pattern_id, use_id, technique_id, version) VALUES (?, ?, ?, ?)',
  );
  const insertAmong = db.prepare('INSERT INTO pattern_among (pattern_id, series, related) VALUES (?, ?, ?)');
  const insertPicture = db.prepare('INSERT OR IGNORE INTO picture_use (owner_id, picture_id) VALUES (?, ?)');
  const insertRevisionItem = db.prepare(
    'INSERT OR IGNORE INTO revision_item (revision_id, item_id) SELECT ?, id FROM item WHERE id = ?',
  );
  const notePictures = (ownerId: string, { pictures }: Pattern) => {
    for (const { id } of pictures) insertPicture.run(ownerId, id);
  };
  return {
    ofPattern: (id: string, pattern: Pattern): void => {
      for (const statement of clear) statement.run(id);
      clearPictures.run(id);
      for (const itemId of itemsUsed(pattern)) insertItem.run(id, itemId);
      for (const gauge of gaugesIn(pattern)) insertGauge.run(id, gauge);
      for (const use of pattern.techniques) insertTechnique.run(id, use.id, use.techniqueId, use.version);
      if (pattern.series || pattern.related.length > 0)
        insertAmong.run(
          id,
          pattern.series && JSON.stringify(pattern.series),
          JSON.stringify(pattern.related),
        );
      notePictures(id, pattern);
    },
    ofRevision: (id: string, pattern: Pattern): void => {
      for (const itemId of itemsUsed(pattern)) insertRevisionItem.run(id, itemId);
      notePictures(id, pattern);
    },
  };
}
