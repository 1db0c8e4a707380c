import type { Making, MakingInput } from '@lanakit/core/logbook';
import type { Pattern } from '@lanakit/core/pattern';
import type { Db } from './openDatabase.ts';
import { sealOf, unsealed } from './sealed.ts';
import type { SoundReader } from './sound.ts';
import { whole } from './whole.ts';

interface MakingRow {
  id: string;
  version: number;
  document: string;
  document_seal: number | null;
  deleted_at: string | null;
}

interface BuildRow {
  build: string | null;
  build_seal: number | null;
}

const sealed = (value: unknown) => {
  const text = value === null ? null : JSON.stringify(value);
  return { text, seal: text === null ? null : sealOf(text) };
};

/** Figures that were made, and the build each is of, as it was when it was written down. */
export function makingQueries(db: Db, sound: SoundReader) {
  const SELECT = 'SELECT id, version, document, document_seal, deleted_at FROM making';
  const selectAll = db.prepare<[], MakingRow>(
    `${SELECT} WHERE deleted_at IS NULL ORDER BY date, created_at, rowid`,
  );
  const selectOne = db.prepare<[string], MakingRow>(`${SELECT} WHERE deleted_at IS NULL AND id = ?`);
  const selectEvery = db.prepare<[], MakingRow>(`${SELECT} ORDER BY date, created_at, rowid`);
  const selectAny = db.prepare<[string], MakingRow>(`${SELECT} WHERE id = ?`);
  const rewriteRow = db.prepare(`
    UPDATE making SET version = version + 1, document = @document, document_seal = @seal, updated_at = @at WHERE id = @id`);
  const selectBuild = db.prepare<[string], BuildRow>('SELECT build, build_seal FROM making WHERE id = ?');
  const insertRow = db.prepare(`
    INSERT INTO making (id, title, date, document, document_seal, build, build_seal, created_at, updated_at)
    VALUES (@id, @title, @date, @document, @seal, @build, @buildSeal, @at, @at)`);
  const updateRow = db.prepare(`
    UPDATE making SET version = version + 1, title = @title, date = @date, document = @document, document_seal = @seal,
      updated_at = @at
    WHERE id = @id AND version = @version AND deleted_at IS NULL`);
  const updateBuild = db.prepare('UPDATE making SET build = @build, build_seal = @buildSeal WHERE id = @id');
  const setDeleted = db.prepare(`UPDATE making SET deleted_at = @at WHERE id = @id AND deleted_at IS NULL`);
  const unsetDeleted = db.prepare(
    `UPDATE making SET deleted_at = NULL WHERE id = ? AND deleted_at IS NOT NULL`,
  );
  const clearPictures = db.prepare('DELETE FROM picture_use WHERE owner_id = ?');
  const usePicture = db.prepare('INSERT OR IGNORE INTO picture_use (owner_id, picture_id) VALUES (?, ?)');
  const columnsOf = (making: MakingInput) => {
    const { text, seal } = sealed(making);
    return { title: making.title, date: making.date, document: text, seal };
  };
  const keepPictures = (id: string, { pictures }: MakingInput) => {
    clearPictures.run(id);
    for (const { pictureId } of pictures) usePicture.run(id, pictureId);
  };
  const read = ({ id, version, document, document_seal: seal }: MakingRow): Making => ({
    ...unsealed<MakingInput>(document, seal),
    id,
    version,
  });
  return {
    /** By the day they were made. */
    all: (): Making[] =>
      sound.rows('making', { all: () => selectAll.all(), byId: (id) => selectOne.get(id), read }),
    /** Those in the bin too. */
    every: (): (Making & { readonly isBinned: boolean })[] =>
      sound.rows('making', {
        all: () => selectEvery.all(),
        byId: (id) => selectAny.get(id),
        read: (row) => ({ ...read(row), isBinned: row.deleted_at !== null }),
      }),
    /** Written anew wherever it lies, also in the bin: somebody is forgotten. */
    rewrite: (id: string, making: MakingInput, at: string): void => {
      const { text: document, seal } = sealed(making);
      rewriteRow.run({ id, document, seal, at });
    },
    find: (id: string): Making | null => {
      const row = selectOne.get(id);
      return row ? read(row) : null;
    },
    /** Null: it has no pattern. */
    buildOf: (id: string): Pattern | null => {
      const row = selectBuild.get(id);
      return row?.build == null ? null : unsealed<Pattern>(row.build, row.build_seal);
    },
    /** The same as long as its build is the same. */
    buildStamp: (id: string): string => String(selectBuild.get(id)?.build_seal ?? ''),
    insert: whole(db, (id: string, making: MakingInput, build: Pattern | null, at: string) => {
      const { text, seal } = sealed(build);
      insertRow.run({ id, ...columnsOf(making), build: text, buildSeal: seal, at });
      keepPictures(id, making);
    }),
    /** False when the version is no longer the stored one. @param build undefined: as it was */
    update: whole(
      db,
      (
        id: string,
        version: number,
        making: MakingInput,
        build: Pattern | null | undefined,
        at: string,
      ): boolean => {
        if (updateRow.run({ id, version, ...columnsOf(making), at }).changes === 0) return false;
        if (build !== undefined) {
          const { text, seal } = sealed(build);
          updateBuild.run({ id, build: text, buildSeal: seal });
        }
        keepPictures(id, making);
        return true;
      },
    ),
    remove: (id: string, at: string): boolean => setDeleted.run({ id, at }).changes === 1,
    restore: (id: string): boolean => unsetDeleted.run(id).changes === 1,
  };
}
