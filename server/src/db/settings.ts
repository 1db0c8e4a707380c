import { fromMilli, toMilli } from '@lanakit/core/shelf';
import type { Db } from './openDatabase.ts';
import type { SoundReader } from './sound.ts';

/** What the maker says of her days and ways, and below how much a thing runs low. */
export function settingQueries(db: Db, sound: SoundReader) {
  const select = db.prepare<[string], string>('SELECT document FROM setting WHERE name = ?').pluck();
  const upsert = db.prepare(`
    INSERT INTO setting (name, document, updated_at) VALUES (@name, @document, @at)
    ON CONFLICT (name) DO UPDATE SET document = @document, updated_at = @at`);
  const selectLevels = db.prepare<[], { itemId: string; milli: number }>(
    'SELECT item_id AS itemId, least_milli AS milli FROM stock_level',
  );
  const upsertLevel = db.prepare(`
    INSERT INTO stock_level (item_id, least_milli) VALUES (@itemId, @milli)
    ON CONFLICT (item_id) DO UPDATE SET least_milli = @milli`);
  const deleteLevel = db.prepare('DELETE FROM stock_level WHERE item_id = ?');
  return {
    /** Null: she has said nothing. @typeParam T what its schema checked when it was written */
    find: <T>(name: string): T | null => {
      // What cannot be read is as what was never said.
      const document = sound.firstOf('setting', [() => select.get(name)], undefined);
      return document === undefined ? null : (JSON.parse(document) as T);
    },
    set: (name: string, value: unknown, at: string): void => {
      upsert.run({ name, document: JSON.stringify(value), at });
    },
    /** Below how much each thing runs low, in its unit; of the others she has not said. */
    levels: (): Map<string, number> =>
      new Map(
        sound
          .firstOf('stock_level', [() => selectLevels.all()], [])
          .map(({ itemId, milli }) => [itemId, fromMilli(milli)]),
      ),
    /** @param least null: it has no level */
    setLevel: (itemId: string, least: number | null): void => {
      const milli = least === null ? 0 : toMilli(least);
      if (milli > 0) upsertLevel.run({ itemId, milli });
      else deleteLevel.run(itemId);
    },
  };
}
