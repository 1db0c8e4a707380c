import type { ClassAct, ClassEvent } from '@lanakit/core/classDay';
import type { Db } from './openDatabase.ts';

interface EventRow {
  seq: number;
  key: string;
  runId: string;
  at: string;
  seen: number;
  device: string;
  from: string;
  what: string;
}

/** An event with the class it is of. */
export interface KeptEvent extends ClassEvent {
  readonly runId: string;
}

const COLUMNS = 'id AS seq, event_key AS key, run_id AS runId, at, seen, device, device_key AS "from", what';

const eventOf = ({ what, ...row }: EventRow): KeptEvent => ({ ...row, what: JSON.parse(what) as ClassAct });

/** What happened in classes: added to, and never changed. */
export function classEventQueries(db: Db) {
  const selectAll = db.prepare<{ runId: string; after: number }, EventRow>(
    `SELECT ${COLUMNS} FROM class_event WHERE run_id = @runId AND id > @after ORDER BY id`,
  );
  const selectOne = db.prepare<[string], EventRow>(`SELECT ${COLUMNS} FROM class_event WHERE event_key = ?`);
  const insert = db.prepare(`
    INSERT INTO class_event (event_key, run_id, at, seen, device, device_key, what, came_at)
    VALUES (@key, @runId, @at, @seen, @device, @from, @what, @cameAt)`);
  const usePicture = db.prepare('INSERT OR IGNORE INTO picture_use (owner_id, picture_id) VALUES (?, ?)');
  const hasPicture = db.prepare<[string], number>('SELECT 1 FROM picture WHERE id = ?').pluck();
  return {
    /** @param after the last that is known already; 0: all */
    of: (runId: string, after = 0): ClassEvent[] =>
      selectAll.all({ runId, after }).map((row) => {
        const { runId: _run, ...event } = eventOf(row);
        return event;
      }),
    find: (key: string): KeptEvent | null => {
      const row = selectOne.get(key);
      return row ? eventOf(row) : null;
    },
    add: (event: Omit<KeptEvent, 'seq'>, cameAt: string): void => {
      insert.run({ ...event, what: JSON.stringify(event.what), cameAt });
      // A picture that nobody names is swept away.
      if (event.what.act === 'photo' || event.what.act === 'box-photo')
        usePicture.run(event.runId, event.what.pictureId);
    },
    hasPicture: (id: string): boolean => hasPicture.get(id) !== undefined,
  };
}
