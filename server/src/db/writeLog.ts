import type { Role, WriteLogLine } from '@lanakit/core/api';
import type { Db } from './openDatabase.ts';

/** Who did something. */
interface Writer {
  /** Null: Lanakit by itself. */
  readonly role: Role | 'nobody' | null;
  readonly device: string;
}

/** A write. */
export interface Deed extends Writer {
  /** Method and path of its route: `PUT /runs/:id`. */
  readonly operation: string;
  /** What it was done to; null: nothing with an id. */
  readonly thingId: string | null;
}

export interface WritesAsked {
  /** Empty: of all. */
  readonly device: string;
  /** Calendar days, both within; empty: without an end. */
  readonly from: string;
  readonly to: string;
  readonly offset: number;
  readonly limit: number;
}

export type StoredWrite = Omit<WriteLogLine, 'what'> & { readonly operation: string };

/** What was done is kept so long; the trigger of the table holds to it by a day. */
export const WRITES_KEPT_DAYS = 400;

/** Every query on who did what. It is only ever added to. */
export function writeLogQueries(db: Db) {
  const insert = db.prepare(`
    INSERT INTO write_log (at, role, device, operation, thing_id) VALUES (@at, @role, @device, @operation, @thingId)`);
  const WITHIN = `
    (@device = '' OR device = @device) AND (@from = '' OR at >= @from) AND (@to = '' OR substr(at, 1, 10) <= @to)`;
  const select = db.prepare<WritesAsked, StoredWrite>(`
    SELECT id, at, role, device, operation, coalesce(
      (SELECT name FROM run WHERE id = thing_id), (SELECT title FROM pattern WHERE id = thing_id),
      (SELECT name FROM item WHERE id = thing_id), '') AS subject
    FROM write_log WHERE ${WITHIN} ORDER BY id DESC LIMIT @limit OFFSET @offset`);
  const count = db.prepare<WritesAsked, number>(`SELECT count(*) FROM write_log WHERE ${WITHIN}`).pluck();
  const devices = db.prepare<[], string>('SELECT DISTINCT device FROM write_log ORDER BY device').pluck();
  const sweep = db.prepare('DELETE FROM write_log WHERE at < ?');
  return {
    add: (deed: Deed, at: string): void => void insert.run({ ...deed, at }),
    page: (asked: WritesAsked) => ({ items: select.all(asked), total: count.get(asked) ?? 0 }),
    devices: (): string[] => devices.all(),
    sweep: (before: string): number => sweep.run(before).changes,
  };
}
