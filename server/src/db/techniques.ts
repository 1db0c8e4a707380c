import { byCodePoint } from '@lanakit/core/base';
import type { Technique, TechniqueInput } from '@lanakit/core/writing';
import type { Db } from './openDatabase.ts';
import { sealOf, unsealed } from './sealed.ts';
import type { SoundReader } from './sound.ts';
import { whole } from './whole.ts';

interface TechniqueRow {
  id: string;
  version: number;
  document: string;
  document_seal: number | null;
}

const columnsOf = (technique: TechniqueInput) => {
  const document = JSON.stringify(technique);
  return { document, seal: sealOf(document) };
};

/** Techniques: a new version for every change, and the old ones for those who use them. */
export function techniqueQueries(db: Db, sound: SoundReader) {
  const insert = db.prepare(`INSERT INTO technique (id, created_at) VALUES (@id, @at)`);
  const insertVersion = db.prepare(`
    INSERT INTO technique_version (technique_id, version, document, document_seal, created_at)
    VALUES (@id, @version, @document, @seal, @at)`);
  const bump = db.prepare(
    `UPDATE technique SET version = version + 1 WHERE id = @id AND version = @version AND archived_at IS NULL`,
  );
  const SELECT = `SELECT t.id, v.version, v.document, v.document_seal FROM technique t JOIN technique_version v ON v.technique_id = t.id`;
  const all = db.prepare<[], TechniqueRow>(`${SELECT} AND v.version = t.version WHERE t.archived_at IS NULL`);
  const live = db.prepare<[string], TechniqueRow>(
    `${SELECT} AND v.version = t.version WHERE t.archived_at IS NULL AND t.id = ?`,
  );
  const statement = db.prepare<[string], TechniqueRow>(`${SELECT} AND v.version = t.version WHERE t.id = ?`);
  const version = db.prepare<[string, number], TechniqueRow>(`${SELECT} WHERE t.id = ? AND v.version = ?`);
  const archive = db.prepare(`UPDATE technique SET archived_at = @at WHERE id = @id AND archived_at IS NULL`);
  const unarchive = db.prepare(
    `UPDATE technique SET archived_at = NULL WHERE id = ? AND archived_at IS NOT NULL`,
  );
  const uses = db.prepare<[string], { pattern_id: string; title: string; use_id: string; version: number }>(`
    SELECT u.pattern_id, p.title, u.use_id, u.version
    FROM pattern_technique u JOIN pattern p INDEXED BY pattern_there ON p.id = u.pattern_id AND p.deleted_at IS NULL
    WHERE u.technique_id = ? ORDER BY p.title`);
  const read = (row: TechniqueRow | undefined): Technique | null =>
    row
      ? { ...unsealed<TechniqueInput>(row.document, row.document_seal), id: row.id, version: row.version }
      : null;
  return {
    /** By name. */
    all: (): Technique[] =>
      sound
        .rows('technique', { all: () => all.all(), byId: (id) => live.get(id), read })
        .flatMap((technique) => technique ?? [])
        .sort((a, b) => byCodePoint(a.name, b.name)),
    find: (id: string): Technique | null => read(statement.get(id)),
    findVersion: (id: string, number: number): Technique | null => read(version.get(id, number)),
    insert: whole(db, (id: string, technique: TechniqueInput, at: string) => {
      insert.run({ id, at });
      insertVersion.run({ id, version: 1, ...columnsOf(technique), at });
    }),
    /** False when the version is no longer the newest; nothing is written then. */
    update: whole(db, (id: string, from: number, technique: TechniqueInput, at: string): boolean => {
      if (bump.run({ id, version: from }).changes === 0) return false;
      insertVersion.run({ id, version: from + 1, ...columnsOf(technique), at });
      return true;
    }),
    archive: (id: string, at: string): boolean => archive.run({ id, at }).changes === 1,
    /** False when it is not put away. */
    restore: (id: string): boolean => unarchive.run(id).changes === 1,
    /** Drafts that use it, with the version each of them has. */
    usesOf: (id: string) =>
      uses.all(id).map((row) => ({
        patternId: row.pattern_id,
        title: row.title,
        useId: row.use_id,
        version: row.version,
      })),
  };
}
