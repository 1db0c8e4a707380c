import type { KeptKind } from '@lanakit/core/api';
import type Database from 'better-sqlite3';

type Connection = Database.Database;

/** Belongs to the studio as it is, whatever is put back: how it is kept, what was answered lately, and who did what. */
const STAYS = ['studio_fact', 'answered_key', 'change_count', 'history', 'write_log', 'pack_code'];

/**
 * Puts everything of a backup in the place of everything there is, within one transaction: killed in between, nothing was
 * done. @param file of a backup in the form of today
 */
export function putAllBack(live: Connection, file: string): void {
  attached(live, file, () => {
    const names = live
      .prepare<[], string>(
        `SELECT name FROM main.sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'`,
      )
      .pluck()
      .all();
    const triggers = live
      .prepare<[], { name: string; sql: string }>(
        `SELECT name, sql FROM main.sqlite_master WHERE type = 'trigger'`,
      )
      .all();
    // What is never changed is put back whole: its guards are lifted for this alone, and stand again before it is done.
    for (const { name } of triggers) live.exec(`DROP TRIGGER main.${name}`);
    for (const table of names.filter((name) => !STAYS.includes(name))) {
      const columns = columnsOf(live, table);
      live.exec(`DELETE FROM main.${table}`);
      live.exec(`INSERT INTO main.${table} (${columns}) SELECT ${columns} FROM backup.${table}`);
    }
    live.exec('DELETE FROM main.answered_key');
    // Nobody comes in again by a code that may have been ended since.
    live.exec('DELETE FROM main.pack_code');
    // With the guards the counters were away.
    live.exec('UPDATE main.change_count SET changes = changes + 1');
    for (const { sql } of triggers) live.exec(sql);
  });
}

/** Why one thing was not put back. */
export type PutBackFault =
  { readonly code: 'not_found' } | { readonly code: 'run_has_left'; readonly state: string };

/** One thing as it was in a backup, with what it cannot be without. Null: done. */
export function putOneBack(
  live: Connection,
  file: string,
  { kind, id, at }: { readonly kind: KeptKind; readonly id: string; readonly at: string },
): PutBackFault | null {
  return attached(live, file, () => {
    const isThere = live.prepare(`SELECT 1 FROM backup.${kind} WHERE id = ? AND deleted_at IS NULL`).get(id);
    if (!isThere) return { code: 'not_found' };
    if (kind === 'pattern') patternBack(live, id, at);
    if (kind === 'item') itemBack(live, id, at);
    return kind === 'run' ? runBack(live, id, at) : null;
  });
}

function attached<T>(live: Connection, file: string, work: () => T): T {
  // Tables name one another; every name is checked before it is done.
  live.pragma('foreign_keys = OFF');
  live.prepare('ATTACH ? AS backup').run(file);
  try {
    return live
      .transaction(() => {
        const value = work();
        const [broken] = live.pragma('main.foreign_key_check') as readonly { readonly table: string }[];
        if (broken) throw new Error(`put back, ${broken.table} names something that is not there`);
        return value;
      })
      .immediate();
  } finally {
    live.exec('DETACH backup');
    live.pragma('foreign_keys = ON');
  }
}

const columnsOf = (live: Connection, table: string): string =>
  (live.pragma(`main.table_info(${table})`) as readonly { readonly name: string }[])
    .map(({ name }) => `"${name}"`)
    .join(', ');

/** Rows of the backup that are not here yet. */
function bringMissing(live: Connection, table: string, where: string, id: string): void {
  const columns = columnsOf(live, table);
  live
    .prepare(
      `INSERT OR IGNORE INTO main.${table} (${columns}) SELECT ${columns} FROM backup.${table} WHERE ${where}`,
    )
    .run({ id });
}

/** Tables of what a pattern names, each with what it is named by. */
const NAMED_BY_PATTERN = [
  ['pattern_item', 'pattern_id'],
  ['pattern_gauge', 'pattern_id'],
  ['pattern_technique', 'pattern_id'],
  ['picture_use', 'owner_id'],
] as const;

function patternBack(live: Connection, id: string, at: string): void {
  const items = 'id IN (SELECT item_id FROM backup.pattern_item WHERE pattern_id = @id)';
  bringMissing(live, 'item', items, id);
  bringMissing(live, 'lot', `item_id IN (SELECT id FROM backup.item WHERE ${items})`, id);
  bringMissing(live, 'picture', 'id IN (SELECT picture_id FROM backup.picture_use WHERE owner_id = @id)', id);
  bringMissing(live, 'pattern', 'id = @id', id);
  live
    .prepare(
      `UPDATE main.pattern AS n SET version = n.version + 1, deleted_at = NULL, archived_at = b.archived_at, title = b.title,
         unknown_count = b.unknown_count, document = b.document, document_seal = b.document_seal, updated_at = @at
       FROM backup.pattern b WHERE b.id = n.id AND b.id = @id`,
    )
    .run({ id, at });
  // What it names is what it named then.
  for (const [table, owner] of NAMED_BY_PATTERN) {
    live.prepare(`DELETE FROM main.${table} WHERE ${owner} = ?`).run(id);
    bringMissing(live, table, `${owner} = @id`, id);
  }
  revisionsBack(live, 'pattern_id = @id', id);
}

/** What is published is never changed: only what is not here comes. */
function revisionsBack(live: Connection, where: string, id: string): void {
  const revisions = `SELECT id FROM backup.revision WHERE ${where}`;
  bringMissing(
    live,
    'item',
    `id IN (SELECT item_id FROM backup.revision_item WHERE revision_id IN (${revisions}))`,
    id,
  );
  bringMissing(live, 'pattern', `id IN (SELECT pattern_id FROM backup.revision WHERE ${where})`, id);
  bringMissing(live, 'revision', where, id);
  bringMissing(live, 'revision_item', `revision_id IN (${revisions})`, id);
  bringMissing(live, 'picture_use', `owner_id IN (${revisions})`, id);
  bringMissing(
    live,
    'picture',
    `id IN (SELECT picture_id FROM backup.picture_use WHERE owner_id IN (${revisions}))`,
    id,
  );
}

function itemBack(live: Connection, id: string, at: string): void {
  const named = 'id IN (SELECT names_id FROM backup.item_link WHERE item_id = @id)';
  bringMissing(live, 'item', named, id);
  const isNew = live.prepare('SELECT 1 FROM main.item WHERE id = ?').get(id) === undefined;
  bringMissing(live, 'item', 'id = @id', id);
  if (isNew) movementsBack(live, `item_id = ? AND lot_id IS NULL AND reason <> 'undone'`, id);
  live
    .prepare(
      `UPDATE main.item AS n SET version = n.version + 1, deleted_at = NULL, name = b.name, properties = b.properties,
         properties_seal = b.properties_seal, is_archived = b.is_archived, updated_at = @at
       FROM backup.item b WHERE b.id = n.id AND b.id = @id`,
    )
    .run({ id, at });
  live.prepare('DELETE FROM main.item_link WHERE item_id = ?').run(id);
  bringMissing(live, 'item_link', 'item_id = @id', id);
  // What is on hand is the ledger's alone; lots that are not here come with what was in them then.
  const lots = 'item_id = @id AND id NOT IN (SELECT id FROM main.lot)';
  const missing = live
    .prepare<{ id: string }, string>(`SELECT id FROM backup.lot WHERE ${lots}`)
    .pluck()
    .all({ id });
  bringMissing(live, 'lot', lots, id);
  for (const lotId of missing) movementsBack(live, 'lot_id = ?', lotId);
}

/** Lines of the ledger that are not here, at the end of it. */
function movementsBack(live: Connection, where: string, id: string): void {
  live
    .prepare(
      `INSERT INTO main.movement (item_id, lot_id, amount_milli, reason, note, at)
       SELECT item_id, lot_id, amount_milli, reason, note, at FROM backup.movement WHERE ${where} ORDER BY id`,
    )
    .run(id);
}

/** Only the plan of a run goes back. What it took off the shelf stays taken: who would have it otherwise unpacks it first. */
function runBack(live: Connection, id: string, at: string): PutBackFault | null {
  const now = live
    .prepare<[string], { state: string; deleted_at: string | null }>(
      'SELECT state, deleted_at FROM main.run WHERE id = ?',
    )
    .get(id);
  if (now && now.deleted_at === null && now.state !== 'planned')
    return { code: 'run_has_left', state: now.state };
  revisionsBack(live, 'id IN (SELECT revision_id FROM backup.run_revision WHERE run_id = @id)', id);
  if (!now) {
    bringMissing(live, 'run', 'id = @id', id);
    // Nothing of it has left the shelf here.
    live
      .prepare(`UPDATE main.run SET state = 'planned', frozen = NULL, frozen_seal = NULL WHERE id = ?`)
      .run(id);
  } else if (now.state === 'planned') {
    live
      .prepare(
        `UPDATE main.run AS n SET kind = b.kind, name = b.name, date = b.date, document = b.document,
           document_seal = b.document_seal FROM backup.run b WHERE b.id = n.id AND b.id = ?`,
      )
      .run(id);
    live.prepare('DELETE FROM main.run_revision WHERE run_id = ?').run(id);
  }
  live
    .prepare('UPDATE main.run SET version = version + 1, deleted_at = NULL, updated_at = @at WHERE id = @id')
    .run({ id, at });
  bringMissing(live, 'run_revision', 'run_id = @id', id);
  return null;
}
