import type { Commission, CommissionInput } from '@lanakit/core/commissions';
import type { Db } from './openDatabase.ts';
import { sealOf, unsealed } from './sealed.ts';
import type { SoundReader } from './sound.ts';
import { whole } from './whole.ts';

interface CommissionRow {
  id: string;
  version: number;
  document: string;
  document_seal: number | null;
  deleted_at: string | null;
}

/** Who asked for what. */
export function commissionQueries(db: Db, sound: SoundReader) {
  const SELECT = 'SELECT id, version, document, document_seal, deleted_at FROM commission';
  const selectAll = db.prepare<[], CommissionRow>(
    `${SELECT} WHERE deleted_at IS NULL ORDER BY asked_on, created_at, rowid`,
  );
  const selectEvery = db.prepare<[], CommissionRow>(`${SELECT} ORDER BY asked_on, created_at, rowid`);
  const selectOne = db.prepare<[string], CommissionRow>(`${SELECT} WHERE deleted_at IS NULL AND id = ?`);
  const selectAny = db.prepare<[string], CommissionRow>(`${SELECT} WHERE id = ?`);
  const insertRow = db.prepare(`
    INSERT INTO commission (id, title, asked_on, document, document_seal, created_at, updated_at)
    VALUES (@id, @title, @askedOn, @document, @seal, @at, @at)`);
  const updateRow = db.prepare(`
    UPDATE commission SET version = version + 1, title = @title, asked_on = @askedOn, document = @document,
      document_seal = @seal, updated_at = @at
    WHERE id = @id AND version = @version AND deleted_at IS NULL`);
  const rewriteRow = db.prepare(`
    UPDATE commission SET version = version + 1, document = @document, document_seal = @seal, updated_at = @at WHERE id = @id`);
  const setDeleted = db.prepare(
    'UPDATE commission SET deleted_at = @at WHERE id = @id AND deleted_at IS NULL',
  );
  const unsetDeleted = db.prepare(
    'UPDATE commission SET deleted_at = NULL WHERE id = ? AND deleted_at IS NOT NULL',
  );
  const clearPictures = db.prepare('DELETE FROM picture_use WHERE owner_id = ?');
  const usePicture = db.prepare('INSERT OR IGNORE INTO picture_use (owner_id, picture_id) VALUES (?, ?)');
  const sealed = (input: CommissionInput) => {
    const document = JSON.stringify(input);
    return { document, seal: sealOf(document) };
  };
  const columnsOf = (input: CommissionInput) => ({
    title: input.title,
    askedOn: input.askedOn,
    ...sealed(input),
  });
  const keepPictures = (id: string, { pictures }: CommissionInput) => {
    clearPictures.run(id);
    for (const { pictureId } of pictures) usePicture.run(id, pictureId);
  };
  const read = ({ id, version, document, document_seal: seal }: CommissionRow): Commission => ({
    ...unsealed<CommissionInput>(document, seal),
    id,
    version,
  });
  return {
    /** By the day they were asked for. */
    all: (): Commission[] =>
      sound.rows('commission', { all: () => selectAll.all(), byId: (id) => selectOne.get(id), read }),
    /** Those in the bin too. */
    every: (): (Commission & { readonly isBinned: boolean })[] =>
      sound.rows('commission', {
        all: () => selectEvery.all(),
        byId: (id) => selectAny.get(id),
        read: (row) => ({ ...read(row), isBinned: row.deleted_at !== null }),
      }),
    find: (id: string): Commission | null => {
      const row = selectOne.get(id);
      return row ? read(row) : null;
    },
    insert: whole(db, (id: string, input: CommissionInput, at: string) => {
      insertRow.run({ id, ...columnsOf(input), at });
      keepPictures(id, input);
    }),
    /** False when the version is no longer the stored one. */
    update: whole(db, (id: string, version: number, input: CommissionInput, at: string): boolean => {
      if (updateRow.run({ id, version, ...columnsOf(input), at }).changes === 0) return false;
      keepPictures(id, input);
      return true;
    }),
    /** Written anew wherever it lies, also in the bin: somebody is forgotten. */
    rewrite: (id: string, input: CommissionInput, at: string): void => {
      rewriteRow.run({ id, ...sealed(input), at });
    },
    remove: (id: string, at: string): boolean => setDeleted.run({ id, at }).changes === 1,
    restore: (id: string): boolean => unsetDeleted.run(id).changes === 1,
  };
}
