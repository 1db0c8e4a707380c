import type { Translation, TranslationInput } from '@lanakit/core/translation';
import type { Db } from './openDatabase.ts';
import { sealOf, unsealed } from './sealed.ts';
import type { SoundReader } from './sound.ts';

interface TranslationRow {
  id: string;
  version: number;
  pattern_id: string;
  document: string;
  document_seal: number | null;
}

/** Texts of patterns in other languages. */
export function translationQueries(db: Db, sound: SoundReader) {
  const SELECT = 'SELECT id, version, pattern_id, document, document_seal FROM translation';
  const selectOf = db.prepare<[string], TranslationRow>(`${SELECT} WHERE pattern_id = ? ORDER BY language, created_at, rowid`);
  const selectOne = db.prepare<[string], TranslationRow>(`${SELECT} WHERE id = ?`);
  const insertRow = db.prepare(`
    INSERT INTO translation (id, pattern_id, language, document, document_seal, created_at, updated_at)
    VALUES (@id, @patternId, @language, @document, @seal, @at, @at)`);
  const updateRow = db.prepare(`
    UPDATE translation SET version = version + 1, document = @document, document_seal = @seal, updated_at = @at
    WHERE id = @id AND version = @version`);
  const deleteRow = db.prepare('DELETE FROM translation WHERE id = ?');
  const sealed = (input: TranslationInput) => {
    const document = JSON.stringify(input);
    return { document, seal: sealOf(document) };
  };
  const read = ({ id, version, pattern_id: patternId, document, document_seal: seal }: TranslationRow): Translation => ({
    ...unsealed<TranslationInput>(document, seal),
    id,
    patternId,
    version,
  });
  return {
    /** By their languages. */
    of: (patternId: string): Translation[] =>
      sound.rows('translation', { all: () => selectOf.all(patternId), byId: (id) => selectOne.get(id), read }),
    insert: (id: string, patternId: string, input: TranslationInput, at: string): void => {
      insertRow.run({ id, patternId, language: input.language, ...sealed(input), at });
    },
    /** False when the version is no longer the stored one. */
    update: (id: string, version: number, input: TranslationInput, at: string): boolean =>
      updateRow.run({ id, version, ...sealed(input), at }).changes === 1,
    remove: (id: string): boolean => deleteRow.run(id).changes === 1,
  };
} // prettier-ignore
